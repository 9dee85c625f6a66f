import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { ProgressBar } from 'primeng/progressbar';

/** How far something is. The library’s bar says its level in an attribute that a progress bar must not have: it is only drawn. */
@Component({
  selector: 'esm-progress',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ProgressBar],
  template: `<p-progressbar [value]="percent()" [showValue]="false" aria-hidden="true" />`,
  styles: `
    :host {
      display: block;
    }
  `,
  host: {
    role: 'progressbar',
    'aria-valuemin': '0',
    'aria-valuemax': '100',
    '[attr.aria-valuenow]': 'percent()',
    '[attr.aria-label]': 'label()',
  },
})
export class ProgressComponent {
  readonly label = input.required<string>();
  /** 0 to 100. */
  readonly percent = input.required<number>();
}
