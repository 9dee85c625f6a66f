import { Injectable, inject } from '@angular/core';
import type { Job } from '@esmero/model';
import type { StoredJob } from '@esmero/store';
import { STORE } from './ports';

/** Whole jobs, fetched when somebody asks for one: lists go by their briefs. */
@Injectable({ providedIn: 'root' })
export class JobReads {
  private readonly store = inject(STORE);

  async whole(id: string): Promise<StoredJob | undefined> {
    return (await this.store).job(id);
  }

  /** Those that are still there, in that order. */
  async all(ids: readonly string[]): Promise<readonly Job[]> {
    const found = await Promise.all(ids.map((id) => this.whole(id)));
    return found.flatMap((stored) => (stored ? [stored.job] : []));
  }
}
