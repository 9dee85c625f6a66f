import { type Advice, adviseStrength, notations } from '../mix';
import { type Bottled, type Job, type VehicleMethod, type ZoneId, bottled, vehicleMethods } from '../model';
import type { CareLeft, Gate, Verdict } from '../reasons';
import { sunAtSite } from '../sun';
import { isInScope } from '../vehicle';
import {
  type Option,
  type PlanningContext,
  type RinsedS,
  type StartState,
  type ZoneOptions,
  freshStart,
  limitOf,
  noUsage,
  isShampooed,
} from '../rules';
import { type Parted, asPlanned, bestPlan, fitted, withinBudgets } from './best-plan';
import { cautionsOf } from './cautions';
import { heatAndHardness } from './heat-and-hardness';
import { hotWaterOf } from './hot-water';
import { laterOf } from './later';
import { obstacleOf } from './obstacle';
import type { Alternative, Bottle, Plan, ZonePlan } from './plan';
import { type PlanningProblem, methodOf, planningProblem, pureProblem } from './problem';
import { questionsOf } from './questions';
import { type Realised, realise } from './realise';
import { slotOf } from './slot';
import { type LeftBecause, decidingGates, paintLeft } from './parts';
import { totalsOf } from './totals';
import { waitingOf } from './waiting';

const methodOfRealised = ({ choice }: Realised): VehicleMethod => methodOf([...choice.picks.values()]);

interface MethodPlan {
  readonly method: VehicleMethod;
  readonly fitted: Parted | null;
}

/** A shampoo wash stands beside the others where it is at hand, or asked for. */
const offered = ({ context: { treatments, job } }: PlanningProblem): readonly VehicleMethod[] =>
  vehicleMethods.filter(
    (method) => method !== 'shampoo' || job.choices.method === 'shampoo' || treatments.some(isShampooed),
  );

/** The best plan of each kind; nothing is fitted for "not today". */
function methodPlansOf(all: PlanningProblem): readonly MethodPlan[] {
  const { job } = all.context;
  const best = asPlanned(all, job) ?? bestPlan(all, job);
  return offered(all).map((method): MethodPlan => {
    if (method === 'decline') return { method, fitted: null };
    if (method === 'hybrid') return { method, fitted: best };
    if (best.ok && methodOfRealised(best.realised) === method) return { method, fitted: best };
    const pure = pureProblem(all, method);
    const alone = fitted(pure, job);
    // What was asked for is done as far as budgets reach.
    return { method, fitted: alone.ok || job.choices.method !== method ? alone : withinBudgets(pure, job, alone) };
  });
}

/** Only the plan with every freedom, where none beside it could leave less of the paint; else all of them. */
function aloneOf(all: PlanningProblem): readonly MethodPlan[] {
  const { job } = all.context;
  if (job.choices.method !== 'auto') return methodPlansOf(all);
  const best = bestPlan(all, job);
  return best.ok && paintLeft(best.left, all.context) === 0 ? [{ method: 'hybrid', fitted: best }] : methodPlansOf(all);
}

function alternativeOf({ method, fitted }: MethodPlan, context: PlanningContext): Alternative {
  if (!fitted) return { method, outcome: { kind: 'not-today' } };
  if (!fitted.ok) {
    const { blocked, missing, shortages } = fitted;
    return { method, outcome: { kind: 'blocked', blocked, missing, shortages } };
  }
  const { realised } = fitted;
  const into = methodOfRealised(realised);
  if (into !== method) return { method, outcome: { kind: 'collapses', into } };
  return {
    method,
    outcome: {
      kind: 'feasible',
      cost: realised.choice.cost,
      totals: totalsOf(realised, context),
      worst: worstOf(realised),
      leaves: fitted.left.size,
    },
  };
}

function worstOf({ choice }: Realised): { zoneId: ZonePlan['zone']['id']; index: number } | null {
  let worst: ReturnType<typeof worstOf> = null;
  for (const [zoneId, { marring }] of choice.picks)
    if (!worst || marring.index > worst.index) worst = { zoneId, index: marring.index };
  return worst;
}

