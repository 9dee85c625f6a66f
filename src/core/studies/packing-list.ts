import type { Assumptions } from '../assumptions';
import { type Content, type Mix, isFromBucket, towelsDrink } from '../mix';
import { type Job, type TowelRole, type ZoneId, towelRoles } from '../model';
import { type Plan, wipingsOf } from '../planning';
import {
  type Laid,
  type Option,
  type PlanningContext,
  type SoiledZone,
  contextOf,
  emptyLaid,
  takenBy,
  totalWork,
} from '../rules';
import { type TowelNeed, type UsedTowel, type Wiping, part, towelLedger, WETTED_SIDES } from '../towel';
import { gPerM2 } from '../units';
import { type Draws, draws } from './draws';
import { quantile } from './quantiles';
import type { Study } from './study';

/** What a figure comes to in the middle of many draws, and what is enough in most of them. */
export interface Enough {
  readonly median: number;
  readonly carry: number;
}

interface EnoughTowels extends Enough {
  readonly role: TowelRole;
  readonly planned: number;
}

interface EnoughMix extends Enough {
  readonly content: Content;
  /** What the plan makes for the panels, beyond what must stay in the vessel, mL. */
  readonly planned: number;
  /** Share of the draws in which that is enough. */
  readonly enough: number;
}

/** What to carry so that it is enough in so many cases. */
export interface PackingList {
  readonly confidence: number;
  readonly towels: readonly EnoughTowels[];
  readonly mixes: readonly EnoughMix[];
  /** All water that is carried or drawn, with what must stay in the vessels, L. */
  readonly litres: Enough;
  readonly minutes: Enough;
  /** Share of the draws that are done in the time there is. */
  readonly inTime: number;
}

const DRAWS = 1000;
const SLICE = 20;
/** Of a thousand draws, each deals towels by the first way that is best so far. */
const NO_LOOKING_AHEAD = 1;
const SEED = 0.25;

/** A zone that is worked on, with how sure its soil is. */
interface Worked {
  readonly soiled: SoiledZone;
  readonly option: Option;
}

/** The zone with so many times the soil. */
function soiledBy({ soiled }: Worked, times: number): SoiledZone {
  const { soil } = soiled;
  return {
    ...soiled,
    soil: {
      ...soil,
      loads: soil.loads.map(({ kind, loadGm2 }) => ({ kind, loadGm2: gPerM2(loadGm2 * times) })),
      totalGm2: gPerM2(soil.totalGm2 * times),
    },
  };
}

/** How a hand is today, against the usual one: how much it uses and how fast it is, as factors of spread e. */
export interface Today {
  readonly use: number;
  readonly pace: number;
}

/** It stays so all day: who is slow at the first stop is slow at the last. */
export const drawToday = (random: Draws): Today => ({ use: random.factor(1), pace: random.factor(1) });

/** One way that the job may go. */
interface Draw {
  readonly laid: Laid;
  readonly towels: ReadonlyMap<TowelRole, number>;
  readonly minutes: number;
}

/** The first batch of each role, as many of it as are asked for. */
const boundless = (towels: Job['towels']): Job['towels'] =>
  towelRoles.flatMap((role) => {
    const batch = towels.find((one) => one.role === role);
    return batch ? [{ ...batch, clean: Infinity }] : [];
  });

function countsOf(towels: readonly UsedTowel[]): ReadonlyMap<TowelRole, number> {
  const counts = new Map<TowelRole, number>();
  for (const { role } of towels) counts.set(role, (counts.get(role) ?? 0) + 1);
  return counts;
}

/** A wiping with what the zone takes in a draw. */
function withNeed(wiping: Wiping, needs: readonly TowelNeed[]): Wiping {
  const { use, moment, cleanliness } = wiping.need;
  const need = needs.find((one) => one.use === use && one.moment === moment)!;
  return { ...wiping, need: { ...part(need, wiping.share), cleanliness } };
}

/** The dirtiest panels of the body: what is most likely to be washed again. */
function reserveOf(worked: readonly Worked[], { reservePanels }: Assumptions): ReadonlySet<ZoneId> {
  const body = worked
    .filter(({ option }) => option.ofBody)
    .sort((p, q) => q.option.loadAfterFlushGm2 - p.option.loadAfterFlushGm2);
  return new Set(body.slice(0, Math.round(reservePanels)).map(({ soiled }) => soiled.zone.id));
}

