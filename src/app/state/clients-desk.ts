import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { Router } from '@angular/router';
import { Store as State } from '@ngrx/store';
import {
  type CarVisits,
  type Due,
  type DueCar,
  type DueState,
  carsOf,
  doneOn,
  dueState,
  learn,
  newVisit,
} from '@esmero/core';
import { type Client, type ClientCar, type Job, type JobBrief, type Vehicle, quoteIn } from '@esmero/model';
import { instantAt } from '@esmero/units';
import type { CalendarDue, CalendarStop } from '@esmero/exchange';
import { freshId } from '@esmero/records';
import { collectionActions, collectionFeature } from './collection';
import { CollectionDesk } from './collection-desk';
import { Entries } from './entries';
import { JobReads } from './job-reads';
import { questionOf } from './study';
import { today } from './today';

/** One car of a client: what was done, what is ahead, and when it is due. */
export interface KnownCar {
  readonly key: string;
  readonly client: Client;
  readonly visits: CarVisits;
  /** null where the car is not in the library, nor in any job. */
  readonly vehicle: Pick<Vehicle, 'id' | 'name'> | null;
  readonly lastDay: string | null;
  /** null while it is worked out, and for a car that was never here. */
  readonly due: Due | null;
  readonly state: DueState;
}

const MINUTE_MS = 60_000;

/** What tells that a car was washed once more, or is used otherwise. */
const sameCars = (p: readonly DueCar[] | null, q: readonly DueCar[] | null): boolean =>
  JSON.stringify(p) === JSON.stringify(q);

/** Clients with their cars, and when those are due. Belongs to the page that shows it. */
@Injectable()
export class ClientsDesk {
  private readonly state = inject(State);
  private readonly entries = inject(Entries);
  private readonly reads = inject(JobReads);
  private readonly router = inject(Router);
  private readonly collection = inject(CollectionDesk);

  readonly ready = this.collection.ready;
  readonly unreadable = this.collection.unreadable;
  /** Of which cars it is worked out when they are due: of one client, or of all. */
  readonly of = signal<string | null>(null);

  private readonly kept = this.state.selectSignal(collectionFeature.selectJobs);
  readonly jobs = computed((): readonly JobBrief[] =>
    this.kept().flatMap(({ job, archived }) => (archived && job.run === null ? [] : [job])),
  );
  readonly clients = computed(() => [...this.entries.items('client')].sort((p, q) => p.name.localeCompare(q.name)));
  private readonly cars = computed(() =>
    carsOf(this.clients(), this.jobs(), today()).map((visits) => ({
      key: `${visits.client.id}/${visits.car.vehicleId}`,
      client: visits.client,
      visits,
    })),
  );

  /** The last visits of the cars that are asked about, whole: fetched when they are others. */
  private readonly wanted = computed(() =>
    this.cars().flatMap(({ key, client, visits }) =>
      visits.done[0] && (this.of() === null || this.of() === client.id) ? [{ key, id: visits.done[0].id }] : [],
    ),
  );
  private readonly lasts = signal<ReadonlyMap<string, Job> | null>(null);
  private readonly asked = computed(
    (): readonly DueCar[] | null => {
      const lasts = this.lasts();
      if (!lasts) return null;
      return this.cars().flatMap(({ key, visits: { car, done } }): DueCar[] => {
        const last = lasts.get(key);
        return last && last.id === done[0]?.id
          ? [{ key, last, lastDay: doneOn(last)!, usual: car.usual, everyDays: car.everyDays }]
          : [];
      });
    },
    { equal: sameCars },
  );
  readonly study = questionOf('dues', this.asked, true);
  private readonly dues = computed(() => new Map((this.study.answer() ?? []).map((due) => [due.key, due])));

  /** All cars, the most pressing one first. */
  readonly known = computed((): readonly KnownCar[] => {
    const [dues, day] = [this.dues(), today()];
    const vehicles = new Map(this.entries.items('vehicle').map((vehicle) => [vehicle.id, vehicle]));
    return this.cars().map(({ key, client, visits }): KnownCar => {
      const due = dues.get(key) ?? null;
      const [last] = visits.done;
      const vehicle = vehicles.get(visits.car.vehicleId) ?? last?.vehicle ?? null;
      return {
        key,
        client,
        visits,
        vehicle,
        lastDay: last ? doneOn(last) : null,
        due,
        state: due ? dueState(due, day) : 'open',
      };
    });
  });

