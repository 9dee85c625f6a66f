import { ChangeDetectionStrategy, Component, computed, inject, input, resource } from '@angular/core';
import { accountLines } from '@esmero/messages';
import type { QuoteAsked } from '@esmero/core';
import { BusinessDesk } from '../../state/business-desk';
import { JobReads } from '../../state/job-reads';
import { questionOf } from '../../state/study';
import { VanStock } from '../../state/van-stock';

/** What a visit came to, beside what was quoted. */
@Component({
  selector: 'esm-account',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lines().length > 0) {
      <h3>Quoted, and what it came to</h3>
      <ul class="num" data-account>
        @for (line of lines(); track line) {
          <li>{{ line }}</li>
        }
      </ul>
    }
  `,
})
export class AccountComponent {
  readonly jobId = input.required<string>();

  private readonly reads = inject(JobReads);
  private readonly rates = inject(BusinessDesk);
  private readonly vanStock = inject(VanStock);
  private readonly whole = resource({
    params: () => this.jobId(),
    loader: async ({ params }) => (await this.reads.whole(params))?.job ?? null,
    defaultValue: null,
  });
  private readonly asked = computed((): QuoteAsked | null => {
    const job = this.whole.value();
    return job && { job, business: this.rates.business(), van: this.vanStock.kept() };
  });
  private readonly study = questionOf('visit-account', this.asked, true);
  protected readonly lines = computed(() => {
    const account = this.study.answer();
    return account ? accountLines(account, this.rates.business().currency) : [];
  });
}
