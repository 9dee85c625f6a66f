import {
  type DilutionLabel,
  type FillMode,
  exactText,
  mixFor,
  notations,
  readDilution,
  toNumber,
} from '@esmero/core';
import { MixingInputDocument } from './documents/mixing-input';
import type { Fault, Read } from './fault';
import { faultsIn } from './job-file';

interface MixingInput extends DilutionLabel {
  readonly fill: FillMode;
  readonly volumeMl: number;
}

/** What the calculator answers, under the names that scripts and spreadsheets use. */
export interface MixingResult {
  /** Exact, as num/den. */
  readonly productMl: string;
  readonly productMlRounded: number;
  readonly waterMl: number;
  readonly waterPartsPerProduct: number;
  readonly productPercent: number;
}

const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));

function mixing({ label, reading, fill, volumeMl }: MixingInput): MixingResult {
  const read = readDilution({ label, reading });
  if (!read.ok) throw new Error(`The label ${label} was validated before, and yet ${read.fault.code}.`);
  const mix = mixFor(read.dilution, fill, volumeMl);
  const strength = notations(read.dilution);
  return {
    productMl: exactText(mix.productMl),
    productMlRounded: rounded(toNumber(mix.productMl), 4),
    waterMl: rounded(toNumber(mix.waterMl), 4),
    waterPartsPerProduct: rounded(strength.waterParts, 6),
    productPercent: rounded(strength.percent, 6),
  };
}

/** Reads a JSON array of questions and answers each, or says what is wrong with which. */
export function calcMixing(text: string): Read<readonly MixingResult[]> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    return { ok: false, why: { code: 'not-json', detail, cut: false } };
  }
  const list: readonly unknown[] | undefined = Array.isArray(value) ? value : undefined;
  const faults: readonly Fault[] = list
    ? list.flatMap((input, i) => faultsIn(MixingInputDocument, input, `[${i}]`))
    : [{ path: '', expected: { code: 'list', most: 100_000 }, found: typeof value }];
  return faults.length > 0
    ? { ok: false, why: { code: 'faults', faults } }
    : { ok: true, value: (list as readonly MixingInput[]).map(mixing) };
}
