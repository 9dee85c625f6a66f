import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { type ApproachEffect, type Outcome, setChoices } from '@esmero/core';
import { type Units, fixed, habitAnswer, habitWords, indexText, methodName } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { studyOf } from '../../state/study';
import { StudyBarComponent } from '../../ui/study-bar.component';

/** "+3 min, −0.4 L, index +2.1" */
function difference(now: Outcome, then: Outcome, u: Units): string {
  if (then.method !== now.method) return `${methodName[now.method].toLowerCase()} becomes ${methodName[then.method].toLowerCase()}`;
  const signed = (value: number, text: string): string => `${value > 0 ? '+' : '−'}${text}`;
  const [minutes, litres, index, towels] = [
    then.minutes - now.minutes,
    then.litres - now.litres,
    then.index - now.index,
    then.towels - now.towels,
  ];
  return [
    Math.abs(minutes) >= 0.5 ? `${signed(minutes, fixed(Math.abs(minutes)))} min` : '',
    Math.abs(litres) >= 0.05 ? signed(litres, u.water(Math.abs(litres))) : '',
    towels !== 0 ? `${signed(towels, fixed(Math.abs(towels)))} ${Math.abs(towels) === 1 ? 'towel' : 'towels'}` : '',
    Math.abs(index) >= 0.05 ? `index ${signed(index, indexText(Math.abs(index)))}` : '',
  ]
    .filter((text) => text !== '')
    .join(', ');
}

/** Where a choice of school mattered in this job, and what the other answer would have made of it. */
@Component({
  selector: 'esm-mattered',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [StudyBarComponent],
  template: `
    @if (study.answer()) {
      <h3>Where the choice of school matters here</h3>
      <ul>
        @for (row of rows(); track row.says) {
          <li>
            <span class="num">{{ row.says }}</span>
            <button type="button" class="chip small" (click)="take(row.mattered)">
              Try it<span class="sr-only">: {{ row.says }}</span>
            </button>
          </li>
        } @empty {
          <li>No other answer would make a difference that one would notice.</li>
        }
      </ul>
    } @else {
      <esm-study-bar
        question="Where does the school matter?"
        [share]="study.share()"
        [failure]="study.failure()"
        (ask)="study.ask()"
        (stop)="study.stop()"
      />
    }
  `,
  styleUrl: './study-list.css',
})
export class MatteredComponent {
  private readonly desk = inject(JobDesk);
  protected readonly study = studyOf('approach-effects');
  protected readonly rows = computed(() =>
    (this.study.answer() ?? []).map((mattered) => ({ mattered, says: this.sentence(mattered) })),
  );

  private sentence({ key, answer, now, then }: ApproachEffect): string {
    const { question } = habitWords[key];
    return `${question}, ${habitAnswer(key, answer as never).toLowerCase()}: ${difference(now, then, this.desk.units())}.`;
  }

  protected take({ key, answer }: ApproachEffect): void {
    this.desk.edit(`${habitWords[key].question}: ${habitAnswer(key, answer as never).toLowerCase()}`, (job) => {
      const { [key]: _wish, ...wishes } = job.wishes;
      return setChoices({ ...job, wishes }, { [key]: answer });
    });
  }
}
