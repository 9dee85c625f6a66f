import type { Gate, Obstacle } from '../reasons';
import type { Shut } from '../rules';

/** Gates that go away with the same help, in the order in which help is looked for. */
const obstacles: readonly (readonly [Obstacle, readonly Gate['code'][]])[] = [
  ['heat', ['panel-too-hot', 'dries-first']],
  ['frost', ['freezes', 'freezes-first', 'no-power']],
  ['kit', ['no-product', 'no-vessel', 'no-gear', 'no-tap', 'out-of-reach']],
];

/**
 * The one obstacle without which every blocked zone could be washed by some treatment; where there
 * is no such one, it is the soil: the car needs a full rinse wash. A treatment that nothing forbids is of another
 * method than the one that was asked for, and tells nothing.
 */
export function obstacleOf(blocked: readonly (readonly Shut[])[]): Obstacle {
  const found = obstacles.find(([, codes]) =>
    blocked.every((zone) =>
      zone.some(({ gates }) => gates.length > 0 && gates.every(({ code }) => codes.includes(code))),
    ),
  );
  return found?.[0] ?? 'soil';
}
