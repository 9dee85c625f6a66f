import { ChangeDetectionStrategy, Component, DestroyRef, computed, inject, output, signal } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { type Bearing, alongDevice, shadedHours, skylineAt, slopeUnder, sunAt, throughCamera } from '@esmero/core';
import { degrees } from '@esmero/units';
import { sensorText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { type Held, ORIENTATION } from './orientation';

const [WIDTH, HEIGHT] = [360, 110];
const HIGHEST_DEG = 75;
/** Sightings closer together than this replace each other. */
const STEP_DEG = 3;
/** The steepest that a site may be. */
const MOST_SLOPE = 0.3;

/** Slope, heading and shade of the place, by the sensors of the phone in the hand. */
@Component({
  selector: 'esm-phone-sensors',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, Dialog],
  template: `
    <p-dialog
      header="Measure with the phone"
      [visible]="true"
      (visibleChange)="closed.emit()"
      [modal]="true"
      [draggable]="false"
      closeAriaLabel="Close"
      [style]="{ width: 'min(34rem, 96vw)' }"
    >
      <div class="stack">
        @switch (state()) {
          @case ('asking') {
            <p>{{ wording.ask }}</p>
            <p-button label="Use the sensors" icon="pi pi-mobile" (onClick)="begin()" />
          }
          @case ('silent') {
            <p class="note warn" role="alert">{{ wording.silent }}</p>
          }
          @case ('told') {
            <section class="card">
              <h3>How the car stands</h3>
              <p>{{ wording.lay }}</p>
              <p class="big num" role="status">{{ stands() }}</p>
              <p-button label="Take these over" icon="pi pi-check" [disabled]="!lies()" (onClick)="takeStand()" />
            </section>
            <section class="card">
              <h3>When it is in the shade</h3>
              <p>{{ wording.sweep }}</p>
              <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="img" [attr.aria-label]="shadeSays()">
                <path class="wall" [attr.d]="wall()" />
                @for (dot of sun(); track dot.hour) {
                  <circle [attr.cx]="dot.x" [attr.cy]="dot.y" r="4" [class.behind]="dot.behind" />
                }
                @if (looking(); as at) {
                  <line [attr.x1]="at.x" [attr.x2]="at.x" y1="0" [attr.y2]="height" />
                }
                @for (one of points; track one.name) {
                  <text [attr.x]="one.x" [attr.y]="height - 3">{{ one.name }}</text>
                }
              </svg>
              <p class="num">{{ shadeSays() }}</p>
              <div class="row">
                <p-button
                  [label]="sweeps() ? 'Stop the sweep' : 'Begin the sweep'"
                  icon="pi pi-compass"
                  [severity]="sweeps() ? 'primary' : 'secondary'"
                  [outlined]="!sweeps()"
                  [disabled]="!knowsNorth()"
                  (onClick)="sweep()"
                />
                <p-button
                  label="Take these hours over"
                  severity="secondary"
                  [outlined]="true"
                  [disabled]="sightings().length === 0"
                  (onClick)="takeShade()"
                />
              </div>
              @if (!knowsNorth()) {
                <p class="note warn">{{ wording.noNorth }}</p>
              }
            </section>
          }
        }
        <p class="soft">{{ wording.byHand }}</p>
      </div>
    </p-dialog>
  `,
  styles: `
    .big {
      font-size: 1.7rem;
      margin: 0.2rem 0;
    }
    svg {
      width: 100%;
      background: var(--sunk);
      border-radius: 10px;
    }
    .wall {
      fill: var(--ink-soft);
      opacity: 0.55;
    }
    circle {
      fill: var(--ochre);
    }
    .behind {
      fill: none;
      stroke: var(--ink);
    }
    line {
      stroke: var(--rust);
      stroke-width: 2;
    }
    text {
      font-size: 11px;
      fill: var(--ink);
      text-anchor: middle;
    }
  `,
})
export class PhoneSensorsComponent {
  readonly closed = output();

  protected readonly wording = sensorText;
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  private readonly desk = inject(JobDesk);
  private readonly orientation = inject(ORIENTATION);

  protected readonly state = signal<'asking' | 'silent' | 'told'>('asking');
  protected readonly held = signal<Held | null>(null);
  protected readonly knowsNorth = computed(() => this.held()?.knowsNorth ?? false);
  protected readonly sweeps = signal(false);
  protected readonly sightings = signal<readonly Bearing[]>([]);
  private stop: (() => void) | null = null;

