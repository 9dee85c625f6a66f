/** What a figure may be, in the unit that it is kept in. */
export interface Bounds {
  readonly min: number;
  readonly max: number;
  /** Only whole numbers. */
  readonly whole?: true;
}

/** Figures that people type beside the forms of items: the same for a field on screen and for one in a file. */
export const bounds = {
  /** Towels of a batch, of a count. */
  towels: { min: 0, max: 10_000, whole: true },
  /** A panel as it was measured, °C. */
  panelC: { min: -40, max: 110 },
  /** A period without a wash, days, and what was driven in it, km. */
  legDays: { min: 0, max: 3650 },
  legKm: { min: 0, max: 200_000 },
  /** Water on a site or in a tank, L. */
  waterL: { min: 0, max: 5000 },
  /** Time on a site, min. */
  minutes: { min: 1, max: 1440 },
  /** Smallest mark of a measuring device, mL. */
  stepMl: { min: 0.05, max: 1000 },
  /** What is left of a mix, or counted of a product, mL. */
  countedMl: { min: 0, max: 1_000_000 },
  /** A bottle, or a volume to be mixed, mL. */
  bottleMl: { min: 1, max: 1_000_000 },
  /** On the scale, g. */
  scaleG: { min: 0, max: 1_000_000 },
  /** Caps, strokes or marks that were poured. */
  count: { min: 0, max: 1000 },
  /** Money, in whole units. */
  price: { min: 0, max: 1_000_000 },
} as const satisfies Readonly<Record<string, Bounds>>;
