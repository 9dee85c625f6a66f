import { worded } from '../english';

/** The work order. */
export const orderText = worded({
  noPlan: 'There is no plan to order.',
  key: 'Pass, panels, treatment, towel:sides (+ fresh, › turned to that side, » taken up again for something dirtier, a dot: done), when its wipe begins, hands-on minutes. W waterless, F foam, R rinseless, P pre-soak, ↓ pre-rinse first, ◦ cool with a mist first. What dwells is wetted ahead, in this order.',
  paperKey:
    'Pass, panels, how, towel:sides (+ fresh, › turned to that side, » taken up again for something dirtier, a dot: done), when its wipe begins, time by hand. What dwells is wetted ahead, in this order.',
  second: ' 2nd: the second person.',
  first: 'Local codes, product sheets and licensed trades come before this sheet.',
});
