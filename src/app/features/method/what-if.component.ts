import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { type WhatIf, withChange } from '@esmero/core';
import { changeText, whatIfSentence } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { studyOf } from '../../state/study';
import { StudyBarComponent } from '../../ui/study-bar.component';

/** Single changes that lead to another method, each to be tried at a press. */
@Component({
  selector: 'esm-what-if',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [StudyBarComponent],
  template: `
    @if (study.answer()) {
      <h3>What would change the answer</h3>
      <ul>
        @for (change of changes(); track change.says) {
          <li>
            {{ change.says }}
            <button type="button" class="chip small" (click)="take(change.answer)">
              Try it<span class="sr-only">: {{ change.says }}</span>
            </button>
          </li>
        } @empty {
          <li>No single change that was looked for leads to another method.</li>
        }
      </ul>
    } @else {
      <esm-study-bar
        question="What would change the answer?"
        [share]="study.share()"
        [failure]="study.failure()"
        (ask)="study.ask()"
        (stop)="study.stop()"
      />
    }
  `,
  styleUrl: './study-list.css',
})
export class WhatIfComponent {
  private readonly desk = inject(JobDesk);
  protected readonly study = studyOf('what-if');
  protected readonly changes = computed(() =>
    (this.study.answer() ?? []).map((answer) => ({ answer, says: whatIfSentence(answer, this.desk.units()) })),
  );

  protected take({ change }: WhatIf): void {
    this.desk.edit(changeText(change, this.desk.units()), (job) => withChange(job, change));
  }
}
