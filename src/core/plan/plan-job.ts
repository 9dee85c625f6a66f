import { type Capacity, type Problem } from '../method/choose';
import { zoneOptions } from '../method/evaluate';
import { kitSets, noUsage } from '../method/kit-set';
import type { Option } from '../method/option';
import { type Scene, sceneOf } from '../method/scene';
import {
  type Job,
  type TowelRole,
  type VehicleMethod,
  type Working,
  partsOf,
  vehicleMethods,
} from '../model';
import type { Verdict } from '../reasons';
import { obstacleOf } from './obstacle';
import { type Fitted, fit } from './fit';
import { cautionsOf } from './cautions';
import type { Alternative, Plan, ZonePlan } from './plan';
import { type Realised, realise } from './realise';
import { totalsOf } from './totals';

const clean = (job: Job, role: TowelRole): number =>
  job.towels.filter((b) => b.role === role).reduce((sum, b) => sum + b.clean, 0);

/** What the site and the van allow. A forbidden runoff is a gate and needs no budget. */
const capacityOf = (job: Job): Capacity => ({
  litres: job.site.tap ? Number.MAX_VALUE : job.site.waterL,
  runoffL: job.site.runoff === 'captured' ? job.site.captureL : Number.MAX_VALUE,
  minutes: job.site.minutes,
  wash: clean(job, 'wash'),
  finish: clean(job, 'finish'),
  drying: clean(job, 'drying'),
  glass: clean(job, 'glass'),
  wheels: clean(job, 'wheels'),
});

const isPure = {
  waterless: (treatment: Working): boolean => treatment === 'none/waterless',
  rinseless: (treatment: Working): boolean => {
    const { flush, contact } = partsOf(treatment);
    return flush === 'none' && contact !== 'waterless';
  },
} as const;

/** A vehicle's method follows from its zones. */
function methodOf(options: readonly Option[]): VehicleMethod {
  if (options.length === 0) return 'decline';
  if (options.every(({ treatment }) => isPure.waterless(treatment))) return 'waterless';
  return options.every(({ treatment }) => isPure.rinseless(treatment)) ? 'rinseless' : 'hybrid';
}

const methodOfRealised = ({ choice }: Realised): VehicleMethod => methodOf([...choice.picks.values()]);

interface Candidate {
  readonly method: VehicleMethod;
  readonly fitted: Fitted | null;
}

/** The best plan of each kind; nothing is fitted for "not today". */
function candidatesOf(problem: Problem, scene: Scene): readonly Candidate[] {
  const capacity = capacityOf(scene.job);
  const best = fit(problem, capacity, scene);
  return vehicleMethods.map((method): Candidate => {
    if (method === 'decline') return { method, fitted: null };
    if (method === 'hybrid') return { method, fitted: best };
    if (best.ok && methodOfRealised(best.realised) === method) return { method, fitted: best };
    return { method, fitted: fit({ ...problem, allows: isPure[method] }, capacity, scene) };
  });
}

function alternativeOf({ method, fitted }: Candidate, scene: Scene): Alternative {
  if (!fitted) return { method, outcome: { kind: 'not-today' } };
  if (!fitted.ok) return { method, outcome: { ...fitted, kind: 'blocked' } };
  const { realised } = fitted;
  const into = methodOfRealised(realised);
  if (into !== method) return { method, outcome: { kind: 'collapses', into } };
  return {
    method,
    outcome: {
      kind: 'feasible',
      cost: realised.choice.cost,
      totals: totalsOf(realised, scene),
      worst: worstOf(realised),
    },
  };
}

function worstOf({ choice }: Realised): { zoneId: ZonePlan['zone']['id']; index: number } | null {
  let worst: ReturnType<typeof worstOf> = null;
  for (const [zoneId, { marring }] of choice.picks)
    if (!worst || marring.index > worst.index) worst = { zoneId, index: marring.index };
  return worst;
}

const hottestOf = ({ zones }: Scene): number => Math.max(...zones.map(({ panel }) => panel.panelC));

/** Nothing is done: the plan of a refusal. */
const nothing = (scene: Scene): Realised =>
  realise(
    { picks: new Map(), kitSet: { kits: [], usage: noUsage, cost: 0 }, usage: noUsage, cost: 0, atLeast: 0 },
    { ...scene, job: { ...scene.job, choices: { ...scene.job.choices, glass: 'first' } } },
  );

const fittedOf = ({ fitted }: Candidate): Realised[] =>
  fitted?.ok && fitted.realised.choice.picks.size > 0 ? [fitted.realised] : [];

