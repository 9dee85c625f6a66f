import type { Assumptions } from '../assumptions';
import type { Colour, Job, Zone } from '../model';
import { type SunPosition, sunAt, sunOnPanel } from '../sun';
import type { Air } from './air';
import {
  type Held,
  type Later,
  type Wetting,
  coldestPanelC,
  openTimeS,
  freezeTimeS,
  later,
  leastLiquidC,
  startC,
  steadyPanelC,
} from './drying';
import { holdUp, waterHeld } from './hold-up';
import { airOn, skinCapacity, skinOf } from './panel';

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

/** Above this nothing is expected to freeze on a panel within the time of a pass. */
export const NO_FROST_C = 6;

/** A panel of a surface and tilt in the air of the site; what it is asked twice it knows. */
export class Panel {
  private readonly dries = new Map<string, number | null>();
  private readonly freezes = new Map<string, number | null>();
  private readonly laters = new Map<string, Later>();

  /**
   * @param reading read off with a thermometer; null takes the steady temperature
   */
  constructor(
    private readonly air: Air,
    private readonly heatCapacity: number,
    /** Thickest film that stays. */
    readonly holdUpUm: number,
    private readonly slushC: number,
    reading: number | null,
    /** Sun that falls on it, W/m². */
    readonly sunWm2: number,
    /** What stands there of rinse water, by the seconds since, µm. */
    readonly waterHeld: Held,
    /** Of the dry panel. */
    readonly panelC = reading ?? steadyPanelC(air),
  ) {}

  /** The moment that the liquid has landed, on the dry panel or on one of another temperature. */
  landedC(appliedUm: number, liquidC: number, panelC = this.panelC): number {
    return startC(this.wetting(appliedUm, liquidC, panelC));
  }

  /** Temperature that the liquid must have for the panel not to fall below one, °C. */
  leastLiquidC(appliedUm: number, atLeastC: number): number {
    return leastLiquidC(this.wetting(appliedUm, 0), atLeastC);
  }

  /** How cold it might be for the liquid not to fall below a temperature, °C. */
  coldestC(appliedUm: number, liquidC: number, atLeastC: number): number {
    return coldestPanelC(this.wetting(appliedUm, liquidC), atLeastC);
  }

  /** The panel and what is left of rinse water some seconds after it was laid: it runs off and dries. */
  rinsed(waterUm: number, waterC: number, seconds: number): Later {
    return known(this.laters, `${keyOf(waterUm, waterC, seconds)}/water`, () =>
      later(this.wetting(waterUm, waterC), seconds, this.waterHeld),
    );
  }

  /** The panel and what is left of a mix some seconds after it was laid: it clings, and dries. */
  later(appliedUm: number, liquidC: number, seconds: number, panelC = this.panelC): Later {
    return known(this.laters, `${keyOf(appliedUm, liquidC, seconds)}/${panelC}`, () =>
      later(this.wetting(appliedUm, liquidC, panelC), seconds),
    );
  }

  /** Seconds until a film dries by itself; null when it stays wet for an hour. */
  openS(appliedUm: number, liquidC: number, panelC = this.panelC): number | null {
    return known(this.dries, keyOf(appliedUm, liquidC, panelC), () =>
      openTimeS(this.wetting(appliedUm, liquidC, panelC)),
    );
  }

  /** Seconds until it freezes; null when it does not. */
  freezeS(appliedUm: number, liquidC: number, panelC = this.panelC): number | null {
    if (this.air.airC > NO_FROST_C && panelC > NO_FROST_C) return null;
    return known(this.freezes, keyOf(appliedUm, liquidC, panelC), () =>
      freezeTimeS(this.wetting(appliedUm, liquidC, panelC), this.slushC),
    );
  }

  private wetting(appliedUm: number, liquidC: number, panelC = this.panelC): Wetting {
    const { air, heatCapacity, holdUpUm } = this;
    return { air, heatCapacity, appliedUm, holdUpUm, liquidC, panelReadingC: panelC };
  }
}

/** A film, its temperature, and a third number that it depends on. */
const keyOf = (appliedUm: number, liquidC: number, third: number): string => `${appliedUm}/${liquidC}/${third}`;

function known<T>(answers: Map<string, T>, key: string, fresh: () => T): T {
  const found = answers.get(key);
  if (found !== undefined) return found;
  const value = fresh();
  answers.set(key, value);
  return value;
}

/** What decides the state of every panel of a car. */
type Parked = Pick<Job, 'site' | 'vehicle' | 'date' | 'hour' | 'readings'>;

/** Sun of less than this apart is the same sun, W/m². */
const SAME_SUN = 5;

/** The panels of a parked car; zones of one surface and tilt in the same sun share theirs. */
export function panelsOf(zones: readonly Zone[], job: Parked, a: Assumptions): ReadonlyMap<Zone, Panel> {
  const sun = sunAt(job.site, job.date, job.hour);
  const shared = new Map<string, Panel>();
  return new Map(
    zones.map((zone) => {
      const sunWm2 = Math.round(sunOn(zone, job, sun, a) / SAME_SUN) * SAME_SUN;
      const reading = job.readings[zone.id] ?? job.site.panelC;
      const key = `${zone.surface}/${zone.tiltDeg}/${sunWm2}/${reading}`;
      const panel = shared.get(key) ?? panelFor(zone, job, sunWm2, reading, a);
      shared.set(key, panel);
      return [zone, panel];
    }),
  );
}

const sunOn = ({ tiltDeg, facingDeg }: Zone, { site }: Parked, sun: SunPosition, a: Assumptions): number =>
  sunOnPanel({ tiltDeg, azimuthDeg: site.headingDeg + facingDeg }, site.sunWm2, sun, site.shade, a);

const panelFor = (
  zone: Zone,
  { site, vehicle }: Parked,
  sunWm2: number,
  reading: number | null,
  a: Assumptions,
): Panel =>
  new Panel(
    airOn({ ...site, shaded: site.shade, sunWm2, colour: colourOf(zone, vehicle.colour) }, a),
    skinCapacity(skinOf(zone.surface), a),
    holdUp(zone.tiltDeg, a),
    a.slushC,
    reading,
    sunWm2,
    (seconds) => waterHeld(zone.tiltDeg, zone.surface === 'paint' && vehicle.finish === 'coated', seconds, a),
  );
