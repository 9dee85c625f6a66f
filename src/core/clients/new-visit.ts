import { habitsIn, newJob, onDate, sellAs } from '../edit';
import type { Client, ClientCar, EntryItems, EntryKind, Job, Leg, LibraryEntry } from '../model';
import { type Day, daysBetween } from '../units';
import { doneOn } from './visits';

interface VisitAsked {
  readonly id: string;
  readonly date: Day;
  readonly client: Client;
  readonly car: ClientCar;
  readonly library: readonly LibraryEntry[];
  /** null where the car was never here. */
  readonly last: Job | null;
  /** When it will have been washed last, where that is not the last visit. */
  readonly lastDay?: Day;
}

/** How the car was used since the last visit: as usual, for so many days. */
function sinceThen(usual: Leg, lastDay: Day | null, date: Day): Leg {
  const days = lastDay === null ? usual.days : Math.max(0, daysBetween(lastDay, date));
  return { ...usual, days, km: Math.round((usual.km * days) / Math.max(1, usual.days)) };
}

/**
 * The next visit of a client's car: place, package, habits and wishes as agreed, marks as they were found last, and the soil as it is
 * forecast since then.
 */
export function newVisit({ id, date, client, car, library, last, lastDay }: VisitAsked): Job {
  const item = <K extends EntryKind>(kind: K, of: string | null): EntryItems[K] | undefined =>
    library.find((entry) => entry.kind === kind && entry.item.id === of)?.item as EntryItems[K] | undefined;
  const usual = newJob(id, date, library);
  const vehicle = item('vehicle', car.vehicleId) ?? last?.vehicle ?? usual.vehicle;
  const sold = item('package', car.packageId);
  const job: Job = {
    ...usual,
    name: vehicle.name,
    client: client.name,
    clientId: client.id,
    hour: last?.hour ?? usual.hour,
    vehicle,
    // What was typed or read off that day holds no more.
    site: item('site', car.siteId) ?? (last && onDate(last, date).site) ?? usual.site,
    around: last?.around ?? [],
    wishes: client.wishes,
    marks: last?.marks ?? [],
    since: [sinceThen(car.usual, lastDay ?? (last && doneOn(last)), date)],
    choices: { ...usual.choices, ...habitsIn(item('habits', car.habitsId)) },
  };
  return sold ? sellAs(job, sold) : job;
}
