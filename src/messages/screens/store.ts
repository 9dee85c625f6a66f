import { worded } from '../english';

/** Why something was not kept. */
export const storeText = worded({
  full: 'The browser’s storage is full. Delete archived jobs, or unused pictures under Settings, or free some space on the device. Then try again.',
  newer: 'A newer Esmero is open in another tab. Reload this page to go on.',
  failed: (why: string): string => `Save a backup, then reload. The browser did not store it: ${why}.`,
  changedElsewhere: (name: string): string =>
    `${name} was changed in another window at the same time, and stands as it is there. Make your change once more.`,
  notScaled: 'The picture could not be scaled.',
  noPicture: 'This file holds no picture that the browser can read. Take a JPEG or PNG.',
});
