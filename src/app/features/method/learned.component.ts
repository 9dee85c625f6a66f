import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Store as State } from '@ngrx/store';
import { ButtonDirective } from 'primeng/button';
import { type AssumptionKey, type Whose, isUseful, learn, withLearned, withoutLearned } from '@esmero/core';
import { learnedSentence, methodText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { collectionFeature } from '../../state/collection';

/** What the log teaches, offered to this plan; nothing of it is used unasked. */
@Component({
  selector: 'esm-learned',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective],
  template: `
    @if (learned().length > 0) {
      <h3>From the log</h3>
      <ul class="num">
        @for (line of lines(); track line) {
          <li>{{ line }}</li>
        }
      </ul>
      @if (used()) {
        <p>
          {{ wording.usesLog }}
          <button pButton type="button" severity="secondary" outlined (click)="forget()">Ignore my log</button>
        </p>
      } @else {
        <button pButton type="button" severity="secondary" outlined (click)="use()">Plan with what was learned</button>
      }
    }
  `,
  styles: `
    :host {
      display: block;
    }
  `,
})
export class LearnedComponent {
  protected readonly wording = methodText;
  private readonly desk = inject(JobDesk);
  private readonly jobs = inject(State).selectSignal(collectionFeature.selectJobs);

  /** Of the job, only what the lessons depend on: a stroke of the brush teaches nothing. */
  private readonly id = computed(() => this.desk.job()?.id);
  private readonly whose = computed((): Whose | undefined => this.desk.job() ?? undefined, {
    equal: (p, q) => p?.client === q?.client && p?.clientId === q?.clientId,
  });

  /** A job does not teach itself. */
  protected readonly learned = computed(() => {
    const [id, whose] = [this.id(), this.whose()];
    const others = this.jobs().flatMap(({ job }) => (job.id !== id ? [job] : []));
    return learn(others, whose).filter(isUseful);
  });
  protected readonly lines = computed(() => this.learned().map(learnedSentence));
  protected readonly used = computed(() => {
    const job = this.desk.job();
    if (!job) return false;
    const taught = withLearned(job, this.learned()).choices.assumptions;
    return Object.entries(taught).every(([key, value]) => job.choices.assumptions[key as AssumptionKey] === value);
  });

  protected use(): void {
    this.desk.edit('Planned with what was learned', (job) => withLearned(job, this.learned()));
  }

  protected forget(): void {
    this.desk.edit('Log ignored', withoutLearned);
  }
}
