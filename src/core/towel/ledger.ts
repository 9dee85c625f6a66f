import type { Assumptions } from '../assumptions';
import { type CleanlinessClass, type SoakedTowelHabit, type TowelBatch, type TowelRole, cleanlinessOf } from '../model';
import {
  type Fill,
  type Hand,
  type PutDown,
  type Towel,
  EMPTY,
  ROUNDING,
  fillOn,
  filled,
  fits,
  goesOn,
  inHand,
  isFresh,
  putDown,
  takenUp,
  turned,
} from './hand';
import type { Filling, TowelNeed } from './need';
import { type Slot, slotAt, slotOf, slots } from './slot';
import type { OpenTowel, UsedSide, UsedTowel } from './used';
import type { Wiping } from './wiping';

export interface LedgerRules {
  readonly soakedSides: 4 | 8;
  readonly soakedTowel: SoakedTowelHabit;
  /** Ways that are followed at a time; the fewer, the quicker, and now and then a towel more. */
  readonly mostWays?: number;
}

/** Sides that a towel wetted in the bucket is good for until it is wetted again. */
export const WETTED_SIDES = 4;

/** On glass and upper paint a pass begins on a fresh side. */
const FRESH_TO = cleanlinessOf.uppers;

/** What fills a side first. */
const most = ({ dirt, liquid, reach }: Filling): number => Math.max(dirt, liquid, reach);

/** A share of a wiping on a side, noted as the hand goes along. */
interface Note {
  readonly before: Note | null;
  readonly towel: number;
  readonly side: number;
  /** Which visit of the towel: one that is taken up again begins another. */
  readonly visit: number;
  readonly at: number;
  readonly share: number;
  readonly fill: Fill;
  /** What the side held before this visit. */
  readonly wetShare: number;
}

/** One way in which towels may have gone through the hands so far. */
interface Way {
  /** By the place of their slot. */
  readonly hands: readonly (Hand | undefined)[];
  readonly put: readonly PutDown[];
  readonly towels: readonly Towel[];
  readonly stock: readonly number[];
  readonly notes: Note | null;
  readonly missing: number;
  readonly opened: number;
  readonly demoted: number;
}

/** What is in the hand of a slot. */
const handOf = ({ hands }: Pick<Way, 'hands'>, slot: Slot): Hand | undefined => hands[slotAt[slot]];

/** Copied as a list: this is what a plan does most often. */
function withHand(hands: Way['hands'], slot: Slot, hand: Hand | undefined): Way['hands'] {
  const next = hands.slice();
  next[slotAt[slot]] = hand;
  return next;
}

/** What is missing counts before what is opened, and that before what is taken up again. */
const isBetter = (p: Way, q: Way): boolean =>
  (p.missing - q.missing || p.opened - q.opened || p.demoted - q.demoted) < 0;

/** Ways that are followed at a time; an ordinary car has a handful. */
const MOST_WAYS = 48;

const fillKey = ({ dirt, liquid, reach }: Fill): string =>
  `${dirt.toFixed(9)},${liquid.toFixed(9)},${reach.toFixed(9)}`;

/** What a towel is told apart by; ways that go on from each other share their hands, and a hand keeps its towel. */
const keys = new WeakMap<Hand | PutDown, string>();

function keyOnce<T extends Hand | PutDown>(one: T, spelled: (one: T) => string): string {
  const known = keys.get(one);
  if (known !== undefined) return known;
  const key = spelled(one);
  keys.set(one, key);
  return key;
}

/** Ways with the same key go on alike. */
function keyOf({ hands, put, stock, towels }: Way): string {
  const makeOf = (towel: number): string => `${towels[towel]!.batch.id}/${towels[towel]!.wetted}`;
  const held = hands.map(
    (one) =>
      one &&
      keyOnce(
        one,
        (hand) =>
          `${makeOf(hand.towel)}/${hand.last - hand.side}/${hand.touched}/${hand.wetShare}/${fillKey(hand.fill)}`,
      ),
  );
  const down = put.map((one) =>
    keyOnce(one, ({ towel, side, last, touched, damp }) => `${makeOf(towel)}/${last - side}/${touched}/${damp}`),
  );
  return `${held.join(';')}|${down.sort().join(';')}|${stock.join()}`;
}

