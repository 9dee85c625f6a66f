import { isSameClient } from '../history';
import type { Client, ClientCar, JobBrief } from '../model';
import { type Day, dayAt } from '../units';

/** Is it a job of this client? */
export const isOf = ({ id, name }: Pick<Client, 'id' | 'name'>, job: Pick<JobBrief, 'client' | 'clientId'>): boolean =>
  isSameClient({ client: name, clientId: id }, job);

/** The day on which a job was done; null where it has not been. */
export const doneOn = ({ run, site }: Pick<JobBrief, 'run' | 'site'>): Day | null =>
  run && run.endedAt !== null ? dayAt(run.endedAt, site.utcOffsetH) : null;

/** One car of a client with its visits. */
export interface CarVisits<J extends JobBrief = JobBrief> {
  readonly car: ClientCar;
  /** Those that are over, the last one first. */
  readonly done: readonly J[];
  /** Those that are ahead, the next one first. */
  readonly ahead: readonly J[];
}

/**
 * The cars of a client with what was done to them and what is planned.
 * @param jobs of anybody, in any order
 * @param today what lies before it and was not done is neither
 */
export function carsOf<J extends JobBrief>(client: Client, jobs: readonly J[], today: Day): readonly CarVisits<J>[] {
  const own = jobs.filter((job) => isOf(client, job));
  return client.cars.map((car): CarVisits<J> => {
    const of = own.filter(({ vehicle }) => vehicle.id === car.vehicleId);
    const done = of.flatMap((job) => {
      const day = doneOn(job);
      return day === null ? [] : [{ job, day }];
    });
    return {
      car,
      done: done.sort((p, q) => q.day.localeCompare(p.day)).map(({ job }) => job),
      ahead: of
        .filter((job) => !job.refused && job.run === null && job.date >= today)
        .sort((p, q) => p.date.localeCompare(q.date) || p.hour - q.hour),
    };
  });
}