const hottestOf = ({ zones }: PlanningContext): number => Math.max(...zones.map(({ panel }) => panel.panelC));

/** The strengths that today asks for, of what is mixed. */
function adviceFor(context: PlanningContext, { mix }: Realised): readonly Advice[] {
  const { zones, totalAreaM2, job } = context;
  const load = zones.reduce((sum, { zone, soil }) => sum + zone.areaM2 * soil.totalGm2, 0);
  const today = {
    hottestC: hottestOf(context),
    meanLoadGm2: load / totalAreaM2,
    site: { ...job.site, sunWm2: sunAtSite(job, context.a) },
  };
  return mix.mixes.flatMap(({ use }) => {
    const advice = use && adviseStrength(use, today, context.a);
    return advice ? [advice] : [];
  });
}

/** Nothing is done: the plan of a refusal. */
const nothing = (context: PlanningContext): Realised =>
  realise(
    {
      picks: new Map(),
      kitSet: { kits: [], usage: noUsage, minor: 0, wasteL: 0, cost: 0 },
      usage: noUsage,
      cost: 0,
      atLeast: 0,
    },
    { ...context, job: { ...context.job, choices: { ...context.job.choices, glass: 'first' } } },
  );

type Found = Parted & { readonly ok: true };

const foundIn = ({ fitted: one }: MethodPlan): Found[] => (one?.ok && one.realised.choice.picks.size > 0 ? [one] : []);

/** The one that was asked for; or the one with every freedom, unless one of the pure methods leaves less of the paint. */
function pick({ context }: PlanningProblem, candidates: readonly MethodPlan[]): Found | null {
  const { method } = context.job.choices;
  const asked = candidates.filter((one) => method === 'auto' || one.method === method);
  const freeFirst = [...asked].sort((p, q) => Number(q.method === 'hybrid') - Number(p.method === 'hybrid'));
  const [best] = freeFirst.flatMap(foundIn).sort((p, q) => paintLeft(p.left, context) - paintLeft(q.left, context));
  return best ?? null;
}

function zonePlans(context: PlanningContext, found: Found | null): readonly ZonePlan[] {
  const realised = found?.realised;
  const laps = new Map(realised?.chosen.map(({ zone, lap }) => [zone.id, lap]));
  return context.zones.map(({ zone, soil }) => {
    const option = realised?.choice.picks.get(zone.id) ?? null;
    const inScope = isInScope(zone, context.job.scope);
    const leftByHand = inScope && context.job.choices.fixed[zone.id] === 'leave';
    return {
      zone,
      soil,
      treatment: option?.treatment ?? 'leave',
      inScope,
      leftByHand,
      leftBecause: leftByHand || !inScope ? null : (found?.left.get(zone.id) ?? null),
      option,
      lap: laps.get(zone.id) ?? null,
    };
  });
}

function refusalReasons({ outcome }: Alternative, zones: readonly ZoneOptions[]): Verdict[] {
  if (outcome.kind !== 'blocked') return [];
  const blocked = new Set(outcome.blocked.map(({ zoneId }) => zoneId));
  const shut = zones.filter(({ zoneId }) => blocked.has(zoneId)).map(({ explain }) => explain());
  const because = obstacleOf(shut);
  return [
    ...(blocked.size > 0
      ? [{ code: 'zones-blocked', zones: [...blocked], because, gates: decidingGates(shut) } as const]
      : []),
    ...outcome.missing.map((gate) => ({ code: 'missing', gate }) as const),
    ...outcome.shortages.map((shortage) => ({ code: 'over-budget', ...shortage }) as const),
  ];
}

/** What a part is left out for, so that those that are left for the same are said together. */
const leftKey = (because: LeftBecause): string =>
  because.kind === 'budget' ? because.shortage.budget : (because.gates[0]?.code ?? 'nothing');

