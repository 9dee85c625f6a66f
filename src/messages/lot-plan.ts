import type { LotPace } from '@esmero/core';
import { worded } from './english';
import { clockText, fixed } from './units';

/** Many like cars in one place. */
export const lotPlanText = worded({
  none: 'No lot is set up yet.',
  noneToDo: 'A lot is many cars alike in one place: so many of each kind, so many people.',
  notNow: (name: string): string =>
    `${name}: cannot be washed here and now. Ask another way of washing, or another place.`,
  noCars: 'Give it cars: each kind is one line.',
  done: (count: number, of: number): string => `${count} of ${of} done`,
  car: (number: number, name: string): string => `Car ${number}, ${name}`,
  planned: (minutes: number): string => `${fixed(minutes, 1)} min by the plan`,
  pace: ({ cars, ratio }: LotPace): string =>
    cars === 0
      ? 'By the plan: no car tells of the pace yet.'
      : `By ${cars === 1 ? 'one car' : `${cars} cars`}: ${ratio >= 1 ? fixed((ratio - 1) * 100) : fixed((1 - ratio) * 100)} % ${ratio >= 1 ? 'slower' : 'quicker'} than planned.`,
  finish: (low: number, high: number): string => `Eight of ten such lots: ${clockText(low)} to ${clockText(high)}`,
  forGood: (name: string): string => `“${name}” goes, with what was ticked off.`,
  loads: (count: number): string =>
    count === 1 ? 'with one load washed on the way' : `with ${count} loads washed on the way`,
  freshWater: 'A drop: fresh water in the buckets.',
  ownTowels: 'Towels, packs and product are those of the van stock.',
  person: (number: number): string => `Person ${number}`,
});
