import { type Air, LATENT, evaporation, heatGain } from './air';

/** Heat capacity of water, J/gK; a film of 1 µm is 1 g/m². */
const WATER = 4.186;
/** Longest that a film is followed, s: work on a panel is long over by then. */
const HORIZON_S = 3600;
/** What one step may change: halving these moves the time by less than 1 % (tested). */
const FILM_STEP_UM = 6;
const DEGREE_STEP = 1;
const LONGEST_STEP_S = 40;
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
  let [low, high] = [-90, 200];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (heatGain(middle, air) > 0) low = middle;
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

interface Film {
  readonly um: number;
  readonly panelC: number;
}

interface Rates {
  /** µm/s, negative. */
  readonly um: number;
  /** K/s. */
  readonly panelC: number;
}

/** (C + 4.186·h)·dT/dt = gain − L·E, dh/dt = −1000·E. */
function ratesOf({ um, panelC }: Film, { air, heatCapacity }: Wetting): Rates {
  const evaporates = evaporation(panelC, air);
  return {
    um: -1000 * evaporates,
    panelC: (heatGain(panelC, air) - LATENT * evaporates) / (heatCapacity + WATER * Math.max(0, um)),
  };
}

const moved = ({ um, panelC }: Film, rates: Rates, s: number): Film => ({
  // Below zero on the last step, so that the end can be found within it.
  um: um + rates.um * s,
  panelC: panelC + rates.panelC * s,
});

const stepFor = (rates: Rates, fineness: number): number =>
  Math.min(
    LONGEST_STEP_S,
    FILM_STEP_UM / Math.max(1e-9, -rates.um),
    DEGREE_STEP / Math.max(1e-9, Math.abs(rates.panelC)),
  ) / fineness;

/**
 * Follows a film by the midpoint rule until `ends` holds.
 * @returns seconds, to a fraction of the last step by `ends` as a falling signed measure; null when
 * it does not happen within the hour
 */
function follow(wetting: Wetting, ends: (film: Film) => number, fineness: number): number | null {
  let film: Film = { um: Math.min(wetting.appliedUm, wetting.holdUpUm), panelC: startC(wetting) };
  let time = 0;
  while (time < HORIZON_S) {
    const before = ends(film);
    if (before <= 0) return time;
    const rates = ratesOf(film, wetting);
    const step = stepFor(rates, fineness);
    const next = moved(film, ratesOf(moved(film, rates, step / 2), wetting), step);
    const after = ends(next);
    if (after <= 0) return time + (step * before) / (before - after);
    film = next;
    time += step;
  }
  return null;
}

/**
 * Seconds until the film has dried by itself, counted from the spray; null when it stays wet for
 * an hour and more.
 * @param fineness 2 takes steps half as long, to see that it makes no odds
 */
export const openTimeS = (wetting: Wetting, fineness = 1): number | null =>
  follow(wetting, ({ um }) => um - DRY_UM, fineness);

/**
 * Seconds of work before the film that is held freezes; 0 when it slushes at once, null when it
 * dries first or stays above freezing.
 * @param slushC at or below this the liquid slushes as it lands
 */
export function freezeTimeS(wetting: Wetting, slushC: number): number | null {
  if (startC(wetting) <= slushC) return 0;
  const dries = openTimeS(wetting);
  const freezes = follow(wetting, ({ panelC }) => panelC, 1);
  return freezes !== null && (dries === null || freezes < dries) ? freezes : null;
}

/** Temperature that the liquid must have for the film to start at or above `atLeastC`, °C. */
export const leastLiquidC = (wetting: Wetting, atLeastC: number): number => {
  const panelC = wetting.panelReadingC ?? steadyPanelC(wetting.air);
  return atLeastC + (wetting.heatCapacity * (atLeastC - panelC)) / (WATER * wetting.appliedUm);
};
