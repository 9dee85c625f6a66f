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

const forecastTable = {
  shedDays: practice(40, 'days', 1, 400, 'Time in which wind and rain shed two thirds of the soil'),
  airCoast: practice(0.08, 'g/m² a day', 0, 5, 'Falls from the air on a level panel at the coast'),
  airTown: practice(0.15, 'g/m² a day', 0, 5, 'The same in town'),
  airIndustrial: practice(0.4, 'g/m² a day', 0, 5, 'The same near industry or a building site'),
  airCountry: practice(0.5, 'g/m² a day', 0, 5, 'The same in unpaved country'),
  shelterGarage: share(0.1, 'Of that under a closed roof'),
  shelterDeck: share(0.4, 'Of that on a deck or under a carport'),
  shelterStreet: share(1, 'Of that on the street'),
  uprightShare: share(0.3, 'Of that on an upright panel'),
  roadDry: practice(0.15, 'g/m² a 100 km', 0, 50, 'Thrown up on upper sides’ reference by dry asphalt'),
  roadWet: practice(1.2, 'g/m² a 100 km', 0, 50, 'The same by wet asphalt'),
  roadSalted: practice(4, 'g/m² a 100 km', 0, 50, 'The same by a salted winter road'),
  roadUnpaved: practice(5, 'g/m² a 100 km', 0, 50, 'The same by an unpaved road'),
  throwRoof: judged(0.1, '', 0, 10, 'Road dirt on roof and boot lid, against the reference'),
  throwBonnet: judged(0.4, '', 0, 10, 'Road dirt on bonnet and windscreen'),
  throwUpper: judged(0.3, '', 0, 10, 'Road dirt on upper sides and side glass'),
  throwLower: judged(1.5, '', 0, 10, 'Road dirt on lower sides'),
  throwSill: judged(2.5, '', 0, 10, 'Road dirt on sills'),
  throwFront: judged(1, '', 0, 10, 'Road dirt on the front'),
  throwRear: judged(0.9, '', 0, 10, 'Road dirt on the rear face'),
  throwWake: judged(1.8, '', 0, 10, 'The same where a steep tail draws it up'),
  throwWheel: judged(3, '', 0, 20, 'Road dirt on wheels, tyres and arches'),
  throwShut: judged(0.2, '', 0, 10, 'Road dirt in door shuts'),
  spreadSeen: judged(1.3, '×', 1, 5, 'Soil seen by eye is right within this factor'),
  soilPace: judged(1, '×', 0.1, 10, 'How fast this car gets dirty, against all figures above'),
  spreadForecast: judged(2, '×', 1, 10, 'Soil that is only forecast is right within this factor'),
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
  foamFilmMore: practice(8, 'µm', 0, 50, 'Lifting foam over a waterless film'),
  cordlessFilm: practice(2000, 'µm', 500, 8000, 'Cordless wand, 2 to 4 L/m²'),
  mainsFilm: practice(3000, 'µm', 500, 8000, 'Mains pressure wand, 2 to 4 L/m²'),
  bayFilm: practice(4000, 'µm', 500, 12000, 'Lance of a self-serve bay'),
  steamFilm: judged(50, 'µm', 5, 300, 'Water that steam leaves on a seam'),
  steamC: practice(90, '°C', 60, 100, 'Steam as it meets the panel'),
  hotHoldMin: judged(20, 'min', 0, 120, 'A filling of hot water is used up within this time'),
  vesselLoss: judged(9, 'W/m²K', 1, 30, 'Heat that a vessel’s wall loses to the air'),
  filmHotPerK: judged(0.02, 'per K', 0, 0.2, 'More film for each degree of the panel above warm'),
  filmHotFromC: judged(28, '°C', 10, 50, 'A panel is warm from here'),
  filmColdPerK: judged(0.02, 'per K', 0, 0.2, 'Less film for each degree of the air below cool'),
  filmColdFromC: judged(14, '°C', 0, 30, 'A room or a day is cool below'),
  filmColdLeast: judged(0.7, '', 0.3, 1, 'Least share of the film that cold leaves'),
  sprayThin: judged(0.75, '', 0.3, 1, 'Film of the thin school, against common practice'),
  sprayLiberal: judged(1.5, '', 1, 3, 'Film of the liberal school, against common practice'),
  diffuseClear: practice(0.1, '', 0, 1, 'Share of a clear day’s sun that comes from the whole sky'),
  inSunWm2: judged(100, 'W/m²', 0, 1000, 'A panel is in the sun from here: no solvent, and nothing for the shade-only school'),
  groundReflects: practice(0.2, '', 0, 1, 'Sun that the ground throws back'),
  adviceHotC: judged(32, '°C', 15, 60, 'A hottest panel above it speaks for a weaker mix'),
  adviceCoolC: judged(14, '°C', -10, 30, 'Air below it speaks for a stronger mix'),
  adviceHeavy: judged(4, 'g/m²', 0, 50, 'Mean load above it speaks for a stronger mix'),
  adviceLight: judged(1, 'g/m²', 0, 50, 'Mean load below it speaks for a weaker mix'),
  adviceStep: share(0.3, 'Each reason moves the strength by so much of the label’s band, in ratio'),
  reachM: judged(1.75, 'm', 1, 3, 'Roofs above it are out of reach from the ground'),
  stepsSlope: judged(0.05, '', 0, 0.3, 'Steps stand on ground that falls no more than this'),
  matSlope: judged(0.03, '', 0, 0.3, 'A capture mat holds water on ground that falls no more than this'),
  windowShare: judged(0.6, '', 0.1, 1, 'Of the open time: what is left is margin'),
  bodyWait: judged(480, 's', 60, 3600, 'A body that is dried at the end stays wet this long'),
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
  flushCordless: share(0.75, 'Share of the load a cordless wand takes off'),
  flushCordlessSalt: share(0.9, 'Share of salt a cordless wand takes off'),
  flushMains: share(0.85, 'Share of the load a pressure wand takes off'),
  flushMainsSalt: share(0.94, 'Share of salt a pressure wand takes off'),
  flushSteam: share(0.7, 'Share of the load that steam takes off seams'),
  kappaFoam: share(0.8, 'Most that lifting foam encapsulates'),
  kappaWaterless: share(0.7, 'Most that waterless encapsulates'),
  kappaPresoak: share(0.8, 'Most that a rinseless pre-soak encapsulates'),
  kappaWash: share(0.5, 'Encapsulation by the wash medium alone, at once'),
  strengthCurve: judged(1.6, '', 0.1, 10, 'How soon more concentrate stops helping: encapsulation against strength'),
  strengthMost: judged(1.1, '', 1, 2, 'Most that a strong mix encapsulates, against the label’s strength'),
  tauWaterless: judged(20, 's', 1, 600, 'Time constant of waterless encapsulation'),
  tauFoam: judged(40, 's', 1, 600, 'Time constant of foam encapsulation'),
  tauPresoak: judged(120, 's', 1, 600, 'Time constant of pre-soak encapsulation'),
  dwellWaterless: practice(20, 's', 0, 300, 'Dwell of a waterless spray'),
  dwellFoam: practice(60, 's', 0, 300, 'Dwell of a lifting foam'),
  dwellShort: judged(0.5, '', 0.05, 1, 'Dwell of the short school, against common practice'),
  dwellLong: judged(2, '', 1, 5, 'Dwell of the long school, at most five minutes'),
  dwellPresoak: practice(300, 's', 0, 600, 'Dwell of a rinseless pre-soak'),
  lubricityGrain: judged(0.5, '', 0.1, 5, 'Share of a grain that the film must reach to carry it'),
  lubricityMost: share(0.9, 'Most of the scratching that lubrication takes away'),
  pressureMitt: judged(0.7, '', 0.1, 3, 'Plush mitt under its own weight'),
  pressureRolled: judged(0.9, '', 0.1, 3, 'Rolled, pre-soaked towel'),
  pressureFlat: judged(1, '', 0.1, 3, 'Flat towel'),
  pressureScrub: judged(0.9, '', 0.1, 5, 'A soft, lubricated brush on wheels and in recesses'),
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
  towelRewetMl: judged(100, 'mL', 0, 1000, 'Solution poured from a cup when a pre-soaked towel is wetted again'),
} as const;

