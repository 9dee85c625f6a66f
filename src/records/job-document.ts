import type { Job } from '@esmero/model';

/** A job as it stands in files and in the browser's store: lists where the core has records with keys. */
export type JobDocument = Readonly<Record<string, unknown>>;

type Keyed = readonly Readonly<Record<string, unknown>>[];

const recordOf = (list: unknown, key: string, value: (entry: Keyed[number]) => unknown): Record<string, unknown> =>
  Object.fromEntries((list as Keyed).map((entry) => [String(entry[key]), value(entry)]));

/** A valid document as the core's record. Only lists with keys differ between the two. */
export function jobFrom(document: object): Job {
  const { soil, choices, readings, ...same } = document as JobDocument;
  const { fixed, assumptions } = choices as JobDocument;
  return {
    ...(same as unknown as Omit<Job, 'soil' | 'choices' | 'readings'>),
    readings: recordOf(readings, 'zone', ({ panelC }) => panelC) as Job['readings'],
    soil: recordOf(soil, 'zone', ({ deposits, spots, bugs, measured }) => ({
      deposits,
      spots: recordOf(spots, 'kind', ({ count }) => count),
      ...(bugs ? { bugs } : {}),
      ...(measured ? { measured } : {}),
    })) as Job['soil'],
    choices: {
      ...(choices as JobDocument),
      fixed: recordOf(fixed, 'zone', ({ treatment }) => treatment),
      assumptions: recordOf(assumptions, 'name', ({ value }) => value),
    } as unknown as Job['choices'],
  };
}

/** The core's record as plain data for a file. */
export function jobDocument({ soil, choices, readings, ...same }: Job): JobDocument {
  return {
    ...same,
    readings: Object.entries(readings).map(([zone, panelC]) => ({ zone, panelC })),
    soil: Object.entries(soil).map(([zone, { deposits, spots, bugs, measured }]) => ({
      zone,
      deposits: deposits.map(({ kind, level }) => ({ kind, level })),
      spots: Object.entries(spots).map(([kind, count]) => ({ kind, count })),
      ...(bugs ? { bugs } : {}),
      ...(measured ? { measured } : {}),
    })),
    choices: {
      ...choices,
      fixed: Object.entries(choices.fixed).map(([zone, treatment]) => ({ zone, treatment })),
      assumptions: Object.entries(choices.assumptions).map(([name, value]) => ({ name, value })),
    },
  };
}
