import { Injectable, inject } from '@angular/core';
import type { PlanBrief } from '@esmero/worker';
import { JobReads } from './job-reads';
import { PLANNING } from './ports';

/** What the plans of jobs in a list come to: worked out when a job is in sight, once for each revision of it. */
@Injectable({ providedIn: 'root' })
export class JobPlans {
  private readonly reads = inject(JobReads);
  private readonly planning = inject(PLANNING);
  private readonly known = new Map<string, { readonly revision: number; readonly brief: Promise<PlanBrief> }>();

  brief(id: string, revision: number): Promise<PlanBrief> {
    const known = this.known.get(id);
    if (known?.revision === revision) return known.brief;
    const brief = this.reads.whole(id).then((stored) => (stored ? this.planning.brief(stored.job) : null));
    this.known.set(id, { revision, brief });
    return brief;
  }
}
