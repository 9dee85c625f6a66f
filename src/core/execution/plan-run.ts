import { recent } from '../cache';
import { type Job, type ReplanEvent, type Run, type RunEvent, isTick, towelRoles } from '../model';
import { type Plan, methodOf, planJob } from '../planning';
import type { Verdict } from '../reasons';
import type { Option, StartState } from '../rules';
import { elapsedMs } from './elapsed';
import { type Remaining, remainingOf } from './remaining';
import { afterEvent } from './replan-event';

/** A job from its beginning, or from a turn of events, with the plan from there. */
interface Stretch {
  readonly job: Job;
  readonly plan: Plan;
}

interface Question {
  readonly job: Job;
  readonly run: Run;
}

/** Runs that are kept as far as they have come: the one on the desk, and what is taken back. */
const KEPT = 24;
const MINUTE_MS = 60_000;

type ToFind = Extract<Verdict, { readonly code: 'towels-to-find' }>;

/** Clean towels that a plan was short of. */
const toFindFor = ({ verdicts }: Plan): readonly ToFind[] =>
  verdicts.flatMap((one): readonly ToFind[] => {
    if (one.code !== 'over-budget') return [];
    const role = towelRoles.find((towels) => towels === one.budget);
    return role ? [{ code: 'towels-to-find', role, count: Math.ceil(one.need - one.have) }] : [];
  });

/** With those as well. */
const withTowels = (job: Job, toFind: readonly ToFind[]): Job['towels'] =>
  toFind.reduce((towels, { role, count }) => {
    const at = towels.findIndex((batch) => batch.role === role);
    return towels.map((batch, i) => (i === at ? { ...batch, clean: batch.clean + count } : batch));
  }, job.towels);

/**
 * Whatever is left, a car is not left half washed for want of minutes or of a towel: where only those run out, it takes
 * longer, and says what towels have to be found.
 */
function planLeft({ job, begun }: Remaining, minutesLeft: number): Plan {
  const within = (minutes: number, towels: Job['towels']): Plan =>
    planJob({ ...job, towels, site: { ...job.site, minutes } }, begun);
  const plan = within(Math.max(0, minutesLeft), job.towels);
  const toFind = toFindFor(plan);
  const lacksTime = plan.verdicts.some((one) => one.code === 'over-budget' && one.budget === 'minutes');
  if (plan.method !== 'decline' || !(lacksTime || toFind.length > 0)) return plan;
  const longer = within(Number.MAX_VALUE, withTowels(job, toFind));
  return longer.method === 'decline' ? plan : { ...longer, verdicts: [...longer.verdicts, ...toFind] };
}

/** A zone without a treatment is left, unless there was no plan at all. */
const isOver = ({ zones, method }: Plan, { job, begun }: Remaining): boolean =>
  zones.every(
    ({ zone, option }) =>
      (!option && method !== 'decline') || begun.done.has(zone.id) || job.choices.fixed[zone.id] === 'leave',
  );

/** All is done that is to be done: nothing to open, to mix or to wait for. */
const nothingMore = (before: Plan, { begun }: Remaining): Plan => ({
  ...before,
  begun,
  bottles: [],
  towels: [],
  mitts: [],
  mix: { ...before.mix, mixes: [], litres: 0, productMl: 0 },
  timeline: {
    ...before.timeline,
    steps: [],
    passes: [],
    walkedM: 0,
    elapsedS: 0,
    waitingS: 0,
    late: [],
    byWorker: [],
    refused: [],
  },
});

/** The plan of the rest, with the zones that are done as they were planned. */
function joined(before: Plan, rest: Plan): Plan {
  const now = new Map(rest.zones.map((one) => [one.zone.id, one]));
  const zones = before.zones.map((one) => now.get(one.zone.id) ?? one);
  const options = zones.flatMap(({ option }): Option[] => (option ? [option] : []));
  return { ...rest, zones, method: rest.method === 'decline' ? 'decline' : methodOf(options) };
}

const treatmentsOf = ({ zones }: Plan): StartState['planned'] =>
  new Map(zones.flatMap(({ zone, option }) => (option ? [[zone.id, option.treatment] as const] : [])));

function afterTurn({ job, plan }: Stretch, run: Run, turn: ReplanEvent): Stretch {
  const left = afterEvent(remainingOf(job, plan, run, turn), turn);
  const begun = { ...left.begun, events: run.events.length + 1, at: turn.at };
  const next: Remaining = { job: left.job, begun: { ...begun, planned: treatmentsOf(plan) } };
  if (isOver(plan, next)) return { job: next.job, plan: nothingMore(plan, next) };
  const minutesLeft = job.site.minutes - elapsedMs(run, turn.at) / MINUTE_MS;
  return { job: next.job, plan: joined(plan, planLeft(next, minutesLeft)) };
}

/** The last thing that turned out otherwise, and where it stands among the events. */
const lastTurn = (events: readonly RunEvent[]): number => {
  for (let i = events.length - 1; i >= 0; i--) if (!isTick(events[i]!)) return i;
  return -1;
};

const keyOf = ({ job, run }: Question): string =>
  JSON.stringify([job, run.startedAt, run.events.slice(0, lastTurn(run.events) + 1)]);

/** Only turns ask for a new plan: what is ticked off goes by the plan that there is. */
const stretchOf: (question: Question) => Stretch = recent(KEPT, keyOf, ({ job, run }: Question): Stretch => {
  const at = lastTurn(run.events);
  if (at < 0) return { job, plan: planJob(job) };
  const before: Run = { ...run, events: run.events.slice(0, at) };
  return afterTurn(stretchOf({ job, run: before }), before, run.events[at] as ReplanEvent);
});

/** The job as it stands after what has happened, with the plan of what is left to do. */
export function stretchNow(job: Job): Stretch {
  return job.run ? stretchOf({ job: { ...job, run: null }, run: job.run }) : { job, plan: planJob(job) };
}

/**
 * The plan of a job, or in mid-run of the rest of it: from the towels that are open with the sides
 * they have left, the mixes that stand ready, the water, and zones half done. Every turn of events is
 * played through in order, so that taking one back is leaving it out.
 */
export const planRun = (job: Job): Plan => stretchNow(job).plan;
