import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Dip } from '@esmero/core';
import { grams, waterName } from '@esmero/messages';

const WIDTH = 150;
const GAP = 24;
const FLOOR = 190;
/** Pixels for a metre of water. */
const DEEP = 900;
/** Grit that blackens the water, or makes the whole layer, g. */
const THICK_G = 4;
/** On the medium it takes less to be full. */
const FULL_G = 1;
const LAYER = 34;
const GRAINS = 60;

interface Drawn {
  readonly name: string;
  readonly x: number;
  readonly top: number;
  readonly depth: number;
  /** Top of what has sunk. */
  readonly bed: number;
  readonly layer: number;
  readonly grains: readonly { readonly x: number; readonly y: number }[];
  readonly afloat: string;
  readonly sunk: string;
}

/** Places that look strewn and are the same every time. */
const strewn = (n: number): readonly [number, number] => [(n * 0.7548776662) % 1, (n * 0.569840291) % 1];

/** The buckets cut open after one dip: what is afloat, what has sunk, and the medium above. */
@Component({
  selector: 'esm-bucket-section',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [style.max-width.px]="1.35 * width()"
      [attr.viewBox]="'0 0 ' + width() + ' 232'"
      role="img"
      [attr.aria-label]="says()"
    >
      @for (bucket of buckets(); track bucket.name) {
        <g [attr.transform]="'translate(' + bucket.x + ' 0)'">
          <rect class="water" x="8" width="${WIDTH - 16}" [attr.y]="bucket.top" [attr.height]="bucket.depth" />
          @for (grain of bucket.grains; track $index) {
            <circle class="grain" r="1.6" [attr.cx]="grain.x" [attr.cy]="grain.y" />
          }
          <rect class="sunk" x="8" width="${WIDTH - 16}" [attr.y]="bucket.bed" [attr.height]="bucket.layer" />
          @if (guarded()) {
            <path class="guard" d="M10 ${FLOOR - 44}H${WIDTH - 10}" />
          }
          <path class="wall" d="M4 40 L8 ${FLOOR} H${WIDTH - 8} L${WIDTH - 4} 40" />
          <text x="${WIDTH / 2}" y="206" text-anchor="middle" class="name">{{ bucket.name }}</text>
          <text x="${WIDTH / 2}" y="218" text-anchor="middle">{{ bucket.afloat }} afloat</text>
          <text x="${WIDTH / 2}" y="230" text-anchor="middle">{{ bucket.sunk }} sunk</text>
        </g>
      }
      <rect class="medium" x="4" y="3" width="54" height="26" rx="13" />
      @for (grain of onMedium(); track $index) {
        <circle class="grain" r="1.6" [attr.cx]="grain.x" [attr.cy]="grain.y" />
      }
      <text x="66" y="20">brings {{ brings() }} back to the paint</text>
    </svg>
  `,
  styleUrl: '../chart.css',
  styles: `
    .name {
      font-weight: 650;
    }
    .medium {
      fill: var(--card);
      stroke: var(--ink-soft);
      stroke-width: 2;
    }
    .water {
      fill: var(--sea-wash);
    }
    .sunk {
      fill: var(--soil-4);
    }
    .grain {
      fill: var(--soil-4);
    }
    :host-context(.dark) .grain,
    :host-context(.dark) .sunk {
      fill: var(--soil-2);
    }
    .guard {
      stroke: var(--ink);
      stroke-width: 3;
      stroke-dasharray: 7 4;
    }
    .wall {
      fill: none;
      stroke: var(--ink-soft);
      stroke-width: 2.5;
    }
  `,
})
export class BucketSectionComponent {
  readonly dip = input.required<Dip>();
  readonly guarded = input.required<boolean>();

  protected readonly width = computed(() => Math.max(2, this.dip().buckets.length) * (WIDTH + GAP));
  protected readonly brings = computed(() => grams(this.dip().carriedG));
  protected readonly onMedium = computed(() =>
    Array.from({ length: Math.round(GRAINS * Math.min(1, this.dip().carriedG / FULL_G)) }, (_, n) => {
      const [u, v] = strewn(n + 1);
      return { x: 12 + u * 38, y: 8 + v * 16 };
    }),
  );
  protected readonly buckets = computed(() =>
    this.dip().buckets.map(({ name, depthM, suspendedG, settledG }, i): Drawn => {
      const top = Math.max(50, FLOOR - DEEP * depthM);
      const layer = LAYER * Math.min(1, settledG / THICK_G);
      const count = Math.round(GRAINS * Math.min(1, suspendedG / THICK_G));
      return {
        name: waterName[name],
        x: i * (WIDTH + GAP),
        top,
        depth: FLOOR - top,
        bed: FLOOR - layer,
        layer,
        grains: Array.from({ length: count }, (_, n) => {
          const [u, v] = strewn(n + 1);
          return { x: 14 + u * (WIDTH - 28), y: top + 6 + v * (FLOOR - layer - top - 10) };
        }),
        afloat: grams(suspendedG),
        sunk: grams(settledG),
      };
    }),
  );
  protected readonly says = computed(() =>
    this.buckets()
      .map(({ name, afloat, sunk }) => `${name}: ${afloat} of grit afloat, ${sunk} sunk`)
      .join('; '),
  );
}