/** Panels in reserve are washed and finished once more at the end, by whoever did them. */
const withReserve = (
  rows: readonly (readonly Wiping[])[],
  reserve: ReadonlySet<ZoneId>,
): readonly (readonly Wiping[])[] =>
  rows.map((row) => {
    const last = Math.max(0, ...row.map(({ pass }) => pass));
    const again = row.filter(({ zoneId, need }) => reserve.has(zoneId) && need.use !== 'protect');
    return [...row, ...again.map((wiping) => ({ ...wiping, pass: wiping.pass + last }))];
  });

class JobSampler {
  /** Washed once more, in case. */
  private readonly reserve: ReadonlySet<ZoneId>;
  private readonly worked: ReadonlyMap<ZoneId, Worked>;
  private readonly plannedS: number;
  private readonly piles: Job['towels'];
  /** As planned: a draw has other needs at the same places. */
  private readonly wipings: readonly (readonly Wiping[])[];

  constructor(
    private readonly context: PlanningContext,
    private readonly plan: Plan,
    private readonly random: Draws,
  ) {
    const options = new Map(plan.zones.map(({ zone, option }) => [zone.id, option]));
    this.worked = new Map(
      context.zones.flatMap((soiled): [ZoneId, Worked][] => {
        const option = options.get(soiled.zone.id);
        return option ? [[soiled.zone.id, { soiled, option }]] : [];
      }),
    );
    this.piles = boundless(context.job.towels);
    this.reserve = reserveOf([...this.worked.values()], context.a);
    this.wipings = withReserve(
      wipingsOf(plan.timeline, context.job.site.workers, (zoneId) => options.get(zoneId)?.needs ?? []),
      this.reserve,
    );
    this.plannedS = [...this.worked.values()].reduce((sum, { option }) => sum + totalWork(option.work), 0);
  }

  /** Soil of every zone, this hand’s use of liquid, and its pace, drawn once. */
  draw(today = drawToday(this.random)): Draw {
    const { a, job } = this.context;
    const spread = Math.log(a.spreadUsage);
    const [wet, pace] = [today.use ** spread, today.pace ** spread];
    const laid = emptyLaid();
    let seconds = 0;
    const drawn = new Map<ZoneId, readonly TowelNeed[]>();
    for (const [id, one] of this.worked) {
      const times = this.random.factor(Math.log(one.soiled.soil.spread));
      const { laidMl, work, needs } = takenBy(soiledBy(one, times), one.option, this.context);
      const often = this.reserve.has(id) ? 2 : 1;
      for (const of of Object.keys(laid) as (keyof Laid)[]) laid[of] += laidMl[of] * wet * often;
      seconds += totalWork(work);
      drawn.set(
        id,
        needs.map((need) => ({ ...need, liquidMl: need.liquidMl * wet })),
      );
    }
    const wipings = this.wipings.map((row) => row.map((wiping) => withNeed(wiping, drawn.get(wiping.zoneId)!)));
    const more = ((seconds - this.plannedS) * (1 + a.walking)) / job.site.workers;
    return {
      laid,
      towels: countsOf(towelLedger(wipings, this.piles, { ...job.choices, mostWays: NO_LOOKING_AHEAD }, a)),
      minutes: ((this.plan.timeline.elapsedS + more) * pace) / 60,
    };
  }
}

const enough = (sample: readonly number[], confidence: number): Enough => ({
  median: quantile(sample, 0.5),
  carry: quantile(sample, confidence),
});

const shareOf = (sample: readonly number[], most: number): number =>
  sample.filter((value) => value <= most + 1e-9).length / Math.max(1, sample.length);

function towelsOf(all: readonly Draw[], { towels }: Plan, confidence: number): readonly EnoughTowels[] {
  return towelRoles.flatMap((role): EnoughTowels[] => {
    const sample = all.map((draw) => draw.towels.get(role) ?? 0);
    const { median, carry } = enough(sample, confidence);
    const planned = towels.filter((towel) => towel.role === role).length;
    return planned > 0 || carry > 0
      ? [{ role, planned, median: Math.round(median), carry: Math.ceil(carry - 1e-9) }]
      : [];
  });
}

