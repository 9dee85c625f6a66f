import { worded } from '../english';

/** The log. */
export const logText = worded({
  yearPaper: (year: number): string => `Water in ${year}`,
  againstAdvice: (by: string): string => `Against advice, on the word of ${by}`,
  empty:
    'No finished runs yet. Run a job beside the car, and it is listed here afterwards with what it took; so is a car that was declined.',
  visits: 'What lay on the car at each visit, on average over the panels that were looked at.',
  none: 'No entries match.',
  dots: 'Each dot is a run, used over planned, of the last two hundred. Eight in ten of the next ones should lie in the band.',
  teaches:
    'Actual ÷ planned, using our own figures, cautious until you have several runs. None of it is used until you say so, in Method.',
});
