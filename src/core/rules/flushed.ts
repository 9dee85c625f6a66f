import { type Flush, type MixPurpose, partsOf, type SoilKind, type Working } from '../model';
import { type Load, totalLoad } from '../soil';
import { type Later, NO_FROST_C, runoffOf } from '../surface';
import { type GramsPerSquareMetre, gPerM2 } from '../units';
import { contactRules } from './contacts';
import type { PlanningContext, SoiledZone } from './context';
import { type FlushRule, type RinseAmount, flushRules } from './flushes';

/** A zone when hands come to it after a pre-rinse: what is left on it, and what the rinse took. */
export interface Flushed {
  readonly flush: FlushRule;
  readonly amount: RinseAmount;
  /** Degreaser that a steamer injects. */
  readonly injectedMl: number;
  /** Water laid on. */
  readonly filmUm: number;
  /** Nothing comes onto it sooner after the rinse: until then it is too warm. */
  readonly settleS: number;
  /** Rinsed in its pass. */
  readonly atTurn: boolean;
  /** So little water that nobody goes away from it. */
  readonly staysBy: boolean;
  /** Of it what still stands there. */
  readonly standsUm: number;
  readonly loads: readonly Load[];
  readonly loadGm2: GramsPerSquareMetre;
  /** Temperature of the water as it lands, and of the panel right after and when hands come. */
  readonly liquidC: number;
  readonly landedC: number;
  readonly panelC: number;
  /** Of what stands there, against its label: 0 for plain water. */
  readonly strength: number;
  readonly seconds: number;
  /** With what stands there blown off. */
  readonly blown: boolean;
  readonly runoffMl: number;
}

/** Seconds between tries of how long a panel has to cool. */
const COOLING_STEP_S = 3;

/** Cooled or warmed by little water that stays: nobody goes away from it meanwhile. */
const staysBy = ({ is }: FlushRule): boolean => is === 'mist' || is === 'steam';

/** Until water has left a panel cool enough for what comes onto it, at most as long as anybody waits. */
function settledS(
  { panel }: SoiledZone,
  flush: FlushRule,
  filmUm: number,
  mostC: number,
  { a, ...context }: PlanningContext,
): number {
  if (filmUm === 0 || mostC === Infinity) return 0;
  const liquidC = flush.liquidC({ a, ...context });
  for (let seconds = 0; seconds < a.mistWaitS; seconds += COOLING_STEP_S)
    if (panel.rinsed(filmUm, liquidC, seconds).panelC <= mostC) return seconds;
  return a.mistWaitS;
}

/** Warmest panel that the labels of what comes next allow; Infinity where they are silent. */
const mostPanelC = (purposes: readonly MixPurpose[], { recipes }: PlanningContext): number =>
  Math.min(...purposes.map((purpose) => recipes[purpose]?.product.maxPanelC ?? Infinity));

/** From a rinse to what comes next: as a clock has shown it, or as it is on the mean; in frost it is not left to freeze. */
function firstWaitS(
  { zone }: SoiledZone,
  inPass: boolean,
  settleS: number,
  { a, job: { site }, rinsedS }: PlanningContext,
): number {
  const { roundS = null, inPassS = null } = rinsedS.get(zone.id) ?? {};
  if (inPass) return inPassS ?? settleS;
  return site.airC > NO_FROST_C ? (roundS ?? a.rinseWaitS) : (inPassS ?? roundS ?? a.rinseTurnWaitS);
}

/** Water runs over the zone before hands come: what has to come off again can be rinsed off. */
export const canRinseOff = ({ panel }: SoiledZone, { flush, filmUm }: Pick<Flushed, 'flush' | 'filmUm'>): boolean =>
  flush.source !== null && filmUm > panel.holdUpUm;

/** There is a blower, it is wanted, and site and neighbours bear it. */
export const blows = ({ gear: { blower }, job: { choices, site } }: PlanningContext): boolean =>
  choices.standing === 'blower' &&
  blower !== undefined &&
  (blower.batteryMin !== null || site.power) &&
  (site.noiseDb === null || blower.noiseDb <= site.noiseDb);

/** A steamer that is to inject a degreaser does so wherever its label allows it, and nothing has to be rinsed off. */
function injects({ zone, panel }: SoiledZone, kind: Flush, { job, recipes }: PlanningContext): boolean {
  const recipe = recipes.degreaser;
  if (flushRules[kind].is !== 'steam' || job.choices.steamWith !== 'product' || !recipe || recipe.use.rinseAfter)
    return false;
  const { maxPanelC, notOnSurfaces, notOnFinishes } = recipe.product;
  const allows =
    !notOnSurfaces.includes(zone.surface) && !(zone.surface === 'paint' && notOnFinishes.includes(job.vehicle.finish));
  return allows && (maxPanelC === null || panel.panelC <= maxPanelC);
}

