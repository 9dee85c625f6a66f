import type { Assumptions } from '../assumptions';
import type { Colour, Finish, Approach, SoilKind, Surface, Vehicle } from '../model';
import { type Load, grainOf, hardShareOf } from '../soil';
import type { Micrometres } from '../units';

/** What the index depends on for one zone under one treatment. */
export interface Contacting {
  /** Loads when the wipe begins, after any flush. */
  readonly loads: readonly Load[];
  /** Film when the wipe begins. */
  readonly film: Micrometres;
  /** Share of the grit that the product holds in suspension, 0 to 1. */
  readonly encapsulation: number;
  /** 1 is a flat towel under the hand. */
  readonly pressure: number;
  /** How full the wiping side is, 0 to 1. */
  readonly sideLoading: number;
  /** 1 is ordinary clear coat; more takes more. */
  readonly sensitivity: number;
}

/** One deposit's share in the exposure, with the factors it was made of. */
interface MarringTerm {
  readonly kind: SoilKind;
  readonly loadGm2: number;
  readonly hardShare: number;
  readonly grainUm: number;
  readonly lubrication: number;
  readonly exposure: number;
}

export interface Marring {
  /** 0 to 100. A relative index of ours, not a measurement. */
  readonly index: number;
  readonly terms: readonly MarringTerm[];
}

/** Share of a grain's scratching that a film of this thickness takes away, 0 to 1. */
export const lubrication = (film: Micrometres, grain: Micrometres, a: Assumptions): number =>
  1 - Math.exp(-film / (a.lubricityGrain * grain));

/**
 * Risk of marring the surface by wiping it now: x = Σ f·G'·(1−κ)·(1−0.9ℓ)·p·(1+q²)/s over the
 * deposits, index = 100·(1 − e^(−x)). Our own judgement of how the causes act together, checked
 * against practice; it never falls when there is more or coarser grit, less film, more pressure,
 * a fuller side or a softer finish.
 */
export function marringIndex(c: Contacting, a: Assumptions): Marring {
  const common = ((1 - c.encapsulation) * c.pressure * (1 + c.sideLoading * c.sideLoading)) / c.sensitivity;
  const terms = c.loads.map(({ kind, loadGm2 }): MarringTerm => {
    const [hardShare, grain] = [hardShareOf(kind, a), grainOf(kind, a)];
    const carried = lubrication(c.film, grain, a);
    return {
      kind,
      loadGm2,
      hardShare,
      grainUm: grain,
      lubrication: carried,
      exposure: hardShare * loadGm2 * common * (1 - a.lubricityMost * carried),
    };
  });
  const exposure = terms.reduce((sum, term) => sum + term.exposure, 0);
  return { index: 100 * (1 - Math.exp(-exposure)), terms };
}

function finishSensitivity(finish: Finish, colour: Colour, a: Assumptions): number {
  switch (finish) {
    case 'soft':
      return a.sensitivitySoft;
    case 'matte':
      return a.sensitivityMatte;
    case 'clear-coat':
      // Every haze shows on black: it is judged like soft paint.
      return colour === 'black' ? a.sensitivitySoft : a.sensitivityClearCoat;
    case 'coated':
      return a.sensitivityCoated;
    case 'film-wrapped':
      return a.sensitivityFilmWrapped;
  }
}

/** How much wiping a surface takes before it shows; 1 is ordinary clear coat. */
export function sensitivityOf(surface: Surface, vehicle: Vehicle, a: Assumptions): number {
  switch (surface) {
    case 'paint':
      return finishSensitivity(vehicle.finish, vehicle.colour, a);
    case 'glass':
      return a.sensitivityGlass;
    case 'bright-metal':
      return a.sensitivityMetal;
    case 'bare-plastic':
      return a.sensitivityPlastic;
    case 'wheel-finish':
      return a.sensitivityWheel;
    case 'rubber':
      return a.sensitivityRubber;
  }
}

/** The highest index an approach accepts on any zone. */
export function limitOf(approach: Approach, a: Assumptions): number {
  switch (approach) {
    case 'cautious':
      return a.limitCautious;
    case 'balanced':
      return a.limitBalanced;
    case 'permissive':
      return a.limitPermissive;
  }
}
