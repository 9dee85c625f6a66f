import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { Button } from 'primeng/button';
import { ProgressBar } from 'primeng/progressbar';

/** A file that is being written or read, how far that is, and a way to stop it. */
@Component({
  selector: 'esm-transfer-busy',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ProgressBar],
  template: `
    <div class="note busy" role="status" data-busy>
      <span>{{ what() }} …</span>
      <p-progressbar [value]="percent()" [showValue]="false" [attr.aria-level]="null" [attr.aria-label]="what()" />
      <p-button label="Cancel" size="small" severity="secondary" (onClick)="stop.emit()" />
    </div>
  `,
  styles: `
    .busy {
      display: flex;
      flex-wrap: wrap;
      gap: 0.75rem;
      align-items: center;
    }
    p-progressbar {
      flex: 1 1 10rem;
    }
  `,
})
export class TransferBusyComponent {
  readonly what = input.required<string>();
  /** From 0 to 1. */
  readonly share = input.required<number>();
  readonly stop = output();

  protected readonly percent = computed(() => Math.round(this.share() * 100));
}
