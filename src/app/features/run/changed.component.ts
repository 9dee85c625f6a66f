import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { InputText } from 'primeng/inputtext';
import { type ReplanEvent, type VesselMix, mixPurposes, weatherChanges } from '@esmero/model';
import { celsius, ml } from '@esmero/units';
import { type Editable, contentName, weatherName, zoneName } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { ZoneInView } from '../../ui/net/zone-in-view';

const COLDEST_C = -40;
const HOTTEST_C = 110;
const MOST_ML = 100_000;
const MOST_LITRES = 5000;

/** A turn before it has a time. */
export type Turned = ReplanEvent extends infer T ? (T extends ReplanEvent ? Omit<T, 'at'> : never) : never;

const isVesselMix = (content: string): content is VesselMix => content !== 'solvent' && (mixPurposes as readonly string[]).includes(content);

/** What turns out otherwise beside the car: each tap is noted with its time, and the rest is planned again. */
@Component({
  selector: 'esm-changed',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [InputText],
  template: `
    <details>
      <summary>Something has changed</summary>
      @if (zone(); as zone) {
        <div class="row" role="group" [attr.aria-label]="zone.name">
          <span class="name">{{ zone.name }}</span>
          <button type="button" class="chip big" (click)="turn.emit({ kind: 'soil', zone: zone.id, steps: 1 })">Dirtier than marked</button>
          <button type="button" class="chip big" (click)="turn.emit({ kind: 'soil', zone: zone.id, steps: -1 })">Lighter</button>
          <button type="button" class="chip big" (click)="turn.emit({ kind: 'leave', zones: [zone.id] })">Another time</button>
        </div>
      }
      <div class="row">
        <button type="button" class="chip big" (click)="turn.emit({ kind: 'workers', workers: alone() ? 2 : 1 })">
          {{ alone() ? 'A second person came' : 'The second person left' }}
        </button>
        <label class="row">
          Panels read, {{ edit().temperature.unit }}
          <input pInputText class="num" type="number" step="any" inputmode="decimal" #reading (change)="panels(reading)" />
        </label>
      </div>
      @if (outdoors()) {
        <div class="row" role="group" aria-label="Weather">
          @for (weather of weatherTurns; track weather) {
            <button type="button" class="chip big" (click)="turn.emit({ kind: 'weather', weather })">{{ weatherName[weather] }}</button>
          }
        </div>
      }
      @for (mix of mixes(); track mix) {
        <div class="row" role="group" [attr.aria-label]="contentName[mix]">
          <label class="row">
            {{ contentName[mix] }} left, {{ edit().volume.unit }}
            <input pInputText class="num" type="number" min="0" step="any" inputmode="decimal" #level (change)="left(mix, level)" />
          </label>
          <button type="button" class="chip big" (click)="turn.emit({ kind: 'product-out', purpose: mix })">None left, nor product</button>
        </div>
      }
      @if (carried()) {
        <label class="row">
          Water left in the tank, {{ edit().water.unit }}
          <input pInputText class="num" type="number" min="0" step="any" inputmode="decimal" #tank (change)="water(tank)" />
        </label>
      }
      <p class="soft">The rest is planned again from what is left; what is done stays done. “Take back” takes it back.</p>
    </details>
  `,
  styles: `
    :host {
      display: block;
    }
    summary {
      min-height: 3.5rem;
      align-content: center;
      cursor: pointer;
      font-size: 1.1rem;
    }
    .big {
      min-height: 3.5rem;
    }
    .name {
      font-weight: 650;
    }
    .row + .row {
      margin-top: 0.5rem;
    }
    input {
      width: 5.5rem;
      min-height: 3.5rem;
    }
  `,
})
export class ChangedComponent {
  readonly turn = output<Turned>();

  private readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);
  protected readonly contentName = contentName;
  protected readonly weatherTurns = weatherChanges;
  protected readonly weatherName = weatherName;

  protected readonly edit = computed(() => this.desk.units().edit);

  /** The one that was pointed out on the car, or else the one that is done now. */
  protected readonly zone = computed(() => {
    const id = this.view.current() ?? [...this.view.lit()][0];
    return id ? { id, name: zoneName(id) } : null;
  });
  protected readonly mixes = computed(() => {
    const { mix, begun } = this.desk.plan() ?? { mix: { mixes: [] }, begun: { vessels: [] } };
    return [...new Set([...mix.mixes, ...begun.vessels].map(({ content }) => content))].filter(isVesselMix);
  });
  protected readonly outdoors = computed(() => !(this.desk.job()?.site.indoors ?? false));
  protected readonly carried = computed(() => !(this.desk.job()?.site.tap ?? false));
  /** After what was tapped: one person, or two. */
  protected readonly alone = computed(() => {
    const job = this.desk.job();
    const last = [...(job?.run?.events ?? [])].reverse().find((event) => event.kind === 'workers');
    return (last?.kind === 'workers' ? last.workers : job?.site.workers) === 1;
  });

  protected panels(field: HTMLInputElement): void {
    this.read(field, this.edit().temperature, COLDEST_C, HOTTEST_C, (value) => ({ kind: 'panels', panelC: celsius(value) }));
  }

  protected left(purpose: VesselMix, field: HTMLInputElement): void {
    this.read(field, this.edit().volume, 0, MOST_ML, (value) => ({ kind: 'mix-left', purpose, ml: ml(value) }));
  }

  protected water(field: HTMLInputElement): void {
    this.read(field, this.edit().water, 0, MOST_LITRES, (litres) => ({ kind: 'water-left', litres }));
  }

  /** A field that is written into once; what is out of bounds is left standing and pointed out. */
  private read(field: HTMLInputElement, { read, show, unit }: Editable, least: number, most: number, turn: (value: number) => Turned): void {
    const value = read(field.valueAsNumber);
    const fits = value >= least && value <= most;
    field.setCustomValidity(fits ? '' : `From ${Math.round(show(least))} to ${Math.round(show(most))} ${unit}.`);
    if (!field.reportValidity()) return;
    this.turn.emit(turn(value));
    field.value = '';
  }
}
