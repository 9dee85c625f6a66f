import { demoJobs, demoSites } from '@esmero/demo';
import type { JobTemplate } from '@esmero/exchange';

/** What short jobs are filled up from: the demo’s van, and its places by name. */
export const templates: Readonly<Record<string, JobTemplate>> = {
  harbour: { job: demoJobs.find(({ id }) => id === 'demo-courtyard')!, sites: demoSites },
};
