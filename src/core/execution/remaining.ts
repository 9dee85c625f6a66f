import { resolveAssumptions } from '../assumptions';
import { type InVessel, type Mix, isFromBucket, towelsDrink } from '../mix';
import {
  type Job,
  type MixPurpose,
  type Noted,
  type Run,
  type RunAct,
  type TowelRole,
  type ZoneId,
  runActs,
} from '../model';
import type { Plan, ZonePlan } from '../planning';
import {
  type BegunZone,
  type Option,
  type Spent,
  type StartState,
  actFor,
  choicesOf,
  isThrough,
  rinsedS,
} from '../rules';
import type { Step } from '../schedule';
import { type OpenTowel, sidesUsed } from '../towel';
import { openTowelsNow } from './open-towels';
import { pacesSince, pacesTogether } from './pace';
import { type Progress, progressOf, shareDone, ticksSince } from './progress';
import { type Task, actKey, keyOfStep } from './task';

/** What is left to plan with in mid-run. */
export interface Remaining {
  readonly job: Job;
  readonly begun: StartState;
}

type Acts = Readonly<Record<RunAct, number>>;

const none: Acts = { flush: 0, wet: 0, wipe: 0, dry: 0, glass: 0, protect: 0 };

/** What of each act of a plan is done on a zone; what is finished in its pass counts as dried. */
function actsDone(progress: Progress, zoneId: ZoneId, { finishing, rest }: Option): Acts {
  const done = Object.fromEntries(runActs.map((act) => [act, shareDone(progress, act, zoneId)])) as Record<
    RunAct,
    number
  >;
  if (finishing !== 'in-pass') return done;
  const unfinished = rest?.unfinished ?? 0;
  return { ...done, dry: unfinished * done.dry + (1 - unfinished) * done.wipe };
}

/** Of the whole zone, given what was done of it before. */
const together = (before: Acts, now: Acts): Acts =>
  Object.fromEntries(runActs.map((act) => [act, before[act] + (1 - before[act]) * now[act]])) as Record<RunAct, number>;

/** Sections of a zone that are not wiped yet, the wet ones first: when each was wetted, whose it is, and where it is reached from. */
function openSections({ tasks, openKeys, ticked }: Progress, zone: ZoneId): Pick<BegunZone, 'wet' | 'places'> {
  const open = tasks.flatMap(({ act, parts, worker, place }) =>
    parts.flatMap(({ zoneId, section }) => {
      const isOpen = act === 'wipe' && zoneId === zone && openKeys.has(actKey({ act: 'wipe', zoneId, section }));
      return isOpen ? [{ worker, place: place!, at: ticked.get(actKey({ act: 'wet', zoneId, section })) }] : [];
    }),
  );
  const wet = open.flatMap(({ at, worker, place }) => (at === undefined ? [] : [{ at, worker, place }]));
  const dry = open.filter(({ at }) => at === undefined);
  return { wet: wet.map(({ at, worker }) => ({ at, worker })), places: [...wet, ...dry].map(({ place }) => place) };
}

/** What runs off with the rinse, mL. */
const rinseRunoff = ({ runoffMl, moisture }: Option): number => runoffMl - moisture.runoffMl;

/** When a zone was rinsed last, by this plan; undefined where it was not. A pass is ticked off when all of it is done. */
function lastRinse({ timeline: { steps } }: Plan, { ticked }: Progress, zone: ZoneId): number | undefined {
  const times = steps.flatMap((step) => {
    if (step.kind !== 'flush' || step.zoneId !== zone) return [];
    const at = ticked.get(actKey({ act: 'flush', zoneId: zone, section: step.section }));
    if (at === undefined) return [];
    const passEndS = Math.max(...steps.filter(({ pass }) => pass === step.pass).map(({ endS }) => endS));
    return [at - (passEndS - step.endS) * 1000];
  });
  return times.length > 0 ? Math.max(...times) : undefined;
}

/** A zone as it is now: untouched, begun, or done. */
function zoneNow({ zone, option }: ZonePlan, plan: Plan, progress: Progress): BegunZone | 'done' | null {
  const { begun } = plan;
  // Where there was no plan for the rest, what was begun before it still is.
  if (!option) return begun.zones.get(zone.id) ?? null;
  const now = actsDone(progress, zone.id, option);
  const done = together(begun.zones.get(zone.id)?.done ?? none, now);
  if (isThrough(option, done)) return 'done';
  const { wet, places } = openSections(progress, zone.id);
  const started = wet.length > 0 || runActs.some((act) => done[act] > 0);
  if (!started) return null;
  const before = begun.zones.get(zone.id);
  const rinsedAt = lastRinse(plan, progress, zone.id) ?? before?.rinsedAt ?? null;
  const ranOffMl = (before?.ranOffMl ?? 0) + rinseRunoff(option) * now.flush;
  const { treatment, rinse, inPass } = option;
  return { treatment, rinse, inPass, rinsedAt, ranOffMl, done, wet, places };
}

