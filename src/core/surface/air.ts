/** Physics of wet surfaces in air. Temperatures in °C, SI otherwise. */

const KELVIN = 273.15;
/** Specific gas constant of water vapour, J/kgK. */
const VAPOUR_GAS = 461.5;
/** Density, J/kgK and Lewis number of air near room temperature. */
const AIR_DENSITY = 1.2;
const AIR_HEAT = 1005;
const LEWIS = 0.87;
/** Latent heat of evaporation, J/kg. */
export const LATENT = 2.45e6;
const STEFAN_BOLTZMANN = 5.670374419e-8;
/** Emissivity of paint, glass and plastic in the far infrared. */
const EMISSIVITY = 0.9;

/**
 * Saturation vapour pressure over water, Pa (Alduchov and Eskridge 1996, Magnus form); −40 to 50 °C
 * to a few tenths of a per cent.
 * @example saturationPa(20) // 2333.4
 */
export const saturationPa = (c: number): number => 610.94 * Math.exp((17.625 * c) / (c + 243.04));

/** Density of water vapour, kg/m³, at a relative humidity of 0 to 1. */
const vapourDensity = (c: number, humidity: number): number =>
  (saturationPa(c) * humidity) / (VAPOUR_GAS * (c + KELVIN));

/** Convective heat transfer to a panel, W/m²K, for a wind of up to about 5 m/s. */
const heatTransfer = (windMs: number): number => 5.7 + 3.8 * windMs;

/** What heat transfer is divided by for mass transfer, by the Lewis analogy, J/m³K. */
const LEWIS_ANALOGY = AIR_DENSITY * AIR_HEAT * LEWIS ** (2 / 3);

/** The air and sun that a panel stands in. */
export interface Air {
  readonly airC: number;
  /** 0 to 1. */
  readonly humidity: number;
  readonly windMs: number;
  /** What the panel sees instead of a sky. */
  readonly skyC: number;
  /** Sun that falls on the panel, W/m², and the share of it that it absorbs. */
  readonly sunWm2: number;
  readonly absorptivity: number;
}

const fourth = (c: number): number => {
  const square = (c + KELVIN) * (c + KELVIN);
  return square * square;
};

/** What an air does to panels in it; what does not depend on the panel is worked out once. */
export interface Climate {
  /** From a film, kg/m²s; never below 0: dew is left out. */
  evaporation(panelC: number): number;
  /** Of a dry panel, W/m²; falls with its own temperature. */
  heatGain(panelC: number): number;
}

export function climateOf({ airC, humidity, windMs, skyC, sunWm2, absorptivity }: Air): Climate {
  const heat = heatTransfer(windMs);
  const mass = heat / LEWIS_ANALOGY;
  const airDensity = vapourDensity(airC, humidity);
  const sky = fourth(skyC);
  const sun = absorptivity * sunWm2;
  return {
    evaporation: (panelC) => Math.max(0, mass * (vapourDensity(panelC, 1) - airDensity)),
    heatGain: (panelC) => sun + heat * (airC - panelC) + EMISSIVITY * STEFAN_BOLTZMANN * (sky - fourth(panelC)),
  };
}
