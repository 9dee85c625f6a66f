import { type Air, type Climate, LATENT, climateOf } from './air';

/** Heat capacity of water, J/gK; a film of 1 µm is 1 g/m². */
const WATER = 4.186;
/** Longest that a film is followed, s: work on a panel is long over by then. */
const HORIZON_S = 3600;
/** What one step may change: halving these moves the time by less than 1 % (tested). */
const FILM_STEP_UM = 6;
const DEGREE_STEP = 0.5;
const LONGEST_STEP_S = 20;
/** Film below which a panel is dry, µm. */
const DRY_UM = 1e-3;

/** A panel with what is laid on it. */
export interface Wetting {
  readonly air: Air;
  /** Of the skin, J/m²K. */
  readonly heatCapacity: number;
  readonly appliedUm: number;
  readonly holdUpUm: number;
  readonly liquidC: number;
  /** Read off with a thermometer; null takes the steady temperature. */
  readonly panelReadingC: number | null;
}

/**
 * Temperature at which a dry panel gains as much heat as it loses, °C. By bisection: the balance
 * falls with temperature.
 */
export function steadyPanelC(air: Air): number {
  const { heatGain } = climateOf(air);
  let [low, high] = [-90, 200];
  for (let i = 0; i < 45; i++) {
    const middle = (low + high) / 2;
    if (heatGain(middle) > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Skin and liquid share their heat at once; what then runs off has left its own behind. */
export function startC({ heatCapacity, appliedUm, liquidC, panelReadingC, air }: Wetting): number {
  const panelC = panelReadingC ?? steadyPanelC(air);
  const water = WATER * appliedUm;
  return (heatCapacity * panelC + water * liquidC) / (heatCapacity + water);
}

/**
 * Where in its last step, as a share of it, a value reaches nothing: on the parabola through both
 * of its ends that starts with the slope it had there.
 * @param slope change over the whole step, had it gone on as it began
 */
function endWithin(before: number, after: number, slope: number): number {
  const bend = after - before - slope;
  const root = Math.sqrt(Math.max(0, slope * slope - 4 * bend * before));
  return (2 * before) / (root - slope);
}

const stepFor = (umPerS: number, degreesPerS: number, fineness: number): number =>
  Math.min(
    LONGEST_STEP_S,
    FILM_STEP_UM / Math.max(1e-9, -umPerS),
    DEGREE_STEP / Math.max(1e-9, Math.abs(degreesPerS)),
  ) / fineness;

/** What is followed until it has fallen to nothing. */
type Falling = 'film' | 'warmth';

/**
 * Follows a film by the midpoint rule: (C + 4.186·h)·dT/dt = gain − L·E, dh/dt = −1000·E. Plain
 * numbers in the loop: it runs for every film on every panel of a plan.
 * @returns seconds until it has fallen to nothing, to a fraction of the last step; null when it does not within the hour
 */
function follow(wetting: Wetting, falling: Falling, fineness: number): number | null {
  const { heatCapacity, appliedUm, holdUpUm } = wetting;
  const { evaporation, heatGain }: Climate = climateOf(wetting.air);
  let um = Math.min(appliedUm, holdUpUm);
  let panelC = startC(wetting);
  let time = 0;
  let before = falling === 'film' ? um - DRY_UM : panelC;
  while (time < HORIZON_S) {
    if (before <= 0) return time;
    const leaves = evaporation(panelC);
    const warms = (heatGain(panelC) - LATENT * leaves) / (heatCapacity + WATER * um);
    const step = stepFor(-1000 * leaves, warms, fineness);
    // Below zero on the last step, so that the end can be found within it.
    const [midUm, midC] = [um - 500 * leaves * step, panelC + (warms * step) / 2];
    const midLeaves = evaporation(midC);
    um -= 1000 * midLeaves * step;
    panelC += ((heatGain(midC) - LATENT * midLeaves) / (heatCapacity + WATER * Math.max(0, midUm))) * step;
    const after = falling === 'film' ? um - DRY_UM : panelC;
    if (after <= 0) return time + step * endWithin(before, after, (falling === 'film' ? -1000 * leaves : warms) * step);
    before = after;
    time += step;
    um = Math.max(0, um);
  }
  return null;
}

/** A panel and its film after some time. */
export interface Later {
  readonly panelC: number;
  readonly filmUm: number;
  /** What has gone into the air. */
  readonly airUm: number;
}

/** Most that stands on a panel so many seconds after it was laid, µm. */
export type Held = (seconds: number) => number;

/**
 * A panel with what is laid on it, so many seconds later: once the film is gone it warms as a dry one.
 * @param held what runs off by and by is not there to dry; a mix clings
 */
export function later(wetting: Wetting, seconds: number, held: Held = () => Infinity): Later {
  const { heatCapacity, appliedUm, holdUpUm } = wetting;
  const { evaporation, heatGain }: Climate = climateOf(wetting.air);
  let [um, panelC, time, airUm] = [Math.min(appliedUm, holdUpUm, held(0)), startC(wetting), 0, 0];
  while (time < seconds) {
    const leaves = um > DRY_UM ? evaporation(panelC) : 0;
    const warms = (heatGain(panelC) - LATENT * leaves) / (heatCapacity + WATER * um);
    const step = Math.min(seconds - time, stepFor(-1000 * leaves, warms, 1));
    const midC = panelC + (warms * step) / 2;
    const midLeaves = um > DRY_UM ? Math.min(evaporation(midC), um / 1000 / step) : 0;
    panelC += ((heatGain(midC) - LATENT * midLeaves) / (heatCapacity + WATER * um)) * step;
    time += step;
    const leftUm = Math.max(0, um - 1000 * midLeaves * step);
    airUm += um - leftUm;
    um = Math.min(leftUm, held(time));
  }
  return { panelC, filmUm: um, airUm };
}

/**
 * Seconds until the film has dried by itself, counted from the spray; null when it stays wet for
 * an hour and more.
 * @param fineness 2 takes steps half as long, to see that it makes no odds
 */
export const openTimeS = (wetting: Wetting, fineness = 1): number | null => follow(wetting, 'film', fineness);

/**
 * Seconds of work before the film that is held freezes; 0 when it slushes at once, null when it
 * dries first or stays above freezing.
 * @param slushC at or below this the liquid slushes as it lands
 */
export function freezeTimeS(wetting: Wetting, slushC: number): number | null {
  if (startC(wetting) <= slushC) return 0;
  const dries = openTimeS(wetting);
  const freezes = follow(wetting, 'warmth', 1);
  return freezes !== null && (dries === null || freezes < dries) ? freezes : null;
}

/** Temperature that the liquid must have for the film to start at or above `atLeastC`, °C. */
export const leastLiquidC = (wetting: Wetting, atLeastC: number): number => {
  const panelC = wetting.panelReadingC ?? steadyPanelC(wetting.air);
  return atLeastC + (wetting.heatCapacity * (atLeastC - panelC)) / (WATER * wetting.appliedUm);
};

/** Coldest panel on which the liquid still starts at or above `atLeastC`, °C. */
export const coldestPanelC = ({ heatCapacity, appliedUm, liquidC }: Omit<Wetting, 'air'>, atLeastC: number): number =>
  atLeastC - (WATER * appliedUm * (liquidC - atLeastC)) / heatCapacity;