/** What the wetted towels of a draw drink, mL. */
function drinking(plan: Plan, { a, job }: PlanningContext): (draw: Draw) => number {
  const { wetted } = plan.towels.find(({ role }) => role === 'wash') ?? { wetted: false };
  const again = job.choices.soakedSides > WETTED_SIDES;
  // Most of the towels that may be wetted again are.
  return ({ towels }) => {
    const all = wetted ? (towels.get('wash') ?? 0) : 0;
    return towelsDrink({ towels: all, again: again ? all : 0 }, a);
  };
}

/** Taken of a content, mL; rinse water is what it is. */
const takenOf = (content: Content, draw: Draw, drunk: (draw: Draw) => number): number =>
  content === 'rinse' ? 0 : draw.laid[content] + (isFromBucket(content) ? drunk(draw) : 0);

const filled = ({ fills }: Mix, of: 'totalMl' | 'waterMl'): number => fills.reduce((sum, fill) => sum + fill[of], 0);

/** Water of a draw, L: each mix with its charge, rinse water, and what a tap or a bay gives. */
function litresOf(draw: Draw, { mix }: Plan, drunk: (draw: Draw) => number): number {
  const mixed = mix.mixes.reduce((sum, one) => {
    const share = filled(one, 'waterMl') / Math.max(1e-9, filled(one, 'totalMl'));
    const ml = one.content === 'rinse' ? filled(one, 'totalMl') : takenOf(one.content, draw, drunk) + one.chargeMl;
    return sum + ml * share;
  }, 0);
  return (mixed + draw.laid.line + draw.laid.bay) / 1000;
}

function mixesOf(
  all: readonly Draw[],
  plan: Plan,
  { a }: PlanningContext,
  drunk: (draw: Draw) => number,
): readonly EnoughMix[] {
  return plan.mix.mixes.flatMap(({ content, fills, chargeMl, productName }): EnoughMix[] => {
    if (!productName || content === 'rinse') return [];
    const sample = all.map((draw) => takenOf(content, draw, drunk));
    const planned = fills.reduce((sum, { totalMl }) => sum + totalMl, 0) - chargeMl;
    return [{ content, planned, enough: shareOf(sample, planned), ...enough(sample, a.confidence) }];
  });
}

/** One way that a planned job may go, as what it takes out of a van. */
export interface JobDraw {
  readonly minutes: number;
  readonly litres: number;
  readonly towels: ReadonlyMap<TowelRole, number>;
  /** mL by the name of the product. */
  readonly products: ReadonlyMap<string, number>;
}

/** Ways that a planned job may go, one for each asking; by a hand as it is today, or by one that is drawn as well. */
export function jobDraws(job: Job, plan: Plan, random: Draws): (today?: Today) => JobDraw {
  const context = contextOf(job);
  const chance = new JobSampler(context, plan, random);
  const drunk = drinking(plan, context);
  return (today) => {
    const draw = chance.draw(today);
    const products = new Map<string, number>();
    for (const { content, fills, chargeMl, productName, productMl, makeMl } of plan.mix.mixes) {
      if (!productName || content === 'rinse' || fills.length === 0) continue;
      const ml = (takenOf(content, draw, drunk) + chargeMl) * (productMl / Math.max(1e-9, makeMl));
      products.set(productName, (products.get(productName) ?? 0) + ml);
    }
    return { minutes: draw.minutes, litres: litresOf(draw, plan, drunk), towels: draw.towels, products };
  };
}

/**
 * What to carry: a thousand draws of soil (seen to a third, forecast to a factor of two), of how
 * much liquid this hand uses and of its pace, each worked out like the plan. A day’s load is the
 * quantile of the sum, not the sum of quantiles. The order of work, and waiting, are the plan’s.
 */
export function* packingListOf(job: Job, plan: Plan): Study<PackingList> {
  const context = contextOf(job);
  const { confidence } = context.a;
  const chance = new JobSampler(context, plan, draws(SEED));
  const all: Draw[] = [];
  for (let n = 1; n <= DRAWS; n++) {
    all.push(chance.draw());
    if (n % SLICE === 0) yield n / DRAWS;
  }
  const minutes = all.map((draw) => draw.minutes);
  const drunk = drinking(plan, context);
  return {
    confidence,
    towels: towelsOf(all, plan, confidence),
    mixes: mixesOf(all, plan, context, drunk),
    litres: enough(
      all.map((draw) => litresOf(draw, plan, drunk)),
      confidence,
    ),
    minutes: enough(minutes, confidence),
    inTime: shareOf(minutes, job.site.minutes),
  };
}
