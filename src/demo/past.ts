import { randomLcg, randomNormal } from 'd3-random';
import {
  type Plan,
  type Task,
  billOf,
  endRun,
  invoiceOf,
  noteEvents,
  noteUse,
  planJob,
  priceOf,
  startRun,
  takesOf,
  tasksOf,
  ticksOf,
  usageAccount,
  useOf,
} from '@esmero/core';
import {
  type Bill,
  type BillKind,
  type Job,
  type SoilLevel,
  type SoilMap,
  type TowelRole,
  type ZoneId,
  soilLevels,
} from '@esmero/model';
import { type Day, dayAfter, instantAt } from '@esmero/units';
import { business, clients } from './clients';
import { harbourVan } from './day';
import { jobs } from './jobs';
import { sites, vehicles } from './library';

/** A car that is washed again and again. */
interface Regular {
  readonly of: string;
  /** What is otherwise than with the job that it goes by. */
  readonly rest?: Partial<Job>;
  readonly name: string;
  readonly everyDays: number;
  readonly visits: number;
  /** Days since the last of them. */
  readonly lastDays: number;
  readonly hour: number;
}

const regulars: readonly Regular[] = [
  { of: 'demo-yard', name: 'Weekly wash, driving school', everyDays: 7, visits: 9, lastDays: 6, hour: 8 },
  { of: 'demo-courtyard', name: 'Courtyard round, council sedan', everyDays: 21, visits: 4, lastDays: 13, hour: 10 },
  { of: 'demo-deck', name: 'Evening wash, family estate', everyDays: 25, visits: 3, lastDays: 9, hour: 17 },
  {
    of: 'demo-courtyard',
    rest: { client: 'Bakery by the steps', clientId: 'c-baker', vehicle: vehicles.baker },
    name: 'Bakery van',
    everyDays: 14,
    visits: 4,
    lastDays: 18,
    hour: 14,
  },
  {
    of: 'demo-courtyard',
    rest: {
      client: 'Harbour pilot',
      clientId: 'c-pilot',
      vehicle: vehicles.pilot,
      site: { ...sites.quay, tap: false },
    },
    name: 'Pilot’s sedan',
    everyDays: 30,
    visits: 2,
    lastDays: 55,
    hour: 11,
  },
];

/** Clients of the town pay promptly. */
const PAID_AFTER_DAYS = 5;

/** Seeded, so that everybody's demo has the same past. */
const SEED = 0.4711;

/** The hands of the van: a little slower than planned, and generous with product. */
interface Hands {
  /** Times as long as planned, and how much that varies (of the logarithm). */
  readonly pace: number;
  readonly pour: number;
  readonly spread: number;
  readonly normal: () => number;
}

const about = (middle: number, { spread, normal }: Hands): number => middle * Math.exp(normal() * spread);

/** As it was that day: on some panels a step more or less than usual. */
function soilThen(soil: SoilMap, { normal }: Hands): SoilMap {
  const varied = (level: SoilLevel): SoilLevel =>
    soilLevels[Math.max(1, Math.min(3, level + Math.round(normal() * 0.4)))]!;
  return Object.fromEntries(
    Object.entries(soil).map(([zone, one]) => [
      zone as ZoneId,
      { ...one, deposits: one.deposits.map((deposit) => ({ ...deposit, level: varied(deposit.level) })) },
    ]),
  );
}

/** When the plan has a pass end, s from the beginning. */
const endOf = ({ timeline: { steps } }: Plan, { pass }: Task): number =>
  steps.reduce((end, step) => (step.pass === pass ? Math.max(end, step.endS) : end), 0);

/** Every pass ticked off as these hands did it. */
function worked(begun: Job, plan: Plan, startedAt: number, hands: Hands): Job {
  const clock = new Map<number, { readonly plannedS: number; readonly tookS: number }>();
  return tasksOf(plan).reduce((job, task) => {
    const before = clock.get(task.worker) ?? { plannedS: 0, tookS: 0 };
    const plannedS = endOf(plan, task);
    const tookS = before.tookS + (plannedS - before.plannedS) * about(hands.pace, hands);
    clock.set(task.worker, { plannedS, tookS });
    return noteEvents(job, ticksOf(plan, task, Math.round(startedAt + tookS * 1000)));
  }, begun);
}