/** Of ways that go on alike the best one, and of all no more than can be followed. */
function thinned(ways: readonly Way[], kept: number): readonly Way[] {
  if (ways.length < 2) return ways;
  if (kept === 1) return [ways.reduce((p, q) => (isBetter(q, p) ? q : p))];
  const best = new Map<string, Way>();
  for (const way of ways) {
    const key = keyOf(way);
    const known = best.get(key);
    if (!known || isBetter(way, known)) best.set(key, way);
  }
  return [...best.values()].sort((p, q) => (isBetter(p, q) ? -1 : isBetter(q, p) ? 1 : 0)).slice(0, kept);
}

/** No towel of the role at all: planned with the first towel there is. */
const unknownBatch = (role: TowelRole, any: TowelBatch | undefined): TowelBatch => ({
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
});

/** A towel of another row that is put down after one of the worker's wipings. */
interface Later extends PutDown {
  readonly after: number;
}

/** A wiping with its place in the worker's whole way. */
interface Placed extends Wiping {
  readonly at: number;
}

/** Follows one worker’s hands through a row of wipings that share their towels. */
class Hands {
  constructor(
    private readonly batches: readonly TowelBatch[],
    private readonly rules: LedgerRules,
    private readonly a: Assumptions,
  ) {}

  /** @param later towels that join those that are put down when their time has come */
  through(start: Way, row: readonly Placed[], later: readonly Later[]): Way {
    let ways: readonly Way[] = [start];
    let came = -1;
    const begun = new Map<Slot, number>();
    const lastAt = new Map(row.map(({ at, need }) => [slotOf(need), at]));
    for (const wiping of row) {
      const { at, need } = wiping;
      const due = later.filter(({ after }) => after > came && after < at);
      came = Math.max(came, at - 1);
      if (due.length > 0) ways = ways.map((way) => ({ ...way, put: [...way.put, ...due] }));
      const begins = begun.get(slotOf(need)) !== wiping.pass && need.use === 'wash' && need.cleanliness <= FRESH_TO;
      begun.set(slotOf(need), wiping.pass);
      ways = thinned(
        ways.flatMap((way) => this.wipe(begins ? this.onFreshSide(way, need) : way, need, at, 1)),
        this.rules.mostWays ?? MOST_WAYS,
      );
      // A towel that nothing in this row needs any more is put down.
      if (lastAt.get(slotOf(need)) === at) ways = ways.map((way) => this.emptied(way, slotOf(need)));
    }
    return ways.reduce((p, q) => (isBetter(q, p) ? q : p));
  }

  private onFreshSide(way: Way, need: TowelNeed): Way {
    const slot = slotOf(need);
    const hand = handOf(way, slot);
    return !hand || isFresh(hand.fill) ? way : this.turn(way, slot, hand);
  }

  private turn(way: Way, slot: Slot, hand: Hand): Way {
    const next = turned(hand);
    return next ? { ...way, hands: withHand(way.hands, slot, next) } : this.layDown(way, slot, hand);
  }

  private emptied(way: Way, slot: Slot): Way {
    const hand = handOf(way, slot);
    return hand ? this.layDown(way, slot, hand) : way;
  }

  private layDown(way: Way, slot: Slot, hand: Hand): Way {
    return { ...way, hands: withHand(way.hands, slot, undefined), put: [...way.put, putDown(hand)] };
  }

