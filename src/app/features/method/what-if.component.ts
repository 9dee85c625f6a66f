import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { type WhatIf, withChange } from '@esmero/core';
import { changeText, whatIfBrings, methodText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { studyOf } from '../../state/study';
import { MethodMarkComponent } from '../../ui/method-mark.component';
import { StudyBarComponent } from '../../ui/study-bar.component';

/** Single changes that lead to another method, each to be tried at a press. */
@Component({
  selector: 'esm-what-if',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, MethodMarkComponent, StudyBarComponent],
  template: `
    @if (study.answer()) {
      <div class="cards">
        @for (change of changes(); track change.what) {
          <button pButton type="button" severity="secondary" outlined class="change" (click)="take(change.answer)">
            <esm-method-mark [method]="change.answer.method" />
            <span class="words"
              ><strong>{{ change.what }}</strong
              ><span class="num">{{ change.brings }}</span></span
            >
          </button>
        } @empty {
          <p>{{ wording.noChange }}</p>
        }
      </div>
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
  styleUrl: './change-cards.css',
})
export class WhatIfComponent {
  protected readonly wording = methodText;
  private readonly desk = inject(JobDesk);
  protected readonly study = studyOf('what-if', { atOnce: true });
  protected readonly changes = computed(() =>
    (this.study.answer() ?? []).map((answer) => ({
      answer,
      what: changeText(answer.change, this.desk.units()),
      brings: whatIfBrings(answer, this.desk.units()),
    })),
  );

  protected take({ change }: WhatIf): void {
    this.desk.edit(changeText(change, this.desk.units()), (job) => withChange(job, change));
  }
}
