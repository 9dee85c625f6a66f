import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { Button } from 'primeng/button';
import { ProgressComponent } from './progress.component';

/** A file that is being written or read, how far that is, and a way to stop it. */
@Component({
  selector: 'esm-transfer-busy',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ProgressComponent],
  template: `
    <div class="note busy" role="status" data-busy>
      <span>{{ what() }} …</span>
      <esm-progress [percent]="percent()" [label]="what()" />
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
    esm-progress {
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