const timeTable = {
  rateTriggerSpray: practice(6, 's/m²', 0.5, 120, 'Trigger spray'),
  ratePumpSpray: practice(3, 's/m²', 0.5, 120, 'Pump spray'),
  rateFoam: practice(4, 's/m²', 0.5, 120, 'Foam from a pump foamer'),
  rateRolled: judged(1.15, '', 0.5, 3, 'Time of a rolled towel, against a flat one'),
  rateBrush: judged(0.7, '', 0.2, 2, 'Time of a piece with a brush, against without'),
  rateWand: practice(10, 's/m²', 0.5, 120, 'A wand is never swept faster than this'),
  rateSteam: practice(40, 's/m²', 0.5, 300, 'Steam along seams'),
  dwellInsects: practice(60, 's', 0, 900, 'Insects soften before they are lifted'),
  dwellDroppings: practice(120, 's', 0, 900, 'Droppings soften before they are lifted'),
  dwellSap: practice(60, 's', 0, 900, 'Solvent works on sap'),
  dwellTar: practice(60, 's', 0, 900, 'Solvent works on tar'),
  solventMaxC: practice(30, '°C', 0, 60, 'Warmest panel for a solvent on sap or tar'),
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
  walking: practice(0.15, '', 0, 1, 'Added for folding, fetching and small steps'),
  walkingDistance: judged(0.6, 'm', 0.2, 2, 'Distance from the car when walking round it'),
  walkingSpeed: judged(1, 'm/s', 0.2, 2, 'Walking pace with vessels carried along'),
  reachDeep: judged(0.75, 'm', 0.3, 1.5, 'Depth that is reached over a level panel'),
  reachAlong: judged(1.7, 'm', 0.5, 3, 'Length of panel within reach from one place'),
  stepAside: judged(0.8, 'm', 0, 2, 'One step aside within a pass, nothing carried along'),
  passArea: judged(1.6, 'm²', 0.25, 5, 'Largest area of one pass by one person'),
  passLeast: judged(20, 's', 0, 120, 'Least handwork that is worth a pass of its own'),
  setupSpray: judged(1.5, 'min', 0, 60, 'Mix and set out a spray bottle'),
  setupBucket: judged(3, 'min', 0, 60, 'Fill, mix and set out buckets'),
  setupPump: judged(2, 'min', 0, 60, 'Mix and pump up a sprayer'),
  setupCordless: judged(3, 'min', 0, 60, 'Set out wand, battery and supply bucket'),
  setupMains: judged(5, 'min', 0, 60, 'Run hose and cable for a pressure wand'),
  setupBay: judged(12, 'min', 0, 120, 'Drive into the wash bay and back'),
  setupSteamer: judged(7, 'min', 0, 60, 'Fill and heat the steamer'),
  setupHeater: judged(8, 'min', 0, 60, 'Heat water on site'),
  presoakAhead: judged(10, 'm²', 0.5, 40, 'Most that is pre-soaked ahead of the wash'),
  foamAhead: judged(4, 'm²', 0.25, 40, 'Most that is foamed ahead of a waterless wipe: foam clings'),
  sprayAhead: judged(1.5, 'm²', 0.25, 20, 'Most that is sprayed ahead of a waterless wipe'),
  spreadUsage: judged(1.2, '×', 1, 3, 'Liquid used, and pace, are right within this factor'),
  confidence: judged(0.9, '', 0.5, 0.999, 'What is carried is enough in so many cases'),
  packing: judged(3, 'min', 0, 60, 'Pack up and bag the towels'),
  arriving: judged(3, 'min', 0, 60, 'Arriving, parking, greeting'),
  lookSeconds: judged(2, 's', 0, 60, 'Walk-round, for each zone'),
  secondLook: judged(3, 'min', 0, 60, 'Second look when all is done'),
  handover: judged(4, 'min', 0, 60, 'Handover to the client'),
} as const;

