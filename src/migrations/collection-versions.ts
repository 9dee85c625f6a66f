import {
  heaterBefore4,
  withAir,
  withClaims,
  withFold,
  withGround,
  withLayers,
  withPlace,
  withShades,
} from './items-before';
import {
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
  careBefore14,
  habitsBefore11,
  habitsBefore12,
  habitsBefore14,
  habitsFrom12To13,
  productFrom13To14,
  scopeFrom13To14,
  vehicleFrom13To14,
} from './job-versions';
import { type Fields, type Migration, isRecord, mapped, migrate, numbered } from './steps';

const timeOf = (movement: unknown): number =>
  isRecord(movement) && typeof movement['at'] === 'number' ? movement['at'] : 0;

/** Movements were in the order of their times before they had numbers. */
export const movementsInOrder = (list: unknown): unknown =>
  Array.isArray(list) ? numbered([...(list as unknown[])].sort((p, q) => timeOf(p) - timeOf(q))) : list;

/** Before version 8 nobody noted when something was changed, nor where. */
const unstamped = { changedAt: 0, edits: [] };
const stampedEntry: Migration = (held) => (isRecord(held) ? { ...unstamped, ...held } : held);
const stampedJob: Migration = (job) => ({ archived: false, ...unstamped, job });

/** What one step does to each part of a collection; parts without a change are left out. */
interface Step {
  readonly job?: Migration;
  readonly items?: Readonly<Record<string, Migration>>;
  readonly whole?: (content: Fields) => Fields;
}

const inStamp =
  (change: Migration): Migration =>
  (held) =>
    isRecord(held) ? { ...held, job: change(held['job']) } : held;

const collectionSteps: readonly Step[] = [
  { job: jobFrom2To3, items: { site: withAir } },
  {
    job: jobFrom3To4,
    items: { site: withPlace, product: withLayers },
    whole: (content) => ({ gear: [{ archived: false, item: heaterBefore4 }], habits: [], ...content }),
  },
  { job: jobFrom4To5, items: { site: withGround, towel: withFold } },
  { job: jobFrom5To6 },
  { job: jobFrom6To7, items: { product: withClaims }, whole: (content) => ({ movements: [], ...content }) },
  { job: jobFrom7To8, whole: (content) => ({ photos: [], ...content }) },
  {
    job: jobFrom8To9,
    whole: (content) => ({
      ...content,
      ...Object.fromEntries(Object.values(listNames).map((list) => [list, mapped(content[list], stampedEntry)])),
      jobs: mapped(content['jobs'], stampedJob),
      movements: movementsInOrder(content['movements']),
    }),
  },
  // Since version 8 a job stands beside its stamp.
  { job: inStamp(jobFrom9To10) },
  {
    job: inStamp(jobFrom10To11),
    items: { habits: (item) => (isRecord(item) ? { ...habitsBefore11, ...item } : item) },
  },
  {
    job: inStamp(jobFrom11To12),
    items: { habits: (item) => (isRecord(item) ? { ...habitsBefore12, ...item } : item) },
  },
  {
    job: inStamp(jobFrom12To13),
    items: { habits: habitsFrom12To13 },
    whole: (content) => ({ packages: [], ...content }),
  },
  {
    job: inStamp(jobFrom13To14),
    items: {
      vehicle: vehicleFrom13To14,
      product: productFrom13To14,
      habits: (item) => (isRecord(item) ? { ...habitsBefore14, ...item } : item),
      package: (item) =>
        isRecord(item) ? { care: careBefore14, ...item, scope: scopeFrom13To14(item['scope']) } : item,
    },
  },
  { whole: (content) => ({ vans: [], days: [], lots: [], ...content }) },
  { job: inStamp(jobFrom14To15), whole: (content) => ({ clients: [], businesses: [], blocked: [], ...content }) },
  { job: inStamp(jobFrom15To16), whole: (content) => ({ calibrations: [], practice: [], ...content }) },
  // A count says how much there is; those before it were differences, and stay so.
  {},
  { items: { calibration: withShades } },
];

/** The list of a collection file in which items of a kind stand. */
export const listNames = {
  vehicle: 'vehicles',
  site: 'sites',
  product: 'products',
  towel: 'towels',
  vessel: 'vessels',
  gear: 'gear',
  habits: 'habits',
  package: 'packages',
  van: 'vans',
  day: 'days',
  lot: 'lots',
  client: 'clients',
  business: 'businesses',
  blocked: 'blocked',
  calibration: 'calibrations',
  practice: 'practice',
} as const;
type Kind = keyof typeof listNames;

/** A change of what an entry of the library holds. */
const inEntry =
  (change: Migration): Migration =>
  (held) =>
    isRecord(held) ? { ...held, item: change(held['item']) } : held;

const collectionStep =
  ({ job, items = {}, whole = (content) => content }: Step): Migration =>
  (content) => {
    if (!isRecord(content)) return content;
    const lists = Object.entries(items).map(([kind, change]) => {
      const list = listNames[kind as Kind];
      return [list, mapped(content[list], inEntry(change))];
    });
    return whole({ ...content, ...Object.fromEntries(lists), ...(job ? { jobs: mapped(content['jobs'], job) } : {}) });
  };

/** Steps of the collection file, from version 1. */
export const collectionMigrations: readonly Migration[] = collectionSteps.map(collectionStep);

/** One item of the library, as a collection of that version had it, taken to the present. */
export const migrateItem = (kind: string, item: unknown, version: number): unknown =>
  migrate(
    item,
    version,
    collectionSteps.map(({ items }) => items?.[kind] ?? ((same) => same)),
  );
