import { worded } from '../english';

/** The bench. */
export const mixText = worded({
  tooWeak: 'After rounding, this is weaker than the label allows: measure with a finer device.',
  tooStrong: 'After rounding, this is stronger than the label allows: measure with a finer device.',
  exact: (exact: string): string => `${exact}, and the device can measure that.`,
  suitsBetter: (why: string, parts: number): string =>
    `Within the label’s band, ${why}: 1 to ${parts} would suit better (our judgement).`,
  suits: (why: string, parts: number): string => `1 to ${parts} suits today: ${why} (our judgement).`,
  hotFor: (least: string, minutes: string): string =>
    ` It is hot enough for these panels (${least}) for ${minutes} min.`,
  cap: (least: string, most: string): string =>
    `Measure your cap first: fill it with water, weigh it, and type what it holds. Caps hold anything from ${least} to ${most}.`,
  none: 'Nothing is mixed: the plan leaves the car alone. Method says why.',
  caution:
    'Water first, then product. Label every vessel with mix, ratio and day. Read the safety data sheets; gloves and eye protection; never mix products in one vessel.',
});
