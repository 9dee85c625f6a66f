import {
  type EntryItems,
  type LibraryKind,
  bodies,
  colours,
  finishes,
  gearKinds,
  habitKeys,
  isBrush,
  origins,
  piles,
  runoffRules,
  scopeParts,
  surfaces,
  towelRoles,
  vesselKinds,
} from '@esmero/model';
import {
  type Units,
  bodyName,
  capital,
  colourName,
  en,
  finishName,
  gearName,
  habitWords,
  originName,
  pileName,
  roleName,
  runoffName,
  scopeName,
  surfaceName,
  vesselKindName,
} from '@esmero/messages';

export interface Choice {
  readonly value: string | number;
  readonly label: string;
}

/** One field of an item, found by its path; quantities name the unit they are edited in. */
export type Field = {
  readonly path: string;
  readonly label: string;
  readonly hint?: string;
  /** Fields of one group stand together under its name. */
  readonly group?: string;
  /** Shown only where it says something of the item. */
  readonly when?: (item: AnyItem) => boolean;
} & (
  | { readonly kind: 'text'; readonly long?: true }
  | { readonly kind: 'flag' }
  | { readonly kind: 'number'; readonly unit?: keyof Units['edit'] | string; readonly nullable?: boolean }
  | { readonly kind: 'choice'; readonly choices: readonly Choice[] }
  | { readonly kind: 'several'; readonly choices: readonly Choice[] }
  | { readonly kind: 'money' }
  | { readonly kind: 'uses' }
  | { readonly kind: 'care' }
  /** Some of the other items of the same kind, by their ids. */
  | { readonly kind: 'others' }
);

const choices = <T extends string>(values: readonly T[], names: Readonly<Record<T, string>>): readonly Choice[] =>
  values.map((value) => ({ value, label: capital(names[value]) }));

/** A brush is moved by hand. */
const isPowered = (item: AnyItem): boolean => !('flowLMin' in item) || !isBrush(item.kind);
const passesWater = (item: AnyItem): boolean =>
  'flowLMin' in item && ['cordless-wand', 'mains-wand', 'steamer'].includes(item.kind);

/** Answers to a question on habits; the sides of a towel are the one that is a number. */
const answersOf = (answers: Readonly<Record<string, string>>): readonly Choice[] =>
  Object.entries(answers).map(([value, label]) => ({
    value: value === '4' || value === '8' ? Number(value) : value,
    label,
  }));

const name: Field = { path: 'name', label: 'Name', kind: 'text' };
const origin: Field = {
  path: 'origin',
  label: 'Where the figures come from',
  kind: 'choice',
  choices: choices(origins, originName),
};

const inGroup = (group: string, ...fields: readonly Field[]): readonly Field[] =>
  fields.map((field) => Object.defineProperties({ group } as Field, Object.getOwnPropertyDescriptors(field)));

/** Every currency that the browser knows. */
const currencies = (): readonly Choice[] =>
  Intl.supportedValuesOf('currency').map((value) => ({ value, label: value }));

/** Hours at which somebody might wash a car. */
const dayHours: readonly Choice[] = Array.from({ length: 16 }, (_, i) => ({ value: i + 6, label: `${i + 6}` }));