/** What was left in the vessels and opened of the towels, as somebody counted it afterwards. */
function counted(job: Job, at: number, hands: Hands): Job {
  const account = usageAccount(job);
  if (!account) return job;
  const { leftMl, opened } = account.expected;
  const { laidMl } = account.spent;
  const left = Object.entries(leftMl).map(([content, ml]): [string, number] => {
    const laid = laidMl[content as keyof typeof laidMl] ?? 0;
    return [content, Math.max(0, Math.round(ml! - laid * (about(hands.pour, hands) - 1)))];
  });
  const towels = Object.entries(opened).map(([role, count]): [TowelRole, number] => [
    role as TowelRole,
    count + (hands.normal() > 0.6 ? 1 : 0),
  ]);
  return noteUse(job, useOf(account, { leftMl: Object.fromEntries(left), opened: Object.fromEntries(towels) }, at));
}

function visit(template: Job, { of, rest, name, hour }: Regular, date: Day, hands: Hands, papers: Papers): Job {
  const job: Job = {
    ...template,
    id: `${rest ? `${of}-${rest.clientId}` : of}-${date}`,
    name,
    date,
    hour,
    marks: [],
    soil: soilThen(template.soil, hands),
  };
  const plan = planJob(job);
  const startedAt = instantAt(date, hour, job.site.utcOffsetH);
  const done = worked(startRun(job, startedAt), plan, startedAt, hands);
  const last = done.run!.events.reduce((latest, { at }) => Math.max(latest, at), startedAt);
  const endedAt = last + 180_000;
  return papers.billed(counted(endRun(done, endedAt), endedAt + 300_000, hands), plan);
}

const addressOf = ({ client, clientId }: Job): string =>
  [client, clients.find(({ id }) => id === clientId)?.places[0]?.address ?? ''].filter(Boolean).join('\n');

/** What was quoted and billed, numbered as it went out. */
class Papers {
  private readonly out: Bill[] = [];

  /** Priced as it was planned. */
  billed(job: Job, plan: Plan): Job {
    const takes = takesOf(plan, job, harbourVan);
    const quote = {
      takes,
      price: priceOf(takes, business, job.soldAs?.priceMinor ?? null),
      typicalMin: takes.minutes,
      bands: [],
      cars: [],
    };
    const words = { wash: `${job.soldAs?.name ?? 'Wash of the outside'}, ${job.vehicle.name}`, discount: '' };
    const numbers = (kind: BillKind): readonly string[] =>
      this.out.flatMap((bill) => (bill.kind === kind ? [bill.number] : []));
    const quoted = billOf({
      id: `${job.id}.quote`,
      kind: 'quote',
      on: dayAfter(job.date, -2),
      cars: 1,
      to: addressOf(job),
      words,
      quote,
      business,
      numbers: numbers('quote'),
    });
    const invoice = {
      ...invoiceOf(quoted, `${job.id}.invoice`, job.date, business, numbers('invoice')),
      paidOn: dayAfter(job.date, PAID_AFTER_DAYS),
    };
    this.out.push(quoted, invoice);
    return { ...job, bills: [quoted, invoice] };
  }
}

/** The runs of the last months, the first one first: each as its plan had it and the hands of the van did it. */
export function* pastRuns(today: Day): Generator<Job> {
  const hands: Hands = { pace: 1.12, pour: 1.15, spread: 0.12, normal: randomNormal.source(randomLcg(SEED))(0, 1) };
  const visits = regulars
    .flatMap((regular) =>
      Array.from({ length: regular.visits }, (_, i) => ({
        regular,
        date: dayAfter(today, -regular.lastDays - i * regular.everyDays),
      })),
    )
    .sort((p, q) => p.date.localeCompare(q.date));
  const papers = new Papers();
  for (const { regular, date } of visits) {
    const template = { ...jobs.find(({ id }) => id === regular.of)!, ...regular.rest };
    yield visit(template, regular, date, hands, papers);
  }
}
