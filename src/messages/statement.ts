import type { SiteSheet, WaterMonth } from '@esmero/core';
import type { Site } from '@esmero/model';
import { spanText } from './day-plan';
import { en, worded } from './english';
import { type Units, fixed, hourText } from './units';
import { contentName } from './words';

/** Papers for whoever answers for a place. */
export const statementText = worded({
  title: 'How the car is washed here',
  used: 'What is used',
  water: 'Water, and what runs off',
  waste: 'Where it goes',
  around: 'Noise and hours',
  rules: 'What we keep to',
  yearTitle: (year: number): string => `Water and waste in ${year}`,
  yearHead: ['Month', 'Washes', 'Water', 'Ran off', 'Caught, taken away'],
  yearSum: 'Year',
  yearHow: 'How it was counted',
  yearLines: [
    'Water is what was drawn for mixes and rinses, worked out for what was done of each wash and counted afterwards.',
    'What ran off did so where the site allows it. What was caught was taken to a sanitary drain.',
  ],
  notCounted: (count: number): string =>
    count === 1
      ? 'One wash was not counted: its water is not in it.'
      : `${count} washes were not counted: their water is not in it.`,
});

/** Less than this nobody carries away by itself. */
const LITTLE_L = 0.1;

const productLine = (
  { purpose, name, waterParts, productMl, safety }: SiteSheet['products'][number],
  u: Units,
): string => {
  const how =
    waterParts === null || waterParts === 0
      ? 'as it is sold'
      : `one part to ${fixed(waterParts, waterParts % 1 === 0 ? 0 : 1)} of water`;
  return `${contentName[purpose]}: ${name}, ${u.volume(productMl)}, ${how}.${safety ? ` ${safety}` : ''}`;
};

/** What is said of each thing on a site sheet, section by section. */
export function siteSheetSections(
  sheet: SiteSheet,
  site: Site,
  u: Units,
): readonly { readonly title: string; readonly lines: readonly string[] }[] {
  const { products, litres, runoffL, isCaught, wasteL, noiseDb, beginHour, minutes } = sheet;
  const off =
    site.runoff === 'forbidden'
      ? 'Nothing runs off: all of it stays in towels and buckets.'
      : isCaught
        ? `About ${u.water(runoffL)} comes off the car, and is caught on a mat under it.`
        : `About ${u.water(runoffL)} runs off onto the ground.`;
  return [
    {
      title: statementText.used,
      lines: products.length > 0 ? products.map((one) => productLine(one, u)) : ['Water only.'],
    },
    { title: statementText.water, lines: [`About ${u.water(litres)} of water in all.`, off] },
    {
      title: statementText.waste,
      lines: [
        wasteL < LITTLE_L
          ? 'Dirty water stays in the towels.'
          : `About ${u.water(wasteL)} of dirty water is taken away and poured into a sanitary drain, where the local code allows it.`,
        'Used towels are taken away and washed elsewhere.',
      ],
    },
    {
      title: statementText.around,
      lines: [
        `From ${hourText(beginHour)}, about ${spanText(minutes)}.`,
        noiseDb === null
          ? 'No machine louder than conversation.'
          : `At most ${fixed(noiseDb)} dB(A) beside the machine.`,
      ],
    },
    {
      title: statementText.rules,
      lines: [
        en('The local code and the rules of the house come first: tell us what they ask for.'),
        en('No product goes down a storm drain. Vessels are labelled, and safety data sheets are in the van.'),
      ],
    },
  ];
}

/** How a year was counted, and what is not in it. */
export function yearNotes(months: readonly WaterMonth[]): readonly string[] {
  const missing = months.reduce((sum, { washes, counted }) => sum + washes - counted, 0);
  return [...statementText.yearLines, ...(missing > 0 ? [statementText.notCounted(missing)] : [])];
}

/** A year of water as the rows of a table, months without a wash left out. */
export function yearRows(
  months: readonly WaterMonth[],
  nameOf: (month: string) => string,
  u: Units,
): { readonly rows: readonly (readonly string[])[]; readonly sum: readonly string[] } {
  const row = (name: string, of: readonly WaterMonth[]): readonly string[] => {
    const sum = (part: 'washes' | 'waterL' | 'runoffL' | 'caughtL'): number =>
      of.reduce((all, one) => all + one[part], 0);
    return [name, fixed(sum('washes')), u.water(sum('waterL')), u.water(sum('runoffL')), u.water(sum('caughtL'))];
  };
  return {
    rows: months.filter(({ washes }) => washes > 0).map((one) => row(nameOf(one.month), [one])),
    sum: row(statementText.yearSum, months),
  };
}
