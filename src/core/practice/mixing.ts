import { type Dilution, type DilutionNotations, mixFor, notations, readDilution, smallestFor } from '../mix';
import type { LabelReading, Try, Vessel } from '../model';
import { ml, toNumber } from '../units';

/** Foam is mixed water first; so is a pump sprayer. Product first would foam over and be measured wrong. */
export const pouringOrders = ['water', 'product'] as const;
export type PouringOrder = (typeof pouringOrders)[number];

/** What makes a task harder than reading off: a cap of another size than the label's, or a vessel that holds some already. */
const mixingTwists = ['plain', 'other-cap', 'topping-up'] as const;
export type MixingTwist = (typeof mixingTwists)[number];

const labels: readonly (readonly [label: string, reading: LabelReading])[] = [
  ['256', 'water'],
  ['128', 'water'],
  ['64', 'water'],
  ['16', 'water'],
  ['10', 'water'],
  ['256', 'whole'],
  ['20', 'whole'],
  ['0.4', 'percent'],
  ['5', 'percent'],
  ['8', 'mLPerLitreOfWater'],
  ['30', 'mLPerLitreOfWater'],
  ['1', 'flOzPerGallon'],
  ['2', 'flOzPerGallon'],
  ['15', 'mLPerGallon'],
  ['60', 'mLPerGallon'],
];

export type MixingCard = `${string}/${LabelReading}/${MixingTwist}`;

export const mixingCards: readonly MixingCard[] = labels.flatMap(([label, reading], i) =>
  mixingTwists.filter((_twist, t) => (i + t) % 2 === 0).map((twist): MixingCard => `${label}/${reading}/${twist}`),
);

/** A mix to be made against the clock. */
export interface MixingTask {
  readonly card: MixingCard;
  readonly label: string;
  readonly reading: LabelReading;
  readonly twist: MixingTwist;
  /** Finished mix that is wanted, mL. */
  readonly volumeMl: number;
  /** Finished mix of that strength that is in the vessel already, mL. */
  readonly inItMl: number;
  /** What is measured with here, and what the label calls a cap; null where it speaks of none. */
  readonly capMl: number;
  readonly labelCapMl: number | null;
  /** Product to pour, mL. */
  readonly productMl: number;
  readonly notations: DilutionNotations;
}

const volumes = [500, 750, 1000, 2000, 5000, 10_000] as const;
const caps = [10, 14.8, 20, 25, 30] as const;

const dilutionOf = (label: string, reading: LabelReading): Dilution => {
  const read = readDilution({ label, reading });
  if (!read.ok) throw new Error(`A label of practice cannot be read: ${label} ${reading}. Correct it in the list.`);
  return read.dilution;
};

export function mixingTask(card: MixingCard, random: () => number): MixingTask {
  const [label, reading, twist] = card.split('/') as [string, LabelReading, MixingTwist];
  const any = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const volumeMl = any(volumes);
  const inItMl = twist === 'topping-up' ? Math.round(volumeMl * (0.2 + 0.4 * random())) : 0;
  const capMl = any(caps);
  const labelCapMl = twist === 'other-cap' ? any(caps.filter((one) => one !== capMl)) : null;
  const dilution = dilutionOf(label, reading);
  return {
    card,
    label,
    reading,
    twist,
    volumeMl,
    inItMl,
    capMl,
    labelCapMl,
    productMl: toNumber(mixFor(dilution, 'finalVolume', volumeMl - inItMl).productMl),
    notations: notations(dilution),
  };
}

/** What is mixed in, with its working line (judged: usual sizes). */
const vessels = [
  { kind: 'spray-bottle', capacityMl: ml(1000), workingShare: 0.95 },
  { kind: 'pump-sprayer', capacityMl: ml(7000), workingShare: 0.75 },
  { kind: 'bucket', capacityMl: ml(15_000), workingShare: 0.7 },
] as const satisfies readonly Pick<Vessel, 'kind' | 'capacityMl' | 'workingShare'>[];

/** The smallest of them that holds it. */
export const practiceVessel = (volumeMl: number): (typeof vessels)[number] => smallestFor(vessels, volumeMl)!;

/** Off by more than this is not right: a tenth of the product (judged). */
const TOLERANCE = 0.1;

/**
 * What came into the bucket against what should have: truth and answer are mL of product. Product
 * before water is never right.
 */
export function mixingTry({ card, productMl }: MixingTask, pouredMl: number, first: PouringOrder, at: number): Try {
  return {
    card,
    truth: productMl,
    answer: pouredMl,
    isRight: Math.abs(pouredMl / productMl - 1) <= TOLERANCE && first === 'water',
    at,
  };
}

/** How much too strong it is: 0.2 is a fifth more product than wanted, −0.2 a fifth less. */
export const strengthError = ({ truth, answer }: Pick<Try, 'truth' | 'answer'>): number => answer / truth - 1;
