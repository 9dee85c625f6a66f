import type { JobBrief } from '@esmero/core';
import type { StoredJob } from './schema';

/** A job in brief, with how it is kept. */
export type StoredBrief = Omit<StoredJob, 'job'> & { readonly job: JobBrief };

/** What lists, the log and learning need of a job. */
export const briefOf = ({ job, ...kept }: StoredJob): StoredBrief => {
  const { id, name, client, date, note, currency, consent, refused, vehicle, site, marks, choices, run } = job;
  return {
    ...kept,
    job: {
      ...{ id, name, client, date, note, currency, consent, refused },
      vehicle: { id: vehicle.id, name: vehicle.name, body: vehicle.body },
      site: { name: site.name, runoff: site.runoff, utcOffsetH: site.utcOffsetH },
      marks: marks.map(({ note: text }) => ({ note: text })),
      choices: { assumptions: choices.assumptions },
      // Ticks are most of a run, and nobody looks for one.
      run: run && { ...run, events: run.events.filter((event) => !('section' in event)) },
    },
  };
};
