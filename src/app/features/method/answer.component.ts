import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { answerReasons } from '@esmero/core';
import { answerLine, reasonText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { MethodMarkComponent } from '../../ui/method-mark.component';

/** The answer, large, with what decided it. */
@Component({
  selector: 'esm-answer',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MethodMarkComponent],
  template: `
    @if (desk.plan(); as plan) {
      <esm-method-mark [method]="plan.method" />
      <div aria-live="polite">
        <h2>{{ line() }}</h2>
        @for (reason of reasons(); track reason) {
          <p>{{ reason }}</p>
        }
      </div>
    }
  `,
  styles: `
    :host {
      --mark: 3.6rem;
      display: flex;
      align-items: flex-start;
      gap: 0.9rem;
    }
    h2 {
      margin: 0 0 0.15rem;
      font-size: 1.75rem;
    }
    p {
      margin: 0;
      max-width: 62rem;
    }
  `,
})
export class AnswerComponent {
  protected readonly desk = inject(JobDesk);
  protected readonly line = computed(() => answerLine(this.desk.plan()!));
  protected readonly reasons = computed(() =>
    answerReasons(this.desk.plan()!).map((reason) => reasonText(reason, this.desk.units())),
  );
}
