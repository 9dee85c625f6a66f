import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleLog } from 'd3-scale';
import { line } from 'd3-shape';
import { type EyeCurve, defaultAssumptions, loadOfLevel } from '@esmero/core';
import { type SoilLevel, type Try, soilLevels } from '@esmero/model';
import { practiceText } from '@esmero/messages';

const [WIDTH, HEIGHT] = [360, 260];
const LOADS = [0.3, 60] as const;

/** What an eye gave against what was there, with its curve and the band that it is right within. */
@Component({
  selector: 'esm-eye-curve',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="img" [attr.aria-label]="says()">
      <path class="even" [attr.d]="even" />
      @if (curve().tries > 0) {
        <path class="band" [attr.d]="band()" />
        <path class="own" [attr.d]="own()" />
      }
      @for (dot of dots(); track $index) {
        <circle [attr.cx]="dot.x" [attr.cy]="dot.y" r="3.5" />
      }
      @for (tick of ticks; track tick.level) {
        <text [attr.x]="tick.x" [attr.y]="height - 4">{{ tick.level }}</text>
        <text x="10" [attr.y]="tick.y + 4">{{ tick.level }}</text>
      }
      <text [attr.x]="width - 4" [attr.y]="height - 22" class="end">You gave</text>
      <text x="24" y="14" class="start">There was</text>
    </svg>
    <p class="num">{{ says() }}</p>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      width: min(100%, 26rem);
      background: var(--sunk);
      border-radius: 14px;
    }
    .even {
      stroke: var(--line);
      stroke-dasharray: 4 4;
      fill: none;
    }
    .own {
      stroke: var(--sea);
      stroke-width: 2.5;
      fill: none;
    }
    .band {
      fill: var(--sea);
      opacity: 0.14;
    }
    circle {
      fill: var(--ochre);
      opacity: 0.7;
    }
    text {
      font-size: 12px;
      fill: var(--ink);
      text-anchor: middle;
    }
    .end {
      text-anchor: end;
    }
    .start {
      text-anchor: start;
    }
  `,
})
export class EyeCurveComponent {
  readonly tries = input.required<readonly Try[]>();
  readonly curve = input.required<EyeCurve>();

  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  private readonly x = scaleLog(LOADS, [24, WIDTH - 8]).clamp(true);
  private readonly y = scaleLog(LOADS, [HEIGHT - 20, 8]).clamp(true);
  private readonly at = (level: SoilLevel): number => loadOfLevel(level, defaultAssumptions);
  protected readonly ticks = soilLevels
    .filter((level) => level > 0)
    .map((level) => ({ level, x: this.x(this.at(level)), y: this.y(this.at(level)) }));
  protected readonly even = line()(LOADS.map((load): [number, number] => [this.x(load), this.y(load)])) ?? '';
  /** Guesses lie on the levels: set apart a little so that all are seen. */
  protected readonly dots = computed(() =>
    this.tries().map(({ truth, answer }, i) => ({ x: this.x(answer) + ((i * 7) % 13) - 6, y: this.y(truth) })),
  );
  private readonly steps = Array.from({ length: 24 }, (_unused, i) => LOADS[0] * (LOADS[1] / LOADS[0]) ** (i / 23));
  private readonly truth = (load: number, off = 1): [number, number] => {
    const { factor, power } = this.curve();
    return [this.x(load), this.y(factor * load ** power * off)];
  };
  protected readonly own = computed(() => line()(this.steps.map((load) => this.truth(load))) ?? '');
  protected readonly band = computed(() => {
    const { spread } = this.curve();
    const rim = [
      ...this.steps.map((load) => this.truth(load, spread)),
      ...[...this.steps].reverse().map((load) => this.truth(load, 1 / spread)),
    ];
    return `${line()(rim) ?? ''}Z`;
  });
  protected readonly says = computed(() => practiceText.curve(this.curve()));
}
