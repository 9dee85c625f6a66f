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

/** Evaporation from a film, kg/m²s; never below 0: dew is left out. */
export const evaporation = (panelC: number, { airC, humidity, windMs }: Air): number =>
  Math.max(
    0,
    (heatTransfer(windMs) / LEWIS_ANALOGY) * (vapourDensity(panelC, 1) - vapourDensity(airC, humidity)),
  );

const fourth = (c: number): number => {
  const square = (c + KELVIN) * (c + KELVIN);
  return square * square;
};

/** Heat that a dry panel gains, W/m²; falls with its own temperature. */
export const heatGain = (panelC: number, air: Air): number =>
  air.absorptivity * air.sunWm2 +
  heatTransfer(air.windMs) * (air.airC - panelC) +
  EMISSIVITY * STEFAN_BOLTZMANN * (fourth(air.skyC) - fourth(panelC));
