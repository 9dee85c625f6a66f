import type { LaterTask, Plan } from '@esmero/core';
import type { Care, CareReach, Job, PaintCare, Protection } from '@esmero/model';
import { capital } from './capital';
import { en, worded } from './english';
import { type Units, dayText, hourText, minutes } from './units';
import { contentName, toMindText } from './words';

/** What may be put onto a clean car. */
export const careText = worded({
  nothing: 'Nothing',
  tyres: 'On the tyres',
  trim: 'On unpainted trim',
  dressNow: 'Dressing, at the end',
  afterDrive: 'Dressing, after the drive',
  dressTrim: 'Dressing',
});

/** "Topper on the uppers". */
export const careReachName = (use: PaintCare, on: CareReach): string =>
  `${contentName[use]} on ${on === 'uppers' ? 'the uppers' : 'all the paint'}`;

/** "Topper on the uppers; tyre dressing after the drive", or nothing. */
export function careAsked({ paint, trim, tyres }: Care): string {
  const parts = [
    ...(paint ? [careReachName(paint.use, paint.on)] : []),
    ...(trim ? [contentName['trim-dressing']] : []),
    ...(tyres ? [`${contentName['tyre-dressing']}${tyres === 'after-drive' ? ' after the drive' : ''}`] : []),
  ];
  return capital(parts.map((part) => part.toLowerCase()).join('; '));
}

/** "After the drive home, from 11:40: dress the tyres, 2 min, 24 mL of …". */
export const laterSentence = ({ productName, ml, minutes: takes, fromHour }: LaterTask, u: Units): string =>
  en(
    `After the drive home, from ${hourText(Math.min(24, fromHour))}: dress the tyres, ${minutes(takes)}, ${productName ? `${u.volume(ml)} of ${productName}` : 'once there is a dressing in the van'}. Keep tread, discs and rims free of it.`,
  );

/** "Topper on the uppers since 14 July, claimed to hold until 25 August". */
export function protectionText({ product, use, on, since, until }: Protection): string {
  const what = on ? careReachName(use as PaintCare, on) : contentName[use];
  return `${what} (${product}) since ${dayText(since)}${until ? `, claimed to hold until ${dayText(until)}` : ''}`;
}

/** What to watch out for, what is put on at the end, and what is left for after the drive. */
export const askedFor = ({ care, around }: Job, { later }: Plan, u: Units): readonly string[] => [
  ...around.map((one) => toMindText[one]),
  ...(careAsked(care) ? [`On the clean car: ${careAsked(care).toLowerCase()}.`] : []),
  ...(later ? [laterSentence(later, u)] : []),
];