/** What zones have taken of the mixes and of plain water by now, mL; kept apart by where it comes from. */
function laidBy(plan: Plan, progress: Progress): Map<string, number> {
  const laid = new Map<string, number>();
  for (const { zone, option } of plan.zones) {
    if (!option || plan.begun.done.has(zone.id)) continue;
    const done = actsDone(progress, zone.id, option);
    const touched = Math.max(done.wet, done.wipe);
    for (const [content, ml] of Object.entries(option.laidMl)) {
      const isWater = content === 'water' || content === 'supply' || content === 'line' || content === 'bay';
      const act = isWater ? null : actFor(content as MixPurpose, option);
      const rinsed = ml > 0 ? option.rinsedMl : 0;
      const gone = isWater ? (ml - rinsed) * done.flush + rinsed * done.wipe : ml * (act ? done[act] : touched);
      laid.set(content, (laid.get(content) ?? 0) + gone);
    }
  }
  return laid;
}

const added = <K extends string>(
  to: Readonly<Partial<Record<K, number>>>,
  more: Iterable<readonly [K, number]>,
): Partial<Record<K, number>> => {
  const sum: Partial<Record<K, number>> = { ...to };
  for (const [key, value] of more) sum[key] = (sum[key] ?? 0) + value;
  return sum;
};

const made = ({ fills }: Mix): number => fills.reduce((sum, { totalMl }) => sum + totalMl, 0);

const lasts = ({ startS, endS }: Step): number => endS - startS;

/** What the plan had the clock show when this is done, without what was put off: set-up comes first, packing last. */
function clockDone({ timeline: { steps } }: Plan, { open, openKeys }: Progress): number {
  const isOpen = (step: Step): boolean => openKeys.has(keyOfStep(step) ?? '');
  const clocks = [0, 1].map((worker) => {
    const own = steps.filter((step) => step.worker === worker);
    const last = own.filter((step) => step.kind === 'setup' || (keyOfStep(step) !== null && !isOpen(step))).at(-1);
    const putOff = own.filter((step) => isOpen(step) && step.endS <= (last?.startS ?? 0));
    return (last?.endS ?? 0) - putOff.reduce((sum, step) => sum + lasts(step), 0);
  });
  const packS = steps.reduce((sum, step) => sum + (step.kind === 'pack' ? lasts(step) : 0), 0);
  return Math.max(...clocks) + (open.length === 0 ? packS : 0);
}

const isByHand = ({ kind }: Step): boolean => !['setup', 'pack', 'walk', 'wait', 'refill'].includes(kind);

/** Of what the plan had the clock show the seconds that go by the pace of a hand. */
function handDone(plan: Plan, progress: Progress, clockS: number): number {
  const done = plan.timeline.steps.filter((step) => !progress.openKeys.has(keyOfStep(step) ?? ''));
  const sum = (steps: readonly Step[]): number => steps.reduce((seconds, step) => seconds + lasts(step), 0);
  const all = sum(done);
  return all > 0 ? (clockS * sum(done.filter(isByHand))) / all : 0;
}

/** Towels that were opened since, by role. */
function newlyOpened({ begun }: Pick<Plan, 'begun'>, towels: readonly OpenTowel[]): readonly OpenTowel[] {
  const old = new Set(begun.towels.map(({ worker, number }) => `${worker}/${number}`));
  return towels.filter(({ worker, number }) => !old.has(`${worker}/${number}`));
}

/** What towels have taken out of the bucket since a plan was made: those that were opened wet, and those that were wetted again. */
function drunkSince({ begun }: Plan, towels: readonly OpenTowel[], a: Parameters<typeof towelsDrink>[1]): number {
  const again = (of: readonly OpenTowel[]): number => of.filter(({ rewet }) => rewet).length;
  return towelsDrink(
    {
      towels: newlyOpened({ begun }, towels).filter(({ wetted }) => wetted).length,
      again: again(towels) - again(begun.towels),
    },
    a,
  );
}

/** What somebody is at, zone by zone. */
const inHandOf = (task: Task | undefined): StartState['inHand'] =>
  [...new Set(task?.parts.map(({ zoneId }) => zoneId))].map((zoneId) => ({
    act: task!.act,
    zoneId,
    place: task!.place,
    worker: task!.worker,
  }));

