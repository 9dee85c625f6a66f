import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { dayPlanText } from '@esmero/messages';
import { NumberComponent } from '../../ui/number.component';

/** One way that the day takes. */
export interface DayWayRow {
  readonly from: string;
  readonly to: string;
  readonly text: string;
  readonly minutes: number;
  readonly isTyped: boolean;
}

/** The ways of a day and how long each takes: to be typed by whoever knows better. */
@Component({
  selector: 'esm-day-ways',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, Dialog, NumberComponent],
  template: `
    <p-dialog
      header="Driving times"
      [visible]="true"
      (visibleChange)="closed.emit()"
      [modal]="true"
      [dismissableMask]="true"
      [style]="{ width: 'min(38rem, 96vw)' }"
      closeAriaLabel="Close"
    >
      <p class="soft">{{ wording.roads }}</p>
      <div class="row">
        <p-button
          label="Import minutes (CSV)"
          icon="pi pi-download"
          size="small"
          severity="secondary"
          [outlined]="true"
          (onClick)="file.click()"
        />
        <input
          #file
          type="file"
          accept=".csv,text/csv"
          class="sr-only"
          aria-label="Import minutes (CSV)"
          tabindex="-1"
          (change)="bring(file)"
        />
        <p-button
          label="Save all as a table"
          icon="pi pi-upload"
          size="small"
          severity="secondary"
          [text]="true"
          (onClick)="saved.emit()"
        />
      </div>
      @if (answer(); as answer) {
        <p role="status" [class.bad]="faults().length > 0">{{ answer }}</p>
      }
      @for (fault of faults(); track $index) {
        <p class="bad">{{ fault }}</p>
      }
      <ul>
        @for (one of ways(); track one.text) {
          <li class="row">
            <span class="grow">{{ one.text }}</span>
            <esm-number
              class="min"
              [name]="'Minutes, ' + one.text"
              unit="min"
              [digits]="0"
              [bounds]="{ min: 0, max: 600, whole: true }"
              [value]="one.minutes"
              (typed)="typed.emit({ from: one.from, to: one.to, minutes: $event })"
            />
            <p-button
              icon="pi pi-undo"
              [ariaLabel]="'Use the estimate: ' + one.text"
              severity="secondary"
              [text]="true"
              [disabled]="!one.isTyped"
              (onClick)="typed.emit({ from: one.from, to: one.to, minutes: null })"
            />
          </li>
        }
      </ul>
    </p-dialog>
  `,
  styles: `
    ul {
      list-style: none;
      padding: 0;
      margin: 0;
    }
    .grow {
      flex: 1;
    }
    .bad {
      color: var(--rust);
    }
    .min {
      width: 7rem;
    }
  `,
})
export class DayWaysComponent {
  protected readonly wording = dayPlanText;
  readonly ways = input.required<readonly DayWayRow[]>();
  /** Minutes of null are those that the van reckons with. */
  readonly typed = output<{ readonly from: string; readonly to: string; readonly minutes: number | null }>();
  /** A table was brought: the page reads it. */
  readonly brought = output<string>();
  /** The table is asked for. */
  readonly saved = output();
  /** What came of the last table. */
  readonly answer = input.required<string>();
  readonly faults = input.required<readonly string[]>();
  readonly closed = output();

  protected async bring(field: HTMLInputElement): Promise<void> {
    const file = field.files?.[0];
    if (file) this.brought.emit(await file.text());
    field.value = '';
  }
}
