import { worded } from '../english';

/** The frame around every page. */
export const frameText = worded({
  twoPlaces: 'It was changed in two places, and you have not chosen between them yet.',
  slowSave: 'Saving is taking longer than usual.',
  keptAside: 'If you leave, a draft stays in this browser and is offered when you reopen the job.',
  changeLost: 'If you leave now, the change is lost.',
  midRun: (time: string): string =>
    `Planned again at ${time}, in mid-run: mixes, towels and times here are those of the rest.`,
  keepsNothing:
    'Save a backup before you close this tab. The browser keeps nothing for Esmero: this is a private window, or storage is switched off. You can carry on, but everything is lost when you close the tab.',
  changedTwice: (what: string, time: string): string =>
    `${what} changed here and, at ${time}, in another tab or by an import.`,
  bothAre: (mine: string, theirs: string): string => `Here it is ${mine}, there ${theirs}.`,
  whichIsRight: 'Everything else has been merged. Which of these is right?',
  stillHere: 'The job is still here, in this tab.',
  notHere: 'It may have been made in another browser, or its address was mistyped. Import its file, or pick another.',
  unread: 'The browser could not read it. Trying again is safe.',
});
