import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { contentName, fixed, minutes, roleName, towelsText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { studyOf } from '../../state/study';
import { StudyBarComponent } from '../../ui/study-bar.component';

interface Row {
  readonly what: string;
  readonly planned: string;
  readonly median: string;
  readonly carry: string;
  readonly enough: string;
}

/** What to carry so that it is enough in most cases, by many draws of soil, usage and pace. */
@Component({
  selector: 'esm-carry',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [StudyBarComponent],
  template: `
    @if (study.answer(); as answer) {
      <h3>What to carry</h3>
      <div class="scroll">
        <table class="num">
          <caption class="sr-only">
            {{
              wording.carryCaption(sure())
            }}
          </caption>
          <thead>
            <tr>
              <th></th>
              <th scope="col">Planned</th>
              <th scope="col">Typical</th>
              <th scope="col">Enough in {{ sure() }}</th>
              <th scope="col">Plan is enough in</th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.what) {
              <tr>
                <th scope="row">{{ row.what }}</th>
                <td>{{ row.planned }}</td>
                <td>{{ row.median }}</td>
                <td>
                  <strong>{{ row.carry }}</strong>
                </td>
                <td>{{ row.enough }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <p class="soft">
        {{ wording.carryDraws }}
      </p>
    } @else {
      <esm-study-bar
        question="How many to carry, to be sure?"
        [share]="study.share()"
        [failure]="study.failure()"
        (ask)="study.ask()"
        (stop)="study.stop()"
      />
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .scroll {
      overflow-x: auto;
    }
    table {
      border-collapse: collapse;
    }
    th,
    td {
      text-align: right;
      padding: 0.3rem 0.6rem;
      border-bottom: 1px solid var(--line);
      font-weight: normal;
    }
    th:first-child {
      text-align: left;
    }
  `,
})
export class CarryComponent {
  protected readonly wording = towelsText;
  private readonly desk = inject(JobDesk);
  protected readonly study = studyOf('packing-list');

  private readonly percent = (share: number): string => `${fixed(share * 100)} %`;
  protected readonly sure = computed(() => this.percent(this.study.answer()?.confidence ?? 0));
  protected readonly rows = computed((): readonly Row[] => {
    const [answer, plan, job] = [this.study.answer(), this.desk.plan(), this.desk.job()];
    if (!answer || !plan || !job) return [];
    const u = this.desk.units();
    return [
      ...answer.towels.map(({ role, planned, median, carry }): Row => ({
        what: `${roleName[role][0]!.toUpperCase()}${roleName[role].slice(1)}`,
        planned: `${planned}`,
        median: `${median}`,
        carry: `${carry}`,
        enough: '',
      })),
      ...answer.mixes.map(({ content, planned, median, carry, enough }): Row => ({
        what: contentName[content],
        planned: u.volume(planned),
        median: u.volume(median),
        carry: u.volume(carry),
        enough: this.percent(enough),
      })),
      {
        what: job.site.tap ? 'Water' : `Water, of ${u.water(job.site.waterL)}`,
        planned: u.water(plan.totals.litres.value),
        median: u.water(answer.litres.median),
        carry: u.water(answer.litres.carry),
        enough: '',
      },
      {
        what: `Time, of ${minutes(job.site.minutes)}`,
        planned: minutes(plan.totals.minutes.value),
        median: minutes(answer.minutes.median),
        carry: minutes(answer.minutes.carry),
        enough: this.percent(answer.inTime),
      },
    ];
  });
}
