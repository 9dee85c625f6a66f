import type { Afterwards, LaundryLoad, LeftOver } from '@esmero/core';
import { en } from './english';
import type { Units } from './units';
import { contentName } from './words';

const groupName = { paint: 'Paint', glass: 'Glass', wheels: 'Wheels' } as const;

const plural = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;

const laundrySentence = ({ group, towels, kg, loads, soakL, productMl }: LaundryLoad, u: Units): string =>
  `${groupName[group]}: ${plural(towels, 'towel')}, ${u.weight(kg)} dry, ${plural(loads, 'load')}; soak in ${u.water(soakL)} of warm water with ${u.volume(productMl)} of rinseless concentrate.`;

function leftOverSentence({ content, ml, keeping }: LeftOver, u: Units): string {
  const what = `${contentName[content]}: ${u.volume(ml)} left`;
  switch (keeping.kind) {
    case 'dirty':
      return `${what}; it has had dirt in it: take it to a lawful drain.`;
    case 'today':
      return `${what}; clean, good for the next car today under a lid, and not longer.`;
    case 'days':
      return `${what}; keeps ${keeping.days} days closed and ${en('labelled')}, unless the label says less.`;
  }
}

/** What there is to do when the car is done. */
export const afterSentences = ({ laundry, leftOvers, waste }: Afterwards, u: Units): readonly string[] => [
  ...laundry.map((load) => laundrySentence(load, u)),
  ...leftOvers.map((one) => leftOverSentence(one, u)),
  `Dirty water to take away: ${u.water(waste.bucketsL + waste.capturedL)}, and ${u.water(waste.soakL)} more from the soak.`,
];