  /** All ways to wipe so much of a need: on with the towel in the hand, and when that is done, with another. */
  private wipe(way: Way, need: TowelNeed, at: number, left: number): readonly Way[] {
    const slot = slotOf(need);
    const hand = handOf(way, slot);
    if (!hand) return this.others(way, need).flatMap((next) => this.wipe(next, need, at, left));
    const towel = way.towels[hand.towel]!;
    if (!goesOn(hand, towel, need)) return this.wipe(this.layDown(way, slot, hand), need, at, left);
    // On the way down, one that was put down may go first, so that this one serves what is less dirty later.
    const instead =
      left === 1 && need.cleanliness > hand.touched
        ? this.fromPut(this.layDown(way, slot, hand), need, hand.towel)
        : [];
    if (instead.length > 0)
      return [
        ...this.goOn(way, slot, hand, need, at, left),
        ...instead.flatMap((next) => this.goOn(next, slot, handOf(next, slot)!, need, at, left)),
      ];
    return this.goOn(way, slot, hand, need, at, left);
  }

  private goOn(way: Way, slot: Slot, hand: Hand, need: TowelNeed, at: number, left: number): readonly Way[] {
    const towel = way.towels[hand.towel]!;
    const fill = fillOn(hand, towel, need, this.a);
    const fresh = isFresh(hand.fill);
    let now = Math.min(left, fits(hand.fill, fill));
    // A side whose limits are nothing takes everything: no number of towels would do.
    if (fresh && now <= ROUNDING) now = left;
    // Nobody turns a towel for the last of a panel.
    else if (now > ROUNDING && left > now && most(fill) * (left - now) <= this.a.sideOver) now = left;
    if (now <= ROUNDING && left > ROUNDING) return this.wipe(this.turn(way, slot, hand), need, at, left);
    const touched = Math.max(hand.touched, need.cleanliness) as CleanlinessClass;
    const full: Fill = filled(hand.fill, fill, now);
    const next: Way = {
      ...way,
      hands: withHand(way.hands, slot, { ...hand, fill: full, touched }),
      notes: {
        before: way.notes,
        towel: hand.towel,
        side: hand.side,
        visit: hand.visit,
        at,
        share: now,
        fill: full,
        wetShare: hand.wetShare,
      },
    };
    return left - now > ROUNDING ? this.wipe(this.turn(next, slot, handOf(next, slot)!), need, at, left - now) : [next];
  }

  /** Towels that may come into an empty hand: one that was put down, a clean one, and where there is none one that is missing. */
  private others(way: Way, need: TowelNeed): readonly Way[] {
    const slot = slotOf(need);
    const ways = this.fromPut(way, need);
    const opened = this.batches.flatMap((batch, b): Way[] => {
      if (batch.role !== need.role || way.stock[b]! <= 0) return [];
      return [
        {
          ...this.opening(way, slot, { batch, wetted: need.soaked, missing: false, begun: null }),
          stock: way.stock.map((n, k) => (k === b ? n - 1 : n)),
        },
      ];
    });
    // Clean work towels go before paint towels that were put down.
    if (need.role === 'wheels' && opened.length > 0) return opened;
    if (ways.length + opened.length > 0) return [...ways, ...opened];
    const batch = this.batches.find(({ role }) => role === need.role) ?? unknownBatch(need.role, this.batches[0]);
    return [this.opening(way, slot, { batch, wetted: need.soaked, missing: true, begun: null })];
  }

  /** Each make of towel that was put down and serves, in the hand. */
  private fromPut(way: Way, need: TowelNeed, except?: number): readonly Way[] {
    const seen = new Set<string>();
    return way.put.flatMap((put, i): Way[] => {
      const towel = way.towels[put.towel]!;
      const hand = put.towel === except ? undefined : takenUp(put, need, towel);
      const key = hand && `${towel.batch.id}/${hand.last - hand.side}/${hand.touched}/${put.damp}`;
      if (!key || seen.has(key)) return [];
      seen.add(key);
      return [
        {
          ...way,
          hands: withHand(way.hands, slotOf(need), hand),
          put: way.put.filter((_one, k) => k !== i),
          demoted: way.demoted + 1,
        },
      ];
    });
  }

  private opening(way: Way, slot: Slot, towel: Towel): Way {
    return {
      ...way,
      towels: [...way.towels, towel],
      hands: withHand(way.hands, slot, inHand(way.towels.length, towel, this.rules)),
      opened: way.opened + 1,
      missing: way.missing + Number(towel.missing),
    };
  }
}

