import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { InputText } from 'primeng/inputtext';
import { panelAt, setReading } from '@esmero/core';
import type { ZoneId } from '@esmero/model';
import { celsius } from '@esmero/units';
import { zoneName } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { simulatedReading } from './thermometer';

const LEAST_C = -40;
const MOST_C = 110;

/** How warm the panel is: computed, typed, or read off with the simulated instrument. */
@Component({
  selector: 'esm-reading',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [InputText],
  template: `
    <h3>Panel</h3>
    <div class="row">
      <label for="panel-reading">Read off, {{ unit() }}</label>
      <input pInputText class="num" id="panel-reading" type="number" step="0.5" [value]="shown()" [placeholder]="computedC()" #field (change)="type(field)" />
      <button type="button" class="chip" (click)="simulate()">Thermometer (simulated)</button>
      @if (reading() !== null) {
        <button type="button" class="chip" (click)="set(null)">Forget the reading</button>
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
    input {
      width: 6rem;
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
    return reading === null ? '' : Number(this.edit().show(reading).toFixed(1));
  });
  private readonly workedOut = computed(() => {
    const job = this.desk.job();
    return job ? panelAt({ ...job, readings: {} }, this.zone()) : null;
  });
  protected readonly computedC = computed(() => {
    const c = this.workedOut();
    return c === null ? '' : this.edit().show(c).toFixed(0);
  });
  protected readonly says = computed(() => {
    const c = this.workedOut();
    if (c === null) return '';
    return `By air, sun and colour it would have ${this.desk.units().temperature(c)}; a reading goes over that for this zone.`;
  });
  protected readonly bounds = computed(() => {
    const { show, unit } = this.edit();
    return `From ${show(LEAST_C).toFixed(0)} to ${show(MOST_C).toFixed(0)} ${unit}, please.`;
  });

  protected type(field: HTMLInputElement): void {
    if (field.value.trim() === '') return this.set(null);
    const c = this.edit().read(field.valueAsNumber);
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