  constructor() {
    effect((onCleanup) => {
      // First: who asks for the cars before has the stock worked out in one go.
      if (!this.ready()) return;
      const wanted = this.wanted();
      let isLate = false;
      onCleanup(() => (isLate = true));
      void untracked(() => this.reads.all(wanted.map(({ id }) => id))).then((jobs) => {
        if (isLate) return;
        const byId = new Map(jobs.map((job) => [job.id, job]));
        this.lasts.set(
          new Map(wanted.flatMap(({ key, id }): [string, Job][] => (byId.has(id) ? [[key, byId.get(id)!]] : []))),
        );
      });
    });
  }

  readonly vehicles = computed(() => this.entries.items('vehicle'));

  time(): number {
    return this.collection.time();
  }

  /**
   * Visits that are ahead and days on which cars are due, for a calendar.
   * @param named what a day that is due is called
   */
  async calendar(named: (name: string) => string): Promise<readonly [readonly CalendarStop[], readonly CalendarDue[]]> {
    const day = today();
    const ahead = this.kept().filter(
      ({ job, archived }) => !archived && job.run === null && !job.refused && job.date >= day,
    );
    const whole = await this.reads.all(ahead.map(({ id }) => id));
    const stops = whole.map((job): CalendarStop => {
      const beginAt = Math.round(instantAt(job.date, job.hour, job.site.utcOffsetH));
      const minutes = quoteIn(job)?.minutes ?? job.site.minutes;
      return {
        jobId: job.id,
        name: job.name,
        note: [job.client, job.note].filter(Boolean).join('\n'),
        place: job.site,
        beginAt,
        endAt: Math.round(beginAt + minutes * MINUTE_MS),
        changedAt: ahead.find(({ id }) => id === job.id)!.changedAt,
      };
    });
    const dues = this.known().flatMap(({ key, client, vehicle, due, visits }): CalendarDue[] => {
      if (!due || due.on === null || visits.ahead.length > 0) return [];
      return [
        {
          key,
          name: named([client.name, vehicle?.name ?? ''].filter(Boolean).join(', ')),
          from: due.on,
          until: due.agreed ?? due.band!.late,
        },
      ];
    });
    return [stops, dues];
  }

  load(): void {
    this.collection.load();
  }

  client(id: string): Client | null {
    return this.clients().find((one) => one.id === id) ?? null;
  }

  put(client: Client): void {
    this.entries.put('client', client);
  }

  add(): Client {
    const client: Client = {
      id: freshId('client'),
      name: 'New client',
      email: '',
      phone: '',
      note: '',
      places: [],
      cars: [],
      wishes: {},
    };
    this.put(client);
    return client;
  }

  archive(client: Client): void {
    this.entries.archive('client', client);
  }

  /** How fast the client’s cars get dirty against our figures; null where nothing is known. */
  soilPace({ id, name }: Client) {
    return learn(this.jobs(), { client: name, clientId: id }).find(({ lesson }) => lesson === 'soil') ?? null;
  }

  /** Plans the next visit of a car on a day, and opens it. */
  async visit(client: Client, car: ClientCar, date: string): Promise<void> {
    const [job] = await this.visits(client, car, [date]);
    await this.router.navigate(['/job', job!.id, 'price']);
  }

  /** Plans visits of a car on these days, each from the one before it on. */
  async visits(client: Client, car: ClientCar, dates: readonly string[]): Promise<readonly Job[]> {
    const done = this.cars().find((one) => one.key === `${client.id}/${car.vehicleId}`)?.visits.done[0];
    const last = done ? ((await this.reads.whole(done.id))?.job ?? null) : null;
    const library = this.collection.library();
    const jobs = dates.map((date, i) => {
      const before = dates[i - 1];
      return newVisit({ id: freshId('job'), date, client, car, library, last, ...(before ? { lastDay: before } : {}) });
    });
    for (const job of jobs) this.state.dispatch(collectionActions.addJob({ job }));
    return jobs;
  }

  /** Visits that nobody wants after all. */
  drop(ids: readonly string[]): void {
    this.state.dispatch(collectionActions.deleteJobs({ ids }));
  }

  /** The last visit of a car, whole; null where there is none. */
  last(key: string): Job | null {
    return this.lasts()?.get(key) ?? null;
  }
}
