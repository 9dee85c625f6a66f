import type { Habits } from '@esmero/model';
import { worded } from './english';
import { bucketName, approachName } from './words';

/** A question on which practitioners differ, and what they answer. */
interface HabitWords<K extends keyof Habits = keyof Habits> {
  readonly question: string;
  readonly answers: Readonly<Record<Habits[K] & (string | number), string>>;
}

type AllWords = { readonly [K in keyof Habits]: HabitWords<K> };

/** In the order in which they come up during the work. */
export const habitWords: AllWords = worded({
  approach: { question: 'Marring risk that is accepted', answers: approachName },
  dirtLimit: {
    question: 'What a waterless product may touch',
    answers: {
      'only-dust': 'Only dust',
      'light-film': 'Up to a light film',
      index: 'Whatever the marring index allows',
    },
  },
  chemistry: {
    question: 'What may touch the car',
    answers: { any: 'Whatever suits', 'rinsed-off': 'Only what is rinsed off again' },
  },
  parts: {
    question: 'A part that cannot be done today',
    answers: { 'leave-out': 'Leave it, do the rest', all: 'All of the car or none of it' },
  },
  strength: {
    question: 'Rinseless wash',
    answers: { product: 'As the product says', '128': '1 to 128', '256': '1 to 256', '512': '1 to 512' },
  },
  spray: {
    question: 'How much is sprayed',
    answers: {
      thin: 'Light: rely on the product',
      common: 'Common',
      liberal: 'Generous: the film is the only protection',
    },
  },
  dwell: { question: 'Dwell', answers: { short: 'Short', common: 'Common', long: 'Up to five minutes' } },
  bucket: { question: 'Bucket', answers: bucketName },
  medium: {
    question: 'What washes from the bucket',
    answers: {
      mitt: 'One mitt, on its way down',
      'many-mitts': 'A fresh mitt each pass',
      'mitts-by-area': 'A mitt for each part of the car',
      sponge: 'A sponge',
    },
  },
  guards: { question: 'Grit guards', answers: { 'every-bucket': 'In every bucket', none: 'None' } },
  dryTouch: { question: 'The drying towel', answers: { drawn: 'Drawn along', blotted: 'Laid on and patted' } },
  soakedSides: {
    question: 'Sides of a soaked towel',
    answers: { 4: 'Four, then a new towel', 8: 'All eight, wetted again' },
  },
  soakedTowel: {
    question: 'A buffing towel that is damp',
    answers: { retire: 'Leaves the job', demote: 'Goes down to sills, shuts, wheels' },
  },
  glassTowels: {
    question: 'Towels for glass',
    answers: { own: 'Its own', drying: 'The drying towel, where there is one', shared: 'Whatever finishes the paint' },
  },
  wiping: {
    question: 'Wiping',
    answers: { flat: 'Flat under the hand', rolled: 'Rolled, clean pile comes up', scooped: 'Scooped, side to side' },
  },
  drying: { question: 'Drying', answers: { panel: 'Panel by panel', body: 'The whole body at the end' } },
  order: { question: 'Pre-rinsing', answers: { 'top-down': 'Top to bottom', 'dirtiest-first': 'Dirtiest first' } },
  rinseWith: { question: 'A sprayer rinses with', answers: { water: 'Plain water', product: 'A weak rinseless mix' } },
  steamWith: { question: 'A steamer blows', answers: { water: 'Steam alone', product: 'Steam with degreaser' } },
  standing: {
    question: 'Water left standing by a rinse',
    answers: { towels: 'Goes into the towels', blower: 'Blown off first, where there is a blower' },
  },
  pair: {
    question: 'Two people',
    answers: {
      sides: 'A side of the car each',
      'lift-finish': 'One lifts, the other finishes',
      'one-panel': 'Both on one panel',
    },
  },
  wheels: { question: 'Wheels', answers: { auto: 'As it suits', first: 'First', last: 'Last' } },
  glass: {
    question: 'Glass',
    answers: {
      first: 'Right after the roof',
      'first-own': 'Right after the roof, with a cleaner of its own',
      last: 'Last, with a cleaner of its own',
    },
  },
  sun: {
    question: 'Sun',
    answers: { 'weaker-mix': 'Weaker mix, small sections', 'shade-only': 'Shade and cool panels only' },
  },
  cold: { question: 'Cold', answers: { little: 'Little moisture', plenty: 'Plenty' } },
  topping: {
    question: 'Layer on a coated or matte car',
    answers: { none: 'Nothing that leaves one', welcome: 'Welcome' },
  },
  brush: { question: 'Soft brush on wheels and badges', answers: { never: 'Never', lubricated: 'Yes, lubricated' } },
  droppings: { question: 'Droppings', answers: { treat: 'Softened and lifted', never: 'Not by this method' } },
});

/** The answer to one question in words. */
export const habitAnswer = <K extends keyof Habits>(key: K, value: Habits[K]): string =>
  (habitWords[key].answers as Readonly<Record<string, string>>)[String(value)] ?? String(value);
