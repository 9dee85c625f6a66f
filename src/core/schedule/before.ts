import { type StartState, secondsSince } from '../rules';
import type { Chosen } from '../passes';
import type { Step } from './crew';

/** What was done on zones that are begun, as steps at their real times: before the plan’s clock begins. */
export const stepsBefore = (chosen: readonly Chosen[], begun: Pick<StartState, 'at'>): readonly Step[] =>
  chosen.flatMap(({ zone, option: { rest } }): readonly Step[] => {
    if (!rest) return [];
    const { rinsedAt } = rest.begun;
    const own = { zoneId: zone.id, pass: null, kit: null, worker: 0 };
    const rinsedS = rinsedAt === null ? [] : [-secondsSince(rinsedAt, begun)];
    return [
      ...rinsedS.map((endS): Step => ({ ...own, kind: 'flush', section: 0, startS: endS, endS })),
      ...rest.wet.map((sprayed, i): Step => ({ ...own, kind: 'spray', section: i + 1, ...sprayed })),
    ];
  });
