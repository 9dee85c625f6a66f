import { ChangeDetectionStrategy, Component, computed, effect, inject } from '@angular/core';
import { Button } from 'primeng/button';
import { type WhatIf, withChange } from '@esmero/core';
import { changeText, whatIfSentence } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { studyOf } from '../../state/study';
import { StudyBarComponent } from '../../ui/study-bar.component';

/** What would let parts be done that are left out today, each to be taken up at a press. */
@Component({
  selector: 'esm-help',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, StudyBarComponent],
  template: `
    @if (isLeft()) {
      <h3>What would help</h3>
      @if (study.answer()) {
        <ul>
          @for (help of found(); track help.says) {
            <li>
              <p-button severity="secondary" [label]="help.says" (onClick)="take(help.answer)" />
            </li>
          } @empty {
            <li>Nothing that was looked for.</li>
          }
        </ul>
      } @else {
        <esm-study-bar question="What would help?" [share]="study.share()" [failure]="study.failure()" (ask)="study.ask()" (stop)="study.stop()" />
      }
    }
  `,
  styleUrl: './study-list.css',
})
export class HelpComponent {
  private readonly desk = inject(JobDesk);
  protected readonly study = studyOf('help');
  protected readonly isLeft = computed(() => {
    const plan = this.desk.plan();
    return plan !== null && plan !== undefined && (plan.method === 'decline' || plan.zones.some(({ leftBecause }) => leftBecause !== null));
  });
  protected readonly found = computed(() => (this.study.answer() ?? []).map((answer) => ({ answer, says: whatIfSentence(answer, this.desk.units()) })));

  constructor() {
    // It is asked without a press: somebody stands before a car with parts that cannot be done.
    effect(() => {
      if (this.isLeft() && this.study.idle() && !this.study.failure()) void this.study.ask();
    });
  }

  protected take({ change }: WhatIf): void {
    this.desk.edit(changeText(change, this.desk.units()), (job) => withChange(job, change));
  }
}
