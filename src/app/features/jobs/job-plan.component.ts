import { ChangeDetectionStrategy, Component, inject, input, resource } from '@angular/core';
import { methodName, minutes } from '@esmero/messages';
import { JobPlans } from '../../state/job-plans';
import { MethodMarkComponent } from '../../ui/method-mark.component';

/** Mark of the method that a job is planned with, and how long it takes. */
@Component({
  selector: 'esm-job-plan',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MethodMarkComponent],
  template: `
    @if (plan.value(); as plan) {
      <esm-method-mark [method]="plan.method" />
      <span
        ><span>{{ methodName[plan.method] }}</span>
        @if (plan.method !== 'decline') {
          <span class="soft num">{{ minutes(plan.minutes) }}</span>
        }
      </span>
    }
  `,
  styles: `
    :host {
      --mark: 2.2rem;
      display: flex;
      align-items: center;
      gap: 0.5rem;
      min-height: 2.2rem;
    }
    span > span {
      display: block;
      line-height: 1.25;
    }
  `,
})
export class JobPlanComponent {
  readonly id = input.required<string>();
  readonly revision = input.required<number>();

  private readonly plans = inject(JobPlans);
  protected readonly methodName = methodName;
  protected readonly minutes = minutes;
  protected readonly plan = resource({
    params: () => ({ id: this.id(), revision: this.revision() }),
    loader: ({ params: { id, revision } }) => this.plans.brief(id, revision),
  });
}
