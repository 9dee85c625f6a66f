import type { Assumptions } from '../assumptions';
import { type Figure, sumFigure } from '../reasons';
import type { Realised } from './realise';

/**
 * The time to give a client, minutes: arriving, the walk-round with marks and pictures, the work by the clock with
 * set-up and packing, a second look and the handover. What is not on the clock is our judgement.
 * @param zones that are looked at
 */
export const slotOf = ({ timeline }: Realised, zones: number, a: Assumptions): Figure => ({
  ...sumFigure(
    'min',
    [
      { code: 'slot.arriving', value: a.arriving },
      { code: 'slot.walk-round', value: (a.lookSeconds * zones) / 60 },
      { code: 'slot.work', value: timeline.elapsedS / 60 },
      { code: 'slot.second-look', value: a.secondLook },
      { code: 'slot.handover', value: a.handover },
    ],
    ['arriving', 'lookSeconds', 'secondLook', 'handover'],
  ),
  origin: 'judged',
});
