import { worded } from '../english';

/** The log. */
export const logText = worded({
  yearPaper: (year: number): string => `Water in ${year}`,
  againstAdvice: (by: string): string => `Against advice, on the word of ${by}`,
  empty: 'No run is over yet. Run a job beside the car, and it is listed here afterwards with what it took; so is a car that was declined.',
  visits: 'What lay on the car at each visit, on average over the panels that were looked at.',
  none: 'Nothing in the log is like that.',
  dots: 'Each dot is a run, used over planned, of the last two hundred. Eight in ten of the next ones should lie in the band.',
  teaches: 'Used over planned by our own figures, cautious until you have several runs. Nothing of it is used before you say so, in Method.',
});
