import { worded } from '../english';

/** Towels and buckets. */
export const towelsText = worded({
  pointAt: 'Point at a side to see where it goes, or at a panel to see its sides.',
  inHand: (towels: string): string => `In the hand: ${towels}.`,
  wheelStays: 'A wheel towel stays with the wheels.',
  demoted: 'Damp: now for sills and shuts',
  freshDue: (zone: string): string => `Too much comes out of the water by then: fresh water is due before ${zone}.`,
  withFresh: (before: string, less: string, more: string): string =>
    `With fresh rinse water before ${before}, ${less} come back instead of ${more}.`,
  draws: 'A thousand simulated washes; every method gets the same draws.',
  simulation:
    'A simulation to compare habits, not a promise: how hands rinse and wring is our judgement, and can be set otherwise.',
  carryCaption: (sure: string): string => `Planned, typical, and enough in ${sure} of cases`,
  carryDraws:
    'This is enough to wash the dirtiest panel again. Mixes are counted beyond what must stay in the vessel. A thousand draws: soil varies by each panel’s own uncertainty; liquid, pace and confidence come from the assumptions.',
  none: 'No towels needed: nothing is washed.',
  drag: 'Drag a towel onto another pile, or pick the pile beside its name, and all is planned again.',
  pileEach: ', each person with a pile of their own.',
  short: (count: number): string => `${count} short.`,
  damp: 'A buffing towel that got damp',
  noBucket: 'This plan needs no bucket.',
  rinseWater: (laid: string, runsOff: string, stays: string): string =>
    `And ${laid} of rinse water: ${runsOff} run off, and ${stays} stay on the panels for the towels.`,
  after:
    'Waste water goes to a sanitary drain where the local code allows it, never into a storm drain. Wash towels without softener, and no hotter than their label says: softener and heat make the fibre smear.',
});
