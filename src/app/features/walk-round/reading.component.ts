import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Button } from 'primeng/button';
import { panelAt, setReading } from '@esmero/core';
import type { ZoneId } from '@esmero/model';
import { celsius } from '@esmero/units';
import { zoneName, walkText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { NumberComponent } from '../../ui/number.component';
import { simulatedReading } from './thermometer';

const LEAST_C = -40;
const MOST_C = 110;

/** How warm the panel is: computed, typed, or read off with the simulated instrument. */
@Component({
  selector: 'esm-reading',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, NumberComponent],
  template: `
    
    <div class="row">
      <label for="panel-reading">Panel</label>
      <esm-number inputId="panel-reading" [value]="shown()" [unit]="unit()" [digits]="1" [placeholder]="computedC()" (typed)="type($event)" />
      <p-button label="Thermometer (simulated)" severity="secondary" [outlined]="true" size="small" (onClick)="simulate()" />
      @if (reading() !== null) {
        <p-button label="Clear reading" severity="secondary" [text]="true" size="small" (onClick)="set(null)" />
      }
    </div>
    @if (refused()) {
      <span class="fault" role="alert">{{ bounds() }}</span>
    }
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
  private readonly edit = computed(() => this.desk.units().edit.temperature);
  protected readonly unit = computed(() => this.edit().unit);
  protected readonly refused = signal(false);
  protected readonly reading = computed(() => this.desk.job()?.readings[this.zone()] ?? null);
  protected readonly shown = computed(() => {
    const reading = this.reading();
    return reading === null ? null : Number(this.edit().show(reading).toFixed(1));
  });
  private readonly workedOut = computed(() => {
    const job = this.desk.job();
    return job ? panelAt({ ...job, readings: {} }, this.zone()) : null;
  });
  protected readonly computedC = computed(() => {
    const c = this.workedOut();
    return c === null ? '' : `${this.edit().show(c).toFixed(0)} ${this.unit()}`;
  });
  protected readonly says = computed(() => {
    const c = this.workedOut();
    if (c === null) return '';
    return walkText.reckoned(this.desk.units().temperature(c));
  });
  protected readonly bounds = computed(() => {
    const { show, unit } = this.edit();
    return `From ${show(LEAST_C).toFixed(0)} to ${show(MOST_C).toFixed(0)} ${unit}, please.`;
  });

  protected type(shown: number | null): void {
    if (shown === null) return this.set(null);
    const c = this.edit().read(shown);
    const good = c >= LEAST_C && c <= MOST_C;
    this.refused.set(!good);
    if (good) this.set(c);
  }

  protected simulate(): void {
    const job = this.desk.job();
    const c = job ? simulatedReading(job, this.zone()) : null;
    if (c !== null) this.set(c);
  }

  protected set(c: number | null): void {
    const what = c === null ? 'no reading' : this.desk.units().temperature(c);
    this.desk.edit(`${zoneName(this.zone())}: ${what}`, (job) => setReading(job, this.zone(), c === null ? null : celsius(c)));
  }
}
