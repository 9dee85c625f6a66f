import { ChangeDetectionStrategy, Component, computed, effect, inject, untracked } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { type WhatIf, withChange } from '@esmero/core';
import { changeText, whatIfBrings, methodText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { studyOf } from '../../state/study';
import { MethodMarkComponent } from '../../ui/method-mark.component';
import { StudyBarComponent } from '../../ui/study-bar.component';

/** What would let parts be done that are left out today, each to be taken up at a press. */
@Component({
  selector: 'esm-help',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, MethodMarkComponent, StudyBarComponent],
  template: `
    @if (isLeft()) {
      <h3>What would help</h3>
      @if (study.answer()) {
        <div class="cards">
          @for (help of found(); track help.what) {
            <button pButton type="button" severity="secondary" outlined class="change" (click)="take(help.answer)">
              <esm-method-mark [method]="help.answer.method" />
              <span class="words"
                ><strong>{{ help.what }}</strong
                ><span class="num">{{ help.brings }}</span></span
              >
            </button>
          } @empty {
            <p>{{ wording.noHelp }}</p>
          }
        </div>
      } @else {
        <esm-study-bar
          question="What would help?"
          [share]="study.share()"
          [failure]="study.failure()"
          (ask)="study.ask()"
          (stop)="study.stop()"
        />
      }
    }
  `,
  styleUrl: './change-cards.css',
})
export class HelpComponent {
  protected readonly wording = methodText;
  private readonly desk = inject(JobDesk);
  protected readonly study = studyOf('help');
  protected readonly isLeft = computed(() => {
    const plan = this.desk.plan();
    return (
      plan !== null &&
      plan !== undefined &&
      (plan.method === 'decline' || plan.zones.some(({ leftBecause }) => leftBecause !== null))
    );
  });
  protected readonly found = computed(() =>
    (this.study.answer() ?? []).map((answer) => ({
      answer,
      what: changeText(answer.change, this.desk.units()),
      brings: whatIfBrings(answer, this.desk.units()),
    })),
  );

  constructor() {
    // Asked without a press: somebody stands before a car with parts that cannot be done. What was stopped stays so.
    effect(() => {
      if (this.isLeft() && this.desk.job()) untracked(() => void this.study.ask());
    });
  }

  protected take({ change }: WhatIf): void {
    this.desk.edit(changeText(change, this.desk.units()), (job) => withChange(job, change));
  }
}
