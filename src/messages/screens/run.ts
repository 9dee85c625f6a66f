import { worded } from '../english';

/** The run beside the car. */
export const runText = worded({
  noVoice: 'This device has no voice of its own: nothing is read aloud, and nothing is sent to one elsewhere.',
  twoPhones: 'Two phones',
  sideMeter: 'Is this side full?',
  pictureFirst: 'Picture for the half-panel proof',
  hotReady: 'Hot water is ready and measured.',
  seenTogether: (mark: string, zone: string): string => `Seen together with the client: ${mark}, ${zone}.`,
  noPlan: 'There is no plan to run. Method says what would help.',
  noPlanForRest: 'There is no plan for the rest. Method says what would help. What was ticked off is kept.',
  replans: 'The rest is planned again from what is left; finished passes stay finished. “Take back” reverses it.',
  raking: 'Each panel in raking light, from low down: streaks, missed corners.',
  drips: 'Drips from mirrors, lamps, handles, plate and seams.',
  insides: 'Glass from inside; shuts; wheels.',
  setUpFirst: (time: string): string => `Set up: ${time} planned`,
  walkRound: 'Walk round together',
  visit: (minutes: string): string => `The visit, ${minutes} by the plan`,
  here: 'I am at the car',
  lookFor: (time: string): string => `Second look, with packing ${time} planned`,
  begun: (ago: string): string => `Begun ${ago} ago. Every tick is kept: a reload or a locked screen loses nothing.`,
  again: 'Dirt came off on the drying towel. Wash again:',
  tone: 'A tone when something is ready or about to dry',
  marksSeen: 'The client has seen these marks',
  leaveForLater: (panels: number): string => `${panels > 1 ? `Leave ${panels} panels` : 'Leave it'} for another time`,
  laterLike: 'e.g. dress tyres after the drive',
  localFirst: 'Local codes, product sheets and licensed practice come before anything said here.',
});

/** Counting what was used. */
export const useText = worded({
  lighterThanEmpty: 'The vessel cannot weigh less than when it is empty.',
  failed: (why: string): string => `It could not be added up: ${why}`,
  scale: 'On the scale, and the empty vessel.',
  sayWhy: 'Say why, in a few words.',
  noted: (earlier: number): string =>
    `Noted in the log${earlier > 0 ? `; ${earlier} ${earlier > 1 ? 'earlier counts are' : 'earlier count is'} kept` : ''}. What many runs say is offered to the next plan in Method.`,
  booked: 'Taken off stock; the towels are with the laundry.',
});
