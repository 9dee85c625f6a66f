import { type CalibrationWay } from '@esmero/model';
import {
  type Counted,
  type Gauge,
  type PictureFault,
  type ProofFault,
  type SideMeasured,
  type SideVerdict,
  type WipeMeasured,
  marksIn,
} from '@esmero/core';
import { worded } from './english';
import { fixed } from './units';
import type { Units } from './units';
import { soilName } from './words';

/** Why a picture tells nothing, and what to do. */
export const pictureFaultText: Readonly<Record<PictureFault, string>> = worded({
  'no-towel': 'No towel found. Lay it flat and whole in the picture, in even light.',
  'pale-ground': 'The ground is too pale. Lay the towel on something dark.',
  'cut-off': 'The towel runs out of the picture. Step back until its whole edge is in.',
  blurred: 'The picture is blurred. Hold still, wipe the lens, and press once more.',
  'too-bright': 'The towel is overexposed. Go into the shade, or tap on the towel before you press.',
  'too-dark': 'It is too dark. Find more light.',
  'uneven-light': 'The light falls off across the towel. Turn it towards the light, or go into the shade.',
  shadow: 'A shadow lies on the towel. Move it, or stand on the other side.',
  'no-clean-rim': 'Clean cloth must show all round the mark. Wipe with the middle of a clean side.',
  coloured: 'The mark has the colour of a product. Learn its dye first, or wipe with plain water.',
  coarse: 'That looks like grit or mud. Do not wipe it: rinse first, and mark it by eye.',
  'too-soiled': 'The mark is too dark to tell. Wipe a smaller patch with a clean side.',
});

/** No more digits than a picture is good for. */
export const roughly = (gm2: number): number => Number(gm2.toPrecision(2));

const spanOf = (low: number, high: number, u: Units): string => `${u.load(roughly(low))} and ${u.load(roughly(high))}`;

const reachText: Readonly<Record<Exclude<Gauge['reach'], null>, string>> = worded({
  inside: '',
  outside: ' This is outside of that, so it is less sure.',
  'one-load': ' Calibrate a much dirtier or cleaner patch too: one load says little about others.',
});

const basis = ({ own, others, range, reach }: Gauge, u: Units): string => {
  if (!range || !reach) return 'It rests on our judgement: this hand and cloth are not calibrated.';
  const rest =
    own > 0
      ? `It rests on ${own === 1 ? 'one calibration' : `${own} calibrations`} of this kind`
      : `It rests on ${others === 1 ? 'one calibration' : `${others} calibrations`} with other kinds`;
  const [lightest, heaviest] = range.map((one) => u.load(roughly(one)));
  const at = lightest === heaviest ? `at ${lightest}` : `from ${lightest} to ${heaviest}`;
  return `${rest}, by this hand with this cloth, ${at}.${reachText[reach]}`;
};

/** Looking through the camera. */
export const eyeText = worded({
  me: 'Me',
  simulated: 'Simulated: the towel is drawn from what this job says of the panel.',
  steps: [
    'Feel first: a crackle is grit. Then rinse, do not wipe.',
    'Mist the patch lightly. Wipe it once with the middle of a clean, white side.',
    'Lay that side flat on something dark, clean cloth all round the mark, and take a picture from above.',
  ] as readonly string[],
  stays: 'The picture stays on this device, and is dropped unless you keep it.',
  measured: ({ low, high }: WipeMeasured, u: Units): string => `Eight in ten lie between ${spanOf(low, high, u)}.`,
  likely: ({ likely }: WipeMeasured): string =>
    `Most likely ${likely
      .filter(({ share }, i) => i === 0 || share > 0.1)
      .slice(0, 2)
      .map(({ kind, share }) => `${soilName[kind]} (${fixed(Math.min(99, 100 * share))} %)`)
      .join(', then ')}, by colour and grain.`,
  basis: ({ gauge }: { readonly gauge: Gauge }, u: Units): string => basis(gauge, u),
  unreadable: 'The browser cannot read this file as a picture. Take a JPEG or PNG.',
  calibrate:
    'Weigh the dry towel before and after, over a patch large enough for the scale, or say the level that you would give the panel. Do it twice: once on a panel with little on it, once on a dirty one.',
  calibrated: (person: string, cloth: string, count: number): string =>
    `${person} with ${cloth}: ${count === 1 ? 'one calibration' : `${count} calibrations`}`,
  salt: 'Salt dissolves and hardly shows on a towel: judge it by eye.',
  way: { scale: 'weighed', levels: 'by level' } satisfies Readonly<Record<CalibrationWay, string>>,
  put: (zone: string, load: string): string => `${zone}: measured ${load}`,
  measuredSays: (load: string, spread: number): string =>
    `measured ${load}, right within a factor of ${fixed(spread, 2)}`,
});

/** What to do with the side in the hand. */
export const sideVerdictText: Readonly<Record<SideVerdict, string>> = worded({
  'go-on': 'Wipe on',
  turn: 'Turn to a clean side',
  done: 'Done: put this towel away',
});

export const sideText = worded({
  lead: 'Lay the used side flat on something dark, with a clean edge of the cloth in sight.',
  says: ({ onTowelGm2, low, high, limitGm2 }: SideMeasured): string =>
    `${fixed(onTowelGm2, 1)} g/m² on the side (${fixed(low, 1)} to ${fixed(high, 1)}); it takes ${fixed(limitGm2)}.`,
  dye: ({ dyeShare }: SideMeasured): string =>
    dyeShare < 0.02 ? '' : `${fixed(100 * dyeShare)} % of the colour is the product’s.`,
  simulated: 'Simulated: a side with some soil on it, and the dye of the product.',
  learn:
    'Spray a clean side with the product as mixed, and take its picture. From then on its colour is told from dirt.',
  learnt: (product: string): string => `The dye of ${product} is known.`,
  pale: 'This product hardly colours a towel: there is nothing to learn.',
});

export const proofFaultText: Readonly<Record<ProofFault, string>> = worded({
  'not-the-same':
    'The two pictures do not lie on each other. Stick two written strips of tape beside the spot, and hold the camera as before.',
  'no-lamp': 'No lamp is mirrored in the panel. Hold one lamp so that its light shows in the middle of the picture.',
});

const so = (one: Counted): string => `${marksIn(one)} (${one.arcs} arcs, ${one.streaks} streaks)`;

/** Two pictures of one panel under one lamp. */
export const proofText = worded({
  lead: 'One panel, one lamp mirrored in it, two written strips of tape beside the spot: a picture before it is touched, one after.',
  simulated: 'Simulated: a panel under a lamp.',
  first: 'Picture before, for the half-panel proof',
  counted: (before: Counted, after: Counted, doubt: number): string =>
    `Before ${so(before)}, after ${so(after)}; each may be off by ${doubt}.`,
  verdict: (before: Counted, after: Counted, doubt: number): string => {
    const more = marksIn(after) - marksIn(before);
    if (more > 2 * doubt) return `${more} more than before: stop, look at towel and mix, and go on with more care.`;
    return more < -2 * doubt ? `${-more} fewer than before.` : 'No more than before, as far as these pictures tell.';
  },
  kept: (before: number, after: number, doubt: number): string =>
    `Fine lines before ${before}, after ${after}, give or take ${doubt}`,
});
