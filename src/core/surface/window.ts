import type { Assumptions } from '../assumptions';
import type { Colour, Site, Zone } from '../model';
import { holdUp } from './hold-up';
import { type Wetting, freezeTimeS, openTimeS, startC, steadyPanelC } from './drying';
import { airOn, skinCapacity, skinOf } from './panel';

/** Sun on a panel between a level and a vertical one, by the cosine of its tilt. */
function sunOn({ tiltDeg }: Zone, { sunWm2 }: Site, a: Assumptions): number {
  const level = Math.max(0, Math.cos((tiltDeg * Math.PI) / 180));
  return sunWm2 * (a.sunOnVertical + (1 - a.sunOnVertical) * level);
}

/** Surfaces that do not have the paint's colour: dark rubber and plastic, clear glass, bright wheels. */
function colourOf({ surface }: Zone, paint: Colour): Colour {
  switch (surface) {
    case 'paint':
      return paint;
    case 'glass':
    case 'bright-metal':
    case 'wheel-finish':
      return 'silver';
    case 'bare-plastic':
    case 'rubber':
      return 'black';
  }
}

/** How a site's air treats the panels of one car; answers are kept, many zones ask the same. */
export interface Climate {
  /** Of the dry panel: read off, or the steady temperature. */
  panelC(zone: Zone): number;
  /** The moment that the liquid has landed. */
  landedC(zone: Zone, appliedUm: number, liquidC: number, panelC?: number): number;
  /** Seconds until a film dries by itself; null when it stays wet for hours. */
  openS(zone: Zone, appliedUm: number, liquidC: number): number | null;
  /** Seconds until it freezes; null when it does not. */
  freezeS(zone: Zone, appliedUm: number, liquidC: number): number | null;
}

/** Air warmer than this freezes nothing, and needs no reckoning. */
const NO_FROST_C = 6;

export function climateOf(site: Site, paint: Colour, a: Assumptions): Climate {
  const steady = new Map<string, number>();
  const airFor = (zone: Zone) =>
    airOn({ ...site, shaded: site.shade, sunWm2: sunOn(zone, site, a), colour: colourOf(zone, paint) }, a);
  const keyOf = ({ surface, tiltDeg }: Zone): string => `${surface}/${tiltDeg}`;
  const panelC = (zone: Zone): number => {
    if (site.panelC !== null) return site.panelC;
    const key = keyOf(zone);
    const known = steady.get(key) ?? steadyPanelC(airFor(zone));
    steady.set(key, known);
    return known;
  };
  const wettingOf = (zone: Zone, appliedUm: number, liquidC: number): Wetting => ({
    air: airFor(zone),
    heatCapacity: skinCapacity(skinOf(zone.surface), a),
    appliedUm,
    holdUpUm: holdUp(zone.tiltDeg, a),
    liquidC,
    panelReadingC: panelC(zone),
  });
  const kept = (time: (wetting: Wetting) => number | null) => {
    const known = new Map<string, number | null>();
    return (zone: Zone, appliedUm: number, liquidC: number): number | null => {
      const key = `${keyOf(zone)}/${appliedUm}/${liquidC}`;
      const found = known.get(key);
      if (found !== undefined) return found;
      const fresh = time(wettingOf(zone, appliedUm, liquidC));
      known.set(key, fresh);
      return fresh;
    };
  };
  return {
    panelC,
    landedC: (zone, appliedUm, liquidC, from) =>
      startC({ ...wettingOf(zone, appliedUm, liquidC), panelReadingC: from ?? panelC(zone) }),
    openS: kept((wetting) => openTimeS(wetting)),
    freezeS: site.airC > NO_FROST_C ? () => null : kept(freezeTimeS),
  };
}
