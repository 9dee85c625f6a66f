import type { Obstacle, Plan } from '@esmero/core';
import type { Job } from '@esmero/model';
import { verdictSentence } from './reasons';
import type { Units } from './units';

/** Verdicts that belong into a note to the client. */
const told = new Set([
  'zones-blocked',
  'parts-left',
  'over-budget',
  'missing',
  'spots-left',
  'bugs-left',
  'zones-left',
]);

/** What would happen all the same, and what the car needs, by what stands in the way. */
const needs: Readonly<Record<Obstacle, readonly string[]>> = {
  soil: [
    'Wiped as it is, dirt would be dragged over the surface and leave marks that were not there before.',
    'What it needs is a full rinse wash with plenty of running water first. We are glad to come back afterwards.',
  ],
  heat: [
    'On panels this hot every mix would dry before it is wiped, and leave spots and smears.',
    'What it needs is shade, or a cooler hour. We are glad to come back for that.',
  ],
  frost: [
    'On panels this cold the mix would freeze before it is wiped, and the ground would be slippery.',
    'What it needs is a room above freezing, or a milder day. We are glad to come back for that.',
  ],
  kit: ['What it needs is something that we do not have with us today. We are glad to come back with it.'],
};

/** Whatever is not about zones is about us: time, water, towels. */
const later = [
  'Done in a hurry or with too little it would not be done well. We are glad to come back with more time and kit.',
];

/**
 * A note to hand to the client when the car is not washed, or not all of it: which parts, why, and
 * what they need. Plain text, a line each.
 */
export function refusalNote(job: Job, plan: Plan, u: Units): readonly string[] {
  const why = plan.verdicts.filter(({ code }) => told.has(code)).map((verdict) => verdictSentence(verdict, u));
  const blocked = plan.verdicts.find((verdict) => verdict.code === 'zones-blocked');
  const parts = plan.verdicts.filter((verdict) => verdict.code === 'parts-left');
  const left = plan.method !== 'decline';
  return [
    `${job.vehicle.name}, ${job.date}`,
    left
      ? 'We looked at your car today and advise against washing these parts of it with little water.'
      : 'We looked at your car today and advise against washing it with little water here and now.',
    ...why,
    ...(blocked
      ? needs[blocked.because]
      : left
        ? [...new Set(parts.flatMap(({ because }) => (because === 'budget' ? later : needs[because])))]
        : later),
    'Local rules on waste water and the makers’ care instructions come before this note.',
  ];
}
