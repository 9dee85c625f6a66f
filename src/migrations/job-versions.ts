import { heaterBefore4, withAir, withClaims, withFold, withGround, withLayers, withPlace } from './items-before';
import { type Migration, isRecord, mapped, numbered } from './steps';

/**
 * Version 1 (drafts before 0.1) had one deposit a zone and no spots: `soil: { roof: { kind, level } }`,
 * and plain records for what was fixed by hand and for own assumptions.
 */
const jobFrom1To2: Migration = (content) => {
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

const listOf = (record: unknown, key: string, value: string): unknown =>
  isRecord(record) ? Object.entries(record).map(([name, held]) => ({ [key]: name, [value]: held })) : record;

/** Version 3 knows the air and sun of a site; before it every site was calm shade. */
export const jobFrom2To3: Migration = (content) =>
  isRecord(content) ? { ...content, site: withAir(content['site']) } : content;

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

/** Version 4 knows place, hour, history, powered kit, readings, marks, weather, wishes and consent. */
export const jobFrom3To4: Migration = (content) => {
  if (!isRecord(content)) return content;
  const { site, products, choices } = content;
  return {
    hour: 9,
    gear: [heaterBefore4],
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

/** Version 5 knows the fall of the ground, steps, and the pile and fold of towels. */
export const jobFrom4To5: Migration = (content) =>
  isRecord(content)
    ? { ...content, site: withGround(content['site']), towels: mapped(content['towels'], withFold) }
    : content;

/** Version 6 knows what happened beside the car; before, nothing was noted. */
export const jobFrom5To6: Migration = (content) => (isRecord(content) ? { run: null, ...content } : content);

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

/** Version 7 keeps every count, turns of events, pictures, a signature, and what products claim. */
export const jobFrom6To7: Migration = (content) =>
  isRecord(content)
    ? {
        pictures: [],
        signed: null,
        ...content,
        products: mapped(content['products'], withClaims),
        run: withCounts(content['run']),
      }
    : content;

const ticks: readonly unknown[] = ['flush', 'wet', 'wipe', 'dry', 'glass'];

/** Before version 8 nobody noted who ticked something off, how long it took, nor how the soil was against the forecast. */
const withPaces = (run: unknown): unknown =>
  isRecord(run)
    ? {
        ...run,
        events: mapped(run['events'], (event) =>
          isRecord(event) && ticks.includes(event['kind']) ? { by: null, ...event } : event,
        ),
        counts: mapped(run['counts'], (count) =>
          isRecord(count) ? { paces: [], soil: null, waterL: null, runoffL: null, ...count } : count,
        ),
      }
    : run;

/** Version 8 knows who ticked something off, how long each act took, and whether the car was sent away. */
export const jobFrom7To8: Migration = (content) =>
  isRecord(content) ? { refused: null, ...content, run: withPaces(content['run']) } : content;

/** Version 9 numbers what was noted in a run, so that its order does not hang on the clock. */
export const jobFrom8To9: Migration = (content) => {
  if (!isRecord(content) || !isRecord(content['run'])) return content;
  const { run } = content;
  return { ...content, run: { ...run, events: numbered(run['events']) } };
};

/** Choices without a figure that is none any more. */
function withoutFigure(choices: unknown, name: string): unknown {
  if (!isRecord(choices) || !Array.isArray(choices['assumptions'])) return choices;
  return {
    ...choices,
    assumptions: choices['assumptions'].filter((one: unknown) => !(isRecord(one) && one['name'] === name)),
  };
}

/** Version 10 shares a car out by passes: how much panel one of two people takes on at a time is no figure any more. */
export const jobFrom9To10: Migration = (content) =>
  isRecord(content) ? { ...content, choices: withoutFigure(content['choices'], 'stretch') } : content;

/** What everybody did before version 11 asked. */
export const habitsBefore11 = { dirtLimit: 'index', parts: 'leave-out', glassTowels: 'own' };

/**
 * Version 11 asks how dirty a waterless product may meet the paint, what becomes of parts that cannot be done, and whose towel
 * dries glass. A pre-rinse takes its time by the flow: seconds a square metre are no figure any more.
 */
export function jobFrom10To11(content: unknown): unknown {
  if (!isRecord(content) || !isRecord(content['choices'])) return content;
  const choices = withoutFigure(content['choices'], 'rateFlush');
  return { ...content, choices: isRecord(choices) ? { ...habitsBefore11, ...choices } : choices };
}

/** What everybody did before version 12 asked; nobody had a blower. */
export const habitsBefore12 = { rinseWith: 'water', standing: 'blower', pair: 'sides' };

/** Version 12 knows passes that were changed by hand, how two people share the work, and a blower and product for the rinse. */
export const jobFrom11To12: Migration = (content) =>
  isRecord(content) && isRecord(content['choices'])
    ? { ...content, choices: { ...habitsBefore12, passes: [], ...content['choices'] } }
    : content;

const renamed = (value: unknown): unknown => {
  if (!isRecord(value) || !('school' in value)) return value;
  const { school, ...others } = value;
  return { ...others, approach: school };
};

/** Before version 13 all of the outside was washed. */
const scopeBefore13 = ['body', 'glass', 'wheels', 'shuts', 'boot-sill'];

/** Bugs that were counted before version 13, as the cover that they come to: judged. */
const coverBefore13 = (count: unknown): string =>
  typeof count !== 'number' || count <= 4 ? 'few' : count <= 15 ? 'many' : 'covered';

const withCover = (soil: unknown): unknown => {
  if (!isRecord(soil) || !Array.isArray(soil['spots'])) return soil;
  const isInsects = (one: unknown): boolean => isRecord(one) && one['kind'] === 'insects';
  const counted = soil['spots'].find(isInsects) as Record<string, unknown> | undefined;
  const spots = soil['spots'].filter((one) => !isInsects(one));
  return { ...soil, spots, ...(counted && counted['count'] !== 0 ? { bugs: coverBefore13(counted['count']) } : {}) };
};

/** Version 13 knows a scope, judges bugs by cover, and calls the accepted risk what everybody calls it: the approach. */
export const habitsFrom12To13: Migration = renamed;
export const jobFrom12To13: Migration = (content) =>
  isRecord(content)
    ? {
        scope: scopeBefore13,
        soldAs: null,
        ...content,
        soil: mapped(content['soil'], withCover),
        choices: withoutFigure(renamed(content['choices']), 'secondsInsects'),
        wishes: renamed(content['wishes']),
      }
    : content;

/** What products and cars did not say before version 14. */
const useFrom13To14 = (use: unknown): unknown =>
  isRecord(use) ? { mLPerM2: null, dwellS: null, rinseAfter: false, inSun: false, ...use } : use;
export const productFrom13To14: Migration = (product) =>
  isRecord(product) ? { ...product, uses: mapped(product['uses'], useFrom13To14) } : product;
export const vehicleFrom13To14: Migration = (vehicle) => (isRecord(vehicle) ? { protection: [], ...vehicle } : vehicle);
export const habitsBefore14 = {
  chemistry: 'any',
  medium: 'mitt',
  guards: 'every-bucket',
  dryTouch: 'drawn',
  steamWith: 'water',
};
/** Grille and badges were part of the bodywork before version 14. */
export const scopeFrom13To14 = (scope: unknown): unknown =>
  Array.isArray(scope) && scope.includes('body') && !scope.includes('trim')
    ? ['body', 'trim', ...(scope as unknown[]).filter((part) => part !== 'body')]
    : scope;
export const careBefore14 = { paint: null, trim: false, tyres: null };

/** Version 14 puts something onto the clean car, washes with shampoo where that is wanted, and knows what products ask for. */
export const jobFrom13To14: Migration = (content) =>
  isRecord(content)
    ? {
        care: careBefore14,
        around: [],
        arrivedAt: null,
        ...content,
        scope: scopeFrom13To14(content['scope']),
        vehicle: vehicleFrom13To14(content['vehicle']),
        products: mapped(content['products'], productFrom13To14),
        choices: isRecord(content['choices']) ? { ...habitsBefore14, ...content['choices'] } : content['choices'],
      }
    : content;

/** Version 15 knows whose car it is, and what was quoted and billed. */
export const jobFrom14To15: Migration = (content) =>
  isRecord(content) ? { clientId: null, bills: [], ...content } : content;

/** Version 16 knows proofs of half a panel, soil that was measured, and the dye of a product. */
export const jobFrom15To16: Migration = (content) => (isRecord(content) ? { proofs: [], ...content } : content);

/** Steps of the job file, from version 1. */
export const jobMigrations: readonly Migration[] = [
  jobFrom1To2,
  jobFrom2To3,
  jobFrom3To4,
  jobFrom4To5,
  jobFrom5To6,
  jobFrom6To7,
  jobFrom7To8,
  jobFrom8To9,
  jobFrom9To10,
  jobFrom10To11,
  jobFrom11To12,
  jobFrom12To13,
  jobFrom13To14,
  jobFrom14To15,
  jobFrom15To16,
];
