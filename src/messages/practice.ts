import type {
  Deal,
  Decision,
  InHand,
  EyeCurve,
  MixingTask,
  MixingTwist,
  PanelAngle,
  PanelLight,
  PouringOrder,
} from '@esmero/core';
import type { Drill, SoilKind, SoilLevel } from '@esmero/model';
import { worded } from './english';
import { type Units, fixed } from './units';
import { levelName, readingName, soilName } from './words';

export const drillName: Readonly<Record<Drill, string>> = worded({
  panels: 'Judge the soil',
  mixing: 'Mix it right',
  towels: 'Towel sides',
  decisions: 'Wash it or not?',
});

export const drillLead: Readonly<Record<Drill, string>> = worded({
  panels: 'A piece of a panel, in some light. Say what lies on it, and how much.',
  mixing: 'A label, a cap and a vessel, against the clock. The error in the bucket counts.',
  towels:
    'Wash a car with your kit, panel after panel: wipe on, turn the towel, or take another? Checked against the towel plan.',
  decisions: 'A car and a place: waterless, rinseless, pre-rinse, or not today? The planner says why.',
});

const panelLightName: Readonly<Record<PanelLight, string>> = worded({
  sun: 'in the sun',
  cloud: 'under cloud',
  shade: 'in the shade',
  lamp: 'under a lamp',
});
const panelAngleName: Readonly<Record<PanelAngle, string>> = worded({
  square: 'square on',
  slanting: 'from a step away',
  low: 'low along it',
});

export const dealName: Readonly<Record<Deal, string>> = worded({ same: 'Wipe on', turn: 'Turn it', new: 'New towel' });
export const decisionName: Readonly<Record<Decision, string>> = worded({
  waterless: 'Waterless',
  rinseless: 'Rinseless',
  'pre-rinse': 'Pre-rinse first',
  'not-today': 'Not today',
});
export const pourName: Readonly<Record<PouringOrder, string>> = worded({
  water: 'Water first',
  product: 'Product first',
});

const mixing = {
  asked: ({ label, reading, volumeMl, inItMl }: MixingTask, u: Units): string => {
    const strength = readingName[reading].replace('N', label);
    return inItMl > 0
      ? `Fill up to ${u.volume(volumeMl)}, ${strength}. ${u.volume(inItMl)} of the same mix is in it.`
      : `Make ${u.volume(volumeMl)}, ${strength}.`;
  },
  cap: ({ capMl, labelCapMl }: MixingTask, u: Units): string =>
    labelCapMl === null
      ? `Your cap holds ${u.volume(capMl)}.`
      : `Your cap holds ${u.volume(capMl)}; the label speaks of caps of ${u.volume(labelCapMl)}.`,
  twist: { plain: '', 'other-cap': 'Mind the cap.', 'topping-up': 'Mind what is in it.' } satisfies Readonly<
    Record<MixingTwist, string>
  >,
};

