import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { ButtonDirective } from 'primeng/button';
import { Select } from 'primeng/select';
import { choicesOf, habitsIn, setChoices } from '@esmero/core';
import { type HabitSet, type Habits, habitAnswers, habitKeys } from '@esmero/model';
import { habitAnswer, habitWords, methodText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';

type Answer = Habits[keyof Habits];

interface Row {
  readonly key: keyof Habits;
  readonly question: string;
  readonly options: readonly { readonly value: Answer; readonly label: string }[];
  readonly value: Answer;
  readonly wished: boolean;
  /** The finish has the last word. */
  readonly overruled: string | null;
}

/** Every question on which practitioners differ: what counts in this job, and whose word it is. */
@Component({
  selector: 'esm-habits',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, FormsModule, Select],
  template: `
    <div class="row">
      <span class="soft">Use a set of habits:</span>
      @for (set of sets(); track set.id) {
        <button pButton type="button" severity="secondary" outlined (click)="take(set)">{{ set.name }}</button>
      } @empty {
        <span class="soft">{{ wording.noHabits }}</span>
      }
    </div>
    <table>
      <thead>
        <tr>
          <th>Question</th>
          <th>Here</th>
          <th>Client’s wish</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.key) {
          <tr>
            <td [id]="'q-' + row.key">
              {{ row.question }}
              @if (row.overruled) {
                <div class="note warn">{{ row.overruled }}</div>
              }
            </td>
            <td>
              <p-select
                [options]="$any(row.options)"
                optionValue="value"
                optionLabel="label"
                [ariaLabelledBy]="'q-' + row.key"
                [ngModel]="row.value"
                (ngModelChange)="answer(row, $event)"
                appendTo="body"
              />
            </td>
            <td>
              <button
                pButton
                type="button"
                severity="secondary"
                outlined
                size="small"
                [attr.aria-pressed]="row.wished"
                (click)="wish(row)"
              >
                {{ row.wished ? 'Wished' : 'House habit' }}<span class="sr-only">: {{ row.question }}</span>
              </button>
            </td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    :host {
      display: block;
    }
    table {
      table-layout: fixed;
    }
    th:nth-child(1) {
      width: 28%;
    }
    th:nth-child(3) {
      width: 8.2rem;
    }
    td {
      vertical-align: middle;
    }
    p-select {
      width: 100%;
    }
    .small {
      min-height: 2.25rem;
      white-space: nowrap;
    }
  `,
})
export class HabitsComponent {
  protected readonly wording = methodText;
  private readonly desk = inject(JobDesk);

  protected readonly sets = computed(() =>
    this.desk
      .library()
      .filter((entry) => entry.kind === 'habits' && !entry.archived)
      .map(({ item }) => item as HabitSet),
  );
  protected readonly rows = computed((): readonly Row[] => {
    const job = this.desk.job();
    if (!job) return [];
    const counts = choicesOf(job);
    return habitKeys.map((key): Row => {
      const value = job.wishes[key] ?? job.choices[key];
      const overruled =
        counts[key] === value
          ? null
          : `This finish asks for “${habitAnswer(key, counts[key] as never).toLowerCase()}”.`;
      return {
        key,
        question: habitWords[key].question,
        options: habitAnswers[key].map((one) => ({ value: one, label: habitAnswer(key, one as never) })),
        value,
        wished: job.wishes[key] !== undefined,
        overruled,
      };
    });
  });

  protected take(set: HabitSet): void {
    this.desk.edit(`Habits: ${set.name}`, (job) => setChoices(job, habitsIn(set)));
  }

  protected answer({ key, question, wished }: Row, value: Answer): void {
    const cause = `${question}: ${habitAnswer(key, value as never).toLowerCase()}`;
    this.desk.edit(cause, (job) =>
      wished ? { ...job, wishes: { ...job.wishes, [key]: value } } : setChoices(job, { [key]: value }),
    );
  }

  /** Makes the answer the client's wish, or leaves it to the house again. */
  protected wish({ key, question, wished, value }: Row): void {
    this.desk.edit(`${question}: ${wished ? 'house habit' : 'the client’s wish'}`, (job) => {
      const { [key]: _gone, ...rest } = job.wishes;
      return { ...job, wishes: wished ? rest : { ...rest, [key]: value } };
    });
  }
}