const mixTable = {
  wasteFactor: practice(1.1, '', 1, 2, 'Mix made over what the panels take'),
  batchSpray: practice(50, 'mL', 1, 1000, 'Sprayers are filled to a multiple of this'),
  batchBucket: practice(500, 'mL', 1, 5000, 'Buckets are filled to a multiple of this'),
  rinseBucket: practice(7000, 'mL', 1000, 20000, 'Plain water in one rinse bucket'),
} as const;

const laundryTable = {
  loadKg: practice(3, 'kg', 0.2, 20, 'Dry towels that are soaked and washed together'),
  soakL: practice(7.5, 'L', 1, 50, 'Warm water to soak one load in'),
  leastSoakL: judged(1.5, 'L', 0.2, 20, 'A few towels are soaked in no less than this'),
  soakMl: practice(30, 'mL', 0, 500, 'Rinseless concentrate in it'),
  towelLifeWashes: judged(150, 'washes', 5, 2000, 'A towel is past its best for paint after so many washes'),
  keepsDays: judged(14, 'days', 0, 365, 'A mix in a closed sprayer keeps so long, unless its label says less'),
} as const;

const bucketTable = {
  dipArea: practice(0.6, 'm²', 0.05, 5, 'Panel that the medium wipes before it is dipped again'),
  mediumWrung: practice(0.12, 'L', 0.01, 2, 'Liquid that wringing leaves in the medium, beside what it is to lay on the panel'),
  rinseReleases: practice(0.6, '', 0, 1, 'Share of the medium’s grit that a rinse releases'),
  guardReleases: practice(0.85, '', 0, 1, 'The same rubbed on a grit guard'),
  guardStirs: practice(0.02, '', 0, 1, 'Share of the settled grit that a dip stirs up above a guard'),
  openStirs: practice(0.4, '', 0, 1, 'The same without a guard'),
  bucketAcross: practice(0.28, 'm', 0.1, 1, 'Width of a bucket inside'),
  grainSpread: judged(0.5, '', 0, 2, 'Spread of grain sizes about the typical one (standard deviation of the logarithm)'),
  carriedMost: judged(0.05, 'g/m²', 0, 5, 'Grit from the water on a panel above which it is time for fresh water'),
  habitSpread: judged(0.2, '', 0, 1, 'Spread of release, stirring and wringing from hand to hand (standard deviation of the logarithm)'),
} as const;

export const assumptionGroups = {
  soil: soilTable,
  forecast: forecastTable,
  liquid: liquidTable,
  marring: marringTable,
  weights: weightTable,
  towels: towelTable,
  time: timeTable,
  mixing: mixTable,
  buckets: bucketTable,
  laundry: laundryTable,
} as const;

export type AssumptionGroup = keyof typeof assumptionGroups;

export const assumptionTable = {
  ...soilTable,
  ...forecastTable,
  ...liquidTable,
  ...marringTable,
  ...weightTable,
  ...towelTable,
  ...timeTable,
  ...mixTable,
  ...bucketTable,
  ...laundryTable,
} as const satisfies Record<string, AssumptionEntry>;
