import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { type ApproachEffect, type Outcome, setChoices } from '@esmero/core';
import { type Units, fixed, habitAnswer, habitWords, indexText, methodName, methodText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { studyOf } from '../../state/study';
import { StudyBarComponent } from '../../ui/study-bar.component';

/** "+3 min, −0.4 L, index +2.1" */
function difference(now: Outcome, then: Outcome, u: Units): string {
  if (then.method !== now.method)
    return `${methodName[now.method].toLowerCase()} becomes ${methodName[then.method].toLowerCase()}`;
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

/** Where the approach matters in this job, and what the other answer would make of it. */
@Component({
  selector: 'esm-mattered',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, StudyBarComponent],
  template: `
    @if (study.answer()) {
      <div class="cards">
        @for (row of rows(); track row.what) {
          <button pButton type="button" severity="secondary" outlined class="change" (click)="take(row.mattered)">
            <span class="words"
              ><strong>{{ row.what }}</strong
              ><span class="num">{{ row.brings }}</span></span
            >
          </button>
        } @empty {
          <p>{{ wording.noMatter }}</p>
        }
      </div>
    } @else {
      <esm-study-bar
        question="Where does your approach matter?"
        [share]="study.share()"
        [failure]="study.failure()"
        (ask)="study.ask()"
        (stop)="study.stop()"
      />
    }
  `,
  styleUrl: './change-cards.css',
})
export class MatteredComponent {
  protected readonly wording = methodText;
  private readonly desk = inject(JobDesk);
  protected readonly study = studyOf('approach-effects', { atOnce: true });
  protected readonly rows = computed(() =>
    (this.study.answer() ?? []).map((mattered) => ({
      mattered,
      what: this.what(mattered),
      brings: difference(mattered.now, mattered.then, this.desk.units()),
    })),
  );

  private what({ key, answer }: ApproachEffect): string {
    return `${habitWords[key].question}: ${habitAnswer(key, answer as never).toLowerCase()}`;
  }

  protected take({ key, answer }: ApproachEffect): void {
    this.desk.edit(`${habitWords[key].question}: ${habitAnswer(key, answer as never).toLowerCase()}`, (job) => {
      const { [key]: _wish, ...wishes } = job.wishes;
      return setChoices({ ...job, wishes }, { [key]: answer });
    });
  }
}
