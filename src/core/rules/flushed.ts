import { type Flush, partsOf, type SoilKind, type Working } from '../model';
import { type Load, totalLoad } from '../soil';
import { NO_FROST_C, runoffOf, waterHeld } from '../surface';
import { type GramsPerSquareMetre, gPerM2 } from '../units';
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

/** In frost a rinse is not left to freeze, and a mist not to dry: it comes when the pass is due. */
const waitS = (kind: Flush, { a, job: { site } }: PlanningContext): number =>
  flushRules[kind].is === 'mist' ? a.mistWaitS : site.airC > NO_FROST_C ? a.rinseWaitS : a.rinseTurnWaitS;

/** What of the water still stands on the panel, and how warm that is by then. */
function whenHandsCome(
  { zone, panel }: SoiledZone,
  kind: Flush,
  filmUm: number,
  liquidC: number,
  context: PlanningContext,
) {
  const seconds = waitS(kind, context);
  const { panelC, filmUm: wetUm } = panel.later(filmUm, liquidC, seconds);
  const isCoated = zone.surface === 'paint' && context.job.vehicle.finish === 'coated';
  return { panelC, standsUm: Math.min(wetUm, waterHeld(zone.tiltDeg, isCoated, seconds, context.a)) };
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

function flushed(soiled: SoiledZone, kind: Flush, amount: RinseAmount, context: PlanningContext): Flushed {
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
  const then = wet ? whenHandsCome(soiled, kind, filmUm, liquidC, context) : { panelC: panel.panelC, standsUm: 0 };
  const runsOffMl = runoffOf(filmUm, panel.holdUpUm, zone.areaM2, a);
  // Where nothing runs off by itself, nothing is blown off either.
  const blown = runsOffMl > 0 && blows(context);
  const standsUm = then.standsUm * (blown ? 1 - a.blownOff : 1);
  return {
    flush,
    amount,
    filmUm,
    injectedMl,
    panelC: then.panelC,
    standsUm,
    strength: flush.source === 'water' ? (context.recipes.water?.relativeStrength ?? 0) : 0,
    blown,
    loads,
    loadGm2: totalLoad(loads),
    liquidC,
    landedC: wet ? panel.landedC(filmUm, liquidC) : panel.panelC,
    seconds: (flush.secondsPerM2(filmUm, context) + (blown ? a.rateBlow : 0)) * zone.areaM2,
    // A wash bay has a drain of its own; what does not stay on the panel has run off.
    runoffMl: flush.source === 'bay' || runsOffMl === 0 ? 0 : (filmUm - standsUm) * zone.areaM2,
  };
}

/** The zone after the pre-rinse of each of these treatments, by amount; each is worked out once. */
export function flushedFor(
  soiled: SoiledZone,
  context: PlanningContext,
): (treatment: Working, amount: RinseAmount) => Flushed {
  const known = new Map<string, Flushed>();
  return (treatment, amount) => {
    const { flush } = partsOf(treatment);
    const key = `${flush}/${amount}`;
    const found = known.get(key) ?? flushed(soiled, flush, amount, context);
    known.set(key, found);
    return found;
  };
}