/** When something comes onto a rinsed zone. */
export interface Coming {
  /** Seconds after the rinse; null for as soon as it may. */
  readonly waitS: number | null;
  /** It is rinsed in its pass, and the gear taken up for it. */
  readonly atTurn: boolean;
}

function flushed(
  soiled: SoiledZone,
  kind: Flush,
  amount: RinseAmount,
  settleS: number,
  waitS: number,
  atTurn: boolean,
  context: PlanningContext,
): Flushed {
  const { zone, soil, panel } = soiled;
  const { a } = context;
  const flush = flushRules[kind];
  const filmUm = flush.filmUm(amount, a);
  const wet = filmUm > 0;
  const injectedMl = injects(soiled, kind, context) ? a.steamInjects * zone.areaM2 : 0;
  const takes = (of: SoilKind): number => (injectedMl > 0 ? a.flushSteamProduct : flush.removes(of, filmUm, a));
  const loads =
    kind === 'none'
      ? soil.loads
      : soil.loads.map(({ kind: of, loadGm2 }) => ({ kind: of, loadGm2: gPerM2(loadGm2 * (1 - takes(of))) }));
  const liquidC = flush.liquidC(context);
  const then: Later = wet ? panel.rinsed(filmUm, liquidC, waitS) : { panelC: panel.panelC, filmUm: 0, airUm: 0 };
  const runsOffMl = runoffOf(filmUm, panel.holdUpUm, zone.areaM2, a);
  // Where nothing runs off by itself, nothing is blown off either.
  const blown = runsOffMl > 0 && blows(context);
  const standsUm = then.filmUm * (blown ? 1 - a.blownOff : 1);
  return {
    flush,
    amount,
    filmUm,
    settleS,
    staysBy: staysBy(flush),
    injectedMl,
    panelC: then.panelC,
    standsUm,
    strength: flush.source === 'water' ? (context.recipes.water?.relativeStrength ?? 0) : 0,
    blown,
    loads,
    loadGm2: totalLoad(loads),
    liquidC,
    landedC: wet ? panel.landedC(filmUm, liquidC) : panel.panelC,
    atTurn,
    seconds: (flush.secondsPerM2(filmUm, context) + (blown ? a.rateBlow : 0)) * zone.areaM2 + (atTurn ? a.takeUpS : 0),
    // A wash bay has a drain of its own; what neither stands on the panel nor has dried has run off.
    runoffMl: flush.source === 'bay' || runsOffMl === 0 ? 0 : (filmUm - then.airUm - standsUm) * zone.areaM2,
  };
}

/**
 * The zone after the pre-rinse of each of these treatments, by amount; each is worked out once.
 * @param coming when the next thing comes, where that is told
 */
export function flushedFor(
  soiled: SoiledZone,
  context: PlanningContext,
): (treatment: Working, amount: RinseAmount, coming?: Coming) => Flushed {
  const known = new Map<string, Flushed>();
  return (treatment, amount, coming) => {
    const { flush: kind, contact } = partsOf(treatment);
    const flush = flushRules[kind];
    const atTurn = coming?.atTurn ?? false;
    const inPass = staysBy(flush) || atTurn;
    const mostC = inPass ? mostPanelC(contactRules[contact].purposes, context) : Infinity;
    const key = `${kind}/${amount}/${mostC}/${coming?.waitS}/${atTurn}`;
    const found = known.get(key);
    if (found) return found;
    const settleS = settledS(soiled, flush, flush.filmUm(amount, context.a), mostC, context);
    const waitS = coming?.waitS ?? firstWaitS(soiled, inPass, settleS, context);
    const answer = flushed(soiled, kind, amount, settleS, waitS, atTurn, context);
    known.set(key, answer);
    return answer;
  };
}

/** A rinse of the whole car that can be left to the pass; in a wash bay all of it is rinsed. */
const canBeInPass = ({ is, source }: FlushRule): boolean => is === 'rinse' && source !== 'bay';

/** Where a clock has shown that a rinse comes too soon, the zone can be rinsed in its pass as well. */
export const rinsedInPass = ({ zone }: SoiledZone, { flush }: Flushed, { rinsedS }: PlanningContext): Coming[] =>
  canBeInPass(flush) && rinsedS.has(zone.id) ? [{ waitS: null, atTurn: true }] : [];

/** A rinse with the whole car is not done any more here. */
export const isRinsedTooSoon = ({ zone }: SoiledZone, { flush }: Flushed, { rinsedS }: PlanningContext): boolean =>
  canBeInPass(flush) && (rinsedS.get(zone.id)?.isInPassOnly ?? false);
