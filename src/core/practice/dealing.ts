import type { Try, ZoneId } from '../model';
import type { Plan } from '../planning';
import type { SoilState } from '../soil';
import type { SideEntry, UsedSide, UsedTowel } from '../towel';

/** What to do before a panel: wipe on with the side in hand, turn it, or take another towel. */
export const deals = ['same', 'turn', 'new'] as const;
export type Deal = (typeof deals)[number];

/** A panel that comes next, with what is in the hand, and what the ledger does. */
export interface DealTask {
  readonly zoneId: ZoneId;
  readonly areaM2: number;
  readonly soil: SoilState;
  readonly pass: number;
  readonly deal: Deal;
  /** Before it; null before the first. */
  readonly inHand: InHand | null;
  readonly towel: number;
  readonly side: number;
}

/** The side in the hand, and how full it is, 0 to 1. */
export interface InHand {
  readonly towel: number;
  readonly side: number;
  readonly fold: number;
  readonly fullness: number;
}

/** How full a side is after so many of its entries, by whichever of dirt, liquid and reach fills it first. */
function fullness({ entries, dirtShare, liquidShare, reachShare }: UsedSide, done: number): number {
  const part = (of: (entry: SideEntry) => number): number => {
    const all = entries.reduce((sum, entry) => sum + of(entry), 0);
    return all > 0 ? entries.slice(0, done).reduce((sum, entry) => sum + of(entry), 0) / all : 0;
  };
  const dirt = part(({ dirtG }) => dirtG);
  return Math.max(dirtShare * dirt, liquidShare * part(({ liquidMl }) => liquidMl), reachShare * dirt);
}

interface Held {
  readonly towel: UsedTowel;
  readonly side: UsedSide;
}

const handOf = ({ towel, side }: Held, done: number): InHand => ({
  towel: towel.number,
  side: side.number,
  fold: towel.fold,
  fullness: fullness(side, done),
});

/** The panels of one person's wash towels in the order of the hand, each with what the plan's ledger does before it. */
export function dealingOf({ towels, zones }: Pick<Plan, 'towels' | 'zones'>): readonly DealTask[] {
  const planned = new Map(zones.map((one) => [one.zone.id, one]));
  const tasks: DealTask[] = [];
  const sides = towels
    .filter(({ worker, role }) => worker === 0 && role === 'wash')
    .flatMap((towel) => towel.sides.map((side) => ({ towel, side })));
  sides.forEach(({ towel, side }, i) => {
    const before = sides[i - 1];
    side.entries.forEach(({ zoneId, pass }, j) => {
      const last = tasks.at(-1);
      // A panel that goes on over the next side is asked for once.
      if (last && last.zoneId === zoneId && last.pass === pass) return;
      const deal: Deal = j > 0 ? 'same' : before?.towel === towel ? 'turn' : 'new';
      const { zone, soil } = planned.get(zoneId)!;
      const inHand = j > 0 ? handOf({ towel, side }, j) : before ? handOf(before, before.side.entries.length) : null;
      tasks.push({ zoneId, areaM2: zone.areaM2, soil, pass, deal, inHand, towel: towel.number, side: side.number });
    });
  });
  return tasks;
}

/** Truth and answer are places in the list of deals. */
export function dealTry({ zoneId, deal }: DealTask, answer: Deal, at: number): Try {
  return {
    card: `deal/${zoneId}`,
    truth: deals.indexOf(deal),
    answer: deals.indexOf(answer),
    isRight: answer === deal,
    at,
  };
}
