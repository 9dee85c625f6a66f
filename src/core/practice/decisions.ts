import { randomLcg } from 'd3-random';
import { newItem, newJob } from '../edit';
import {
  type Job,
  type LibraryEntry,
  type SoilKind,
  type SoilLevel,
  type SoilMap,
  type Try,
  bodies,
  cleanlinessOf,
  colours,
  finishes,
} from '../model';
import { type Plan, planJob } from '../planning';
import { type DealTask, dealingOf } from './dealing';
import { celsius } from '../units';
import { defaultDimensions, zonesIn } from '../vehicle';
import { type AnswerReason, answerReasons } from '../views';
import { isRinsed } from '../rules';

export const decisions = ['waterless', 'rinseless', 'pre-rinse', 'not-today'] as const;
export type Decision = (typeof decisions)[number];

/** A kind of case; its figures are drawn anew each time. */
interface Family {
  readonly upper: readonly [SoilKind, SoilLevel];
  readonly lower: readonly [SoilKind, SoilLevel];
  readonly airC: number;
  readonly shade: boolean;
  readonly runoff: Job['site']['runoff'];
  readonly waterL: number;
  readonly sprayer: boolean;
}

const families = {
  dusty: {
    upper: ['dust', 1],
    lower: ['dust', 1],
    airC: 18,
    shade: true,
    runoff: 'forbidden',
    waterL: 10,
    sprayer: true,
  },
  filmed: {
    upper: ['road-film', 2],
    lower: ['road-film', 3],
    airC: 16,
    shade: true,
    runoff: 'allowed',
    waterL: 30,
    sprayer: true,
  },
  salted: {
    upper: ['road-film', 2],
    lower: ['salt', 4],
    airC: 3,
    shade: true,
    runoff: 'captured',
    waterL: 40,
    sprayer: true,
  },
  gritty: {
    upper: ['dust', 2],
    lower: ['grit', 3],
    airC: 20,
    shade: true,
    runoff: 'allowed',
    waterL: 40,
    sprayer: true,
  },
  'gritty-dry': {
    upper: ['grit', 3],
    lower: ['grit', 4],
    airC: 20,
    shade: true,
    runoff: 'forbidden',
    waterL: 8,
    sprayer: false,
  },
  muddy: {
    upper: ['mud', 4],
    lower: ['mud', 5],
    airC: 14,
    shade: true,
    runoff: 'forbidden',
    waterL: 15,
    sprayer: false,
  },
  pollen: {
    upper: ['pollen', 2],
    lower: ['dust', 2],
    airC: 21,
    shade: true,
    runoff: 'captured',
    waterL: 20,
    sprayer: true,
  },
  hot: {
    upper: ['dust', 2],
    lower: ['road-film', 2],
    airC: 34,
    shade: false,
    runoff: 'captured',
    waterL: 25,
    sprayer: true,
  },
} as const satisfies Record<string, Family>;

export type DecisionCard = keyof typeof families;
export const decisionCards = Object.keys(families) as DecisionCard[];

export interface DecisionAsked {
  readonly card: DecisionCard;
  readonly library: readonly LibraryEntry[];
  readonly date: string;
  readonly seed: number;
}

export interface DecisionCase {
  readonly card: DecisionCard;
  readonly job: Job;
  readonly upper: readonly [SoilKind, SoilLevel];
  readonly lower: readonly [SoilKind, SoilLevel];
  readonly hasSprayer: boolean;
  readonly decision: Decision;
  readonly method: Plan['method'];
  readonly reasons: readonly AnswerReason[];
}

const rinses = (plan: Plan): boolean =>
  plan.zones.some(
    ({ treatment, zone }) => treatment !== 'leave' && zone.cleanliness <= cleanlinessOf.lowers && isRinsed(treatment),
  );

const decisionIn = (plan: Plan): Decision =>
  plan.method === 'decline'
    ? 'not-today'
    : rinses(plan)
      ? 'pre-rinse'
      : plan.method === 'waterless'
        ? 'waterless'
        : 'rinseless';

/** A car at a place, with the kit of the library. */
function jobOf({ card, library, date, seed }: DecisionAsked): Job {
  const family: Family = families[card];
  const draw = randomLcg(seed);
  const any = <T>(list: readonly T[]): T => list[Math.floor(draw() * list.length)]!;
  const base = newJob(`practice-${seed}`, date, library);
  const body = any(bodies.filter((one) => one !== 'motorcycle'));
  const vehicle = {
    ...newItem.vehicle('practice-car'),
    body,
    colour: any(colours),
    finish: any(finishes.filter((one) => one !== 'film-wrapped')),
    dimensions: defaultDimensions(body),
  };
  const site = {
    ...newItem.site('practice-site'),
    shade: family.shade,
    sunWm2: family.shade ? 0 : 700,
    airC: celsius(family.airC + Math.round(4 * draw() - 2)),
    runoff: family.runoff,
    captureL: 30,
    waterL: family.waterL,
    minutes: 150,
  };
  const soil: SoilMap = Object.fromEntries(
    zonesIn({ vehicle, scope: base.scope }).map((zone) => {
      const [kind, level] = zone.cleanliness >= cleanlinessOf.lowers ? family.lower : family.upper;
      return [zone.id, { deposits: [{ kind, level }], spots: {} }];
    }),
  );
  const vessels = base.vessels.filter(({ kind }) => family.sprayer || kind !== 'pump-sprayer');
  const gear = family.sprayer
    ? base.gear
    : base.gear.filter(({ kind }) => kind !== 'cordless-wand' && kind !== 'mains-wand' && kind !== 'steamer');
  return { ...base, vehicle, vessels, gear, site, soil, since: [] };
}

/** A car and a site, and what the planner says of it, with its reasons. */
export function* decisionOf(asked: DecisionAsked): Generator<number, DecisionCase, void> {
  const { card } = asked;
  const { upper, lower, sprayer } = families[card];
  const job = jobOf(asked);
  yield 0.2;
  const plan = planJob(job);
  yield 0.9;
  return {
    card,
    job,
    upper,
    lower,
    hasSprayer: sprayer,
    decision: decisionIn(plan),
    method: plan.method,
    reasons: answerReasons(plan),
  };
}

/** A car whose towels are dealt, washed with wetted towels or waterless. */
export interface DealCase {
  readonly job: Job;
  readonly tasks: readonly DealTask[];
}

/** A lightly soiled car with the sides that its plan deals. */
export function* dealCaseOf(asked: Omit<DecisionAsked, 'card'>): Generator<number, DealCase, void> {
  const job = jobOf({ ...asked, card: asked.seed % 2 === 0 ? 'dusty' : 'filmed' });
  yield 0.2;
  const towels = { ...job, choices: { ...job.choices, bucket: 'many-towels' as const } };
  return { job: towels, tasks: dealingOf(planJob(towels)) };
}

/** Truth and answer are places in the list of decisions. */
export const decisionTry = (
  { card, decision }: Pick<DecisionCase, 'card' | 'decision'>,
  answer: Decision,
  at: number,
): Try => ({
  card,
  truth: decisions.indexOf(decision),
  answer: decisions.indexOf(answer),
  isRight: answer === decision,
  at,
});
