import type { Cue, Trouble } from '@esmero/core';
import { worded } from './english';

/** What to see, hear and feel, and what to do then: short enough for a glance. */
export const cueText: Readonly<Record<Cue, string>> = worded({
  lifting: 'Droplets fatten and turn brown: it lifts. Nothing changes: stop, it smears.',
  gliding: 'It glides: enough liquid. It drags or crackles: stop, say so below.',
  'foam-clings': 'Foam turns grey and slides: it lifts. Foam gone dry: foam it again.',
  lather: 'The mitt floats on lather, no weight. Rinse it out before it looks grey.',
  loosening: 'Watch the dirt let go and run. What stays put needs longer, not harder.',
  'dust-flies': 'Dust still comes out of the seam: go along it once more. Nothing comes: on to the next.',
  'dust-settles': 'Dust settles on panels and glass: leave it to the wash, never wipe it dry.',
  'runs-clear': 'Water runs off clear: done here. Still brown: once more.',
  'dries-hard': 'Water sheets and is hard to dry: the protection is gone. Tell the client.',
  'dirt-on-drying': 'Dirt on the drying towel: the wash failed there. Do that panel again.',
  haze: 'Haze against the light: turn the towel and buff once more.',
  'too-much': 'It streaks or stays wet: too much. Less on the towel, buff at once.',
  'cleaner-dries': 'It bleeds or foams: it works. Never let it dry; wheel warm to the hand: stop.',
  'brush-drags': 'The brush stays wet and soft. It scratches or clogs: rinse it.',
});

/** What went wrong, as it is pressed beside the car. */
export const troubleName: Readonly<Record<Trouble, string>> = {
  drags: 'It drags',
  smears: 'It smears, nothing lifts',
  crackles: 'It crackles',
  'new-marks': 'New marks in the paint',
};

/** What is done about it. */
export const troubleHelp: Readonly<Record<Trouble, string>> = {
  drags: 'more liquid, smaller sections',
  smears: 'a longer dwell',
  crackles: 'grit: rinse it first',
  'new-marks': 'stop there; the rest more carefully',
};

/** Half a panel against the other, in the same light. */
export const compareText = worded({
  ask: 'Half-panel check: the washed panel beside the next one, in the same light. Same marks on both? Not sure: two pictures under one lamp tell.',
  same: 'Same: go on',
  worse: 'New marks',
});
