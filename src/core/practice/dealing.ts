import type { Try, ZoneId } from '../model';
import type { Plan } from '../planning';
import type { Load } from '../soil';
import type { UsedSide } from '../towel';

/** What to do before a panel: wipe on with the side in hand, turn it, or take another towel. */
export const deals = ['same', 'turn', 'new'] as const;
export type Deal = (typeof deals)[number];

/** A panel that comes next, with what is in the hand, and what the ledger does. */
export interface DealTask {
  readonly zoneId: ZoneId;
  readonly areaM2: number;
  /** What lies on it, the most first. */
  readonly loads: readonly Load[];
  readonly pass: number;
  readonly deal: Deal;
  /** How full the side in hand is before, 0 to 1; null before the first. */
  readonly fullness: number | null;
  readonly towel: number;
  readonly side: number;
  readonly fold: number;
}

const fullness = ({ dirtShare, liquidShare, reachShare }: UsedSide): number => Math.max(dirtShare, liquidShare, reachShare);

/** The panels of one person's wash towels in the order of the hand, each with what the plan's ledger does before it. */
export function dealingOf({ towels, zones }: Pick<Plan, 'towels' | 'zones'>): readonly DealTask[] {
  const planned = new Map(zones.map((one) => [one.zone.id, one]));
  const tasks: DealTask[] = [];
  const sides = towels.filter(({ worker, role }) => worker === 0 && role === 'wash').flatMap((towel) => towel.sides.map((side) => ({ towel, side })));
  sides.forEach(({ towel, side }, i) => {
    const before = sides[i - 1];
    side.entries.forEach(({ zoneId, pass }, j) => {
      const last = tasks.at(-1);
      if (last && last.zoneId === zoneId && last.pass === pass) return;
      const deal: Deal = j > 0 ? 'same' : before?.towel === towel ? 'turn' : 'new';
      const share = side.entries.slice(0, j).length / Math.max(1, side.entries.length);
      const { zone, soil } = planned.get(zoneId)!;
      const loads = [...soil.loads].sort((p, q) => q.loadGm2 - p.loadGm2);
      tasks.push({ zoneId, areaM2: zone.areaM2, loads, pass, deal, fullness: j > 0 ? share * fullness(side) : before ? fullness(before.side) : null, towel: towel.number, side: side.number, fold: towel.fold });
    });
  });
  return tasks;
}

/** Truth and answer are places in the list of deals. */
export function dealTry({ zoneId, deal }: DealTask, answer: Deal, at: number): Try {
  return { card: `deal/${zoneId}`.slice(0, 80), truth: deals.indexOf(deal), answer: deals.indexOf(answer), isRight: answer === deal, at };
}
