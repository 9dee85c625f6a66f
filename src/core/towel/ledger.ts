import type { Assumptions } from '../assumptions';
import type { CleanlinessClass, Fold, SoakedTowelSchool, TowelBatch, TowelRole, ZoneId } from '../model';
import { type SideUse, sidesUsed } from './capacity';
import { type Kind, type Party, fewestTowels, oneByOne } from './fewest';
import type { TowelNeed } from './need';
import { type Side, inTurn, laidOut } from './sides';

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
  /** Sides that it shows as it is folded. */
  readonly fold: Fold;
  /** Opened before this plan begins. */
  readonly begun: boolean;
  /** Not in the pile: has to be found before the job can be done like this. */
  readonly missing: boolean;
  /** A finishing towel that went on as a wash towel when it was damp. */
  readonly demoted: boolean;
  /** Wetted in the bucket before the work. */
  readonly wetted: boolean;
  /** Wetted again from a cup after this side; null where it is not. */
  readonly rewetAfter: number | null;
  readonly sides: readonly UsedSide[];
}

/** A towel that is in use when a plan begins, with clean sides left. */
export interface OpenTowel {
  readonly number: number;
  readonly worker: number;
  readonly batch: TowelBatch;
  /** Sides that have served, and sides that are left. */
  readonly used: number;
  readonly left: number;
  /** Share of the first that is left which is filled, 0 to 1. */
  readonly partial: number;
  /** The dirtiest that it has touched. */
  readonly leastClass: CleanlinessClass;
  readonly wetted: boolean;
}

/** What a worker does next, in the order of work. */
export interface Wiping {
  readonly zoneId: ZoneId;
  /** Of the zone, 0 to 1: a large one is wiped in parts. */
  readonly share: number;
  readonly needs: readonly TowelNeed[];
}

export interface LedgerRules {
  readonly soakedSides: 4 | 8;
  readonly soakedTowel: SoakedTowelSchool;
}

/** A need with its zone and its place in the worker's whole way. */
interface Placed {
  readonly need: TowelNeed;
  readonly zoneId: ZoneId;
  /** Of the zone. */
  readonly share: number;
  readonly at: number;
}

/** A towel in use: its sides, each with the row that they speak of. */
interface Towel {
  readonly batch: TowelBatch;
  readonly missing: boolean;
  /** As it was before the plan; null for one that is opened in it. */
  readonly begun: OpenTowel | null;
  readonly laid: { readonly row: readonly Placed[]; readonly sides: readonly Side[] }[];
  demoted: boolean;
}

/** Sides that a towel wetted in the bucket is good for until it is wetted again. */
export const WETTED_SIDES = 4;

/** A damp finishing towel goes down to the lower body, shuts and wheels. */
const DEMOTED_FROM = 2;
/** So full is a side that finishes nothing any more. */
const DAMP = 0.9;

/** Needs that the same towels can serve: of one role, and either wetted beforehand or not. */
function rowsOf(wipings: readonly Wiping[]): readonly (readonly Placed[])[] {
  const rows = new Map<string, Placed[]>();
  wipings.forEach(({ zoneId, share, needs }, at) => {
    for (const need of needs) {
      const key = `${need.role}/${need.soaked}`;
      const row = rows.get(key);
      if (row) row.push({ need, zoneId, share, at });
      else rows.set(key, [{ need, zoneId, share, at }]);
    }
  });
  // What finishes goes first: towels that it leaves damp may wash further down.
  return [...rows.values()].sort((p, q) => Number(q[0]!.need.use !== 'wash') - Number(p[0]!.need.use !== 'wash'));
}

const lastAt = ({ laid }: Towel): number =>
  Math.max(...laid.flatMap(({ row, sides }) => sides.flatMap(({ portions }) => portions.map(({ need }) => row[need]!.at))));

const lowest = ({ laid }: Towel): CleanlinessClass =>
  Math.max(...laid.flatMap(({ sides }) => sides.map(({ cleanliness }) => cleanliness))) as CleanlinessClass;

const isDamp = ({ batch, laid, demoted, begun }: Towel): boolean =>
  batch.role === 'finish' && !demoted && !begun && laid[0]!.sides.length >= batch.sides && laid[0]!.sides.every(({ liquidShare }) => liquidShare > DAMP);

/** One worker's pile: opens as few towels as the way can be done with. */
class Pile {
  readonly towels: Towel[];

  constructor(
    private readonly stock: Map<TowelBatch, number>,
    begun: readonly OpenTowel[],
    private readonly rules: LedgerRules,
    private readonly a: Assumptions,
  ) {
    this.towels = begun.map((one) => ({ batch: one.batch, missing: false, begun: one, laid: [], demoted: false }));
  }

