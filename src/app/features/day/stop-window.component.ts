import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { Dialog } from 'primeng/dialog';
import { HourFieldComponent } from '../../ui/hour-field.component';

/** Between which hours a stop may be begun. */
@Component({
  selector: 'esm-stop-window',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Dialog, HourFieldComponent],
  template: `
    <p-dialog
      [header]="name()"
      [visible]="true"
      (visibleChange)="closed.emit()"
      [modal]="true"
      [dismissableMask]="true"
      [style]="{ width: 'min(26rem, 96vw)' }"
      closeAriaLabel="Close"
    >
      <div class="grid">
        <label class="field" for="stop-from"
          >Begin from<esm-hour-field
            inputId="stop-from"
            name="Begin from"
            [until]="untilHour()"
            [value]="fromHour()"
            (typed)="changed.emit({ fromHour: $event ?? fromHour(), untilHour: untilHour() })"
        /></label>
        <label class="field" for="stop-until"
          >At the latest<esm-hour-field
            inputId="stop-until"
            name="Begin at the latest"
            [from]="fromHour()"
            [value]="untilHour()"
            (typed)="changed.emit({ fromHour: fromHour(), untilHour: $event ?? untilHour() })"
        /></label>
      </div>
    </p-dialog>
  `,
  styles: `
    .grid {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 0.8rem;
    }
  `,
})
export class StopWindowComponent {
  readonly name = input.required<string>();
  readonly fromHour = input.required<number>();
  readonly untilHour = input.required<number>();
  readonly changed = output<{ readonly fromHour: number; readonly untilHour: number }>();
  readonly closed = output();
}
