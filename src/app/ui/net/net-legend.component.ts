import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { ZoneLook } from './zone-look';

/** What a tone on the car stands for, and how much of the car has it. */
export interface LegendItem {
  readonly fill: ZoneLook['fill'];
  readonly flushed: boolean;
  readonly cooled: boolean;
  readonly name: string;
  /** "12 panels, 4.1 m²" */
  readonly how: string;
}

@Component({
  selector: 'esm-net-legend',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (item of items(); track item.name) {
      <p>
        <span
          class="tone"
          [class.flushed]="item.flushed"
          [class.cooled]="item.cooled"
          [attr.data-fill]="item.fill"
        ></span
        >{{ item.name }} <span class="soft num">{{ item.how }}</span>
      </p>
    }
  `,
  styles: `
    p {
      display: flex;
      align-items: center;
      gap: 0.45rem;
      margin: 0;
      font-size: 0.88rem;
      line-height: 1.5;
    }
    .tone {
      flex: none;
      width: 0.95rem;
      height: 0.95rem;
      border-radius: 4px;
      border: 1px solid #3c474566;
    }
  `,
  styleUrl: './tone.css',
})
export class NetLegendComponent {
  readonly items = input.required<readonly LegendItem[]>();
}