/** Practice for the eye and the hands. */
export const practiceText = worded({
  lead: 'Ten minutes a day. What you miss comes back soon, what you know comes back late.',
  standing: (due: number, fresh: number, held: number): string =>
    `${due === 0 ? 'Nothing due' : `${due} due`}, ${fresh === 0 ? 'nothing new' : `${fresh} new`}, ${held} held for a week or more`,
  left: (seconds: number): string =>
    `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')} left`,
  over: 'Ten minutes are over. Stop here, or finish the round.',
  score: (right: number, all: number): string => (all === 0 ? '' : `${right} of ${all} right · `),
  lately: (right: number, all: number): string => `lately ${right} of ${all} right`,
  panelSeen: (light: PanelLight, angle: PanelAngle, paint: string): string =>
    `${paint} paint ${panelLightName[light]}, ${panelAngleName[angle]}; 30 cm across`,
  panelTruth: (kind: SoilKind, level: SoilLevel, load: string): string =>
    `It is ${soilName[kind]}, level ${level} (${levelName[level]}): ${load}.`,
  panelOff: (ratio: number): string =>
    ratio > 1.15
      ? `You gave ${fixed(ratio, 1)} times as much.`
      : ratio < 0.87
        ? `You gave ${fixed(100 * (1 - ratio))} % less.`
        : 'You gave just about that.',
  ...mixing,
  mixTruth: (task: MixingTask, u: Units): string =>
    `${u.volume(task.productMl)} of product (${fixed(task.productMl / task.capMl, 1)} of your caps) for ${u.volume(task.volumeMl - task.inItMl)} of new mix: 1 to ${fixed(task.notations.waterParts, task.notations.waterParts < 20 ? 1 : 0)}.`,
  mixOff: (error: number): string =>
    Math.abs(error) < 0.01
      ? 'The mix is right.'
      : `The mix is ${fixed(Math.abs(100 * error))} % too ${error > 0 ? 'strong' : 'weak'}.`,
  waterFirst: 'Water goes in first: product first foams, and what is measured is foam.',
  took: (seconds: number): string => `It took ${fixed(seconds)} s.`,
  hand: (inHand: InHand | null): string =>
    inHand === null
      ? 'There is no towel in your hand yet.'
      : `Towel ${inHand.towel}, side ${inHand.side} of ${inHand.fold}, ${fixed(100 * inHand.fullness)} % full.`,
  dealTruth: (deal: Deal, towel: number, side: number): string => `${dealName[deal]}: towel ${towel}, side ${side}.`,
  allDealt: 'The car is done.',
  noCar: 'Your kit has no wash towels: put some into the library.',
  sampled: (car: string): string => `The car: ${car}`,
  curve: ({ tries, factor, spread }: EyeCurve): string => {
    if (tries < 12) return `${tries} panels judged so far. From twelve on your curve says something.`;
    const bias =
      factor > 1.08
        ? `low: there is ${fixed(100 * (factor - 1))} % more on it than you give`
        : factor < 0.93
          ? `high: there is ${fixed(100 * (1 - factor))} % less on it than you give`
          : 'even';
    return `Over ${tries} panels your eye reads ${bias}, right within a factor of ${fixed(spread, 2)}.`;
  },
  eyeUsed: 'This plan is corrected for how you judge soil.',
  sheetTitle: 'A sheet for a new helper',
  sheetAbout: 'What lies on a panel, how it is mixed, how towels are turned, and when the answer is no.',
});

/** What a new helper is to know, from the figures that the plan rests on. */
export interface HelperFigures {
  readonly levels: readonly { readonly level: SoilLevel; readonly gm2: number }[];
  readonly kinds: readonly { readonly kind: SoilKind; readonly hard: number; readonly grainUm: number }[];
  readonly sideAreas: readonly [light: number, middle: number, heavy: number];
  readonly sideDirt: number;
}

export const helperSections = (
  { levels, kinds, sideAreas, sideDirt }: HelperFigures,
  u: Units,
): readonly { readonly title: string; readonly lines: readonly string[] }[] => [
  { title: 'Levels', lines: levels.map(({ level, gm2 }) => `${level}: ${levelName[level]}, about ${u.load(gm2)}`) },
  {
    title: 'What it is',
    lines: kinds.map(
      ({ kind, hard, grainUm }) =>
        `${soilName[kind]}: grains to ${fixed(grainUm / 1000, 2)} mm, ${fixed(100 * hard)} % of it hard enough to scratch`,
    ),
  },
  {
    title: 'Before you touch it',
    lines: worded([
      'Go low and look along the panel. Feel with a fingertip of product: a crackle is grit.',
      'Grit, mud and salt crust are rinsed first, or left. They are never wiped.',
      'A panel that is too hot for the back of your hand waits in the shade.',
    ]),
  },
  {
    title: 'Towels',
    lines: worded([
      `A side takes ${u.area(sideAreas[0])} with dust, ${u.area(sideAreas[1])} with film, ${u.area(sideAreas[2])} lower down: ${fixed(sideDirt)} g/m² in all.`,
      'A side that is left is not returned to. One that fell on the ground is out.',
      'Top to bottom: glass and roof first, sills and wheels last, wheels with towels of their own.',
    ]),
  },
  {
    title: 'Mixing',
    lines: worded([
      'Water first, then product. Label the vessel with what is in it and when.',
      '1 to 256 is 3.9 mL in a litre; 1 ounce to a gallon is 1 to 128. Measure your cap before you count in caps.',
    ]),
  },
  {
    title: 'Say no',
    lines: worded([
      'When it crackles and there is no rinse, when nothing may run off and it must be rinsed, when the panels are hot and there is no shade. Ask before you begin, not after.',
    ]),
  },
];
