import type { Assumptions } from '../assumptions';
import type { CleanlinessClass, SoakedTowelSchool, TowelBatch, TowelRole, ZoneId } from '../model';
import { SIDES, type SideUse, sideCapacity } from './capacity';
import type { TowelNeed } from './need';

/** A part of a zone on one side. */
export interface SideEntry {
  readonly zoneId: ZoneId;
  /** Share of the zone's wiping, 0 to 1. */
  readonly share: number;
  readonly dirtG: number;
  readonly liquidMl: number;
}

/** One side of one towel with what it took up. Shares are of that limit, 0 to 1. */
export interface UsedSide {
  readonly number: number;
  readonly use: SideUse;
  readonly cleanliness: CleanlinessClass;
  readonly entries: readonly SideEntry[];
  readonly dirtShare: number;
  readonly liquidShare: number;
  readonly reachShare: number;
}

export interface UsedTowel {
  /** Counted from 1 in the order of opening, per worker. */
  readonly number: number;
  readonly worker: number;
  readonly batchId: string;
  readonly batchName: string;
  readonly role: TowelRole;
  /** Not in the pile: has to be found before the job can be done like this. */
  readonly missing: boolean;
  /** A finishing towel that went on as a wash towel when it was damp. */
  readonly demoted: boolean;
  readonly sides: readonly UsedSide[];
}

/** What a worker does next, in the order of work. */
export interface Wiping {
  readonly zoneId: ZoneId;
  readonly needs: readonly TowelNeed[];
}

export interface LedgerRules {
  readonly soakedSides: 4 | 8;
  readonly soakedTowel: SoakedTowelSchool;
}

interface Side {
  use: SideUse;
  cleanliness: CleanlinessClass;
  entries: SideEntry[];
  dirtShare: number;
  liquidShare: number;
  reachShare: number;
  reused: boolean;
}

interface Towel {
  number: number;
  worker: number;
  batch: TowelBatch;
  missing: boolean;
  demoted: boolean;
  touched: CleanlinessClass;
  sides: Side[];
  usable: number;
}

/** Shares of a side that a whole need would fill. */
interface Filling {
  readonly dirt: number;
  readonly liquid: number;
  readonly reach: number;
}

/** Less of a zone than this is not worth turning to a part-used side for. */
const LEAST_SHARE = 0.02;
/** From this class down a soiled side may serve again. */
const SOILED_FROM = 4;
/** A damp finishing towel goes down to the lower body, shuts and wheels. */
const DEMOTED_FROM = 2;

const filling = (need: TowelNeed, batch: TowelBatch, a: Assumptions): Filling => {
  const side = sideCapacity(batch, need.use, a);
  return {
    dirt: need.dirtG / side.dirtG,
    liquid: need.soaked ? 0 : need.liquidMl / side.liquidMl,
    reach: need.reachShare,
  };
};

/** How much of the need still fits on a side, as a share of the whole need. */
const fits = (side: Side, fill: Filling): number =>
  Math.min(
    fill.dirt > 0 ? (1 - side.dirtShare) / fill.dirt : Infinity,
    fill.liquid > 0 ? (1 - side.liquidShare) / fill.liquid : Infinity,
    fill.reach > 0 ? (1 - side.reachShare) / fill.reach : Infinity,
  );

/** One worker's pile: opens towels as they are needed, never more of a batch than are clean. */
class Pile {
  readonly towels: Towel[] = [];

  constructor(
    private readonly worker: number,
    private readonly stock: Map<TowelBatch, number>,
    private readonly rules: LedgerRules,
    private readonly a: Assumptions,
  ) {}

  wipe({ zoneId, needs }: Wiping): void {
    for (const need of needs) this.serve(zoneId, need);
  }

  private serve(zoneId: ZoneId, need: TowelNeed): void {
    let left = 1;
    while (left > 1e-9) {
      const [towel, side] = this.sideFor(need, left);
      const fill = filling(need, towel.batch, this.a);
      const share = Math.min(left, fits(side, fill));
      side.dirtShare += fill.dirt * share;
      side.liquidShare += fill.liquid * share;
      side.reachShare += fill.reach * share;
      side.cleanliness = need.cleanliness;
      towel.touched = Math.max(towel.touched, need.cleanliness) as CleanlinessClass;
      side.entries.push({
        zoneId,
        share,
        dirtG: need.dirtG * share,
        liquidMl: need.liquidMl * share,
      });
      left -= share;
    }
  }

  /** Part-used side, fresh side of an open towel, soiled side for wheels, demoted towel, new towel. */
  private sideFor(need: TowelNeed, left: number): [Towel, Side] {
    const open = this.towels
      .filter((t) => t.batch.role === need.role && !t.demoted && t.touched <= need.cleanliness)
      .sort((p, q) => q.touched - p.touched);
    return (
      this.partUsed(open, need, left) ??
      this.freshSide(open, need) ??
      this.soiledSide(open, need) ??
      this.demotedSide(need, left) ??
      this.freshSide([this.openTowel(need)], need)!
    );
  }