const lastNoteOf = ({ notes }: Way): ReadonlyMap<number, number> => {
  const last = new Map<number, number>();
  for (let note = notes; note; note = note.before) if (!last.has(note.towel)) last.set(note.towel, note.at);
  return last;
};

/** Buffing towels that were damp through and through when they were put down, and wash once more. */
function dampOf(way: Way, { finishShare }: Assumptions): readonly Later[] {
  const last = lastNoteOf(way);
  return way.put
    .filter(
      ({ towel, side, last: sides }) =>
        way.towels[towel]!.batch.role === 'finish' && !way.towels[towel]!.begun && side > sides,
    )
    .map((put) => ({
      ...put,
      touched: put.touched,
      wetShare: finishShare,
      damp: true,
      after: last.get(put.towel) ?? -1,
    }));
}

/** Wash towels for the wheels, when nobody washes with them any more. */
function downOf(way: Way): readonly Later[] {
  const last = lastNoteOf(way);
  const held = (['glass-wash', 'wash'] as const).flatMap((slot) => handOf(way, slot) ?? []);
  return [...way.put, ...held.map(putDown)].map((put) => ({ ...put, after: last.get(put.towel) ?? -1 }));
}

/** Where hands are when a plan begins. */
function startOf(stock: readonly number[], begun: readonly OpenTowel[]): Way {
  const usable = begun.filter(({ left }) => left > 0);
  const towels = usable.map((one): Towel => ({ batch: one.batch, wetted: one.wetted, missing: false, begun: one }));
  let hands: Way['hands'] = slots.map(() => undefined);
  const put: PutDown[] = [];
  usable.forEach(({ used, left, partial, leastClass: touched, slot }, towel) => {
    const fill = partial > 0 ? { dirt: partial, liquid: partial, reach: partial } : EMPTY;
    const hand: Hand = {
      towel,
      side: used + 1,
      last: used + left,
      fill,
      touched,
      wetShare: 0,
      soak: used > 0 ? 1 : 0,
      visit: 0,
    };
    if (slot && !hands[slotAt[slot]]) hands = withHand(hands, slot, hand);
    else put.push(putDown(hand));
  });
  return { hands, put, towels, stock, notes: null, missing: 0, opened: 0, demoted: 0 };
}

/** One worker’s whole way: finishing first, as towels that it leaves damp may wash further down; wheels after that, and care last. */
function wayOf(
  placed: readonly Placed[],
  start: Way,
  batches: readonly TowelBatch[],
  rules: LedgerRules,
  a: Assumptions,
): Way {
  const hands = new Hands(batches, rules, a);
  const finishing = placed.filter(({ need }) => need.use === 'finish' || need.use === 'drying');
  const washing = placed.filter(({ need }) => need.use === 'wash' && need.role !== 'wheels');
  const wheels = placed.filter(({ need }) => need.role === 'wheels' && need.use === 'wash');
  const caring = placed.filter(({ need }) => need.use === 'protect');
  const finished = hands.through(start, finishing, []);
  const damp = rules.soakedTowel === 'demote' ? dampOf(finished, a) : [];
  const washed = hands.through({ ...finished, put: start.put }, washing, damp);
  const wheeled = hands.through({ ...washed, put: [] }, wheels, downOf(washed));
  // What goes onto a clean car gets clean towels.
  return hands.through({ ...wheeled, put: [] }, caring, []);
}