  serve(placed: readonly Placed[]): void {
    const row = placed.map(({ need }) => need);
    const damp = this.dampFor(placed);
    const down = new Map(damp.map((towel) => [this.downward(towel, placed), towel]));
    const open = new Map(this.openFor(row[0]!).map(({ towel, begun }) => [atHand(begun), towel]));
    for (const party of fewestTowels(row, [...open.keys(), ...this.toOpen(row[0]!)], [...down.keys()], this.a)) {
      const [again, further] = [down.get(party.kind), open.get(party.kind)];
      if (again) this.goDown(again, party, placed);
      else if (further) this.goOn(further, party, placed);
      else this.open(party, placed);
    }
  }

  /** Towels in use that may serve these needs, too. */
  private openFor({ role, soaked }: TowelNeed): readonly { readonly towel: Towel; readonly begun: OpenTowel }[] {
    return this.towels.flatMap((towel) => {
      const { begun, batch } = towel;
      return begun && begun.left > 0 && batch.role === role && begun.wetted === soaked ? [{ towel, begun }] : [];
    });
  }

  /** Finishing towels that are wet through before these needs are over, the first to be so first. */
  private dampFor(placed: readonly Placed[]): readonly Towel[] {
    const washes = placed.some(({ need }) => need.use === 'wash' && need.cleanliness >= DEMOTED_FROM);
    if (this.rules.soakedTowel !== 'demote' || !washes) return [];
    return this.towels.filter(isDamp).sort((p, q) => lastAt(p) - lastAt(q));
  }

  private downward(towel: Towel, placed: readonly Placed[]): Kind {
    const done = lastAt(towel);
    const from = placed.findIndex(({ at }) => at > done);
    return {
      batch: towel.batch,
      most: 1,
      sides: towel.batch.sides,
      filled: 0,
      wetShare: this.a.finishShare,
      from: from < 0 ? placed.length : from,
      leastClass: Math.max(DEMOTED_FROM, lowest(towel)) as CleanlinessClass,
      opened: false,
    };
  }

  /** Batches of the role as far as they are clean, and then what is not there. */
  private toOpen({ role, soaked }: TowelNeed): readonly Kind[] {
    const kind = (batch: TowelBatch, most: number): Kind => ({
      batch,
      most,
      sides: sidesUsed(batch, soaked, this.rules),
      filled: 0,
      wetShare: 0,
      from: 0,
      leastClass: 0,
      opened: true,
    });
    const batches = [...this.stock.keys()].filter((batch) => batch.role === role);
    const clean = batches.filter((batch) => this.stock.get(batch)! > 0);
    return [...clean.map((batch) => kind(batch, this.stock.get(batch)!)), kind(batches[0] ?? this.unknownBatch(role), Infinity)];
  }

  private open(party: Party, row: readonly Placed[]): void {
    const missing = party.kind.most === Infinity;
    if (!missing) this.stock.set(party.kind.batch, this.stock.get(party.kind.batch)! - party.count);
    for (const sides of this.towelsOf(party, row))
      if (sides.length > 0) this.towels.push({ batch: party.kind.batch, missing, begun: null, laid: [{ row, sides }], demoted: false });
  }

  /** Sides of each towel: one towel after the other where that does, or else as they can be dealt. */
  private towelsOf(party: Party, placed: readonly Placed[]): readonly (readonly Side[])[] {
    const { kind, count, shares } = party;
    const row = placed.map(({ need }) => need);
    const most = count * kind.sides;
    const sides = inTurn(row, shares, kind, most, this.a);
    if (sides) return Array.from({ length: count }, (_, t) => sides.slice(t * kind.sides, (t + 1) * kind.sides));
    return oneByOne(party, row, this.a).map((own) => laidOut(row, own, kind, kind.sides, this.a));
  }

  private goOn(towel: Towel, { kind, shares }: Party, placed: readonly Placed[]): void {
    const sides = laidOut(placed.map(({ need }) => need), shares, kind, kind.sides, this.a);
    if (sides.length > 0) towel.laid.push({ row: placed, sides });
  }

  private goDown(towel: Towel, { kind, shares }: Party, placed: readonly Placed[]): void {
    const sides = laidOut(placed.map(({ need }) => need), shares, kind, kind.sides, this.a);
    if (sides.length === 0) return;
    const { wetShare } = kind;
    towel.laid.push({ row: placed, sides: sides.map((side) => ({ ...side, liquidShare: wetShare + (1 - wetShare) * side.liquidShare })) });
    towel.demoted = true;
  }

