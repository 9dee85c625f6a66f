import type { Claim, LowWater, NextVisit, Until, ZonePlan } from '@esmero/core';
import type { CleanlinessClass, Mark } from '@esmero/model';
import { dayAfter } from '@esmero/units';
import { worded } from './english';
import { dayText } from './units';
import { contentName, markName, methodName, treatmentName, zoneList, zoneName } from './words';

const days = (count: number): string => (count === 1 ? '1 day' : `${count} days`);

/** Parts of a car that are spoken of together. */
export const carPart: Readonly<Record<CleanlinessClass, string>> = worded({
  0: 'Glass',
  1: 'Upper paint',
  2: 'Lower paint',
  3: 'Shuts',
  4: 'Wheel faces',
  5: 'Tyres and arches',
});

/** "23 days, 11 if it gets dirty fast, 48 if slowly". */
export function untilText({ early, likely, late }: Until, furthest: number): string {
  if (late === 0) return 'not suitable';
  const so = (count: number): string => (count >= furthest ? `${days(furthest)} or more` : days(count));
  return early === late ? so(likely) : `${so(likely)}; ${so(early)} if it gets dirty fast, ${so(late)} if slowly`;
}

/** When to come back, from the day of the wash. */
export function suggestionText({ suggested }: NextVisit, date: string): string {
  if (!suggested)
    return 'Used like this, the car will want a pre-rinse before it is touched, however soon it comes back.';
  return `Next maintenance wash by ${dayText(dayAfter(date, suggested.days))}, ${days(suggested.days)} from now: until then ${methodName[suggested.method].toLowerCase()} will do, even if the car gets dirty faster than forecast.`;
}

export const lastsText = (method: LowWater, until: Until, furthest: number): string =>
  `${methodName[method]}: ${untilText(until, furthest)}`;

/** What was done, treatment by treatment, those on most zones first. */
export function doneSentences(zones: readonly ZonePlan[]): readonly string[] {
  const by = new Map<string, ZonePlan['zone']['id'][]>();
  for (const { zone, treatment, inScope } of zones) {
    if (!inScope) continue;
    const name = treatment === 'leave' ? 'Left as it was' : treatmentName(treatment);
    by.set(name, [...(by.get(name) ?? []), zone.id]);
  }
  return [...by]
    .sort(([, p], [, q]) => q.length - p.length)
    .map(([name, ids]) => (ids.length > 6 ? `${name}: ${ids.length} panels` : `${name}: ${zoneList(ids, 6)}`));
}

/** "Roof: Scratch. Seen in raking light only." */
export const markText = ({ zone, kind, note }: Mark): string =>
  `${zoneName(zone)}: ${markName[kind]}${note ? `. ${note}` : ''}`;

/** What a client can do, and had better not, until then. */
export const careAfterwards: readonly string[] = [
  'Water may still come out of mirrors, lamps and seams: wipe it with a soft, clean towel after the first drive.',
  'Never wipe dust off dry, not even with a finger: that is what scratches.',
  'Take bird droppings, bugs and sap off within days: cover them with plain water, let them soften, lift, do not rub.',
  'Rinse salt and mud off before anybody touches the paint.',
];

/** "Waterless concentrate, amber cap, as waterless wash: 30 days, until 13 Aug 2031." */
export const claimText = ({ product, purpose, days: count, until }: Claim): string =>
  `${product}, as ${contentName[purpose].toLowerCase()}: ${days(count)}, until ${dayText(until)}.`;