/** How much is left when so much of a plan is done. */
export function remainingOf(job: Job, plan: Plan, run: Run, turn: Noted | null): Remaining {
  const a = resolveAssumptions(job.choices.assumptions);
  const progress = progressOf(plan, run);
  const { begun } = plan;
  const choices = choicesOf(job);
  const towels = openTowelsNow(plan, progress, turn, {
    batchOf: ({ batchId }) => job.towels.find(({ id }) => id === batchId),
    sidesOf: (batch, wetted) => sidesUsed(batch, wetted, choices),
  });
  const news = newlyOpened(plan, towels);
  const [laid, off] = [laidBy(plan, progress), flushedOff(plan, progress)];
  const bucket = plan.mix.mixes.find(({ content }) => isFromBucket(content))?.content ?? 'wash';
  laid.set(bucket, (laid.get(bucket) ?? 0) + drunkSince(plan, towels, a));
  const clockS = clockDone(plan, progress);
  const litres = plan.mix.litres + (laid.get('line') ?? 0) / 1000;
  const zones = new Map(plan.zones.map((one) => [one.zone.id, zoneNow(one, plan, progress)]));
  const spent: Spent = {
    laidMl: added(begun.spent.laidMl, laid as Map<keyof Spent['laidMl'], number>),
    madeMl: added(
      begun.spent.madeMl,
      plan.mix.mixes.map((mix) => [mix.content, made(mix)] as const),
    ),
    productMl: added(
      begun.spent.productMl,
      plan.mix.mixes.map((mix) => [mix.content, mix.productMl] as const),
    ),
    opened: added(
      begun.spent.opened,
      news.map(({ batch }): [TowelRole, number] => [batch.role, 1]),
    ),
    batteryMin: begun.spent.batteryMin + off.batteryMin,
    litres: begun.spent.litres + litres + (laid.get('bay') ?? 0) / 1000,
    runoffMl: begun.spent.runoffMl + off.runoffMl,
    plannedS: begun.spent.plannedS + clockS,
    handS: begun.spent.handS + handDone(plan, progress, clockS),
    paces: pacesTogether([...begun.spent.paces, ...pacesSince(plan, progress, ticksSince(plan, run))]),
  };
  const ticked = new Map(begun.ticked);
  const doneZones = progress.done.flatMap(({ parts }) => parts[0]?.zoneId ?? []);
  for (const zoneId of doneZones) ticked.set(zoneId, (ticked.get(zoneId) ?? 0) + 1);
  return {
    job: withLess(job, { ...off, towels: news, litres }),
    begun: {
      events: run.events.length,
      at: begun.at,
      ticked,
      done: new Set([...begun.done, ...[...zones].filter(([, now]) => now === 'done').map(([id]) => id)]),
      zones: new Map(
        [...zones].flatMap(([id, now]): [ZoneId, BegunZone][] =>
          now && now !== 'done' && !begun.done.has(id) ? [[id, now]] : [],
        ),
      ),
      planned: begun.planned,
      inHand: [0, 1].flatMap((worker) => inHandOf(progress.open.find((task) => task.worker === worker))),
      kits: [...new Set([...begun.kits, ...plan.kits])],
      vessels: vesselsNow(plan, laid, a.wasteFactor),
      towels,
      spent,
    },
  };
}

/** What stands in the vessels, with as much spilt as is reckoned with. */
function vesselsNow({ begun, mix }: Plan, laid: ReadonlyMap<string, number>, waste: number): readonly InVessel[] {
  const held = new Map(begun.vessels.map((one) => [one.vesselId, one]));
  for (const one of mix.mixes) {
    const ml = Math.max(0, one.haveMl + made(one) - (laid.get(one.content) ?? 0) * waste);
    held.set(one.vessel.id, { content: one.content, vesselId: one.vessel.id, ml });
  }
  return [...held.values()];
}

/** What flushing and wetting let run and took out of batteries. */
function flushedOff(plan: Plan, progress: Progress): { readonly runoffMl: number; readonly batteryMin: number } {
  let [runoffMl, batteryMin] = [0, 0];
  for (const { zone, option } of plan.zones) {
    if (!option || plan.begun.done.has(zone.id)) continue;
    const done = actsDone(progress, zone.id, option);
    runoffMl += rinseRunoff(option) * done.flush + option.moisture.runoffMl * done.wipe;
    const flushed = option.work.flush / Math.max(1e-9, rinsedS(option.work));
    batteryMin += option.usage.batteryMin * (flushed * done.flush + (1 - flushed) * done.wipe);
  }
  return { runoffMl, batteryMin };
}

/** What a plan has taken out of the van by now. */
interface Taken extends ReturnType<typeof flushedOff> {
  readonly litres: number;
  readonly towels: readonly OpenTowel[];
}

/** The job with what is left of its water, drain, batteries and clean towels. */
const withLess = (job: Job, { litres, runoffMl, batteryMin, towels }: Taken): Job => ({
  ...job,
  site: {
    ...job.site,
    waterL: Math.max(0, job.site.waterL - litres),
    captureL: Math.max(0, job.site.captureL - runoffMl / 1000),
  },
  towels: job.towels.map((batch) => ({
    ...batch,
    clean: Math.max(0, batch.clean - towels.filter((one) => one.batch.id === batch.id).length),
  })),
  gear: job.gear.map((one) =>
    one.batteryMin === null || one.kind !== 'cordless-wand'
      ? one
      : { ...one, batteryMin: Math.max(0, one.batteryMin - batteryMin) },
  ),
});
