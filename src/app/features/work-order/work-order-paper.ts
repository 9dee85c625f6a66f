import { type Plan, type RunRow, afterwards, runRows } from '@esmero/core';
import type { Job } from '@esmero/model';
import {
  type Units,
  askedFor,
  afterSentences,
  cautionSentence,
  bottleSentence,
  clock,
  dayText,
  figureValue,
  wayText,
  wetText,
  markName,
  methodName,
  minutes,
  mittSentence,
  mixSentences,
  mixTitle,
  orderText,
  partName,
  roleName,
  soldText,
  towelName,
  verdictSentence,
  zoneName,
} from '@esmero/messages';
import type { PassLine, WorkOrderPaper } from '@esmero/papers';
import { carSvg } from '../../ui/net/car-svg';
import { lapSections } from './lap-sections';
import { sidesText, titleOf } from './pass-line';

/** "32 min, 4.5 L of water, 27 mL of product, 6 towels". */
export function totalsText({ method, totals: { minutes: time, litres, productMl, towels } }: Plan, u: Units): string {
  return method === 'decline'
    ? ''
    : `${figureValue(time, u)}, ${figureValue(litres, u)} of water, ${figureValue(productMl, u)} of product, ${figureValue(towels, u)} towels`;
}

/** What to tell the client, and what it is made of. */
export function slotText({ method, slot }: Plan, u: Units): string {
  if (method === 'decline') return '';
  const parts = slot.parts.map(({ code, value }) => `${partName(code)} ${minutes(value)}`);
  return `Give the client ${figureValue(slot, u)}: ${parts.join(', ')}.`;
}

/** What is to be known beside the car: spots that stay, whose word this is done on, what may dry too soon. */
export const knownBefore = ({ verdicts }: Plan, u: Units): readonly string[] =>
  verdicts
    .filter(
      ({ code }) =>
        code === 'spots-left' ||
        code === 'bugs-left' ||
        code === 'product-left' ||
        code === 'against-advice' ||
        code === 'late' ||
        code === 'over-by-clock',
    )
    .map((verdict) => verdictSentence(verdict, u));

/** "Left sill: scratch (old)": what was there before. */
export const marksBefore = ({ marks }: Job): readonly string[] =>
  marks.map(
    ({ zone, kind, note }) => `${zoneName(zone)}: ${markName[kind]}${note ? ` (${note.replace(/\.$/, '')})` : ''}`,
  );

/** What is taken out of the van for the wash. */
export function countOut({ towels, mitts }: Plan): readonly string[] {
  const lines = towels.map((towel) => {
    const sides = new Set(towel.sides.map(({ number }) => number)).size;
    const again = towel.rewetAfter ? `, wet again after side ${towel.rewetAfter}` : '';
    return `${towelName(towel)}: ${roleName[towel.role]}, ${sides === 1 ? '1 side' : `${sides} sides`}${again}${towel.missing ? ', short' : ''}`;
  });
  return [...lines, ...mitts.map(mittSentence)];
}

const lineOf = (row: RunRow): PassLine => ({
  number: row.number === null ? '' : String(row.number),
  who: row.worker > 0 ? '2nd' : '',
  what: titleOf(row),
  how: wayText(row),
  wet: wetText(row),
  sides: sidesText(row),
  at: clock(row.wipeS),
  hand: clock(row.handS),
});

/** The order of work for paper. */
export function workOrderPaper(job: Job, plan: Plan, u: Units): WorkOrderPaper {
  const marks = marksBefore(job);
  return {
    kind: 'work-order',
    title: job.name,
    about: [job.vehicle.name, job.site.name, dayText(job.date), job.client].filter(Boolean).join(' · '),
    car: carSvg(job.vehicle),
    method: methodName[plan.method],
    totals: totalsText(plan, u),
    notes: [
      soldText(job),
      slotText(plan, u),
      job.note,
      ...askedFor(job, plan, u),
      ...knownBefore(plan, u),
      marks.length > 0 ? `Existing marks: ${marks.join('; ')}` : '',
    ].filter(Boolean),
    mixes: plan.mix.mixes
      .map((mix) => ({ name: `${mixTitle(mix)}, ${mix.vessel.name}`, says: mixSentences(mix, u).join(' ') }))
      .concat(plan.bottles.map((bottle) => ({ name: bottle.productName, says: bottleSentence(bottle, u) }))),
    count: countOut(plan),
    laps: lapSections(runRows(plan)).map(({ title, rows }) => ({ title, passes: rows.map(lineOf) })),
    key: `${orderText.paperKey}${job.site.workers === 2 ? orderText.second : ''}`,
    after: afterSentences(afterwards(job, plan), u),
    care: [...plan.cautions.map((one) => cautionSentence[one]), orderText.first],
    foot: `Esmero · ${job.name}`,
  };
}
