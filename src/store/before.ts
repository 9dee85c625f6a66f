/** Jobs in databases that had no documents yet: the core's records of their time. */

type Old = Readonly<Record<string, unknown>>;

const listed = (record: unknown, key: string, entry: (value: unknown) => object): unknown =>
  typeof record === 'object' && record !== null && !Array.isArray(record)
    ? Object.entries(record).map(([name, value]) => ({ [key]: name, ...entry(value) }))
    : record;

/** Such a record as a document of its version: lists where records had keys. */
export function documentOf(job: Old): Old {
  const { soil, choices, readings, ...same } = job;
  const { fixed, assumptions, ...habits } = (choices ?? {}) as Old;
  return {
    ...same,
    ...(readings === undefined ? {} : { readings: listed(readings, 'zone', (panelC) => ({ panelC })) }),
    soil: listed(soil, 'zone', (held) => {
      const { deposits, spots } = held as Old;
      return { deposits, spots: listed(spots, 'kind', (count) => ({ count })) };
    }),
    choices: {
      ...habits,
      fixed: listed(fixed, 'zone', (treatment) => ({ treatment })),
      assumptions: listed(assumptions, 'name', (value) => ({ value })),
    },
  };
}
