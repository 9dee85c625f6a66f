import { worded } from '../english';

/** The frame around every page. */
export const frameText = worded({
  twoPlaces: 'It was changed in two places, and you have not chosen between them yet.',
  slowSave: 'Saving it takes longer than usual.',
  keptAside: 'If you leave, it is kept aside in this browser and offered when you open the job again.',
  changeLost: 'If you leave now, the change is lost.',
  midRun: (time: string): string => `Planned again at ${time}, in mid-run: mixes, towels and times here are those of the rest.`,
  keepsNothing: 'Save a backup before you close this tab. The browser keeps nothing for Esmero: this is a private window, or storage is switched off. You can work, but all is gone when the tab closes.',
  changedTwice: (what: string, time: string): string => `${what} changed here and, at ${time}, in another tab or by an import.`,
  bothAre: (mine: string, theirs: string): string => `Here it is ${mine}, there ${theirs}.`,
  whichIsRight: 'All else has been put together. Which is right?',
  stillHere: 'The job is still here, in this tab.',
  notHere: 'It may have been made in another browser, or its address was mistyped. Import its file, or pick another.',
  unread: 'The browser did not hand it out just now. Nothing is lost by trying again.',
});
