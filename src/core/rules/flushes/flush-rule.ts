import type { Assumptions } from '../../assumptions';
import type { Gear, GearKind, SoilKind } from '../../model';
import type { Kit } from '../kit';

/** Where the water of a rinse comes from: a sprayer, a supply bucket, a tap or boiler, a wash bay. */
export type FlushSource = 'water' | 'supply' | 'line' | 'bay';

/** How much is rinsed with. */
const rinseAmounts = ['low', 'usual', 'thorough'] as const;
export type RinseAmount = (typeof rinseAmounts)[number];

/** What a rinse depends on besides the figures. */
export interface Flushing {
  readonly a: Assumptions;
  /** Of what is carried. */
  readonly carriedC: number;
  /** Of hot solution when a filling of it is nearly used up. */
  readonly hotC: number;
  readonly gear: Readonly<Partial<Record<GearKind, Gear>>>;
  /** What the largest pump sprayer in the van is filled with, mL; 0 without one. */
  readonly tankMl: number;
}

/** What loosens the dirt: nothing, air along seams, steam, or water that runs; a mist only cools the panel. */
export type FlushKind = 'nothing' | 'air' | 'mist' | 'steam' | 'rinse';

/** Everything that anybody asks of a way of loosening without touching. */
export interface FlushRule {
  readonly is: FlushKind;
  readonly kits: readonly Kit[];
  /** Powered kit without which it is not offered. */
  readonly gear: GearKind | null;
  readonly source: FlushSource | null;
  /** A jet that would drive water past the seals of an open door. */
  readonly jet: boolean;
  /** Amounts that are offered. */
  readonly amounts: readonly RinseAmount[];
  /** Water laid on, µm (mL/m²). */
  filmUm(amount: RinseAmount, a: Assumptions): number;
  /** Share of a soil's load that no amount of water exceeds. */
  most(kind: SoilKind, a: Assumptions): number;
  /** Share of a soil's load that goes with so much water, µm. */
  removes(kind: SoilKind, filmUm: number, a: Assumptions): number;
  /** For so much water, µm. */
  secondsPerM2(filmUm: number, flushing: Flushing): number;
  /** Temperature of the water as it lands. */
  liquidC(flushing: Flushing): number;
}

/** What a rinse with running water is made of. */
interface Rinse extends Pick<FlushRule, 'kits' | 'gear' | 'source' | 'jet' | 'liquidC' | 'most'> {
  /** The usual amount, µm. */
  readonly usualUm: (a: Assumptions) => number;
  /** Water after which all but 1/e of what can go has gone, L/m². */
  readonly scaleLM2: (a: Assumptions) => number;
  readonly flowLMin: (flushing: Flushing) => number;
}

const timesOf: Readonly<Record<RinseAmount, (a: Assumptions) => number>> = {
  low: (a) => a.rinseLow,
  usual: () => 1,
  thorough: (a) => a.rinseThorough,
};

/** Seconds a square metre: litres by the flow, but never swept faster than a hand moves. */
const secondsFor = (filmUm: number, flowLMin: number, a: Assumptions): number => {
  const mlPerS = (flowLMin * 1000) / 60;
  return Math.max(a.rateWand, mlPerS > 0 ? filmUm / mlPerS : a.rateWand) * a.rinsePace;
};

/** A rinse with running water: what it removes rises with the amount, ever more slowly; how long it takes follows from the flow. */
export const rinse = ({ usualUm, scaleLM2, flowLMin, ...rest }: Rinse): FlushRule => ({
  ...rest,
  is: 'rinse',
  amounts: rinseAmounts,
  filmUm: (amount, a) => usualUm(a) * timesOf[amount](a),
  removes: (kind, filmUm, a) => rest.most(kind, a) * (1 - Math.exp(-filmUm / 1000 / scaleLM2(a))),
  secondsPerM2: (filmUm, flushing) => secondsFor(filmUm, flowLMin(flushing), flushing.a),
});

/** Litres a minute of a pump sprayer: a small one mists, a large one runs. */
export const pumpFlow = ({ tankMl, a }: Flushing): number =>
  tankMl > a.largePumpMl ? a.flowPumpLarge : a.flowPumpSmall;
