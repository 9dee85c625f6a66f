import type { Assumptions } from '../assumptions';
import type { Air } from './air';
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

/** Air warmer than this freezes nothing, and needs no reckoning. */
const NO_FROST_C = 6;

/** A panel of a surface and tilt in the air of the site; what it is asked twice it knows. */
export class Panel {
  private readonly opens = new Map<number, number | null>();
  private readonly freezes = new Map<number, number | null>();

  /**
   * @param reading read off with a thermometer; null takes the steady temperature
   */
  constructor(
    private readonly air: Air,
    private readonly heatCapacity: number,
    private readonly holdUpUm: number,
    private readonly slushC: number,
    reading: number | null,
    /** Of the dry panel. */
    readonly panelC = reading ?? steadyPanelC(air),
  ) {}

  /** The moment that the liquid has landed, on the dry panel or on one of another temperature. */
  landedC(appliedUm: number, liquidC: number, panelC = this.panelC): number {
    return startC({ ...this.wetting(appliedUm, liquidC), panelReadingC: panelC });
  }

  /** Seconds until a film dries by itself; null when it stays wet for an hour. */
  openS(appliedUm: number, liquidC: number): number | null {
    return known(this.opens, keyOf(appliedUm, liquidC), () => openTimeS(this.wetting(appliedUm, liquidC)));
  }

  /** Seconds until it freezes; null when it does not. */
  freezeS(appliedUm: number, liquidC: number): number | null {
    if (this.air.airC > NO_FROST_C) return null;
    return known(this.freezes, keyOf(appliedUm, liquidC), () =>
      freezeTimeS(this.wetting(appliedUm, liquidC), this.slushC),
    );
  }

  private wetting(appliedUm: number, liquidC: number): Wetting {
    const { air, heatCapacity, holdUpUm, panelC } = this;
    return { air, heatCapacity, appliedUm, holdUpUm, liquidC, panelReadingC: panelC };
  }
}

/** One number for a film and its temperature: films are under 10 mm, liquids above −100 °C. */
const keyOf = (appliedUm: number, liquidC: number): number => appliedUm + 10_000 * (liquidC + 100);

function known(answers: Map<number, number | null>, key: number, fresh: () => number | null): number | null {
  const found = answers.get(key);
  if (found !== undefined) return found;
  const value = fresh();
  answers.set(key, value);
  return value;
}

/** The panels of a car on a site; zones of one surface and tilt share theirs. */
export function panelsOf(zones: readonly Zone[], site: Site, paint: Colour, a: Assumptions): ReadonlyMap<Zone, Panel> {
  const shared = new Map<string, Panel>();
  return new Map(
    zones.map((zone) => {
      const key = `${zone.surface}/${zone.tiltDeg}`;
      const panel = shared.get(key) ?? panelFor(zone, site, paint, a);
      shared.set(key, panel);
      return [zone, panel];
    }),
  );
}

const panelFor = (zone: Zone, site: Site, paint: Colour, a: Assumptions): Panel =>
  new Panel(
    airOn({ ...site, shaded: site.shade, sunWm2: sunOn(zone, site, a), colour: colourOf(zone, paint) }, a),
    skinCapacity(skinOf(zone.surface), a),
    holdUp(zone.tiltDeg, a),
    a.slushC,
    site.panelC,
  );
