import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { type ReplanEvent, type VesselMix, mixPurposes, weatherChanges } from '@esmero/model';
import { celsius, ml } from '@esmero/units';
import { type Editable, contentName, weatherName, zoneName, runText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { NumberComponent } from '../../ui/number.component';

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
  imports: [ButtonDirective, NumberComponent],
  template: `
      @if (zone(); as zone) {
        <div class="row" role="group" [attr.aria-label]="zone.name">
          <span class="name">{{ zone.name }}</span>
          <button pButton type="button" class="big" severity="secondary" outlined (click)="turn.emit({ kind: 'soil', zone: zone.id, steps: 1 })">Dirtier than marked</button>
          <button pButton type="button" class="big" severity="secondary" outlined (click)="turn.emit({ kind: 'soil', zone: zone.id, steps: -1 })">Lighter</button>
          <button pButton type="button" class="big" severity="secondary" outlined (click)="turn.emit({ kind: 'leave', zones: [zone.id] })">Another time</button>
        </div>
      }
      <div class="row">
        <button pButton type="button" class="big" severity="secondary" outlined (click)="turn.emit({ kind: 'workers', workers: alone() ? 2 : 1 })">
          {{ alone() ? 'A second person came' : 'The second person left' }}
        </button>
        <label for="panels-now">Panels measured</label>
        <esm-number inputId="panels-now" [digits]="1" [unit]="edit().temperature.unit" [value]="null" (typed)="panels($event)" />
      </div>
      @if (outdoors()) {
        <div class="row" role="group" aria-label="Weather">
          @for (weather of weatherTurns; track weather) {
            <button pButton type="button" class="big" severity="secondary" outlined (click)="turn.emit({ kind: 'weather', weather })">{{ weatherName[weather] }}</button>
          }
        </div>
      }
      @for (mix of mixes(); track mix) {
        <div class="row" role="group" [attr.aria-label]="contentName[mix]">
          <label [for]="'left-' + mix">{{ contentName[mix] }} left</label>
          <esm-number [inputId]="'left-' + mix" [unit]="edit().volume.unit" [value]="null" (typed)="left(mix, $event)" />
          <button pButton type="button" class="big" severity="secondary" outlined (click)="turn.emit({ kind: 'product-out', purpose: mix })">Mix and product used up</button>
        </div>
      }
      @if (carried()) {
        <div class="row">
          <label for="tank-now">Water left in the tank</label>
          <esm-number inputId="tank-now" [unit]="edit().water.unit" [value]="null" (typed)="water($event)" />
        </div>
      }
      @if (fault(); as fault) {
        <p class="fault" role="alert">{{ fault }}</p>
      }
      <p class="soft">{{ wording.replans }}</p>
  `,
  styles: `
    :host {
      display: block;
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
    .fault {
      color: var(--rust);
    }
    esm-number {
      width: 8.5rem;
    }
  `,
})
export class ChangedComponent {
  protected readonly wording = runText;
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

  protected readonly fault = signal('');

  protected panels(shown: number | null): void {
    this.read(shown, this.edit().temperature, COLDEST_C, HOTTEST_C, (value) => ({ kind: 'panels', panelC: celsius(value) }));
  }

  protected left(purpose: VesselMix, shown: number | null): void {
    this.read(shown, this.edit().volume, 0, MOST_ML, (value) => ({ kind: 'mix-left', purpose, ml: ml(value) }));
  }

  protected water(shown: number | null): void {
    this.read(shown, this.edit().water, 0, MOST_LITRES, (litres) => ({ kind: 'water-left', litres }));
  }

  /** What is out of bounds stays in its field and is pointed out. */
  private read(shown: number | null, { read, show, unit }: Editable, least: number, most: number, turn: (value: number) => Turned): void {
    if (shown === null) return;
    const value = read(shown);
    const fits = value >= least && value <= most;
    this.fault.set(fits ? '' : `From ${Math.round(show(least))} to ${Math.round(show(most))} ${unit}, please.`);
    if (fits) this.turn.emit(turn(value));
  }
}
