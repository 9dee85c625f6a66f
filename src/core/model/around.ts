/** What is round the car or in it and asks for care before the first drop. */
export const surroundingsToMind = [
  'boot-belongings',
  'open-roof',
  'soft-top',
  'child-seat',
  'electronics',
  'people',
  'traffic-left',
  'traffic-right',
] as const;
export type ToMind = (typeof surroundingsToMind)[number];

/** Covered before anything is wetted. */
export const covered: readonly ToMind[] = ['boot-belongings', 'open-roof', 'child-seat', 'electronics'];
/** Kept off with cones. */
export const coned: readonly ToMind[] = ['people', 'traffic-left', 'traffic-right'];

/** Sides of the car, as its driver sees them, on which traffic goes by. */
export const roadSides = (around: readonly ToMind[]): readonly ('left' | 'right')[] =>
  (['left', 'right'] as const).filter((side) => around.includes(`traffic-${side}`));
