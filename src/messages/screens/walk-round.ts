import { en, worded } from '../english';

/** The walk-round. */
export const walkText = worded({
  computed: (temperature: string): string =>
    `${en('From air, sun and colour')}: ${temperature}. What you measure goes first.`,
  noSince: 'Panels you have not looked at count as clean. Say when it was last washed, and the forecast fills them.',
  fills: (distance: string, roads: string): string =>
    `${distance}, ${roads}. The forecast fills the panels you have not looked at.`,
  lead: 'Go low and look along each side. Pick a level and a kind, then press or drag over the panels.',
  unseen: (count: number): string => `${count} not looked at yet.`,
  hidden: 'Pick a level and a kind, then press the piece.',
  feel: 'Go low, then feel with a fingertip of product: a crackle is grit.',
  press: 'Press a panel for its spots, its warmth and its existing marks.',
});
