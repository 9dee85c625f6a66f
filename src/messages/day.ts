import type { DayChange, DayLeg, DayMend, DayPlan, FirstShortage, MendBrief, StockKind } from '@esmero/core';
import type { Day, Restock } from '@esmero/model';
import { en } from './english';
import { type Units, clockText, fixed, percent } from './units';
import { oneTowel, roleName } from './words';

const quantity: Readonly<Record<'water' | 'drain' | 'battery', (amount: number, u: Units) => string>> = {
  water: (litres, u) => `${u.water(litres)} of water`,
  drain: (litres, u) => `room for ${u.water(litres)} of dirty water`,
  battery: (minutes) => `${fixed(minutes)} min of battery`,
};

/** "12.0 L of water", "6 wash towels". */
export function vanStockText(kind: StockKind, amount: number, u: Units): string {
  if (kind === 'water' || kind === 'drain' || kind === 'battery') return quantity[kind](amount, u);
  return amount === 1 ? `one ${oneTowel[kind]}` : `${fixed(amount)} ${roleName[kind]}`;
}

/** What is filled up, emptied or charged somewhere. */
export const restockName: Readonly<Record<Restock, string>> = {
  water: 'clean water',
  drain: 'a drain',
  battery: 'charging',
  towels: 'clean towels',
};

const nameOf = (day: Day, stop: number): string => day.stops[stop]!.job.name;

/** "Water is short first, at Baker’s van: it takes 12.0 L, and 8.0 L are left." */
export const shortageText = ({ stop, kind, needs, left }: FirstShortage, day: Day, u: Units): string =>
  `Short first, at ${nameOf(day, stop)}: it takes ${vanStockText(kind, needs, u)}, and the van has ${left < 0.05 ? 'none' : vanStockText(kind, left, u)} left.`;

function changeText(change: DayChange, day: Day, u: Units): string {
  switch (change.code) {
    case 'carry-more':
      return `With ${vanStockText(change.kind, change.amount, u)} more`;
    case 'restock':
      return change.gives === 'towels'
        ? `With a load of laundry at ${day.start.name}, ${change.minutes} min`
        : `Back to ${day.start.name} on the way, ${change.minutes} min`;
    case 'leave':
      return `With ${nameOf(day, change.stop)} on another day`;
  }
}

/** "With 10 L of water more: done by 16:40." */
export const mendText = ({ change, plan }: MendBrief, day: Day, u: Units): string => {
  const still = plan.shortage
    ? ` Then ${vanStockText(plan.shortage.kind, plan.shortage.needs, u)} ${plan.shortage.needs === 1 ? 'is' : 'are'} short.`
    : '';
  return `${changeText(change, day, u)}: done by ${clockText(plan.endMin)}.${still}`;
};

/** "09:10 to 10:02  Council sedan, rinseless". */
function dayLegText({ stop, taken, beginMin, endMin, lateMin, restock }: DayLeg, day: Day): string {
  const what = stop !== null ? nameOf(day, stop) : taken !== null ? day.taken[taken]!.name : 'Break';
  const by = restock === null ? '' : `, by ${day.restocking[restock]!.name}`;
  const late = lateMin >= 1 ? `, ${fixed(lateMin)} min late` : '';
  return `${clockText(beginMin)} to ${clockText(endMin)}: ${what}${by}${late}`;
}

/** A day on paper: when to be where, and what the van has left. */
export function daySheet(day: Day, plan: DayPlan, mends: readonly DayMend[], u: Units): string {
  const over =
    plan.endMin > day.endHour * 60 ? `, ${fixed(plan.endMin - day.endHour * 60)} min past the end of the day` : '';
  return [
    `# ${day.name}`,
    '',
    en(
      `Back at ${day.end.name} by ${clockText(plan.endMin)}${over}.${plan.within > 0.005 ? ` Another order may cost up to ${percent(plan.within)} less.` : ''}`,
    ),
    '',
    ...plan.legs.map(
      (leg) =>
        `- ${dayLegText(leg, day)}; left: ${vanStockText('water', leg.left[0]!, u)}, ${vanStockText('wash', leg.left[3]!, u)}`,
    ),
    ...plan.cannot.map((stop) => `- Not this day: ${nameOf(day, stop)}`),
    ...(plan.shortage
      ? ['', shortageText(plan.shortage, day, u), ...mends.map((one) => `- ${mendText(one, day, u)}`)]
      : []),
    '',
  ].join('\n');
}
