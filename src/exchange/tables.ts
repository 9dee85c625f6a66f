import Papa from 'papaparse';
import type { Plan } from '@esmero/core';

type Row = Readonly<Record<string, string | number>>;

const csv = (fields: readonly string[], rows: readonly Row[]): string =>
  // Cells that a spreadsheet would take for a formula are kept as text.
  Papa.unparse({ fields: [...fields], data: [...rows] }, { newline: '\n', escapeFormulae: true });

const rounded = (value: number, digits = 2): number => Number(value.toFixed(digits));

/** One row a filling, and one for what is used out of its bottle. */
export function mixesCsv({ mix, bottles }: Plan): string {
  const out = bottles.map(({ purpose, productName, ml }) => ({
    ...{ content: purpose, vessel: '', filling: 1, product: productName, water_ml: 0 },
    ...{ product_ml: rounded(ml, 4), measured_ml: rounded(ml), total_ml: rounded(ml), water_parts: 0 },
  }));
  const rows = mix.mixes.flatMap(({ content, vessel, productName, fills }) =>
    fills.map(({ totalMl, waterMl, dose }, i) => ({
      content,
      vessel: vessel.name,
      filling: i + 1,
      product: productName ?? '',
      water_ml: rounded(waterMl),
      product_ml: rounded(dose?.productMl ?? 0, 4),
      measured_ml: rounded(dose?.measured.deliveredMl ?? 0),
      total_ml: rounded(totalMl),
      water_parts: rounded(dose?.trueWaterParts ?? 0),
    })),
  );
  const fields = [
    'content',
    'vessel',
    'filling',
    'product',
    'water_ml',
    'product_ml',
    'measured_ml',
    'total_ml',
    'water_parts',
  ];
  return csv(fields, [...rows, ...out]);
}

/** One row for each part of a zone on each side of each towel. */
export function towelsCsv({ towels }: Plan): string {
  const rows = towels.flatMap((towel) =>
    towel.sides.flatMap((side) =>
      side.entries.map((entry) => ({
        worker: towel.worker + 1,
        towel: towel.number,
        role: towel.role,
        batch: towel.batchName,
        side: side.number,
        use: side.use,
        class: side.cleanliness,
        zone: entry.zoneId,
        share: rounded(entry.share, 3),
        dirt_g: rounded(entry.dirtG, 3),
        liquid_ml: rounded(entry.liquidMl),
      })),
    ),
  );
  const fields = ['worker', 'towel', 'role', 'batch', 'side', 'use', 'class', 'zone', 'share', 'dirt_g', 'liquid_ml'];
  return csv(fields, rows);
}

/** One row a step. */
export function stepsCsv({ timeline }: Plan): string {
  const rows = timeline.steps.map(({ worker, startS, endS, kind, zoneId, section, kit }) => ({
    worker: worker + 1,
    start_s: rounded(startS, 1),
    end_s: rounded(endS, 1),
    step: kind,
    zone: zoneId ?? '',
    section,
    kit: kit ?? '',
  }));
  return csv(['worker', 'start_s', 'end_s', 'step', 'zone', 'section', 'kit'], rows);
}
