import type { BucketSpread, Crossing, Dip } from '@esmero/core';
import { fixed, threeDigits } from './units';
import { wayName, zoneName } from './words';

/** Grams of grit; a little is said in milligrams. */
export const grams = (g: number): string => (g > 0 && g < 0.1 ? `${threeDigits(g * 1000)} mg` : `${threeDigits(g)} g`);

/** One round with the medium. */
export const dipSentence = (dip: Dip, number: number, of: number): string =>
  `Dip ${number} of ${of}, ${zoneName(dip.zoneId)}: ${grams(dip.carriedG)} of grit come back with the medium, ${grams(dip.fromWaterG)} of it out of the water; ${grams(dip.pickedG)} come off the panel.`;

export const crossingSentence = ({ before, after, zoneId, areaM2 }: Crossing): string =>
  `“${wayName(before)}” brings back less than “${wayName(after)}” up to ${zoneName(zoneId)}, ${fixed(areaM2, 1)} m² into the wash, and more from there.`;

export const spreadSentence = ({ carriedG: { low, median, high }, ...way }: BucketSpread): string =>
  high > 0
    ? `${wayName(way)}: ${grams(median)}, eight times in ten between ${grams(low)} and ${grams(high)}`
    : `${wayName(way)}: nothing`;
