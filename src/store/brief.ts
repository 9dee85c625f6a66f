import type { JobBrief } from '@esmero/model';
import type { StoredJob } from './stored';

/** Rises when briefs know something that they did not. */
export const BRIEFS = 3;

export const isOfToday = (kept: unknown): boolean => kept === BRIEFS;

/** A job in brief, with how it is kept. */
export type StoredBrief = Omit<StoredJob, 'job'> & {
  readonly job: JobBrief;
  /** Pictures that it shows. */
  readonly photos: readonly string[];
};

/** What lists, the log and learning need of a job. */
export const briefOf = ({ job, ...kept }: StoredJob): StoredBrief => {
  const {
    id,
    name,
    client,
    clientId,
    date,
    hour,
    note,
    currency,
    consent,
    refused,
    vehicle,
    site,
    marks,
    pictures,
    choices,
    bills,
    run,
  } = job;
  return {
    ...kept,
    photos: [...marks, ...pictures].flatMap(({ photo }) => photo ?? []),
    job: {
      ...{ id, name, client, clientId, date, hour, note, currency, consent, refused, bills },
      vehicle: { id: vehicle.id, name: vehicle.name, body: vehicle.body },
      site: { name: site.name, runoff: site.runoff, utcOffsetH: site.utcOffsetH },
      marks: marks.map(({ note: text }) => ({ note: text })),
      choices: { assumptions: choices.assumptions },
      // Ticks are most of a run, and nobody looks for one.
      run: run && { ...run, events: run.events.filter((event) => !('section' in event)) },
    },
  };
};
