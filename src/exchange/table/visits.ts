import { endRun, newJob, noteUse, startRun } from '@esmero/core';
import type { Client, Job, Vehicle, VehicleMethod } from '@esmero/model';
import { instantAt } from '@esmero/units';
import { freshId } from '@esmero/records';
import { MOST_CARS } from '../documents/client';
import { carNamed, carOf, vehicleNew } from './clients';
import type { VisitRow } from './columns';
import type { Gathered, Here } from './gathered';
import { type Outcome, added } from './outcome';
import { asCompared } from './sameness';

const HOUR = 10;
const MINUTE_MS = 60_000;

/** Whose wash it was: the client of that name who has such a car, else the first of that name. */
function clientOf(row: VisitRow, gathered: Gathered): Client | undefined {
  const named = row.client ? gathered.named('client', row.client).map(({ item }) => item) : [];
  return named.find((client) => carNamed(client, row.car, gathered)) ?? named[0];
}

/** The client’s car; without a client, a car of that name that is nobody else’s to tell apart. */
function vehicleOf(row: VisitRow, client: Client | undefined, gathered: Gathered): Vehicle {
  const own = client && carNamed(client, row.car, gathered);
  const ownVehicle = own && gathered.item('vehicle', own.vehicleId);
  const known = ownVehicle ?? (client ? undefined : gathered.named('vehicle', row.car)[0]?.item);
  if (known) return known;
  const vehicle = vehicleNew(row.car, row.body, null);
  gathered.put('vehicle', vehicle);
  if (client && client.cars.length < MOST_CARS)
    gathered.put('client', { ...client, cars: [...client.cars, carOf(vehicle.id, null)] });
  return vehicle;
}

/** Washes of the past, each once: begun at ten, over after their minutes, and counted as far as a table knows. */
export class Visits {
  readonly jobs: Job[] = [];
  private readonly known = new Set<string>();
  private readonly lines = new Map<string, number>();
  private readonly usual: Job;

  constructor(
    private readonly gathered: Gathered,
    private readonly here: Here,
  ) {
    // All of the kit is the same for each: it is gathered once.
    this.usual = newJob('visit', '2000-01-01', here.library);
    for (const visit of here.visits) this.known.add(this.keyOf(visit));
  }

  private keyOf({ date, client, car, minutes }: Pick<VisitRow, 'date' | 'client' | 'car' | 'minutes'>): string {
    return JSON.stringify([date, asCompared(client), asCompared(car), Math.round(minutes)]);
  }

  take(row: VisitRow, line: number): Outcome {
    const key = this.keyOf(row);
    const before = this.lines.get(key);
    if (before !== undefined) return { kind: 'again', line: before };
    this.lines.set(key, line);
    // A wash that was run here is known better than any table knows it.
    if (this.known.has(key)) return { kind: 'here' };
    this.jobs.push(this.jobOf(row, freshId('visit')));
    return added;
  }

  private jobOf(row: VisitRow, id: string): Job {
    const client = clientOf(row, this.gathered);
    const vehicle = vehicleOf(row, client, this.gathered);
    const job: Job = {
      ...this.usual,
      id,
      date: row.date,
      name: row.car,
      client: row.client,
      clientId: client?.id ?? null,
      note: row.note,
      currency: this.here.currency,
      vehicle,
      hour: HOUR,
    };
    const at = instantAt(row.date, HOUR, job.site.utcOffsetH);
    const endedAt = at + row.minutes * MINUTE_MS;
    return noteUse(endRun(startRun(job, at), endedAt), {
      ...{
        at: endedAt,
        because: '',
        method: row.method as VehicleMethod | null,
        doneShare: 1,
        plannedMin: row.minutes,
      },
      ...{ paces: [], soil: null, waterL: null, runoffL: null, mixes: [], towels: [] },
    });
  }
}
