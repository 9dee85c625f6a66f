import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Button } from 'primeng/button';
import { addLeg, setLeg } from '@esmero/core';
import type { Leg } from '@esmero/model';
import { fixed, roadName, walkText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { LegFieldsComponent } from '../../ui/leg-fields.component';

/** The days since the last wash, in stretches of like weather and roads: what the forecast rests on. */
@Component({
  selector: 'esm-since',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, LegFieldsComponent],
  template: `
    <section class="card">
      <div class="head">
        <h3 class="num">{{ headline() }}</h3>
        <p-button
          [label]="open() ? 'Close' : legs().length ? 'Change' : 'Say how long'"
          [ariaLabel]="(open() ? 'Close' : 'Change') + ' the days since the last wash'"
          [attr.aria-expanded]="open()"
          size="small"
          severity="secondary"
          [outlined]="true"
          (onClick)="open.set(!open())"
        />
      </div>
      <p class="soft num">{{ says() }}</p>
      @if (open()) {
        @for (leg of legs(); track $index; let i = $index) {
          <div class="leg">
            <esm-leg-fields
              [leg]="leg"
              [units]="desk.units()"
              [name]="'Period ' + (i + 1)"
              (changed)="set(i, $event)"
            />
            <p-button
              icon="pi pi-trash"
              [ariaLabel]="'Remove period ' + (i + 1)"
              size="small"
              severity="secondary"
              [text]="true"
              (onClick)="set(i, null)"
            />
          </div>
        }
        <p-button
          label="Add a period"
          icon="pi pi-plus"
          size="small"
          severity="secondary"
          [outlined]="true"
          (onClick)="add()"
        />
      }
    </section>
  `,
  styles: `
    :host {
      display: block;
    }
    .head {
      display: flex;
      gap: 0.6rem;
      align-items: center;
      justify-content: space-between;
    }
    .head h3 {
      margin: 0;
    }
    .head p-button {
      flex: none;
    }
    .leg {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem;
      align-items: center;
      border-bottom: 1px solid var(--line);
      padding: 0.5rem 0;
      margin-bottom: 0.5rem;
    }
  `,
})
export class SinceComponent {
  protected readonly desk = inject(JobDesk);
  protected readonly open = signal(false);
  protected readonly legs = computed(() => this.desk.job()?.since ?? []);

  private readonly days = computed(() => this.legs().reduce((total, { days }) => total + days, 0));
  protected readonly headline = computed(() =>
    this.legs().length === 0 ? 'Last wash not known' : `${fixed(this.days())} days since the last wash`,
  );
  protected readonly says = computed(() => {
    const legs = this.legs();
    if (legs.length === 0) return walkText.noSince;
    const km = legs.reduce((total, leg) => total + leg.km, 0);
    const roads = [...new Set(legs.map(({ road }) => roadName[road]))].join(', ');
    return walkText.fills(this.desk.units().distance(km), roads);
  });

  protected add(): void {
    this.desk.edit('Days since the last wash', addLeg);
  }

  protected set(index: number, leg: Leg | null): void {
    this.desk.edit('Days since the last wash', (job) => setLeg(job, index, leg));
  }
}
