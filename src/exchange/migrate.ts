/** Turns content of one version into the next; gets whatever a file held, so it must not throw. */
export type Migration = (content: unknown) => unknown;

/** Takes content of `version` through all later steps. */
export const migrate = (
  content: unknown,
  version: number,
  steps: readonly Migration[],
): unknown => steps.slice(version - 1).reduce((current, step) => step(current), content);

type Fields = Record<string, unknown>;

const isRecord = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Version 1 (drafts before 0.1) had one deposit a zone and no spots: `soil: { roof: { kind, level } }`,
 * and plain records for what was fixed by hand and for own assumptions.
 */
export const jobFrom1To2: Migration = (content) => {
  if (!isRecord(content)) return content;
  const { soil, choices } = content;
  return {
    ...content,
    soil: isRecord(soil)
      ? Object.entries(soil).map(([zone, deposit]) => ({ zone, deposits: [deposit], spots: [] }))
      : soil,
    choices: isRecord(choices)
      ? {
          ...choices,
          fixed: listOf(choices['fixed'], 'zone', 'treatment'),
          assumptions: listOf(choices['assumptions'], 'name', 'value'),
        }
      : choices,
  };
};

/** Version 3 knows the air and sun of a site; before it every site was calm shade. */
export const jobFrom2To3: Migration = (content) =>
  isRecord(content) ? { ...content, site: withAir(content['site']) } : content;

/** The same for a collection: its sites, and the sites of its jobs. */
export const collectionFrom1To2: Migration = (content) => {
  if (!isRecord(content)) return content;
  const { sites, jobs } = content;
  const entry = (held: unknown): unknown => (isRecord(held) ? { ...held, item: withAir(held['item']) } : held);
  return {
    ...content,
    sites: Array.isArray(sites) ? sites.map(entry) : sites,
    jobs: Array.isArray(jobs) ? jobs.map(jobFrom2To3) : jobs,
  };
};

/** As sites were before version 3; it does not follow later changes of defaults. */
const calmShade = { humidity: 0.6, windMs: 0.5, shade: true, sunWm2: 0 };

const withAir = (site: unknown): unknown => (isRecord(site) ? { ...calmShade, ...site } : site);

const listOf = (record: unknown, key: string, value: string): unknown =>
  isRecord(record)
    ? Object.entries(record).map(([name, held]) => ({ [key]: name, [value]: held }))
    : record;
