import { worded } from '../english';

/** The mixing page. */
export const mixingText = worded({
  noMix: 'This number makes no mix under this reading.',
  cap: 'Measure your cap first: fill it with water, weigh it, and type what it holds.',
  apart: (percent: string): string => `Read one way it takes ${percent} % more product than read the other way.`,
  timesAsMuch: (times: string): string => `Ready to use costs ${times} times as much for each car.`,
  shareOfIt: (percent: string): string => `Ready to use costs ${percent} % of it for each car.`,
  lead: 'Any dilution, with any vessel and measure: nothing here belongs to a job.',
  costs: (mixed: string, bought: string): string => `Mixed: ${mixed} for a car. Ready to use: ${bought}.`,
  waterFirst: (vessel: string): string => `${vessel}. Water first, then product.`,
  poured: (ratio: string): string => `That is 1 to ${ratio}.`,
  wanted: (ratio: string, count: string): string => `1 to ${ratio} wants ${count} of them in that much water.`,
  pouredNothing: 'Type how many you poured, what each holds, and the water.',
  perLitre: (ml: string): string => `${ml} mL a litre`,
  perGallon: (ounces: string): string => `${ounces} fl oz a gallon`,
  unclear: 'Where the label is unclear, ask the manufacturer; until then use the weaker mix.',
  caution:
    'Read the safety data sheet; gloves and eye protection; never mix products in one vessel. Hot solution only in vessels rated for it.',
});