/** The fields of every kind of item, in the order in which they are filled in. */
export const fieldsOf: Readonly<Record<FormKind, readonly Field[]>> = {
  vehicle: [
    name,
    { path: 'body', label: 'Body', kind: 'choice', choices: choices(bodies, bodyName) },
    { path: 'finish', label: 'Finish', kind: 'choice', choices: choices(finishes, finishName) },
    {
      path: 'colour',
      get label() {
        return en('Colour');
      },
      kind: 'choice',
      choices: choices(colours, colourName),
    },
    {
      path: 'cladding',
      get label() {
        return en('Sills and lower bumpers in unpainted plastic');
      },
      kind: 'flag',
    },
    ...inGroup(
      'Size',
      { path: 'dimensions.lengthM', label: 'Length', kind: 'number', unit: 'length' },
      { path: 'dimensions.widthM', label: 'Width', kind: 'number', unit: 'length' },
      { path: 'dimensions.heightM', label: 'Height', kind: 'number', unit: 'length' },
      { path: 'dimensions.wheelbaseM', label: 'Wheelbase', kind: 'number', unit: 'length' },
      { path: 'dimensions.clearanceM', label: 'Ground clearance', kind: 'number', unit: 'length' },
      {
        path: 'dimensions.wheelDiameterM',
        get label() {
          return en('Wheel with tyre');
        },
        kind: 'number',
        unit: 'length',
      },
    ),
  ],
  site: [
    name,
    ...inGroup(
      'Water and power',
      { path: 'runoff', label: 'Run-off', kind: 'choice', choices: choices(runoffRules, runoffName) },
      { path: 'captureL', label: 'Mat holds', kind: 'number', unit: 'water' },
      { path: 'waterL', label: 'Water brought along', kind: 'number', unit: 'water' },
      { path: 'tap', label: 'Tap on site', kind: 'flag' },
      { path: 'power', label: 'Mains power', kind: 'flag' },
      { path: 'indoors', label: 'Indoors', kind: 'flag' },
      { path: 'bay', label: 'Wash bay at hand', kind: 'flag' },
    ),
    ...inGroup(
      'Work there',
      { path: 'minutes', label: 'Time there', kind: 'number', unit: 'min' },
      {
        path: 'workers',
        label: 'People',
        kind: 'choice',
        choices: [
          { value: 1, label: 'One' },
          { value: 2, label: 'Two' },
        ],
      },
      {
        path: 'noiseDb',
        label: 'Noise at most',
        kind: 'number',
        unit: 'dB',
        nullable: true,
        hint: 'Empty: nobody minds',
      },
      { path: 'slope', label: 'Slope', kind: 'number', unit: 'share', hint: 'Where it is steepest; 0 is level' },
      { path: 'steps', label: 'Steps or platform brought along', kind: 'flag' },
    ),
    ...inGroup(
      'Where it lies',
      { path: 'latitudeDeg', label: 'Latitude, north', kind: 'number', unit: '°' },
      { path: 'longitudeDeg', label: 'Longitude, east', kind: 'number', unit: '°' },
      {
        path: 'utcOffsetH',
        label: 'Time zone, ahead of UTC',
        kind: 'number',
        unit: 'h',
        hint: 'Follows the place and the day; set it where that is wrong',
      },
      { path: 'headingDeg', label: 'Car faces, degrees from north', kind: 'number', unit: '°' },
      { path: 'shadeHours', label: 'In the shade at', kind: 'several', choices: dayHours },
    ),
    ...inGroup(
      'Weather, as typed',
      { path: 'airC', label: 'Air', kind: 'number', unit: 'temperature' },
      { path: 'humidity', label: 'Humidity', kind: 'number', unit: 'share' },
      { path: 'windMs', label: 'Wind', kind: 'number', unit: 'wind' },
      { path: 'shade', label: 'In the shade or under a roof', kind: 'flag' },
      {
        path: 'sunWm2',
        label: 'Sun on a level panel',
        kind: 'number',
        unit: 'W/m²',
        hint: '0 none, 300 hazy, 800 clear noon',
      },
      {
        path: 'panelC',
        label: 'Panels, measured',
        kind: 'number',
        unit: 'temperature',
        nullable: true,
        hint: 'Empty: computed',
      },
      { path: 'liquidC', label: 'Water temperature', kind: 'number', unit: 'temperature' },
    ),
  ],
  product: [
    name,
    { path: 'sizeMl', label: 'Bottle', kind: 'number', unit: 'volume' },
    { path: 'priceMinor', label: 'Price of the bottle', kind: 'money', hint: 'Empty: not known' },
    {
      path: 'maxPanelC',
      label: 'Max panel temperature',
      kind: 'number',
      unit: 'temperature',
      nullable: true,
      hint: 'Empty: the label does not say',
    },
    { path: 'filmFactor', label: 'Uses more or less than usual', kind: 'number', unit: '×' },
    origin,
    ...inGroup('Uses and strengths', { path: 'uses', label: 'Uses and strengths', kind: 'uses' }),
    ...inGroup(
      'What to keep it from',
      { path: 'notOnSurfaces', label: 'Not on', kind: 'several', choices: choices(surfaces, surfaceName) },
      { path: 'leavesLayer', label: 'Leaves wax or gloss', kind: 'flag' },
      { path: 'notOnFinishes', label: 'Not on paint that is', kind: 'several', choices: choices(finishes, finishName) },
      { path: 'notWith', label: 'Never on a panel with', kind: 'others' },
    ),
    ...inGroup('Safety', { path: 'safety', label: 'Safety, from its sheet', kind: 'text', long: true }),
  ],
  towel: [
    name,
    { path: 'role', label: 'For', kind: 'choice', choices: choices(towelRoles, roleName) },
    { path: 'clean', label: 'Clean', kind: 'number', unit: 'towels' },
    { path: 'widthM', label: 'Width', kind: 'number', unit: 'towel' },
    { path: 'heightM', label: 'Length', kind: 'number', unit: 'towel' },
    { path: 'gsm', label: 'Weight', kind: 'number', unit: 'g/m²' },
    { path: 'pile', label: 'Pile', kind: 'choice', choices: choices(piles, pileName) },
    {
      path: 'sides',
      label: 'Folded',
      kind: 'choice',
      choices: [
        { value: 4, label: 'Once, four sides' },
        { value: 8, label: 'Twice, eight sides' },
      ],
    },
    origin,
  ],
  vessel: [
    name,
    { path: 'kind', label: 'Kind', kind: 'choice', choices: choices(vesselKinds, vesselKindName) },
    { path: 'capacityMl', label: 'Capacity', kind: 'number', unit: 'volume' },
    { path: 'workingShare', label: 'Working line, share of that', kind: 'number', unit: 'share' },
    { path: 'chargeMl', label: 'Minimum fill', kind: 'number', unit: 'volume' },
    origin,
  ],
  gear: [
    name,
    { path: 'kind', label: 'Kind', kind: 'choice', choices: choices(gearKinds, gearName) },
    { path: 'flowLMin', label: 'Flow', kind: 'number', unit: 'flow', when: passesWater },
    {
      path: 'batteryMin',
      label: 'Batteries last',
      kind: 'number',
      unit: 'min',
      nullable: true,
      hint: 'Empty: on mains',
      when: isPowered,
    },
    { path: 'noiseDb', label: 'Noise at the operator', kind: 'number', unit: 'dB', when: isPowered },
    origin,
  ],
  package: [
    name,
    { path: 'scope', label: 'What is washed', kind: 'several', choices: choices(scopeParts, scopeName) },
    { path: 'care', label: 'And on the clean car', kind: 'care' },
    { path: 'priceMinor', label: 'Price', kind: 'money', hint: 'Empty: by the car' },
  ],
  client: [
    name,
    { path: 'phone', label: 'Telephone', kind: 'text' },
    { path: 'email', label: 'Email', kind: 'text' },
    { path: 'note', label: 'Note', kind: 'text', long: true },
  ],
  business: [
    ...inGroup(
      'On your papers',
      name,
      { path: 'address', label: 'Address', kind: 'text', long: true },
      { path: 'contact', label: 'Telephone, account', kind: 'text', long: true },
      { path: 'taxNumber', label: 'Tax number', kind: 'text' },
    ),
    ...inGroup(
      'Time and travel',
      {
        path: 'currency',
        label: 'Currency',
        kind: 'choice',
        get choices() {
          return currencies();
        },
      },
      { path: 'hourMinor', label: 'An hour of one person', kind: 'money' },
      {
        path: 'kmMinor',
        get label() {
          return en('A kilometre');
        },
        kind: 'money',
        hint: 'Fuel or charge, and wear',
      },
      {
        path: 'confidence',
        label: 'Quote a time that is enough in',
        kind: 'number',
        unit: 'share',
        hint: 'Work is priced on them',
      },
    ),
    ...inGroup(
      'Kit and water',
      { path: 'towelMinor', label: 'A towel', kind: 'money' },
      { path: 'towelWashes', label: 'Retired after', kind: 'number', unit: 'washes' },
      { path: 'loadMinor', label: 'A load of laundry', kind: 'money' },
      { path: 'loadTowels', label: 'Towels in a load', kind: 'number', unit: 'towels' },
      {
        path: 'waterMinor',
        get label() {
          return en('A cubic metre of water');
        },
        kind: 'money',
      },
      {
        path: 'wasteMinor',
        get label() {
          return en('A cubic metre of dirty water');
        },
        kind: 'money',
      },
      { path: 'batteryHourMinor', label: 'An hour of the packs', kind: 'money', hint: 'Charge and wear' },
    ),
    ...inGroup(
      'The price',
      { path: 'overheadMinor', label: 'Overhead of a visit', kind: 'money', hint: 'Insurance, van, telephone' },
      { path: 'marginShare', label: 'Mark-up', kind: 'number', unit: 'share' },
      { path: 'taxName', label: 'Tax is called', kind: 'text' },
      { path: 'taxShare', label: 'Tax', kind: 'number', unit: 'share' },
      { path: 'roundToMinor', label: 'Round up to', kind: 'money' },
    ),
    ...inGroup(
      'Quotes and invoices',
      { path: 'quotePrefix', label: 'Quote number prefix', kind: 'text' },
      { path: 'invoicePrefix', label: 'Numbers of invoices begin with', kind: 'text' },
      { path: 'validDays', label: 'Quote valid for', kind: 'number', unit: 'days' },
      { path: 'payDays', label: 'An invoice is due after', kind: 'number', unit: 'days' },
      { path: 'terms', label: 'At the foot', kind: 'text', long: true },
    ),
  ],
  habits: [
    name,
    ...habitKeys.map((key): Field => {
      const { question, answers } = habitWords[key];
      return { path: key, label: question, kind: 'choice', choices: answersOf(answers) };
    }),
  ],
};

/** Kinds of items that have a form: those of the library, and what has a page of its own. */
export type FormKind = LibraryKind | 'client' | 'business';
export type AnyItem = EntryItems[FormKind];

type Tree = Readonly<Record<string, unknown>>;

export const valueAt = (item: unknown, path: string): unknown =>
  path.split('.').reduce<unknown>((value, key) => (value as Tree | undefined)?.[key], item);

/** A copy of the item with one value replaced. */
export function withValue<T>(item: T, path: string, value: unknown): T {
  const [key, ...rest] = path.split('.');
  const inner = rest.length > 0 ? withValue((item as Tree)[key!], rest.join('.'), value) : value;
  return { ...item, [key!]: inner };
}