  /** No towel of the role at all: reckon with the first towel there is. */
  private unknownBatch(role: TowelRole): TowelBatch {
    const any = [...this.stock.keys()][0];
    return {
      id: '',
      name: '',
      widthM: (any?.widthM ?? 0.4) as TowelBatch['widthM'],
      heightM: (any?.heightM ?? 0.4) as TowelBatch['heightM'],
      gsm: any?.gsm ?? 350,
      pile: 'short',
      sides: 8,
      clean: 0,
      origin: 'judged',
      role,
    };
  }
}

/** The sides that a towel in use has left. */
const atHand = ({ batch, left, partial, leastClass }: OpenTowel): Kind => ({
  batch,
  most: 1,
  sides: left,
  filled: partial,
  wetShare: 0,
  from: 0,
  leastClass,
  opened: false,
});

const entriesOf = (row: readonly Placed[], { portions }: Side): readonly SideEntry[] =>
  portions.map(({ need, share }) => ({
    zoneId: row[need]!.zoneId,
    share: share * row[need]!.share,
    dirtG: row[need]!.need.dirtG * share,
    liquidMl: row[need]!.need.liquidMl * share,
  }));

const firstAt = ({ laid: [first] }: Towel): number =>
  Math.min(...first!.sides.flatMap(({ portions }) => portions.map(({ need }) => first!.row[need]!.at)));

function record({ batch, missing, laid, demoted, begun }: Towel, number: number, worker: number): UsedTowel {
  const before = begun?.used ?? 0;
  const sides = laid.flatMap(({ row, sides: own }) =>
    own.map((side, i): UsedSide => {
      const { use, cleanliness, dirtShare, liquidShare, reachShare } = side;
      return { number: before + i + 1, use, cleanliness, entries: entriesOf(row, side), dirtShare, liquidShare, reachShare };
    }),
  );
  const wetted = laid[0]!.row[0]!.need.soaked;
  return {
    number,
    worker,
    batchId: batch.id,
    batchName: batch.name,
    role: batch.role,
    fold: batch.sides,
    begun: begun !== null,
    missing,
    demoted,
    wetted,
    rewetAfter: wetted && before < WETTED_SIDES && before + sides.length > WETTED_SIDES ? WETTED_SIDES : null,
    sides,
  };
}

/** How many towels of each role such ways take at the fewest, apart from what is in the pile. */
export function towelsTaken(
  workers: readonly (readonly Wiping[])[],
  batches: readonly TowelBatch[],
  rules: Pick<LedgerRules, 'soakedSides'>,
  a: Assumptions,
): ReadonlyMap<TowelRole, number> {
  const taken = new Map<TowelRole, number>();
  for (const placed of workers.flatMap(rowsOf)) {
    const { role, soaked } = placed[0]!.need;
    const batch = batches.find((one) => one.role === role);
    if (!batch) continue;
    const kind: Kind = { batch, most: Infinity, sides: sidesUsed(batch, soaked, rules), filled: 0, wetShare: 0, from: 0, leastClass: 0, opened: true };
    const parties = fewestTowels(placed.map(({ need }) => need), [kind], [], a);
    taken.set(role, (taken.get(role) ?? 0) + parties.reduce((sum, { count }) => sum + count, 0));
  }
  return taken;
}

/**
 * Towels side by side for each worker, in the order of work: a side goes on to the same class or
 * a dirtier one until its dirt, liquid or panel limit is reached; a towel never goes back to a
 * cleaner class; wetted towels and dry ones are not mixed. As few are opened as can be, and then as
 * few damp finishing towels go down as save one. Towels in use go on first, with the sides that are
 * left of them. Towels beyond the stock are listed as missing.
 */
export function towelLedger(
  workers: readonly (readonly Wiping[])[],
  batches: readonly TowelBatch[],
  rules: LedgerRules,
  a: Assumptions,
  inUse: readonly OpenTowel[] = [],
): readonly UsedTowel[] {
  const stock = new Map(batches.map((batch) => [batch, batch.clean]));
  return workers.flatMap((wipings, worker) => {
    const begun = inUse.filter((towel) => towel.worker === worker);
    const pile = new Pile(stock, begun, rules, a);
    rowsOf(wipings).forEach((row) => pile.serve(row));
    const [further, opened] = [true, false].map((old) => pile.towels.filter((towel) => towel.laid.length > 0 && (towel.begun !== null) === old));
    const last = Math.max(0, ...begun.map(({ number }) => number));
    opened!.sort((p, q) => firstAt(p) - firstAt(q));
    return [
      ...further!.map((towel) => record(towel, towel.begun!.number, worker)),
      ...opened!.map((towel, i) => record(towel, last + 1 + i, worker)),
    ];
  });
}
