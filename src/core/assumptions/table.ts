/**
 * Every constant of the computation that is not a law of nature or a definition, in one place.
 *
 * origin: `measured` is published physics or engineering data; `practice` a range of common
 * practice; `judged` our own judgement, to be argued with. A job may override each one.
 * `min` and `max` bound what an override may be.
 */
export interface AssumptionEntry {
  readonly value: number;
  readonly unit: string;
  readonly origin: 'measured' | 'practice' | 'judged';
  readonly min: number;
  readonly max: number;
  readonly note: string;
}

type Origin = AssumptionEntry['origin'];

const entry =
  (origin: Origin) =>
  (value: number, unit: string, min: number, max: number, note: string): AssumptionEntry => ({
    value,
    unit,
    origin,
    min,
    max,
    note,
  });

const measured = entry('measured');
const practice = entry('practice');
const judged = entry('judged');
const share = (value: number, note: string): AssumptionEntry => judged(value, '', 0, 1, note);

const soilTable = {
  soilLevel0: practice(0.1, 'g/m²', 0, 1, 'Load of level 0, clean'),
  soilLevel1: practice(0.5, 'g/m²', 0, 5, 'Load of level 1, dust you can write in'),
  soilLevel2: practice(2, 'g/m²', 0, 10, 'Load of level 2, even film'),
  soilLevel3: practice(5, 'g/m²', 0, 20, 'Load of level 3, colour dulled'),
  soilLevel4: practice(12, 'g/m²', 0, 50, 'Load of level 4, gritty to the eye'),
  soilLevel5: practice(30, 'g/m²', 0, 200, 'Load of level 5, caked'),
  hardDust: practice(0.3, '', 0, 1, 'Hard-grit mass fraction of dust'),
  hardPollen: practice(0.1, '', 0, 1, 'Hard-grit mass fraction of pollen'),
  hardRoadFilm: practice(0.4, '', 0, 1, 'Hard-grit mass fraction of road film'),
  hardFallout: practice(0.3, '', 0, 1, 'Hard-grit mass fraction of industrial fallout'),
  hardSalt: practice(0.5, '', 0, 1, 'Hard-grit mass fraction of road salt'),
  hardGrit: practice(0.7, '', 0, 1, 'Hard-grit mass fraction of sand and grit'),
  hardMud: practice(0.6, '', 0, 1, 'Hard-grit mass fraction of mud'),
  hardBrakeDust: practice(0.5, '', 0, 1, 'Hard-grit mass fraction of brake dust'),
  grainDust: practice(20, 'µm', 1, 1000, 'Typical top grain size of dust'),
  grainPollen: practice(25, 'µm', 1, 1000, 'Typical top grain size of pollen'),
  grainRoadFilm: practice(40, 'µm', 1, 1000, 'Typical top grain size of road film'),
  grainFallout: practice(15, 'µm', 1, 1000, 'Typical top grain size of fallout'),
  grainSalt: practice(150, 'µm', 1, 1000, 'Typical top grain size of road salt'),
  grainGrit: practice(250, 'µm', 1, 2000, 'Typical top grain size of sand and grit'),
  grainMud: practice(300, 'µm', 1, 2000, 'Typical top grain size of mud'),
  grainBrakeDust: practice(60, 'µm', 1, 1000, 'Typical top grain size of brake dust'),
} as const;

const liquidTable = {
  waterlessFilmBase: practice(12, 'µm', 1, 100, 'Waterless film on a clean panel'),
  waterlessFilmPerLoad: practice(3, 'µm per g/m²', 0, 20, 'Waterless film added with the load'),
  presoakFilm: practice(35, 'µm', 5, 200, 'Film of a rinseless pre-soak'),
  wrungFilm: practice(40, 'µm', 5, 200, 'Film left by a wrung mitt or towel'),
  glassFilm: judged(10, 'µm', 1, 50, 'Film of glass cleaner for a dedicated glass finish'),
  flushFilm: practice(900, 'µm', 200, 3000, 'Pump flush, 0.6 to 1.2 L/m²'),
  holdUpVertical: practice(70, 'µm', 10, 200, 'Most that a vertical panel holds'),
  holdUpHorizontal: practice(250, 'µm', 50, 500, 'Most that a level panel holds'),
  dripAllowance: judged(10, 'µm', 0, 50, 'Excess that the towel catches at the edge: not runoff'),
  hotLiquidC: practice(60, '°C', 30, 80, 'Hot flush as it leaves the nozzle'),
  sunOnVertical: judged(0.5, '', 0, 1, 'Sun on a vertical panel, share of that on a level one'),
  windowShare: judged(0.6, '', 0.1, 1, 'Of the open time: what is left is margin'),
  leastSection: judged(0.25, 'm²', 0.05, 2, 'Smallest section that can be worked'),
  largestSection: judged(1.5, 'm²', 0.25, 5, 'Largest section that one person works at a time'),
  leastFilm: judged(5, 'µm', 1, 20, 'Below this film a panel counts as wiped dry'),
  slushC: judged(0.5, '°C', -5, 5, 'At or below this mixing temperature the liquid slushes'),
  skinSteel: measured(3100, 'J/m²K', 500, 20000, 'Heat capacity of steel skin, 0.8 mm'),
  skinAluminium: measured(2200, 'J/m²K', 500, 20000, 'Heat capacity of aluminium skin'),
  skinPlastic: measured(4500, 'J/m²K', 500, 20000, 'Heat capacity of a plastic bumper'),
  skinGlass: measured(8000, 'J/m²K', 500, 40000, 'Heat capacity of glass'),
  absorbsWhite: measured(0.3, '', 0, 1, 'Sun absorbed by white'),
  absorbsSilver: measured(0.45, '', 0, 1, 'Sun absorbed by silver'),
  absorbsMid: measured(0.7, '', 0, 1, 'Sun absorbed by a mid tone'),
  absorbsDark: measured(0.85, '', 0, 1, 'Sun absorbed by a dark colour'),
  absorbsBlack: measured(0.95, '', 0, 1, 'Sun absorbed by black'),
  skyOpen: practice(12, 'K', 0, 40, 'How much colder than the air the open sky seems'),
  skyShade: practice(3, 'K', 0, 40, 'The same under a roof or in the shade'),
} as const;

