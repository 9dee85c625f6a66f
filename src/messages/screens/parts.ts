import { worded } from '../english';

/** Parts that several screens show. */
export const partsText = worded({
  methodSays: 'Method says why, and what the car needs.',
  noMix: 'This number makes no mix under this reading.',
  localFirst: 'Local codes, product sheets and licensed practice come before anything said here.',
  pictureElsewhere: 'The picture is kept on another machine.',
  window: 'time used before it dries; dry at the line',
  failed: (why: string): string => `Reload the page and ask again. That could not be worked out: ${why}.`,
  planFailed: (why: string): string => `The plan could not be worked out: ${why}`,
  demoted: 'damp, now for sills and shuts',
  rewet: (side: number): string => `Wet it again from the cup after side ${side}.`,
  label:
    'Not for drinking. Keep from children. Gloves, eye protection; read the product’s safety data sheet. Never add another product. Let pressure off before opening.',
  relative: ': a relative index of ours, not a measurement.',
  noPdf: (why: string): string => `Try again, or print the page. The PDF could not be made: ${why}`,
  fetching: 'Fetching what is kept here …',
  unread: (why: string): string =>
    `Try again, or reload the page: nothing is lost by it. What is kept here could not be read: ${why}`,
  restsOn: 'Figures it rests on, for this job',
});
