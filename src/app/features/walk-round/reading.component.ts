import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Button } from 'primeng/button';
import { panelAt, setReading } from '@esmero/core';
import { type ZoneId, bounds } from '@esmero/model';
import { celsius } from '@esmero/units';
import { zoneName, walkText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { NumberComponent } from '../../ui/number.component';
import { simulatedReading } from './thermometer';

/** How warm the panel is: computed, typed, or read off with the simulated instrument. */
@Component({
  selector: 'esm-reading',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, NumberComponent],
  template: `
    <div class="row">
      <label for="panel-reading">Panel</label>
      <esm-number
        inputId="panel-reading"
        [as]="edit()"
        [bounds]="bounds.panelC"
        [digits]="1"
        [value]="reading()"
        [placeholder]="computedC()"
        (typed)="set($event)"
      />
      <p-button
        label="Thermometer (simulated)"
        severity="secondary"
        [outlined]="true"
        size="small"
        (onClick)="simulate()"
      />
      @if (reading() !== null) {
        <p-button label="Clear reading" severity="secondary" [text]="true" size="small" (onClick)="set(null)" />
      }
    </div>
    <p class="soft num">{{ says() }}</p>
  `,
  styles: `
    :host {
      display: block;
    }
    esm-number {
      width: 7rem;
    }
  `,
})
export class ReadingComponent {
  readonly zone = input.required<ZoneId>();

  private readonly desk = inject(JobDesk);
  protected readonly bounds = bounds;
  protected readonly edit = computed(() => this.desk.units().edit.temperature);
  protected readonly reading = computed(() => this.desk.job()?.readings[this.zone()] ?? null);
  private readonly workedOut = computed(() => {
    const job = this.desk.job();
    return job ? panelAt({ ...job, readings: {} }, this.zone()) : null;
  });
  protected readonly computedC = computed(() => {
    const c = this.workedOut();
    return c === null ? '' : `${this.edit().show(c).toFixed(0)} ${this.edit().unit}`;
  });
  protected readonly says = computed(() => {
    const c = this.workedOut();
    if (c === null) return '';
    return walkText.computed(this.desk.units().temperature(c));
  });
  protected simulate(): void {
    const job = this.desk.job();
    const c = job ? simulatedReading(job, this.zone()) : null;
    if (c !== null) this.set(c);
  }

  protected set(c: number | null): void {
    const what = c === null ? 'no reading' : this.desk.units().temperature(c);
    this.desk.edit(`${zoneName(this.zone())}: ${what}`, (job) =>
      setReading(job, this.zone(), c === null ? null : celsius(c)),
    );
  }
}