const marringTable = {
  flushPump: share(0.6, 'Share of the load a pump flush takes off'),
  flushPumpSalt: share(0.8, 'Share of salt a pump flush takes off: it dissolves'),
  flushHot: share(0.65, 'Share of the load a hot pump flush takes off'),
  flushHotSalt: share(0.85, 'Share of salt a hot pump flush takes off'),
  kappaWaterless: share(0.7, 'Most that waterless encapsulates'),
  kappaPresoak: share(0.8, 'Most that a rinseless pre-soak encapsulates'),
  kappaWash: share(0.5, 'Encapsulation by the wash medium alone, at once'),
  tauWaterless: judged(20, 's', 1, 600, 'Time constant of waterless encapsulation'),
  tauPresoak: judged(120, 's', 1, 600, 'Time constant of pre-soak encapsulation'),
  dwellWaterless: practice(20, 's', 0, 300, 'Dwell of a waterless spray'),
  dwellPresoak: practice(300, 's', 0, 600, 'Dwell of a rinseless pre-soak'),
  lubricityGrain: judged(0.5, '', 0.1, 5, 'Share of a grain that the film must reach to carry it'),
  lubricityMost: share(0.9, 'Most of the scratching that lubrication takes away'),
  pressureMitt: judged(0.7, '', 0.1, 3, 'Plush mitt under its own weight'),
  pressureRolled: judged(0.9, '', 0.1, 3, 'Rolled, pre-soaked towel'),
  pressureFlat: judged(1, '', 0.1, 3, 'Flat towel'),
  sideLoading: share(0.5, 'Mean loading of a towel side over its life'),
  sensitivitySoft: judged(0.5, '', 0.1, 20, 'Soft or jet-black paint'),
  sensitivityMatte: judged(0.6, '', 0.1, 20, 'Matte finish'),
  sensitivityClearCoat: judged(1, '', 0.1, 20, 'Ordinary clear coat'),
  sensitivityCoated: judged(1.3, '', 0.1, 20, 'Coated paint'),
  sensitivityFilmWrapped: judged(1.5, '', 0.1, 20, 'Film-wrapped paint'),
  sensitivityPlastic: judged(1, '', 0.1, 20, 'Bare plastic'),
  sensitivityMetal: judged(1.2, '', 0.1, 20, 'Bright metal'),
  sensitivityGlass: judged(4, '', 0.1, 20, 'Glass'),
  sensitivityWheel: judged(1.2, '', 0.1, 20, 'Wheel finish, taken like bright metal'),
  sensitivityRubber: judged(8, '', 0.1, 20, 'Rubber and arch liners: marks do not show'),
  limitCautious: judged(15, '', 1, 100, 'Index that the cautious school accepts'),
  limitBalanced: judged(30, '', 1, 100, 'Index that the balanced school accepts'),
  limitPermissive: judged(50, '', 1, 100, 'Index that the permissive school accepts'),
} as const;

const weightTable = {
  weightMarring: judged(1, 'per index point', 0, 100, 'Weight of the mean index in the choice'),
  weightMinute: judged(0.4, 'per minute', 0, 100, 'Weight of time in the choice'),
  weightLitre: judged(1, 'per litre', 0, 100, 'Weight of water in the choice'),
  weightCost: judged(0.5, 'per currency unit', 0, 100, 'Weight of product cost in the choice'),
  weightTowel: judged(0.3, 'per towel', 0, 100, 'Weight of towels in the choice'),
} as const;

