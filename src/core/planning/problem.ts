import { type Job, type TowelRole, type VehicleMethod, type Working } from '../model';
import type { Gate } from '../reasons';
import {
  type Kit,
  type KitSetResult,
  type Option,
  type PlanningContext,
  type RinsedS,
  type Shut,
  type StartState,
  contextOf,
  freshStart,
  type ZoneOptions,
  isBody,
  kitSets,
  kitsFor,
  openTowels,
  zoneOptions,
  type PureMethod,
  contactOf,
  isRinsed,
} from '../rules';
import { type Prepared, type Problem, prepare } from './choose';
import type { Capacity } from './choose';
import { type LeftOut, blockedParts, blockedZones, isTooMuch, leavingOut, nothingLeft } from './parts';

/** A job with every treatment on every zone worked out, ready to be chosen from. */
export interface PlanningProblem {
  readonly context: PlanningContext;
  readonly problem: Problem;
  readonly prepared: Prepared;
  /** What nothing may touch here and now, and is not in the problem. */
  readonly left: LeftOut;
}

/** What forbids stations for which there are too few vessels, whatever else is set up; null where some set has them. */
function vesselGate(kits: readonly Kit[], sets: readonly KitSetResult[]): Gate | null {
  if (sets.some((result) => result.ok && kits.every((kit) => result.set.kits.includes(kit)))) return null;
  const alone = sets.find((result) => !result.ok && kits.every((kit) => result.kits.includes(kit)));
  return alone && !alone.ok ? alone.gate : null;
}

/** A zone with what there are vessels for; the rest is forbidden like anything else. */
function withVessels(zone: ZoneOptions, sets: readonly KitSetResult[]): ZoneOptions {
  const gated = <T extends Shut>(one: T, kits: readonly Kit[]): T => {
    const gate = vesselGate(kits, sets);
    return gate ? { ...one, gates: [...one.gates, gate] } : one;
  };
  const options = zone.options.map((option) => gated(option, option.kits));
  const lacking = options.filter(({ gates }) => gates.length > 0);
  if (lacking.length === 0) return zone;
  const open = options.filter(({ gates }) => gates.length === 0);
  return {
    ...zone,
    options: open,
    shut: [...zone.shut, ...lacking],
    explain: () => zone.explain().map((one) => gated(one, kitsFor(one.treatment))),
  };
}

/** @param rinsedS how long rinses wait on zones for which a clock has shown that to be too long */
export function planningProblem(job: Job, begun: StartState = freshStart, rinsedS?: RinsedS): PlanningProblem {
  const context = contextOf(job, begun, rinsedS);
  const sets = kitSets(context);
  const problem: Problem = {
    zones: zoneOptions(context).map((zone) => withVessels(zone, sets)),
    kitSets: sets,
    fixed: context.job.choices.fixed,
    allows: () => true,
    body: new Set(context.zones.filter(({ zone }) => isBody(zone)).map(({ zone }) => zone.id)),
  };
  return { context, ...withoutBlocked(problem, context) };
}

/** The problem without the parts that nothing may touch; with them, where those are too much of the car. */
function withoutBlocked(
  problem: Problem,
  context: PlanningContext,
): Pick<PlanningProblem, 'problem' | 'prepared' | 'left'> {
  const prepared = prepare(problem);
  const blocked = blockedZones(prepared.zones, problem.fixed);
  if (blocked.length === 0 || isTooMuch(new Set(blocked.map(({ zoneId }) => zoneId)), context))
    return { problem, prepared, left: nothingLeft };
  const left = blockedParts(blocked);
  const rest = { ...problem, fixed: leavingOut(problem.fixed, left) };
  return { problem: rest, prepared: prepare(rest), left };
}

const clean = (job: Job, role: TowelRole): number =>
  job.towels.filter((b) => b.role === role).reduce((sum, b) => sum + b.clean, 0);

/** What the batteries of the cordless washers hold together; one on mains runs for ever. */
const batteryOf = ({ gear }: Job): number =>
  gear
    .filter(({ kind }) => kind === 'cordless-wand')
    .reduce((sum, { batteryMin }) => sum + (batteryMin ?? Number.MAX_VALUE), 0);

/** What the site and the van allow, and open towels. A forbidden runoff is a gate and needs no budget. */
export const capacityOf = (job: Job, begun: StartState = freshStart): Capacity => ({
  litres: job.site.tap ? Number.MAX_VALUE : job.site.waterL,
  runoffL: job.site.runoff === 'captured' ? job.site.captureL : Number.MAX_VALUE,
  minutes: job.site.minutes,
  batteryMin: batteryOf(job),
  wash: clean(job, 'wash') + openTowels(begun, 'wash'),
  finish: clean(job, 'finish') + openTowels(begun, 'finish'),
  drying: clean(job, 'drying') + openTowels(begun, 'drying'),
  glass: clean(job, 'glass') + openTowels(begun, 'glass'),
  wheels: clean(job, 'wheels') + openTowels(begun, 'wheels'),
});

/** Treatments that each of the pure methods is made of; a mist that cools makes no other method. */
export function isPure(method: PureMethod, treatment: Working): boolean {
  return contactOf(treatment).method === method && (method === 'shampoo' || !isRinsed(treatment));
}

const pureMethods = ['waterless', 'shampoo', 'rinseless'] as const satisfies readonly PureMethod[];

/** A vehicle's method follows from its body: wheels and door shuts never decide it, unless there is nothing else. */
export function methodOf(options: readonly Option[]): VehicleMethod {
  const body = options.filter(({ ofBody }) => ofBody);
  const deciding = body.length > 0 ? body : options;
  if (deciding.length === 0) return 'decline';
  const pure = pureMethods.find((method) => deciding.every(({ treatment }) => isPure(method, treatment)));
  return pure ?? 'hybrid';
}

/** The problem as one of the pure methods has it. */
export const pureProblem = ({ context, problem }: PlanningProblem, method: PureMethod): PlanningProblem => ({
  context,
  ...withoutBlocked(
    {
      ...problem,
      fixed: context.job.choices.fixed,
      allows: (treatment, zone) => !problem.body.has(zone) || isPure(method, treatment),
    },
    context,
  ),
});
