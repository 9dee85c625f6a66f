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

/** As sites were before version 4: no bay, nobody minds noise, somewhere in the middle latitudes. */
const withPlace = (site: unknown): unknown =>
  isRecord(site)
    ? {
        bay: false,
        noiseDb: null,
        latitudeDeg: 45,
        longitudeDeg: 0,
        utcOffsetH: 0,
        headingDeg: 180,
        shadeHours: [],
        ...site,
      }
    : site;

const withLayers = (product: unknown): unknown =>
  isRecord(product) ? { leavesLayer: false, notWith: [], ...product } : product;

/** What everybody did before version 4 asked. */
const habits = {
  strength: 'product',
  spray: 'common',
  dwell: 'common',
  order: 'top-down',
  drying: 'panel',
  wiping: 'flat',
  sun: 'weaker-mix',
  cold: 'plenty',
  topping: 'welcome',
  brush: 'never',
  droppings: 'treat',
};

/** Before version 4 a heater came with mains power. */
const heater = {
  id: 'heater',
  name: 'Water heater',
  kind: 'heater',
  flowLMin: 0,
  batteryMin: null,
  noiseDb: 50,
  origin: 'practice',
};

const mapped = (list: unknown, change: Migration): unknown => (Array.isArray(list) ? list.map(change) : list);

/** A change of what an entry of the library holds. */
const item =
  (change: Migration): Migration =>
  (held) =>
    isRecord(held) ? { ...held, item: change(held['item']) } : held;

/** Version 4 knows place, hour, history, powered kit, readings, marks, weather, wishes and consent. */
export const jobFrom3To4: Migration = (content) => {
  if (!isRecord(content)) return content;
  const { site, products, choices } = content;
  return {
    hour: 9,
    gear: [heater],
    since: [],
    readings: [],
    marks: [],
    weather: null,
    consent: null,
    wishes: {},
    ...content,
    site: withPlace(site),
    products: mapped(products, withLayers),
    choices: isRecord(choices) ? { ...habits, ...choices } : choices,
  };
};

/** The same for a collection. */
export const collectionFrom2To3: Migration = (content) => {
  if (!isRecord(content)) return content;
  const { sites, products, jobs } = content;
  return {
    gear: [{ archived: false, item: heater }],
    habits: [],
    ...content,
    sites: mapped(sites, item(withPlace)),
    products: mapped(products, item(withLayers)),
    jobs: mapped(jobs, jobFrom3To4),
  };
};

/** Before version 5 the ground was level, steps were at hand, and towels were folded twice. */
const withGround = (site: unknown): unknown => (isRecord(site) ? { slope: 0, steps: true, ...site } : site);

/** What a drying towel's pile had always been taken for. */
const withFold = (towel: unknown): unknown =>
  isRecord(towel) ? { pile: towel['role'] === 'drying' ? 'plush' : 'short', sides: 8, ...towel } : towel;

/** Version 5 knows the fall of the ground, steps, and the pile and fold of towels. */
export const jobFrom4To5: Migration = (content) =>
  isRecord(content)
    ? { ...content, site: withGround(content['site']), towels: mapped(content['towels'], withFold) }
    : content;

/** The same for a collection. */
export const collectionFrom3To4: Migration = (content) => {
  if (!isRecord(content)) return content;
  const { sites, towels, jobs } = content;
  return {
    ...content,
    sites: mapped(sites, item(withGround)),
    towels: mapped(towels, item(withFold)),
    jobs: mapped(jobs, jobFrom4To5),
  };
};

/** Version 6 knows what happened beside the car; before, nothing was noted. */
export const jobFrom5To6: Migration = (content) => (isRecord(content) ? { run: null, ...content } : content);

/** The same for a collection. */
export const collectionFrom4To5: Migration = (content) =>
  isRecord(content) ? { ...content, jobs: mapped(content['jobs'], jobFrom5To6) } : content;

const counted = (run: Record<string, unknown>): readonly unknown[] =>
  isRecord(run['used']) ? [{ at: run['endedAt'] ?? run['startedAt'], because: '', method: null, ...run['used'] }] : [];

/** Before version 7 a zone done once more had a section and a number of them, like any other event. */
const withoutSections = (event: unknown): unknown => {
  if (!isRecord(event) || event['kind'] !== 'again') return event;
  const { section: _section, of: _of, ...rest } = event;
  return rest;
};

function withCounts(run: unknown): unknown {
  if (!isRecord(run)) return run;
  const { used: _used, ...rest } = run;
  return { punch: [], counts: counted(run), ...rest, events: mapped(run['events'], withoutSections) };
}

const withClaims = (product: unknown): unknown =>
  isRecord(product)
    ? { safety: '', ...product, uses: mapped(product['uses'], (use) => (isRecord(use) ? { protectsDays: null, ...use } : use)) }
    : product;

/** Version 7 keeps every count, turns of events, pictures, a signature, and what products claim. */
export const jobFrom6To7: Migration = (content) =>
  isRecord(content)
    ? { pictures: [], signed: null, ...content, products: mapped(content['products'], withClaims), run: withCounts(content['run']) }
    : content;

/** The same for a collection, which now has the movements of its shelf. */
export const collectionFrom5To6: Migration = (content) =>
  isRecord(content)
    ? { movements: [], ...content, products: mapped(content['products'], item(withClaims)), jobs: mapped(content['jobs'], jobFrom6To7) }
    : content;

const ticks: readonly unknown[] = ['flush', 'wet', 'wipe', 'dry', 'glass'];

/** Before version 8 nobody noted who ticked something off, how long it took, nor how the soil was against the forecast. */
const withPaces = (run: unknown): unknown =>
  isRecord(run)
    ? {
        ...run,
        events: mapped(run['events'], (event) => (isRecord(event) && ticks.includes(event['kind']) ? { by: null, ...event } : event)),
        counts: mapped(run['counts'], (count) => (isRecord(count) ? { paces: [], soil: null, waterL: null, runoffL: null, ...count } : count)),
      }
    : run;

/** Version 8 knows who ticked something off, how long each act took, and whether the car was sent away. */
export const jobFrom7To8: Migration = (content) => (isRecord(content) ? { refused: null, ...content, run: withPaces(content['run']) } : content);

/** The same for a collection, in which pictures travel, too. */
export const collectionFrom6To7: Migration = (content) =>
  isRecord(content) ? { photos: [], ...content, jobs: mapped(content['jobs'], jobFrom7To8) } : content;

const listOf = (record: unknown, key: string, value: string): unknown =>
  isRecord(record)
    ? Object.entries(record).map(([name, held]) => ({ [key]: name, [value]: held }))
    : record;
