import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Button } from 'primeng/button';
import { scaleLinear } from 'd3-scale';
import { type Ordering, setChoices } from '@esmero/core';
import { minutes, orderingText, orderText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { studyOf } from '../../state/study';
import { StudyBarComponent } from '../../ui/study-bar.component';

/** Longest bar, of the width that there is. */
const WIDEST = 100;

/** The order of work beside every other one: pressing one takes it. */
@Component({
  selector: 'esm-orders',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, StudyBarComponent],
  template: `
    @if (study.answer()) {
      <ol>
        @for (row of rows(); track row.text) {
          <li>
            <span class="bars" aria-hidden="true">
              <span class="bar" [class.now]="row.one.now" [style.width.%]="row.work"></span>
              <span class="bar idle" [style.width.%]="row.waits"></span>
            </span>
            <span class="words num">{{ row.text }}: {{ row.says }}</span>
            @if (row.one.now) {
              <strong>as planned</strong>
            } @else {
              <p-button
                label="Take it"
                [ariaLabel]="'Take: ' + row.text"
                size="small"
                severity="secondary"
                [outlined]="true"
                (onClick)="take(row.one)"
              />
            }
          </li>
        } @empty {
          <li class="soft">{{ wording.noPlan }}</li>
        }
      </ol>
    } @else {
      <esm-study-bar
        question="Would another order be quicker?"
        [share]="study.share()"
        [failure]="study.failure()"
        (ask)="study.ask()"
        (stop)="study.stop()"
      />
    }
  `,
  styleUrl: './orders.component.css',
})
export class OrdersComponent {
  protected readonly wording = orderText;
  private readonly desk = inject(JobDesk);
  protected readonly study = studyOf('work-orders', { atOnce: true });

  protected readonly rows = computed(() => {
    const answer = this.study.answer() ?? [];
    const u = this.desk.units();
    const width = scaleLinear([0, Math.max(1, ...answer.map(({ minutes: all }) => all))], [0, WIDEST]);
    return answer.map((one) => ({
      one,
      text: orderingText(one, this.desk.job()?.site.workers ?? 1),
      work: width(one.minutes - one.waiting),
      waits: width(one.waiting),
      says: `${minutes(one.minutes)}${one.waiting >= 0.5 ? `, of it ${minutes(one.waiting)} waiting` : ''}, ${u.water(one.litres)}, ${one.towels} towels`,
    }));
  });

  protected take(one: Ordering): void {
    const { order, wheels, glass, pair } = one;
    this.desk.edit(orderingText(one, this.desk.job()?.site.workers ?? 1), (job) =>
      setChoices(job, { order, wheels, glass, pair }),
    );
  }
}
