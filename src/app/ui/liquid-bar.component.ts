import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import type { Liquid } from '@esmero/core';
import type { Units } from '@esmero/messages';

const WIDTH = 600;

/** Where the liquid that is laid goes, as one bar from ground to finish. */
@Component({
  selector: 'esm-liquid-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' 22'" role="img" [attr.aria-label]="says()">
      @for (part of parts(); track part.key) {
        <rect [attr.x]="part.x" y="1" [attr.width]="part.width" height="20" [attr.data-to]="part.key">
          <title>{{ part.text }}</title>
        </rect>
      }
    </svg>
    <p class="key num">
      @for (part of parts(); track part.key) {
        <span><i [attr.data-to]="part.key"></i>{{ part.text }}</span>
      }
    </p>
  `,
  styleUrls: ['./chart.css', './liquid-bar.component.css'],
})
export class LiquidBarComponent {
  readonly liquid = input.required<Liquid>();
  readonly units = input.required<Units>();

  protected readonly width = WIDTH;
  protected readonly parts = computed(() => {
    const { runoffMl, washMl, evaporatedMl, finishMl, laidMl } = this.liquid();
    const x = scaleLinear([0, Math.max(1, laidMl)], [0, WIDTH]);
    const parts = [
      ['wash', 'wash towels and mitts', washMl],
      ['air', 'the air', evaporatedMl],
      ['finish', 'finishing and drying', finishMl],
      ['ground', 'runs off', runoffMl],
    ] as const;
    let from = 0;
    return parts.map(([key, name, ml]) => {
      const part = { key, x: x(from), width: x(ml), text: `${name} ${this.units().volume(ml)}` };
      from += ml;
      return part;
    });
  });
  protected readonly says = computed(
    () =>
      `Of ${this.units().volume(this.liquid().laidMl)} laid: ${this.parts()
        .map(({ text }) => text)
        .join(', ')}`,
  );
}