/** Parts that the plan leaves out, by why, the largest first. */
function partsLeft({ zones }: PlanningContext, found: Found | null): Verdict[] {
  if (!found) return [];
  const groups = new Map<string, { because: LeftBecause; zones: ZoneId[]; areaM2: number }>();
  for (const { zone } of zones) {
    const because = found.left.get(zone.id);
    if (!because) continue;
    const group = groups.get(leftKey(because)) ?? { because, zones: [], areaM2: 0 };
    group.zones.push(zone.id);
    group.areaM2 += zone.areaM2;
    groups.set(leftKey(because), group);
  }
  return [...groups.values()]
    .sort((p, q) => q.areaM2 - p.areaM2)
    .map(({ because, zones: ids }) =>
      because.kind === 'budget'
        ? { code: 'parts-left', zones: ids, because: 'budget', shortage: because.shortage }
        : { code: 'parts-left', zones: ids, because: because.help, gate: because.gates[0] ?? null },
    );
}

/** As much again for bugs, sap and tar that get one go. */
const secondGoMl = ({ bugs, spots }: Option, purpose: Bottled): number =>
  [...spots, ...(bugs ? [bugs] : [])].reduce(
    (sum, one) => sum + (one.purpose === purpose && one.rounds === 1 ? one.ml : 0),
    0,
  );

function bottlesOf({ recipes }: PlanningContext, { choice, bottledMl }: Realised): readonly Bottle[] {
  const picks = [...choice.picks];
  return bottled.flatMap((purpose): Bottle[] => {
    const recipe = recipes[purpose];
    const ml = bottledMl[purpose];
    if (!recipe || ml <= 0) return [];
    return [
      {
        purpose,
        productName: recipe.product.name,
        ml,
        productMl: ml * recipe.share,
        reserveMl: picks.reduce((sum, [, option]) => sum + secondGoMl(option, purpose), 0),
        strength: recipe.share < 1 ? notations(recipe.dilution) : null,
        zones: picks.filter(([, { laidMl }]) => laidMl[purpose] > 0).map(([zone]) => zone),
      },
    ];
  });
}

/** Bug splatter that stays, by why. */
function bugsLeft(realised: Realised | null): Verdict[] {
  const left = new Map<CareLeft, { readonly zones: ZoneId[]; readonly mostC: number }>();
  for (const [zoneId, { bugs }] of realised?.choice.picks ?? []) {
    if (!bugs?.left) continue;
    const { zones } = left.get(bugs.left) ?? { zones: [] };
    left.set(bugs.left, { zones: [...zones, zoneId], mostC: bugs.mostC });
  }
  return [...left].map(([why, { zones, mostC }]) => ({ code: 'bugs-left', zones, why, mostC }));
}

/** What is asked for or at hand and not put on, by why. */
function productsLeft(realised: Realised | null): Verdict[] {
  const left = new Map<string, Verdict & { readonly code: 'product-left' }>();
  for (const [zoneId, { care, cleaner }] of realised?.choice.picks ?? []) {
    const plans = [...(care ? [{ ...care, purpose: care.use }] : []), ...(cleaner ? [cleaner] : [])];
    for (const { purpose, left: why, mostC } of plans) {
      if (!why) continue;
      const key = `${purpose}/${why}`;
      left.set(key, { code: 'product-left', purpose, why, mostC, zones: [...(left.get(key)?.zones ?? []), zoneId] });
    }
  }
  return [...left.values()];
}

/** Spots that stay, by kind and reason. */
function spotsLeft(realised: Realised | null): Verdict[] {
  const left = new Map<string, Verdict & { readonly code: 'spots-left' }>();
  for (const { spots } of realised?.choice.picks.values() ?? [])
    for (const { kind, count, left: why } of spots) {
      if (!why) continue;
      const key = `${kind}/${why}`;
      left.set(key, { code: 'spots-left', kind, why, count: count + (left.get(key)?.count ?? 0) });
    }
  return [...left.values()];
}

