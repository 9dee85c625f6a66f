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
  readonly client: Client;
  readonly car: ClientCar;
  /** Those that are over, the last one first. */
  readonly done: readonly J[];
  /** Those that are ahead, the next one first. */
  readonly ahead: readonly J[];
}

/**
 * Jobs client by client: thousands of them are looked through once, and not for each client.
 * @returns the jobs of a client, as `isOf` tells them
 */
function byClient<J extends JobBrief>(jobs: readonly J[]): (client: Client) => readonly J[] {
  const key = ({ clientId, client }: Pick<JobBrief, 'client' | 'clientId'>): string =>
    clientId === null ? `name ${client}` : `id ${clientId}`;
  const groups = new Map<string, J[]>();
  for (const job of jobs) {
    const group = groups.get(key(job));
    if (group) group.push(job);
    else groups.set(key(job), [job]);
  }
  const of = (whose: Pick<JobBrief, 'client' | 'clientId'>): readonly J[] => groups.get(key(whose)) ?? [];
  return ({ id, name }) => [
    ...of({ clientId: id, client: name }),
    ...(name === '' ? [] : of({ clientId: null, client: name })),
  ];
}

/**
 * The cars of all clients with what was done to them and what is planned, client by client.
 * @param jobs of anybody, in any order
 * @param today what lies before it and was not done is neither
 */
export function carsOf<J extends JobBrief>(
  clients: readonly Client[],
  jobs: readonly J[],
  today: Day,
): readonly CarVisits<J>[] {
  const jobsOf = byClient(jobs);
  return clients.flatMap((client) => {
    const own = jobsOf(client);
    return client.cars.map((car) => visitsOf(client, car, own, today));
  });
}

function visitsOf<J extends JobBrief>(client: Client, car: ClientCar, own: readonly J[], today: Day): CarVisits<J> {
  const of = own.filter(({ vehicle }) => vehicle.id === car.vehicleId);
  const done = of.flatMap((job) => {
    const day = doneOn(job);
    return day === null ? [] : [{ job, day }];
  });
  return {
    client,
    car,
    done: done.sort((p, q) => q.day.localeCompare(p.day)).map(({ job }) => job),
    ahead: of
      .filter((job) => !job.refused && job.run === null && job.date >= today)
      .sort((p, q) => p.date.localeCompare(q.date) || p.hour - q.hour),
  };
}
