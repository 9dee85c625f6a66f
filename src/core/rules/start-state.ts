import type { Content, InVessel } from '../mix';
import type { Bottled, Pace, RunAct, Tick, TowelRole, Working, ZoneId } from '../model';
import type { OpenTowel } from '../towel';
import type { RinseAmount } from './flushes';
import type { Kit } from './kit';
import type { StandingPlace } from './reach';

/** A zone on which something has been done, but not everything. */
export interface BegunZone {
  readonly treatment: Working;
  readonly rinse: RinseAmount;
  /** Rinsed in its pass. */
  readonly inPass: boolean;
  /** When it was rinsed last, in ms; null where it was not. */
  readonly rinsedAt: number | null;
  /** Of that rinse what had run off by the plans of the time, mL. */
  readonly ranOffMl: number;
  /** Share of each act that is done, 0 to 1; what is finished in its pass counts as dried. */
  readonly done: Readonly<Record<RunAct, number>>;
  /** Sections that are wet and wait for a hand, by when they were wetted and whose they are. */
  readonly wet: readonly (Pick<Tick, 'at'> & { readonly worker: number })[];
  /** Where the sections are reached from that are not wiped yet, the wet ones first. */
  readonly places: readonly StandingPlace[];
}

/** Something that a person is at. */
interface InHand {
  readonly act: RunAct;
  readonly zoneId: ZoneId;
  readonly place: StandingPlace | null;
  readonly worker: number;
}

/** What has gone so far, as the plans of the time had it. */
export interface Spent {
  readonly laidMl: Readonly<Partial<Record<Content | Bottled, number>>>;
  readonly madeMl: Readonly<Partial<Record<Content, number>>>;
  /** Product measured out for it. */
  readonly productMl: Readonly<Partial<Record<Content, number>>>;
  readonly opened: Readonly<Partial<Record<TowelRole, number>>>;
  readonly batteryMin: number;
  readonly litres: number;
  readonly runoffMl: number;
  /** By the clock of the plans, for what was done. */
  readonly plannedS: number;
  /** Of it what goes by the pace of a hand. */
  readonly handS: number;
  /** What the ticks tell of how long it took. */
  readonly paces: readonly Pace[];
}

/** Where a plan starts from: a run that is under way, or nothing yet. */
export interface StartState {
  /** Events of the run that are reckoned with. */
  readonly events: number;
  /** When it was last planned again; null where it is planned from nothing. */
  readonly at: number | null;
  /** How often each zone was ticked off by then. */
  readonly ticked: ReadonlyMap<ZoneId, number>;
  readonly done: ReadonlySet<ZoneId>;
  /** What was being done when it was planned again: it goes on. */
  readonly inHand: readonly InHand[];
  readonly zones: ReadonlyMap<ZoneId, BegunZone>;
  /** What the plan before had chosen: that stays, wherever it still may be. */
  readonly planned: ReadonlyMap<ZoneId, Working>;
  /** Stations that stand ready. */
  readonly kits: readonly Kit[];
  readonly vessels: readonly InVessel[];
  readonly towels: readonly OpenTowel[];
  readonly spent: Spent;
}

export const freshStart: StartState = {
  events: 0,
  at: null,
  ticked: new Map(),
  done: new Set(),
  inHand: [],
  zones: new Map(),
  planned: new Map(),
  kits: [],
  vessels: [],
  towels: [],
  spent: {
    laidMl: {},
    madeMl: {},
    productMl: {},
    opened: {},
    batteryMin: 0,
    litres: 0,
    runoffMl: 0,
    plannedS: 0,
    handS: 0,
    paces: [],
  },
};

/** Seconds from something that was done, in ms, until the plan begins. */
export const secondsSince = (at: number, begun: Pick<StartState, 'at'>): number =>
  begun.at === null ? 0 : Math.max(0, (begun.at - at) / 1000);

/** Parts at which somebody is, or that somebody has wetted: they stay with that person. */
export type Held = ReadonlyMap<string, number>;

export const heldBy = ({ inHand, zones }: Pick<StartState, 'inHand' | 'zones'>): Held =>
  new Map([
    ...[...zones].flatMap(([id, { wet }]) => wet.map(({ worker }, i): [string, number] => [`${id}/${i + 1}`, worker])),
    ...inHand.flatMap(({ act, zoneId, place, worker }): [string, number][] =>
      act === 'wipe' ? [[`${zoneId}@${place}`, worker]] : [],
    ),
  ]);

export const holderOf = (
  held: Held,
  { zoneId, section, place }: { readonly zoneId: ZoneId; readonly section: number; readonly place: StandingPlace },
): number | null => held.get(`${zoneId}/${section}`) ?? held.get(`${zoneId}@${place}`) ?? null;

/** What open towels of a role still hold, in whole towels. */
export const openTowels = ({ towels }: Pick<StartState, 'towels'>, role: TowelRole): number =>
  towels
    .filter((towel) => towel.batch.role === role)
    .reduce((sum, { left, used, partial }) => sum + (left - partial) / (left + used), 0);