/** The one that was asked for, or the one that costs least. */
function pick(job: Job, candidates: readonly Candidate[]): Realised | null {
  const { method } = job.choices;
  const asked = candidates.filter((one) => method === 'auto' || one.method === method);
  const [best] = asked.flatMap(fittedOf).sort((p, q) => p.choice.cost - q.choice.cost);
  return best ?? null;
}

function zonePlans(
  scene: Scene,
  options: ReadonlyMap<string, readonly Option[]>,
  realised: Realised | null,
): readonly ZonePlan[] {
  const stages = new Map(realised?.ordered.map(({ zone, stage }) => [zone.id, stage]));
  return scene.zones.map(({ zone, soil }) => {
    const option = realised?.choice.picks.get(zone.id) ?? null;
    return {
      zone,
      soil,
      treatment: option?.treatment ?? 'leave',
      leftByHand: scene.job.choices.fixed[zone.id] === 'leave',
      option,
      options: options.get(zone.id)!,
      stage: stages.get(zone.id) ?? null,
    };
  });
}

function refusalReasons({ outcome }: Alternative): Verdict[] {
  if (outcome.kind !== 'blocked') return [];
  return [
    ...(outcome.blocked.length > 0
      ? [
          {
            code: 'zones-blocked',
            zones: outcome.blocked.map(({ zoneId }) => zoneId),
            because: obstacleOf(outcome.blocked),
          } as const,
        ]
      : []),
    ...outcome.missing.map((gate) => ({ code: 'missing', gate }) as const),
    ...outcome.shortages.map((shortage) => ({ code: 'over-budget', ...shortage }) as const),
  ];
}

/** A gap to the best that is worth a word. */
const UNPROVED = 0.001;

function verdictsOf(
  scene: Scene,
  method: VehicleMethod,
  realised: Realised | null,
  alternatives: readonly Alternative[],
): readonly Verdict[] {
  const { job } = scene;
  const asked = job.choices.method;
  const verdicts: Verdict[] = [];
  if (realised) verdicts.push({ code: 'chosen', method, cost: realised.choice.cost });
  const within = realised ? 1 - realised.choice.atLeast / realised.choice.cost : 0;
  if (within > UNPROVED) verdicts.push({ code: 'nearly-best', within });
  if (asked !== 'auto') verdicts.push({ code: 'asked-for', method: asked });
  for (const alternative of alternatives) {
    const { outcome } = alternative;
    if (alternative.method === method) continue;
    if (outcome.kind === 'feasible')
      verdicts.push({
        code: 'runner-up',
        method: alternative.method,
        minutes: outcome.totals.minutes.value,
        litres: outcome.totals.litres.value,
        index: outcome.totals.index.value,
      });
    if (outcome.kind === 'blocked' && realised)
      verdicts.push({
        code: 'method-blocked',
        method: alternative.method,
        zones: outcome.blocked.length,
      });
  }
  if (!realised) {
    const wish = asked === 'auto' || asked === 'decline' ? 'hybrid' : asked;
    verdicts.push(...alternatives.filter((alt) => alt.method === wish).flatMap(refusalReasons));
  }
  const left = scene.zones.filter(({ zone }) => job.choices.fixed[zone.id] === 'leave');
  if (left.length > 0)
    verdicts.push({ code: 'zones-left', zones: left.map(({ zone }) => zone.id) });
  const unseen = scene.zones.filter(({ soil }) => !soil.seen).length;
  if (unseen > 0) verdicts.push({ code: 'not-seen', zones: unseen });
  return verdicts;
}

/**
 * The whole plan of one job: reads like the work. Pure and deterministic: the same job gives the
 * same plan.
 *
 * Looks at every treatment on every zone, chooses the set of treatments that costs least within
 * the gates and budgets, lays the pure methods and "not today" beside it, and carries the chosen
 * one out on paper: order, clock, towels, mixes, totals, cautions.
 */
export function planJob(job: Job): Plan {
  const scene = sceneOf(job);
  const zones = zoneOptions(scene);
  const problem: Problem = {
    zones,
    kitSets: kitSets(scene),
    fixed: job.choices.fixed,
    allows: () => true,
  };
  const candidates = candidatesOf(problem, scene);
  const alternatives = candidates.map((candidate) => alternativeOf(candidate, scene));
  const realised = pick(job, candidates);
  const method = realised ? methodOfRealised(realised) : 'decline';
  const carried = realised ?? nothing(scene);
  return {
    method,
    verdicts: verdictsOf(scene, method, realised, alternatives),
    zones: zonePlans(scene, new Map(zones.map((z) => [z.zoneId, z.options])), realised),
    kits: carried.choice.kitSet.kits,
    mix: carried.mix,
    towels: carried.towels,
    timeline: carried.timeline,
    totals: totalsOf(carried, scene),
    alternatives,
    cautions: realised ? cautionsOf(job, hottestOf(scene), realised) : [],
  };
}

