import { daysBetween } from '@esmero/units';
import { worded } from '../english';

/** Further off than this nobody counts days. */
const NEAR_DAYS = 21;

/** "today", "in 5 days", "3 days late": how a day that something is due on lies to today; nothing where it is far off. */
export function dueText(day: string, today: string): string {
  const days = daysBetween(today, day);
  if (Math.abs(days) > NEAR_DAYS) return '';
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  return days > 0 ? `in ${days} days` : days === -1 ? '1 day late' : `${-days} days late`;
}

/** What comes in from a file. */
export const importText = worded({
  unread: (why: string): string => `It could not be read: ${why}`,
  nothingChanged: 'Your data is unchanged.',
  fault: (why: string): string => `${why} Your data is unchanged.`,
  leftAlone: (count: number): string =>
    `${count} had been changed here meanwhile. Import the file again to compare them.`,
  takenBackBut: (count: number): string => `All but ${count} that you have changed since: those stay.`,
  asBefore: 'Everything is back as it was.',
  beside:
    'beside what you have. Nothing of yours is replaced unless you say so, and the whole import can be taken back.',
  stock: (fresh: number, related: boolean): string =>
    `Add ${fresh === 1 ? 'one stock movement' : `${fresh} stock movements`} that you do not have.${related ? '' : ' They are from another van’s stock.'}`,
  pictures: (pictures: string): string => `With ${pictures} of the jobs that come in.`,
  same: (what: string): string => `The same here and in the file: ${what}.`,
  aside: (count: number): string =>
    `${count === 1 ? 'One job in it cannot be read. It is left out' : `${count} jobs in it cannot be read. They are left out`}, kept as ${count === 1 ? 'it is' : 'they are'} and put into your next backup. The rest comes in.`,
});

/** The list of jobs. */
export const jobsText = worded({
  forGood: (name: string): string =>
    `“${name}” goes for good, with its run and its pictures. Only a backup can bring it back.`,
  newHere: 'New here? Begin with your own car, or look round the demo.',
  notImported: 'was not imported.',
  unchanged: 'Your data is unchanged.',
  cutOff: (file: string): string => `The import of ${file} was cut off. Take it back, then import the file again.`,
  imported: (file: string, when: string): string => `${file} was imported ${when}.`,
  rescued: 'Not saved yet, from before this page was closed:',
  openIt: 'Open it to keep it.',
  archived: (count: number): string => `${count === 1 ? 'One job' : `${count} jobs`} archived.`,
});

/** Room on this device. */
export const spaceText = worded({
  lasting: 'The browser has promised not to clear it by itself.',
  notLasting:
    'Save a backup now and then, or install Esmero: the browser may clear it when the device runs short of room.',
  sweep: (count: number): string =>
    `${count === 1 ? 'One picture' : `${count} pictures`} that no job shows. Only a backup can bring them back.`,
  used: (used: string): string => `${used} used.`,
  unknown: 'This browser does not say how much room there is. Save a backup now and then.',
  orphans: (count: number): string =>
    `${count === 1 ? 'One picture is' : `${count} pictures are`} no longer on any job. They are deleted automatically after 30 days.`,
  plainJson: 'Save as plain JSON',
});
