import type { Choices } from './choices';
import type { Job } from './job';
import type { Mark } from './mark';
import type { Site } from './site';
import type { Vehicle } from './vehicle';

/**
 * What lists, the log and learning need of a job: thousands of them are kept at hand, the jobs
 * themselves are fetched when they are opened. Of the events of a run, ticks are left out.
 */
export interface JobBrief extends Pick<
  Job,
  | 'id'
  | 'name'
  | 'client'
  | 'clientId'
  | 'date'
  | 'hour'
  | 'note'
  | 'currency'
  | 'consent'
  | 'refused'
  | 'bills'
  | 'run'
> {
  readonly vehicle: Pick<Vehicle, 'id' | 'name' | 'body'>;
  readonly site: Pick<Site, 'name' | 'runoff' | 'utcOffsetH'>;
  readonly marks: readonly Pick<Mark, 'note'>[];
  readonly choices: Pick<Choices, 'assumptions'>;
}
