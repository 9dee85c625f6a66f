import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { addLeg, setLeg } from '@esmero/core';
import type { Leg } from '@esmero/model';
import { fixed, roadName } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { LegFieldsComponent } from '../../ui/leg-fields.component';

/** The days since the last wash, in stretches of like weather and roads: what the forecast rests on. */
@Component({
  selector: 'esm-since',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LegFieldsComponent],
  template: `
    <details>
      <summary>Since the last wash: {{ says() }}</summary>
    @for (leg of legs(); track $index; let i = $index) {
      <div class="leg">
        <esm-leg-fields [leg]="leg" [name]="'Stretch ' + (i + 1)" (changed)="set(i, $event)" />
        <button type="button" class="chip small" (click)="set(i, null)" [attr.aria-label]="'Take stretch ' + (i + 1) + ' out'">×</button>
      </div>
    }
    <div class="row">
      <button type="button" class="chip" (click)="add()">{{ legs().length ? 'Another stretch of days' : 'Say how long ago and on what roads' }}</button>
      @if (legs().length > 0) {
        <span class="soft">The forecast lies under what you paint, and is right within a factor of two.</span>
      }
    </div>
    </details>
  `,
  styles: `
    :host {
      display: block;
    }
    summary {
      cursor: pointer;
      min-height: var(--touch);
      align-content: center;
    }
    .leg {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem;
      align-items: center;
      border-bottom: 1px solid var(--line);
      padding: 0.3rem 0;
    }
    .small {
      min-height: 2.25rem;
    }
  `,
})
export class SinceComponent {
  private readonly desk = inject(JobDesk);
  protected readonly legs = computed(() => this.desk.job()?.since ?? []);

  protected readonly says = computed(() => {
    const legs = this.legs();
    if (legs.length === 0) return 'nobody has said; what is not looked at counts as clean';
    const sum = (key: 'days' | 'km'): number => legs.reduce((total, leg) => total + leg[key], 0);
    return `${fixed(sum('days'))} days, ${fixed(sum('km'))} km, ${[...new Set(legs.map(({ road }) => roadName[road]))].join(', ')}`;
  });

  protected add(): void {
    this.desk.edit('Days since the last wash', addLeg);
  }

  protected set(index: number, leg: Leg | null): void {
    this.desk.edit('Days since the last wash', (job) => setLeg(job, index, leg));
  }
}
