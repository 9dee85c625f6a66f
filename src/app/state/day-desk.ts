import { DestroyRef, Injectable, type Signal, computed, effect, inject, signal, untracked } from '@angular/core';
import { Store as State } from '@ngrx/store';
import { type DayAsked, type Since, dayOf, usualDay, vanNow, withMore } from '@esmero/core';
import type { Blocked, Day, DaySetUp, Job, JobBrief, VanSetUp } from '@esmero/model';
import { CollectionDesk } from './collection-desk';
import { NOW } from './clock';
import { collectionActions, collectionFeature } from './collection';
import { Entries } from './entries';
import { JobReads } from './job-reads';
import { toDay } from './place-clock';
import { questionOf } from './study';
import { dayHere } from './today';
import { VanStock } from './van-stock';
import { WEATHER } from './weather';

/** A day is planned anew each time that so much of it has gone by, min. */
const STEP_MIN = 5;
const MINUTE_MS = 60_000;

/** The hour of a moment where this device is, 0 to 24. */
const hourHere = (at: number): number => {
  const time = new Date(at);
  return time.getHours() + time.getMinutes() / 60;
};

/** What a forecast says of rain. */
export type Rain = Pick<DaySetUp, 'rainFromHour'>;

/** What takes a change back. */
interface Undo {
  readonly says: string;
  readonly back: () => void;
}

/** A day: its jobs, what it takes out of the van, and the ways to change it. Belongs to the page that shows it. */
@Injectable()
export class DayDesk {
  private readonly state = inject(State);
  private readonly collection = inject(CollectionDesk);
  private readonly reads = inject(JobReads);
  private readonly entries = inject(Entries);
  private readonly vanStock = inject(VanStock);
  private readonly now = inject(NOW);
  private readonly weather = inject(WEATHER);

  readonly date = signal(dayHere(this.now()));
  readonly ready = this.collection.ready;
  readonly unreadable = this.collection.unreadable;
  readonly van = this.vanStock.van;
  private readonly minutes = signal(0);
  readonly isToday = computed(() => (this.minutes(), this.date() === dayHere(this.now())));
  /** Minutes from midnight, in steps; null on another day. */
  readonly nowMin = computed(() =>
    this.isToday() ? Math.max(this.minutes(), Math.floor((hourHere(this.now()) * 60) / STEP_MIN) * STEP_MIN) : null,
  );

  readonly setUp = computed(
    (): DaySetUp => this.entries.items('day').find(({ date }) => date === this.date()) ?? usualDay(this.date()),
  );

  private readonly jobs = this.state.selectSignal(collectionFeature.selectJobs);
  /** Those of this date that have not been sent away, in brief. */
  private readonly briefs = computed(() =>
    this.jobs().filter(({ job, archived }) => job.date === this.date() && !archived && !job.refused),
  );
  /** What there is to fetch: a job that was changed is fetched anew. */
  private readonly wanted = computed(() =>
    this.briefs()
      .map(({ id, revision }) => `${id} ${revision}`)
      .join('\n'),
  );
  private readonly whole = signal<{ readonly of: string; readonly jobs: readonly Job[] } | null>(null);
  /** null until they are fetched. */
  readonly stops = computed((): readonly Job[] | null => {
    const whole = this.whole();
    return whole && whole.of === this.wanted() ? whole.jobs : null;
  });

  /** When each job that is over was over, minutes from midnight; the last one last. */
  readonly done = computed((): ReadonlyMap<string, number> => {
    const ran = this.briefs().flatMap(({ job }): [string, number][] =>
      job.run?.endedAt != null ? [[job.id, hourHere(job.run.endedAt) * 60]] : [],
    );
    const told = this.setUp().done.map(({ jobId, endHour }): [string, number] => [jobId, endHour * 60]);
    return new Map([...new Map([...told, ...ran])].sort(([, p], [, q]) => p - q));
  });
  readonly day = computed((): Day | null => {
    const jobs = this.stops();
    return jobs && dayOf(this.setUp(), jobs, this.van(), this.vanStock.stock(), this.entries.items('blocked'));
  });
  private readonly since = computed((): Since | null => {
    const [day, atMin] = [this.day(), this.nowMin()];
    if (!day || atMin === null) return null;
    const done = [...this.done().keys()]
      .map((id) => day.stops.findIndex(({ job }) => job.id === id))
      .filter((i) => i >= 0);
    return { atMin, done, van: withMore(vanNow(this.van(), this.vanStock.stock()), this.setUp()) };
  });
  readonly asked: Signal<DayAsked | null> = computed(
    () => {
      const day = this.day();
      if (!day || day.stops.length === 0) return null;
      const put = this.setUp()
        .order.map((id) => day.stops.findIndex(({ job }) => job.id === id))
        .filter((i) => i >= 0);
      // What was added since stands after it.
      const order =
        put.length === 0 ? null : [...put, ...day.stops.map((_stop, i) => i).filter((i) => !put.includes(i))];
      return { day, order, since: this.since() };
    },
    { equal: (p, q) => JSON.stringify(p) === JSON.stringify(q) },
  );

