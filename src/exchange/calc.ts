import {
  type Dilution,
  type FillMode,
  type IndexQuestion,
  type Skin,
  type Wetting,
  airOn,
  defaultAssumptions,
  exactText,
  freezeTimeS,
  indexOf,
  mixFor,
  notations,
  openTimeS,
  readDilution,
  settlingMs,
  skinCapacity,
  startC,
  steadyPanelC,
} from '@esmero/core';
import type { Colour, DilutionLabel } from '@esmero/model';
import { toNumber } from '@esmero/units';
import {
  FilmInputDocument,
  IndexInputDocument,
  MixingInputDocument,
  type PouredDocument,
  SettlingInputDocument,
} from './documents/calc-inputs';
import type { Fault, Read } from './fault';
import { faultsIn } from './validate';

const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));
const roundedOrNull = (value: number | null, digits: number): number | null =>
  value === null ? null : rounded(value, digits);

interface ToPour extends DilutionLabel {
  readonly fill: FillMode;
  readonly volumeMl: number;
}

interface WasPoured extends DilutionLabel {
  readonly poured: PouredDocument;
}

function dilutionOf({ label, reading }: DilutionLabel): Dilution {
  const read = readDilution({ label, reading });
  if (!read.ok) throw new Error(`The label ${label} was validated before, and yet ${read.fault.code}.`);
  return read.dilution;
}

/** The other way round: what was poured, beside what the label wants for as much water. */
function poured({ poured: { productMl, caps, capMl, waterMl }, ...label }: WasPoured): object {
  const product = productMl ?? caps! * capMl!;
  const { waterParts } = notations(dilutionOf(label));
  const wantedMl = waterMl / waterParts;
  return {
    productMl: rounded(product, 4),
    waterPartsPerProduct: rounded(waterMl / product, 6),
    productPercent: rounded((100 * product) / (product + waterMl), 6),
    labelWaterParts: rounded(waterParts, 6),
    ofTheLabelsStrength: rounded(product / wantedMl, 6),
    labelWantsMl: rounded(wantedMl, 4),
    ...(capMl === undefined ? {} : { labelWantsCaps: rounded(wantedMl / capMl, 4) }),
  };
}

const mixing = (input: ToPour | WasPoured): object =>
  'poured' in input && input.poured ? poured(input) : toPour(input as ToPour);

function toPour({ label, reading, fill, volumeMl }: ToPour): object {
  const read = { dilution: dilutionOf({ label, reading }) };
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

const wettingOf = (input: FilmInputDocument): Wetting => ({
  air: airOn(
    {
      airC: input.airC,
      humidity: input.relativeHumidity,
      windMs: input.windMs,
      sunWm2: input.sunOnPanelWm2,
      shaded: input.shaded,
      colour: input.colour as Colour,
    },
    defaultAssumptions,
  ),
  heatCapacity: skinCapacity(input.skin as Skin, defaultAssumptions),
  appliedUm: input.appliedUm,
  holdUpUm: input.holdUpUm,
  liquidC: input.liquidC,
  panelReadingC: input.panelReadingC,
});

function drying(input: FilmInputDocument): object {
  const wetting = wettingOf(input);
  return {
    steadyPanelC: rounded(steadyPanelC(wetting.air), 3),
    startC: rounded(startC(wetting), 3),
    openTimeS: roundedOrNull(openTimeS(wetting), 2),
  };
}

function freezing(input: FilmInputDocument): object {
  const wetting = wettingOf(input);
  return {
    startC: rounded(startC(wetting), 3),
    freezeTimeS: roundedOrNull(freezeTimeS(wetting, defaultAssumptions.slushC), 2),
  };
}

interface Topic {
  readonly document: new () => object;
  answer(input: never): object;
}

const topics = {
  mixing: { document: MixingInputDocument, answer: mixing },
  drying: { document: FilmInputDocument, answer: drying },
  freezing: { document: FilmInputDocument, answer: freezing },
  settling: {
    document: SettlingInputDocument,
    answer: ({ diameterUm, waterC }: SettlingInputDocument) => ({ settlingMs: settlingMs(diameterUm, waterC) }),
  },
  index: {
    document: IndexInputDocument,
    answer: (input: IndexQuestion) => indexOf(input, defaultAssumptions),
  },
} as const satisfies Record<string, Topic>;

export type CalcTopic = keyof typeof topics;
export const calcTopics = Object.keys(topics) as readonly CalcTopic[];

const no = (why: (Read<never> & { ok: false })['why']): Read<never> => ({ ok: false, why });

function parsed(text: string): Read<unknown> {
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    return no({ code: 'not-json', detail, cut: false });
  }
}

/** Reads a JSON array of questions on a topic and answers each, or says what is wrong with which. */
export function calc(topic: CalcTopic, text: string): Read<readonly object[]> {
  const read = parsed(text);
  if (!read.ok) return read;
  const { document, answer }: Topic = topics[topic];
  if (!Array.isArray(read.value))
    return no({
      code: 'faults',
      faults: [{ path: '', expected: { code: 'list', most: 100_000 }, found: typeof read.value }],
    });
  const list: readonly unknown[] = read.value;
  const faults: readonly Fault[] = list.flatMap((input, i) => faultsIn(document, input, `[${i}]`));
  return faults.length > 0
    ? no({ code: 'faults', faults })
    : { ok: true, value: list.map((input) => answer(input as never)) };
}
