import type { RunEvent } from '@esmero/model';
import { isTick } from '@esmero/model';
import { andList } from './and-list';
import { worded } from './english';
import { zoneName } from './words';

/** So many panels are named; more are counted. */
const MOST_NAMED = 3;

/** Panels of a pass; those that were only wetted ahead of it go without saying. */
function panelsOf(events: readonly RunEvent[]): string {
  const ticks = events.filter((event) => isTick(event));
  const done = ticks.filter(({ kind }) => kind !== 'wet');
  const names = [...new Set((done.length > 0 ? done : ticks).map(({ zone }) => zoneName(zone).toLowerCase()))];
  return names.length === 0 ? '' : names.length <= MOST_NAMED ? `: ${andList(names)}` : `: ${names.length} panels`;
}

/** Two phones on one car. */
export const crewText = worded({
  state: {
    off: '',
    linking: 'Looking for the other phone …',
    alone: 'Waiting for the other phone.',
    linked: 'Linked: what one ticks off, the other sees.',
    cut: 'The link is cut. Go on working: nothing is lost, and all of it is put together when it is back.',
    'turned-away': 'This car is not open to you: the link is an old one, or too many phones are in.',
  },
  lead: 'The other phone scans this, or opens the link. Both have to be on the network of the machine that serves Esmero. What they say to each other is encrypted: the key is in the link, and the server never has it.',
  plainHttp:
    'This page came over plain http: somebody on the network who can change pages on their way could still read along. Start Esmero with --https to rule that out.',
  loopback:
    'This page is served to this device only. To let another phone in, start Esmero with HOST=0.0.0.0, and open the address it prints.',
  file: 'Pass the run on as codes that the other phone’s camera reads, or as a file; then the same back.',
  showing: (number: number, count: number): string =>
    `Code ${number} of ${count}. Hold the other phone’s camera in front of it until it has all of them.`,
  reading: (read: number, count: number): string =>
    count === 0 ? 'Hold the camera in front of the codes.' : `${read} of ${count} codes read`,
  noCamera:
    'The camera was not opened: allow it for this page, or pass the run on as a file. Browsers open it only on https or on this device itself.',
  notOurs: 'That is not the run of this car.',
  joining: (code: string): string => `Join car ${code}`,
  joiningHow: 'As soon as the phone that opened it answers, you see what it shares.',
  offered: 'The other phone shares this job with you.',
  offeredParts: (panels: number, ticked: number): string =>
    `${panels} panels, ${ticked === 0 ? 'not begun yet' : `${ticked} steps ticked off`}.`,
  isHere: 'You have this job already. It stays as it is here; only its run is shared.',
  isNew: 'It is kept among your jobs once you take it.',
  takenBack: (events: readonly RunEvent[]): string =>
    `The other phone took back what was ticked off${panelsOf(events)}.`,
  noKey: 'This link has no key. Scan it again from the other phone.',
  code: (code: string): string => `Car ${code}`,
});
