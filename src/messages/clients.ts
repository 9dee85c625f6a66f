import type { Due, DueState, SeasonPlan } from '@esmero/core';
import { worded } from './english';
import { dayText, fixed, money } from './units';
import { methodName } from './words';

export const dueStateName: Readonly<Record<DueState, string>> = {
  overdue: 'Overdue',
  'this-week': 'Due this week',
  later: 'Later',
  open: 'No date',
};

/** "between 5 Aug 2031 and 21 Aug 2031; waterless will do until then". */
export function dueDatesText({ agreed, band }: Due): string {
  if (agreed) return `${dayText(agreed)}, as agreed`;
  if (!band) return 'By agreement: it needs a pre-rinse every time';
  return band.early === band.late ? dayText(band.early) : `${dayText(band.early)} to ${dayText(band.late)}`;
}

/** How sure a plan of a season is. */
export const holdsName: Readonly<Record<SeasonPlan['holds'], string>> = {
  safe: 'works',
  likely: 'should work',
  no: 'leaves parts unwashed',
};

export const clientsText = worded({
  none: 'No clients yet.',
  noneToDo: 'Add one here, or bring your contacts over from a file.',
  noneFound: 'No match. Try fewer letters.',
  noCars: 'No car yet. Add one, and its next visit is a press away.',
  noVisits: 'No visit yet.',
  booked: (day: string): string => `booked for ${dayText(day)}`,
  lastOn: (day: string): string => `last on ${dayText(day)}`,
  never: 'not yet washed by you',
  series: (count: number): string => `Plan the next ${count}`,
  planned: (count: number): string => `${count} visits planned`,
  dueNow: (count: number): string =>
    count === 0
      ? 'Nothing is due this week.'
      : count === 1
        ? 'One car is due this week.'
        : `${count} cars are due this week.`,
  asking: 'Looking at how dirty each car is by now',
  due: 'A date is when the car should be washed so that a low-water wash still does: the early date if it gets dirty fast, the late one if slowly.',
  soilPace: (factor: number, jobs: number): string =>
    `Gets dirty ${fixed(factor, 1)} times as fast as our figures say, by ${jobs === 1 ? 'one visit' : `${jobs} visits`}.`,
  fits: ({ days, method, yearMinor }: SeasonPlan, currency: string): string =>
    `Every ${days} days, ${methodName[method].toLowerCase()}: the longest interval that always works, at about ${money(yearMinor, currency)} a year.`,
  washDue: (name: string): string => `Wash due: ${name}`,
  fitsNone:
    'At no interval does a low-water wash surely do the whole car, used like this. Agree on a pre-rinse, or come weekly and look.',
  season:
    'Washed every so many days over a year, used as it is, in weather like that of the last visit. The marring index of a visit times the visits; lower is kinder to the paint.',
  archiveClient: (name: string): string => `${name} is no longer listed. Past jobs keep the name.`,
  gone: 'This client is not here any more.',
});
