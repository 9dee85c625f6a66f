import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import type { Fill } from '@esmero/core';
import type { Vessel } from '@esmero/model';
import type { Units } from '@esmero/messages';

interface Shape {
  /** Outline from the brim down and around, in a box 100 wide and 150 high. */
  readonly outline: string;
  readonly brim: number;
  readonly floor: number;
  readonly fittings: string;
}

const shapes: Readonly<Record<Vessel['kind'], Shape>> = {
  bucket: { outline: 'M8 30L18 142H82L92 30Z', brim: 30, floor: 142, fittings: 'M8 30C20 4 80 4 92 30M5 30H95' },
  'pump-sprayer': {
    outline: 'M22 50Q22 38 36 38H64Q78 38 78 50V142H22Z',
    brim: 38,
    floor: 142,
    fittings: 'M43 38V22H57V38M50 22V8M38 8H62M62 28H90V36',
  },
  'foam-sprayer': {
    outline: 'M26 58Q26 40 50 40Q74 40 74 58V142H26Z',
    brim: 40,
    floor: 142,
    fittings: 'M42 40V26H58V40M50 26V12M40 12H60M58 30H82L92 24M58 34H82L92 40M92 20V44',
  },
  'spray-bottle': {
    outline: 'M38 46C26 54 24 62 24 72V142H76V72C76 62 74 54 62 46Z',
    brim: 46,
    floor: 142,
    fittings: 'M40 46V34H60V46M40 34V20H78V26L60 30M40 22L30 40',
  },
};

/** What of a filling is drawn. */
export interface DrawnFill extends Pick<Fill, 'totalMl' | 'waterMl'> {
  readonly dose: { readonly measured: { readonly deliveredMl: number } } | null;
}

let drawings = 0;

interface Line {
  readonly y: number;
  readonly text: string;
  readonly textY: number;
}

/** Middle and floor of the box that vessels are drawn in. */
const MIDDLE = 50;
const FLOOR = 142;
/** Smaller ones could not be read. */
const LEAST_SCALE = 0.45;

/** Least distance between two writings beside the vessel. */
const APART = 13;

/** A vessel with its lines: water to here, then product to there, never above the working line. */
@Component({
  selector: 'esm-vessel-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 230 150" role="img" [attr.aria-label]="says()">
      <defs>
        <clipPath [attr.id]="clip()">
          <path [attr.d]="shape().outline" />
        </clipPath>
      </defs>
      <g [attr.transform]="placed()">
        <g [attr.clip-path]="'url(#' + clip() + ')'">
          <rect x="0" [attr.y]="levelOf(fill().waterMl)" width="100" height="150" class="water" />
          <rect
            x="0"
            [attr.y]="productY()"
            width="100"
            [attr.height]="levelOf(fill().waterMl) - productY()"
            class="product"
          />
        </g>
        <path [attr.d]="shape().outline" class="wall" />
        <path [attr.d]="shape().fittings" class="wall" />
      </g>
      @for (line of lines(); track line.text) {
        <path class="line" [attr.d]="'M4 ' + line.y + 'H100L112 ' + line.textY" />
        <text x="115" [attr.y]="line.textY" dominant-baseline="central">{{ line.text }}</text>
      }
    </svg>
  `,
  styles: `
    svg {
      width: 100%;
      max-width: 21rem;
      display: block;
    }
    .wall {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2;
      stroke-linejoin: round;
      vector-effect: non-scaling-stroke;
    }
    .water {
      fill: #a9cfe0;
    }
    .product {
      fill: #e5a43c;
    }
    .line {
      fill: none;
      stroke: var(--ink-soft);
      stroke-dasharray: 3 2;
    }
    text {
      font-size: 9.5px;
      fill: var(--ink);
      font-variant-numeric: tabular-nums;
    }
  `,
})
export class VesselDrawingComponent {
  readonly vessel = input.required<Pick<Vessel, 'kind' | 'name' | 'capacityMl' | 'workingShare'>>();
  /** What is in it, for those who hear the drawing. */
  readonly content = input.required<string>();
  readonly fill = input.required<DrawnFill>();
  readonly units = input.required<Units>();
  /** Capacity of the largest vessel beside it: all are drawn to one scale. The own capacity where it stands alone. */
  readonly largestMl = input(0);

  private readonly number = ++drawings;
  protected readonly shape = computed(() => shapes[this.vessel().kind]);
  protected readonly clip = computed(() => `clip-${this.number}`);
  private readonly level = computed(() => {
    const { brim, floor } = this.shape();
    return scaleLinear([0, this.vessel().capacityMl], [floor, brim]).clamp(true);
  });
  /** In the vessel's own box. */
  protected levelOf(volumeMl: number): number {
    return this.level()(volumeMl);
  }
  /** A thin layer is still drawn so that it can be seen. */
  protected readonly productY = computed(() => {
    const { dose, totalMl, waterMl } = this.fill();
    return dose ? Math.min(this.levelOf(totalMl), this.levelOf(waterMl) - 2.5) : this.levelOf(waterMl);
  });

  /** Against the largest: half as long where it holds an eighth. */
  private readonly scale = computed(() =>
    Math.max(LEAST_SCALE, Math.cbrt(this.vessel().capacityMl / Math.max(this.vessel().capacityMl, this.largestMl()))),
  );
  protected readonly placed = computed(
    () => `translate(${MIDDLE * (1 - this.scale())} ${FLOOR * (1 - this.scale())}) scale(${this.scale()})`,
  );
  private drawnY(y: number): number {
    return FLOOR + (y - FLOOR) * this.scale();
  }

  protected readonly lines = computed((): readonly Line[] => {
    const vessel = this.vessel();
    const { waterMl, dose } = this.fill();
    const u = this.units();
    const wanted = [
      {
        y: this.drawnY(this.levelOf(vessel.capacityMl * vessel.workingShare)),
        text: `working line ${u.volume(vessel.capacityMl * vessel.workingShare)}`,
      },
      ...(dose
        ? [{ y: this.drawnY(this.productY()), text: `then product ${u.volume(dose.measured.deliveredMl)}` }]
        : []),
      { y: this.drawnY(this.levelOf(waterMl)), text: `water to ${u.volume(waterMl)}` },
    ].sort((p, q) => p.y - q.y);
    let below = -Infinity;
    return wanted.map((line) => {
      below = Math.max(line.y, below + APART);
      return { ...line, textY: Math.min(below, 144) };
    });
  });

  protected readonly says = computed(
    () =>
      `${this.content()} in ${this.vessel().name}: ${this.lines()
        .map(({ text }) => text)
        .join(', ')}`,
  );
}