  private readonly x = scaleLinear([0, 360], [0, WIDTH]);
  private readonly y = scaleLinear([0, HIGHEST_DEG], [HEIGHT - 14, 4]);
  protected readonly points = [
    { name: 'N', x: 8 },
    { name: 'E', x: this.x(90) },
    { name: 'S', x: this.x(180) },
    { name: 'W', x: this.x(270) },
  ];

  private readonly faces = computed(
    () => Math.round(alongDevice(this.held() ?? { alphaDeg: 0, betaDeg: 0, gammaDeg: 0 }).azimuthDeg) % 360,
  );
  private readonly slope = computed(() =>
    Number(slopeUnder(this.held() ?? { alphaDeg: 0, betaDeg: 0, gammaDeg: 0 }).toFixed(3)),
  );
  /** In the hand it tells how it is held, not how the ground lies. */
  protected readonly lies = computed(() => this.held() !== null && this.slope() <= MOST_SLOPE);
  protected readonly stands = computed(() =>
    this.lies() ? sensorText.stands(this.knowsNorth() ? this.faces() : null, this.slope()) : sensorText.notFlat,
  );

  protected readonly looking = computed(() => {
    const held = this.held();
    return held && this.sweeps() ? { x: this.x(throughCamera(held).azimuthDeg) } : null;
  });
  protected readonly wall = computed(() => {
    const sightings = this.sightings();
    if (sightings.length === 0) return '';
    const top = Array.from({ length: 121 }, (_unused, i): [number, number] => [
      this.x(3 * i),
      this.y(Math.min(HIGHEST_DEG, skylineAt(sightings, 3 * i))),
    ]);
    return `${line()(top) ?? ''}L${WIDTH},${this.y(0)}L0,${this.y(0)}Z`;
  });
  protected readonly sun = computed(() => {
    const job = this.desk.job();
    if (!job) return [];
    return Array.from({ length: 24 }, (_unused, hour) => ({ hour, ...sunAt(job.site, job.date, hour + 0.5) }))
      .filter(({ altitudeDeg }) => altitudeDeg > 0)
      .map(({ hour, azimuthDeg, altitudeDeg }) => ({
        hour,
        x: this.x((azimuthDeg + 360) % 360),
        y: this.y(Math.min(HIGHEST_DEG, altitudeDeg)),
        behind: altitudeDeg < skylineAt(this.sightings(), azimuthDeg),
      }));
  });
  private readonly hours = computed(() => {
    const job = this.desk.job();
    return job ? shadedHours(this.sightings(), job.site, job.date) : [];
  });
  protected readonly shadeSays = computed(() =>
    this.sightings().length === 0 ? sensorText.notSwept : sensorText.shaded(this.hours()),
  );

  constructor() {
    inject(DestroyRef).onDestroy(() => this.stop?.());
  }

  /** Asked for at a press, as browsers want it. */
  protected async begin(): Promise<void> {
    this.stop = await this.orientation((held) => this.hear(held));
    this.state.set(this.stop ? 'told' : 'silent');
  }

  private hear(held: Held): void {
    this.held.set(held);
    if (!this.sweeps()) return;
    const seen = throughCamera(held);
    const isNear = (one: Bearing): boolean =>
      Math.abs(((one.azimuthDeg - seen.azimuthDeg + 540) % 360) - 180) < STEP_DEG;
    this.sightings.update((all) => [...all.filter((one) => !isNear(one)), seen]);
  }

  protected sweep(): void {
    if (!this.sweeps()) this.sightings.set([]);
    this.sweeps.update((on) => !on);
  }

  protected takeStand(): void {
    const [slope, faces] = [this.slope(), this.knowsNorth() ? this.faces() : null];
    this.desk.edit(sensorText.stands(faces, slope), (job) => ({
      ...job,
      site: { ...job.site, slope, ...(faces === null ? {} : { headingDeg: degrees(faces) }) },
    }));
  }

  protected takeShade(): void {
    this.sweeps.set(false);
    const hours = this.hours();
    this.desk.edit(sensorText.shaded(hours), (job) => ({ ...job, site: { ...job.site, shadeHours: hours } }));
  }
}