/** Zones that are only touched because the client wants it so. */
function adviceAgainst({ job, a }: PlanningContext, realised: Realised | null): Verdict[] {
  if (!job.consent || !realised) return [];
  const advised = limitOf(job.choices.approach, a);
  const zones = [...realised.choice.picks.values()].filter(({ marring }) => marring.index > advised).length;
  return [{ code: 'against-advice', by: job.consent.by, zones }];
}

/** A gap to the best that is worth a word. */
const UNPROVED = 0.001;

/** Zones of which a section dries before it is done. */
function lateIn(realised: Realised | null): Verdict[] {
  const zones = [...new Set(realised?.timeline.late.map(({ zoneId }) => zoneId))];
  return zones.length > 0 ? [{ code: 'late', zones }] : [];
}

/** What nothing forbids by itself, and the clock does all the same; what dries is told as late. */
function overByClock(realised: Realised | null): Verdict[] {
  const over = new Map<Gate['code'], Verdict & { readonly code: 'over-by-clock' }>();
  for (const [zoneId, { gates }] of realised?.choice.picks ?? []) {
    const gate = gates.find(({ code }) => code !== 'dries-first');
    if (gate)
      over.set(gate.code, { code: 'over-by-clock', gate, zones: [...(over.get(gate.code)?.zones ?? []), zoneId] });
  }
  return [...over.values()];
}

/** The method whose refusal is told: what was asked for, or the one with every freedom. */
const wishedOf = ({ choices: { method } }: Job): VehicleMethod =>
  method === 'auto' || method === 'decline' ? 'hybrid' : method;

/** Where budgets stand in the way, what would have to wait for the rest to be done. */
function waitsOf(all: PlanningProblem, candidates: readonly MethodPlan[]): readonly ZoneId[] {
  const { job } = all.context;
  const wished = candidates.find(({ method }) => method === wishedOf(job))?.fitted;
  if (!wished || wished.ok || wished.shortages.length === 0) return [];
  return wished.waits ?? waitingOf(all, job, wished.shortages);
}

function verdictsOf(
  all: PlanningProblem,
  method: VehicleMethod,
  found: Found | null,
  alternatives: readonly Alternative[],
  waits: readonly ZoneId[],
): readonly Verdict[] {
  const { context, problem } = all;
  const { job } = context;
  const realised = found?.realised ?? null;
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
        cheaperBy:
          found && outcome.leaves <= found.left.size ? Math.max(0, found.realised.choice.cost - outcome.cost) : 0,
      });
    if (outcome.kind === 'blocked' && realised)
      verdicts.push({
        code: 'method-blocked',
        method: alternative.method,
        zones: outcome.blocked.length,
      });
  }
  if (!realised) {
    const wished = alternatives.filter(({ method: of }) => of === wishedOf(job));
    verdicts.push(...wished.flatMap((alt) => refusalReasons(alt, problem.zones)));
    if (waits.length > 0) verdicts.push({ code: 'zones-wait', zones: waits });
  }
  const wanted = context.zones.filter(({ zone }) => isInScope(zone, job.scope));
  const left = wanted.filter(({ zone }) => job.choices.fixed[zone.id] === 'leave');
  if (left.length > 0) verdicts.push({ code: 'zones-left', zones: left.map(({ zone }) => zone.id) });
  verdicts.push(
    ...partsLeft(context, found),
    ...heatAndHardness(context, realised),
    ...lateIn(realised),
    ...overByClock(realised),
    ...adviceAgainst(context, realised),
    ...bugsLeft(realised),
    ...spotsLeft(realised),
    ...productsLeft(realised),
  );
  const unseen = wanted.filter(({ soil: { basis } }) => basis === 'forecast' || basis === 'unknown').length;
  if (unseen > 0) verdicts.push({ code: 'not-seen', zones: unseen, forecast: job.since.length > 0 });
  return verdicts;
}

/**
 * The whole plan of one job: reads like the work. Pure and deterministic: the same job gives the
 * same plan.
 *
 * Looks at every treatment on every zone, chooses the set of treatments that costs least within
 * the gates and budgets, lays the pure methods and "not today" beside it, and carries the chosen
 * one out on paper: order, clock, towels, mixes, totals, cautions.
 * @param begun what was done, opened and mixed already; the job then has what is left
 */
