import { worded } from '../english';

/** The library. */
export const libraryText = worded({
  forGood: (name: string): string => `“${name}” goes for good. Jobs that use it have their own copy and keep it.`,
  lead: 'Jobs take a copy: changing an item here leaves jobs that use it as they are.',
  notSaved: 'Not saved. Correct the marked fields.',
  saved: 'Saved.',
  bothChanged: (what: string): string => `: you and another tab have both changed ${what}. Which is right?`,
  pick: 'Pick an item to read or change it.',
});