  readonly plan = questionOf('day', this.asked, true);
  readonly mends = questionOf('day-mends', this.asked);
  readonly chances = questionOf('day-chances', this.asked);

  private readonly undos = signal<readonly Undo[]>([]);
  readonly lastChange = computed(() => this.undos().at(-1)?.says ?? null);

  constructor() {
    effect((onCleanup) => {
      const of = this.wanted();
      const ids = untracked(() => this.briefs().map(({ id }) => id));
      let isLate = false;
      onCleanup(() => (isLate = true));
      void this.reads.all(ids).then((jobs) => {
        if (!isLate) this.whole.set({ of, jobs });
      });
    });
    const timer = setInterval(
      () => this.minutes.set(Math.floor((hourHere(this.now()) * 60) / STEP_MIN) * STEP_MIN),
      MINUTE_MS / 2,
    );
    inject(DestroyRef).onDestroy(() => clearInterval(timer));
  }

  brief(id: string): JobBrief | null {
    return this.briefs().find((one) => one.id === id)?.job ?? null;
  }

  /** @param says what was done, to be taken back by that name */
  change(says: string, change: Partial<DaySetUp>): void {
    const before = this.setUp();
    this.entries.put('day', { ...before, ...change });
    this.undos.update((all) => [...all, { says, back: () => this.entries.put('day', before) }]);
  }

  /** The van has what the stop took no longer, and dirty water in its place. */
  finish(says: string, jobId: string, takes: { readonly waterL: number; readonly dirtyL: number } | null): void {
    const [before, van] = [this.setUp(), this.van()];
    const endHour = hourHere(this.now());
    this.entries.put('day', {
      ...before,
      done: [...before.done.filter((one) => one.jobId !== jobId), { jobId, endHour }],
    });
    if (takes) this.vanStock.draw({ jobId, litres: takes.waterL, counted: false }, takes.dirtyL);
    const tanks: Partial<VanSetUp> = { inTankL: van.inTankL, inDirtyL: van.inDirtyL, taken: van.taken ?? [] };
    this.undos.update((all) => [
      ...all,
      { says, back: () => (this.entries.put('day', before), this.changeVan(tanks)) },
    ]);
  }

  changeVan(change: Partial<VanSetUp>): void {
    this.vanStock.change(change);
  }

  /** Asks the weather of the day, where its first stop is. @returns null where there was no answer */
  async askRain(says: string): Promise<Rain | null> {
    const [first] = this.stops() ?? [];
    const date = this.date();
    const found = first ? await this.weather({ site: first.site, date }) : null;
    if (!found?.ok || this.date() !== date) return null;
    const { rainFromHour } = found;
    this.change(says, { rainFromHour });
    return { rainFromHour };
  }

  /** Taken back, they have again what was read and typed for the day they were on. */
  async moveJobs(says: string, ids: readonly string[], date: string): Promise<void> {
    const put = (jobs: readonly Job[]): void => {
      for (const { id, date: on, site, weather, readings } of jobs)
        this.state.dispatch(collectionActions.moveJob({ id, day: { date: on, site, weather, readings } }));
    };
    const before = await this.reads.all(ids);
    put(await Promise.all(before.map((job) => toDay(job, date))));
    this.undos.update((all) => [...all, { says, back: () => put(before) }]);
  }

  /** Hours of this day that are taken by something else. */
  readonly blocked = computed(() => this.entries.items('blocked').filter(({ date }) => date === this.date()));

  /** @param item new, or changed */
  block(says: string, item: Blocked): void {
    const before = this.blocked().find(({ id }) => id === item.id);
    this.entries.put('blocked', item);
    this.undos.update((all) => [
      ...all,
      { says, back: () => (before ? this.entries.put('blocked', before) : this.entries.archive('blocked', item)) },
    ]);
  }

  unblock(says: string, item: Blocked): void {
    this.entries.archive('blocked', item);
    this.undos.update((all) => [...all, { says, back: () => this.entries.put('blocked', item) }]);
  }

  undo(): void {
    const last = this.undos().at(-1);
    this.undos.update((all) => all.slice(0, -1));
    last?.back();
  }
}