/** A side as it is at the end of a visit, with all that it took up. */
function sideOf(
  notes: readonly Note[],
  { wetShare }: { readonly wetShare: number },
  placed: readonly Placed[],
): UsedSide {
  const last = notes.at(-1)!;
  const wipings = notes.map(({ at }) => placed[at]!);
  const { use } = wipings.at(-1)!.need;
  return {
    number: last.side,
    use,
    slot: slotOf(wipings.at(-1)!.need),
    cleanliness: Math.max(...wipings.map(({ need }) => need.cleanliness)) as CleanlinessClass,
    entries: notes.map(({ at, share }) => {
      const { zoneId, pass, share: ofZone, need } = placed[at]!;
      return {
        zoneId,
        pass,
        cleanliness: need.cleanliness,
        share: share * ofZone,
        dirtG: need.dirtG * share,
        liquidMl: need.liquidMl * share,
      };
    }),
    dirtShare: last.fill.dirt,
    liquidShare: wetShare + (1 - wetShare) * last.fill.liquid,
    reachShare: last.fill.reach,
  };
}

function used(
  towel: Towel,
  notes: readonly Note[],
  number: number,
  worker: number,
  placed: readonly Placed[],
): UsedTowel {
  const visits = new Map<string, Note[]>();
  for (const note of notes)
    visits.set(`${note.visit}/${note.side}`, [...(visits.get(`${note.visit}/${note.side}`) ?? []), note]);
  const sides = [...visits.values()].map((own) => sideOf(own, { wetShare: own[0]!.wetShare }, placed));
  const most = Math.max(...sides.map((side) => side.number));
  return {
    number,
    worker,
    batchId: towel.batch.id,
    batchName: towel.batch.name,
    role: towel.batch.role,
    fold: towel.batch.sides,
    begun: towel.begun !== null,
    missing: towel.missing,
    demoted: notes.some(({ visit }) => visit > 0),
    wetted: towel.wetted,
    rewetAfter: towel.wetted && !towel.begun?.rewet && most > WETTED_SIDES ? WETTED_SIDES : null,
    sides,
  };
}

function recorded(
  way: Way,
  worker: number,
  placed: readonly Placed[],
  begun: readonly OpenTowel[],
): readonly UsedTowel[] {
  const byTowel = new Map<number, Note[]>();
  for (let note = way.notes; note; note = note.before)
    byTowel.set(note.towel, [...(byTowel.get(note.towel) ?? []), note]);
  // Rows come one after the other, and notes last first: by the hand they are in the order of the wipings.
  const all = [...byTowel].map(([towel, notes]) => ({ towel: way.towels[towel]!, notes: notes.reverse() }));
  const firstAt = ({ notes }: (typeof all)[number]): number => Math.min(...notes.map(({ at }) => at));
  const old = all.filter(({ towel }) => towel.begun);
  const opened = all.filter(({ towel }) => !towel.begun).sort((p, q) => firstAt(p) - firstAt(q));
  const last = Math.max(0, ...begun.map(({ number }) => number));
  return [
    ...old.map(({ towel, notes }) => used(towel, notes, towel.begun!.number, worker, placed)),
    ...opened.map(({ towel, notes }, i) => used(towel, notes, last + 1 + i, worker, placed)),
  ];
}

/**
 * Towels as they go through each worker's hands, in the order of the clock: one wash towel, one finishing or drying
 * towel, a pair for glass, a work towel for wheels. A side is used until its dirt, liquid or panel limit is reached, or
 * a pass on glass or upper paint begins; then the next side is up, and no side is returned to. A towel never goes back
 * to something cleaner; one that was put down may be taken up again for something dirtier. As few are missing, then
 * opened, then taken up again as can be. Towels in use go on, with the sides that are left of them.
 */
export function towelLedger(
  workers: readonly (readonly Wiping[])[],
  batches: readonly TowelBatch[],
  rules: LedgerRules,
  a: Assumptions,
  inUse: readonly OpenTowel[] = [],
): readonly UsedTowel[] {
  let stock: readonly number[] = batches.map(({ clean }) => clean);
  return workers.flatMap((wipings, worker) => {
    const begun = inUse.filter((towel) => towel.worker === worker);
    const placed = wipings.map((wiping, at): Placed => ({ ...wiping, at }));
    const way = wayOf(placed, startOf(stock, begun), batches, rules, a);
    stock = way.stock;
    return recorded(way, worker, placed, begun);
  });
}
