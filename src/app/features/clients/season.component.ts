import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { TableModule } from 'primeng/table';
import { type SeasonAsked, type SeasonMethod, seasonMethods } from '@esmero/core';
import type { Job, Leg } from '@esmero/model';
import { type Units, clientsText, fixed, holdsName, methodName, money, spanText } from '@esmero/messages';
import { BusinessDesk } from '../../state/business-desk';
import { questionOf } from '../../state/study';
import { VanStock } from '../../state/van-stock';
import { ChoiceComponent } from '../../ui/choice.component';
import { StudyBarComponent } from '../../ui/study-bar.component';

/** A year of one car, washed every so many days by each method; and the interval that fits it. */
@Component({
  selector: 'esm-season',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceComponent, StudyBarComponent, TableModule],
  template: `
    <h3>A year of it</h3>
    @if (study.answer(); as season) {
      <p class="num fits" aria-live="polite">
        <strong>{{ fits() }}</strong>
      </p>
      <esm-choice label="Method" [options]="methods" [value]="method()" (chosen)="pick($event)" />
      <p-table class="num" [value]="$any(rows())" dataKey="days">
        <ng-template #header>
          <tr>
            <th>Every</th>
            <th>Marring in a year</th>
            <th class="figure">Time</th>
            <th class="figure wide">Water</th>
            <th class="figure">Price</th>
            <th>Low-water wash</th>
          </tr>
        </ng-template>
        <ng-template #body let-row>
          <tr [class.fits]="row.isFit">
            <td>{{ row.days }} days</td>
            <td>
              @if (row.share !== null) {
                <span class="bar" aria-hidden="true"><span [style.width.%]="100 * row.share"></span></span>
              }
              {{ row.marring }}
            </td>
            <td class="figure">{{ row.time }}</td>
            <td class="figure wide">{{ row.water }}</td>
            <td class="figure">{{ row.price }}</td>
            <td>{{ row.holds }}</td>
          </tr>
        </ng-template>
      </p-table>
      <p class="soft">{{ wording.season }}</p>
    } @else {
      <esm-study-bar
        question="How often is best?"
        [share]="study.share()"
        [failure]="study.failure()"
        (ask)="study.ask()"
        (stop)="study.stop()"
      />
    }
  `,
  styles: `
    h3 {
      margin: 1rem 0 0.4rem;
    }
    .figure {
      text-align: right;
    }
    .bar {
      display: inline-block;
      width: 5rem;
      height: 10px;
      margin-right: 0.5rem;
      border-radius: 5px;
      background: var(--sunk);
    }
    .bar > span {
      display: block;
      height: 100%;
      min-width: 2px;
      border-radius: 5px;
      background: var(--sea);
    }
    tr.fits td {
      background: var(--sea-wash);
      font-weight: 600;
    }
    @media (max-width: 47.99rem) {
      .wide,
      .bar {
        display: none;
      }
    }
  `,
})
export class SeasonComponent {
  /** The last visit of the car. */
  readonly job = input.required<Job>();
  readonly usual = input.required<Leg>();
  readonly units = input.required<Units>();

  protected readonly wording = clientsText;
  protected readonly methods = seasonMethods.map((value) => ({ value, label: methodName[value] }));
  private readonly rates = inject(BusinessDesk);
  private readonly vanStock = inject(VanStock);
  private readonly asked = computed(
    (): SeasonAsked | null => ({
      job: this.job(),
      usual: this.usual(),
      business: this.rates.business(),
      van: this.vanStock.kept(),
    }),
    {
      equal: (p, q) => JSON.stringify(p) === JSON.stringify(q),
    },
  );
  protected readonly study = questionOf('season', this.asked);
  private readonly picked = signal<SeasonMethod | null>(null);
  protected readonly method = computed(
    (): SeasonMethod => this.picked() ?? this.study.answer()?.fits?.method ?? 'rinseless',
  );
  protected readonly fits = computed(() => {
    const fits = this.study.answer()?.fits;
    return fits ? clientsText.fits(fits, this.rates.business().currency) : clientsText.fitsNone;
  });
  protected readonly rows = computed(() => {
    const answer = this.study.answer();
    if (!answer) return [];
    const { currency } = this.rates.business();
    const most = Math.max(...answer.plans.map(({ yearIndex }) => yearIndex), 1);
    return answer.plans
      .filter((one) => one.method === this.method())
      .map((one) => ({
        days: one.days,
        isFit: one === answer.fits,
        holds: holdsName[one.holds],
        // Half a car is not laid beside a whole one.
        ...(one.holds === 'no'
          ? { share: null, marring: '–', time: '–', water: '–', price: '–' }
          : {
              share: one.yearIndex / most,
              marring: fixed(one.yearIndex),
              time: spanText(one.minutes),
              water: this.units().water(one.litres),
              price: money(one.yearMinor, currency),
            }),
      }));
  });

  protected pick(method: SeasonMethod): void {
    this.picked.set(method);
  }
}