  private partUsed(open: readonly Towel[], need: TowelNeed, left: number): [Towel, Side] | undefined {
    for (const towel of open) {
      const fill = filling(need, towel.batch, this.a);
      const side = towel.sides.find(
        (s) =>
          s.use === need.use &&
          s.cleanliness <= need.cleanliness &&
          fits(s, fill) >= Math.min(left, LEAST_SHARE),
      );
      if (side) return [towel, side];
    }
    return undefined;
  }

  private freshSide(open: readonly Towel[], need: TowelNeed): [Towel, Side] | undefined {
    const towel = open.find((t) => t.sides.length < t.usable);
    return towel && [towel, this.turn(towel, need)];
  }

  private turn(towel: Towel, need: TowelNeed, liquidShare = 0): Side {
    const side: Side = {
      use: need.use,
      cleanliness: need.cleanliness,
      entries: [],
      dirtShare: 0,
      liquidShare,
      reachShare: 0,
      reused: false,
    };
    towel.sides.push(side);
    return side;
  }

  private soiledSide(open: readonly Towel[], need: TowelNeed): [Towel, Side] | undefined {
    if (need.cleanliness < SOILED_FROM) return undefined;
    for (const towel of open) {
      const side = towel.sides.find((s) => !s.reused && s.cleanliness < SOILED_FROM && s.liquidShare < 0.9);
      if (!side) continue;
      Object.assign(side, { reused: true, dirtShare: 0, reachShare: 0 });
      return [towel, side];
    }
    return undefined;
  }

  /** Damp finishing sides are clean but full of liquid up to their own limit. */
  private demotedSide(need: TowelNeed, left: number): [Towel, Side] | undefined {
    const may =
      this.rules.soakedTowel === 'demote' &&
      need.use === 'wash' &&
      need.cleanliness >= DEMOTED_FROM;
    if (!may) return undefined;
    const down = this.towels.filter((t) => t.demoted && t.touched <= need.cleanliness);
    const again = this.partUsed(down, need, left) ?? this.freshSide(down, need);
    if (again) return again;
    const damp = this.towels.find(
      (t) =>
        t.batch.role === 'finish' &&
        !t.demoted &&
        t.touched <= need.cleanliness &&
        t.sides.length === t.usable &&
        t.sides.every((s) => s.liquidShare > 0.9),
    );
    if (!damp) return undefined;
    damp.demoted = true;
    damp.usable = 2 * SIDES;
    return [damp, this.turn(damp, need, this.a.finishShare)];
  }

  private openTowel(need: TowelNeed): Towel {
    const batches = [...this.stock.keys()].filter((b) => b.role === need.role);
    const inStock = batches.find((b) => this.stock.get(b)! > 0);
    const batch = inStock ?? batches[0] ?? this.unknownBatch(need.role);
    if (inStock) this.stock.set(inStock, this.stock.get(inStock)! - 1);
    const towel: Towel = {
      number: this.towels.length + 1,
      worker: this.worker,
      batch,
      missing: !inStock,
      demoted: false,
      touched: 0,
      sides: [],
      usable: need.soaked ? this.rules.soakedSides : SIDES,
    };
    this.towels.push(towel);
    return towel;
  }

  /** No towel of the role at all: reckon with the first towel there is, and say it is missing. */
  private unknownBatch(role: TowelRole): TowelBatch {
    const any = [...this.stock.keys()][0];
    return {
      id: '',
      name: '',
      widthM: (any?.widthM ?? 0.4) as TowelBatch['widthM'],
      heightM: (any?.heightM ?? 0.4) as TowelBatch['heightM'],
      gsm: any?.gsm ?? 350,
      clean: 0,
      origin: 'judged',
      role,
    };
  }
}

const record = (towel: Towel): UsedTowel => ({
  number: towel.number,
  worker: towel.worker,
  batchId: towel.batch.id,
  batchName: towel.batch.name,
  role: towel.batch.role,
  missing: towel.missing,
  demoted: towel.demoted,
  sides: towel.sides.map((side, i) => ({
    number: (i % SIDES) + 1,
    use: side.use,
    cleanliness: side.cleanliness,
    entries: side.entries,
    dirtShare: side.dirtShare,
    liquidShare: side.liquidShare,
    reachShare: side.reachShare,
  })),
});

/**
 * Towels side by side for each worker, in the order of work: a side goes on to the same class or
 * a dirtier one until its dirt, liquid or panel limit is reached; a towel never goes back to a
 * cleaner class. A sound greedy: it turns to a used side before a fresh one and to an open towel
 * before a new one. Towels beyond the stock are listed as missing.
 */
export function towelLedger(
  workers: readonly (readonly Wiping[])[],
  batches: readonly TowelBatch[],
  rules: LedgerRules,
  a: Assumptions,
): readonly UsedTowel[] {
  const stock = new Map(batches.map((batch) => [batch, batch.clean]));
  return workers.flatMap((wipings, worker) => {
    const pile = new Pile(worker, stock, rules, a);
    wipings.forEach((wiping) => pile.wipe(wiping));
    return pile.towels.map(record);
  });
}