export function planJob(job: Job, begun: StartState = freshStart): Plan {
  return planOf(withinClock(job, begun, methodPlansOf));
}

/** The same plan for many hours or cars: other methods are only weighed where the plan hangs on them, and none stands beside it. */
export function planAlone(job: Job): Plan {
  return planOf(withinClock(job, freshStart, aloneOf));
}

/** What was weighed, and what was picked of it. */
interface Weighed {
  readonly all: PlanningProblem;
  readonly candidates: readonly MethodPlan[];
  readonly found: Found | null;
}

/** Rounds in which rinses are told how long they wait; after them what does not hold is told. */
const CLOCK_ROUNDS = 4;

/** Waits that are so near are the same, s. */
const SAME_WAIT_S = 0.5;

/** Treatments are chosen by how long rinses wait, and how long they wait comes of what is chosen: where that does not hold on the clock, it is chosen again. */
function withinClock(job: Job, begun: StartState, plansOf: (all: PlanningProblem) => readonly MethodPlan[]): Weighed {
  let rinsedS: RinsedS = new Map();
  for (let round = 1; ; round++) {
    const all = planningProblem(job, begun, rinsedS);
    const candidates = plansOf(all);
    const found = pick(all, candidates);
    const longer = found ? waitsTooLong(found.realised, rinsedS) : rinsedS;
    if (longer === rinsedS || round === CLOCK_ROUNDS) return { all, candidates, found };
    rinsedS = longer;
  }
}

type Tightened = readonly [ZoneId, NonNullable<ReturnType<RinsedS['get']>>];

/** With the zones whose rinse does not hold until something comes onto it. */
function waitsTooLong({ choice: { picks }, timeline }: Realised, before: RinsedS): RinsedS {
  const late = new Set(timeline.late.map(({ zoneId }) => zoneId));
  const longer = [...picks].flatMap(([id, { gates, waits, atTurn, rinseLM2 }]): Tightened[] => {
    if ((gates.length === 0 && !late.has(id)) || rinseLM2 === 0) return [];
    const seconds = Math.max(0, ...waits.map(({ rinsedS }) => rinsedS));
    const known = before.get(id) ?? { roundS: null, isInPassOnly: false, inPassS: null };
    if (!atTurn) return [[id, { ...known, roundS: seconds, isInPassOnly: known.roundS !== null }]];
    const isSame = known.inPassS !== null && Math.abs(seconds - known.inPassS) <= SAME_WAIT_S;
    return isSame ? [] : [[id, { ...known, inPassS: seconds }]];
  });
  return longer.length === 0 ? before : new Map([...before, ...longer]);
}

function planOf({ all, candidates, found }: Weighed): Plan {
  const { context } = all;
  const { job, begun } = context;
  const alternatives = candidates.map((candidate) => alternativeOf(candidate, context));
  const realised = found?.realised ?? null;
  const method = realised ? methodOfRealised(realised) : 'decline';
  const carried = realised ?? nothing(context);
  const waits = realised ? [] : waitsOf(all, candidates);
  return {
    method,
    verdicts: verdictsOf(all, method, found, alternatives, waits),
    zones: zonePlans(context, found),
    begun,
    kits: carried.choice.kitSet.kits,
    mix: carried.mix,
    bottles: bottlesOf(context, carried),
    later: realised ? laterOf(context, realised) : null,
    towels: carried.towels,
    mitts: carried.mitts,
    timeline: carried.timeline,
    totals: totalsOf(carried, context),
    slot: slotOf(carried, context.zones.length, context.a),
    alternatives,
    advice: adviceFor(context, carried),
    hotWater: hotWaterOf(carried, context),
    questions: questionsOf(carried, context),
    cautions: realised ? cautionsOf(job, hottestOf(context), context.a.reachM, realised) : [],
  };
}