const towelTable = {
  sideDirt: practice(30, 'g/m²', 1, 200, 'Dirt that a side takes'),
  sideAreaLight: practice(1.5, 'm²', 0.1, 10, 'Panel for one side up to 0.5 g/m²'),
  sideAreaMiddle: practice(0.8, 'm²', 0.1, 10, 'Panel for one side up to 5 g/m²'),
  sideAreaHeavy: practice(0.5, 'm²', 0.1, 10, 'Panel for one side above, and on the lower body'),
  sideLoadLight: practice(0.5, 'g/m²', 0, 5, 'Load up to which a side goes furthest'),
  sideLoadMiddle: practice(5, 'g/m²', 0, 30, 'Load up to which a side goes some way'),
  towelAbsorbs: practice(3.5, 'g per g', 1, 10, 'Liquid a towel holds per gram of fibre'),
  finishShare: judged(0.35, '', 0.05, 1, 'Of saturation: past it a finishing towel smears'),
  dryingShare: judged(0.5, '', 0.05, 1, 'Of saturation: past it a drying towel smears'),
  dirtLifted: judged(0.9, '', 0, 1, 'Share of the load that goes into the wash side'),
  washTakesSpray: judged(0.6, '', 0, 1, 'Share of a spray film the wash side takes up'),
  washTakesRinseless: judged(0.4, '', 0, 1, 'Share of a rinseless film the medium takes back'),
  towelPresoakMl: practice(150, 'mL', 0, 1000, 'Solution a pre-soaked towel drinks in the bucket'),
} as const;

const timeTable = {
  rateTriggerSpray: practice(6, 's/m²', 0.5, 120, 'Trigger spray'),
  ratePumpSpray: practice(3, 's/m²', 0.5, 120, 'Pump spray'),
  rateFlush: practice(12, 's/m²', 0.5, 120, 'Pump flush'),
  rateWipeBase: practice(10, 's/m²', 0.5, 120, 'Waterless wipe on a clean panel'),
  rateWipePerLoad: practice(1, 's/m² per g/m²', 0, 20, 'Wipe added with the load'),
  rateFinish: practice(10, 's/m²', 0.5, 120, 'Finish with a dry towel'),
  rateWash: practice(12, 's/m²', 0.5, 120, 'Rinseless wash'),
  rateDry: practice(8, 's/m²', 0.5, 120, 'Dry with a drying towel'),
  rateGlassFinish: practice(8, 's/m²', 0.5, 120, 'Dedicated glass finish'),
  wheelLight: practice(75, 's', 5, 1200, 'One wheel with tyre and arch, lightly dusted'),
  wheelHeavy: practice(240, 's', 5, 1200, 'One wheel with tyre and arch, heavily soiled'),
  wheelShareFace: judged(0.5, '', 0, 1, 'Of a wheel’s time on its face; tyre and arch share the rest'),
  shutSeconds: practice(20, 's', 1, 300, 'One door shut'),
  secondsInsects: judged(12, 's per spot', 0, 300, 'Pre-treating one insect splash'),
  secondsDroppings: judged(40, 's per spot', 0, 600, 'Pre-treating one dropping'),
  secondsSap: judged(60, 's per spot', 0, 600, 'Pre-treating one sap spot'),
  secondsTar: judged(50, 's per spot', 0, 600, 'Pre-treating one tar spot'),
  spotMl: judged(4, 'mL per spot', 0, 100, 'Liquid laid on one spot'),
  walking: practice(0.15, '', 0, 1, 'Added for walking and folding'),
  setupSpray: judged(1.5, 'min', 0, 60, 'Mix and set out a spray bottle'),
  setupBucket: judged(3, 'min', 0, 60, 'Fill, mix and set out buckets'),
  setupPump: judged(2, 'min', 0, 60, 'Mix and pump up a sprayer'),
  setupHeater: judged(8, 'min', 0, 60, 'Heat water on site'),
  presoakAhead: judged(10, 'm²', 0.5, 40, 'Most that is pre-soaked ahead of the wash'),
  sprayAhead: judged(1.5, 'm²', 0.25, 20, 'Most that is sprayed ahead of a waterless wipe'),
  stretch: judged(3, 'm²', 0.25, 40, 'Panel that one of two workers takes on at a time'),
  packing: judged(3, 'min', 0, 60, 'Pack up and bag the towels'),
} as const;

const mixTable = {
  wasteFactor: practice(1.1, '', 1, 2, 'Mix made over what the panels take'),
  batchSpray: practice(50, 'mL', 1, 1000, 'Sprayers are filled to a multiple of this'),
  batchBucket: practice(500, 'mL', 1, 5000, 'Buckets are filled to a multiple of this'),
  rinseBucket: practice(7000, 'mL', 1000, 20000, 'Plain water in one rinse bucket'),
} as const;

export const assumptionGroups = {
  soil: soilTable,
  liquid: liquidTable,
  marring: marringTable,
  weights: weightTable,
  towels: towelTable,
  time: timeTable,
  mixing: mixTable,
} as const;

export type AssumptionGroup = keyof typeof assumptionGroups;

export const assumptionTable = {
  ...soilTable,
  ...liquidTable,
  ...marringTable,
  ...weightTable,
  ...towelTable,
  ...timeTable,
  ...mixTable,
} as const satisfies Record<string, AssumptionEntry>;
