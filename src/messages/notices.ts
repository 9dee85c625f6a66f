/** What the frame says about the page as a whole. */
export const noticeText = {
  'new-version':
    'There is a new version of Esmero, and this page is of the old one. Reload to go on: your job and run are kept.',
  offline:
    'This part of Esmero is not on this device yet, and the server cannot be reached. Go back online, then try again.',
  'newer-data': 'Your data was saved by a newer Esmero. Reload to get it. Until then nothing is shown or saved here.',
  update: 'A new version of Esmero is ready.',
  lost: 'Esmero’s data in this browser was deleted while this page was open. What is on this page has been saved again: the open job, the library and the stock. Other jobs come back from a backup.',
  'plain-http':
    'Opened over plain http: everything works but use without a network and a screen that stays on in a run. Start with npm start -- --https to have those, too.',
  'nearly-full':
    'This browser’s storage is nearly full. Save a backup, then delete archived jobs or unused pictures on the Jobs page.',
} as const;

export const noticeAction: Readonly<Partial<Record<keyof typeof noticeText, string>>> = {
  'new-version': 'Reload',
  'newer-data': 'Reload',
  update: 'Use it now',
};
