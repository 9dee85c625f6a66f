import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { type ReplanEvent, type VesselMix, bounds, isBottled, mixPurposes, weatherChanges } from '@esmero/model';
import { celsius, ml } from '@esmero/units';
import { contentName, weatherName, zoneName, runText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { NumberComponent } from '../../ui/number.component';

/** A turn before it has a time. */
export type Turned = ReplanEvent extends infer T ? (T extends ReplanEvent ? Omit<T, 'at'> : never) : never;

const isVesselMix = (content: string): content is VesselMix =>
  !isBottled(content) && (mixPurposes as readonly string[]).includes(content);

/** What turns out otherwise beside the car: each tap is noted with its time, and the rest is planned again. */
@Component({
  selector: 'esm-changed',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, NumberComponent],
  template: `
    @if (zone(); as zone) {
      <div class="row" role="group" [attr.aria-label]="zone.name">
        <span class="name">{{ zone.name }}</span>
        <button
          pButton
          type="button"
          class="big"
          severity="secondary"
          outlined
          (click)="turn.emit({ kind: 'soil', zone: zone.id, steps: 1 })"
        >
          Dirtier than marked
        </button>
        <button
          pButton
          type="button"
          class="big"
          severity="secondary"
          outlined
          (click)="turn.emit({ kind: 'soil', zone: zone.id, steps: -1 })"
        >
          Lighter
        </button>
        <button
          pButton
          type="button"
          class="big"
          severity="secondary"
          outlined
          (click)="turn.emit({ kind: 'leave', zones: [zone.id] })"
        >
          Another time
        </button>
      </div>
    }
    <div class="row">
      <button
        pButton
        type="button"
        class="big"
        severity="secondary"
        outlined
        (click)="turn.emit({ kind: 'workers', workers: alone() ? 2 : 1 })"
      >
        {{ alone() ? 'A second person came' : 'The second person left' }}
      </button>
      <label for="panels-now">Panels measured</label>
      <esm-number
        inputId="panels-now"
        [digits]="1"
        [as]="edit().temperature"
        [bounds]="bounds.panelC"
        (typed)="$event !== null && turn.emit({ kind: 'panels', panelC: celsius($event) })"
      />
    </div>
    @if (outdoors()) {
      <div class="row" role="group" aria-label="Weather">
        @for (weather of weatherTurns; track weather) {
          <button
            pButton
            type="button"
            class="big"
            severity="secondary"
            outlined
            (click)="turn.emit({ kind: 'weather', weather })"
          >
            {{ weatherName[weather] }}
          </button>
        }
      </div>
    }
    @for (mix of mixes(); track mix) {
      <div class="row" role="group" [attr.aria-label]="contentName[mix]">
        <label [for]="'left-' + mix">{{ contentName[mix] }} left</label>
        <esm-number
          [inputId]="'left-' + mix"
          [as]="edit().volume"
          [bounds]="bounds.countedMl"
          (typed)="$event !== null && turn.emit({ kind: 'mix-left', purpose: mix, ml: ml($event) })"
        />
        <button
          pButton
          type="button"
          class="big"
          severity="secondary"
          outlined
          (click)="turn.emit({ kind: 'product-out', purpose: mix })"
        >
          Mix and product used up
        </button>
      </div>
    }
    @if (carried()) {
      <div class="row">
        <label for="tank-now">Water left in the tank</label>
        <esm-number
          inputId="tank-now"
          [as]="edit().water"
          [bounds]="bounds.waterL"
          (typed)="$event !== null && turn.emit({ kind: 'water-left', litres: $event })"
        />
      </div>
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
    esm-number {
      width: 8.5rem;
    }
    /* Two even columns for a gloved thumb; a name stands above what belongs to it. */
    @media (max-width: 47.99rem) {
      .row {
        display: grid;
        grid-template-columns: 1fr 1fr;
        align-items: center;
      }
      .name {
        grid-column: 1 / -1;
      }
      .row + .row {
        border-top: 1px solid var(--line);
        padding-top: 0.5rem;
      }
      .big,
      esm-number {
        width: 100%;
      }
    }
  `,
})
export class ChangedComponent {
  protected readonly wording = runText;
  readonly turn = output<Turned>();

  private readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);
  protected readonly bounds = bounds;
  protected readonly celsius = celsius;
  protected readonly ml = ml;
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
}
