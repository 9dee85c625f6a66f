import { bodies, colours, mixPurposes, towelRoles, vehicleMethods } from '@esmero/model';
import { Between, Day, OneOf, OrNull, Text, WholeBetween } from '../documents/rules';

/** What can be brought in from a table. */
export const tableKinds = ['clients', 'visits', 'products', 'towels'] as const;
export type TableKind = (typeof tableKinds)[number];

/** A client, and perhaps one car: several cars are several rows of the same name. */
export class ClientRow {
  @Text(160, 1) name!: string;
  @Text(60) phone!: string;
  @Text(254) email!: string;
  @Text(400) address!: string;
  @Text(4000) note!: string;
  @Text(120) car!: string;
  @OrNull() @OneOf(bodies) body!: string | null;
  @OrNull() @OneOf(colours) colour!: string | null;
  @OrNull() @WholeBetween(1, 365) everyDays!: number | null;
}

/** A wash of the past. */
export class VisitRow {
  @Day() date!: string;
  @Text(160) client!: string;
  @Text(120, 1) car!: string;
  @Between(1, 1440) minutes!: number;
  @OrNull() @OneOf(vehicleMethods) method!: string | null;
  @OrNull() @OneOf(bodies) body!: string | null;
  @Text(4000) note!: string;
}

export class ProductRow {
  @Text(120, 1) name!: string;
  @Between(1, 1_000_000) bottleMl!: number;
  @OrNull() @Between(0, 1_000_000) price!: number | null;
  @OneOf(mixPurposes) purpose!: string;
  @OrNull() @Between(0, 10_000) waterParts!: number | null;
}

export class TowelRow {
  @Text(120, 1) name!: string;
  @OneOf(towelRoles) role!: string;
  @WholeBetween(0, 10_000) clean!: number;
  @OrNull() @Between(10, 200) widthCm!: number | null;
  @OrNull() @Between(10, 200) lengthCm!: number | null;
  @OrNull() @Between(50, 3000) gsm!: number | null;
}

/** How the text of a cell is meant. */
type Meaning = 'text' | 'number' | 'day' | 'word';

/** A field of a row: what it is called in files, ours first. */
export interface TableField {
  readonly key: string;
  readonly meaning: Meaning;
  readonly isRequired: boolean;
  /** Where the cell is empty or no column is taken for it. */
  readonly otherwise: string | number | null;
  readonly names: readonly string[];
}

const field = (
  key: string,
  meaning: Meaning,
  names: readonly string[],
  rest: Partial<TableField> = {},
): TableField => ({ key, meaning, isRequired: false, otherwise: meaning === 'text' ? '' : null, names, ...rest });
const needed = (key: string, meaning: Meaning, names: readonly string[]): TableField =>
  field(key, meaning, names, { isRequired: true });

interface Kind {
  readonly document: new () => object;
  readonly fields: readonly TableField[];
}

const body = field('body', 'word', ['body', 'type', 'car type']);

export const tables: Readonly<Record<TableKind, Kind>> = {
  clients: {
    document: ClientRow,
    fields: [
      needed('name', 'text', ['name', 'client', 'customer', 'full name', 'company']),
      field('phone', 'text', ['phone', 'telephone', 'mobile', 'phone number', 'tel']),
      field('email', 'text', ['email', 'e-mail', 'mail', 'email address']),
      field('address', 'text', ['address', 'street', 'street address']),
      field('note', 'text', ['note', 'notes', 'remarks', 'comment']),
      field('car', 'text', ['car', 'vehicle', 'car name', 'model']),
      body,
      field('colour', 'word', ['colour', 'color', 'paint']),
      field('everyDays', 'number', ['every_days', 'every days', 'interval', 'every']),
    ],
  },
  visits: {
    document: VisitRow,
    fields: [
      needed('date', 'day', ['date', 'day', 'when']),
      field('client', 'text', ['client', 'customer', 'name']),
      needed('car', 'text', ['car', 'vehicle', 'model']),
      needed('minutes', 'number', ['minutes', 'min', 'duration', 'took', 'time']),
      field('method', 'word', ['method', 'wash', 'how']),
      body,
      field('note', 'text', ['note', 'notes', 'remarks']),
    ],
  },
  products: {
    document: ProductRow,
    fields: [
      needed('name', 'text', ['name', 'product', 'item']),
      needed('bottleMl', 'number', ['bottle_ml', 'bottle', 'size', 'ml', 'volume']),
      field('price', 'number', ['price', 'cost']),
      field('purpose', 'word', ['purpose', 'use', 'for'], { otherwise: 'wash' }),
      field('waterParts', 'number', ['water_parts', 'dilution', 'ratio', 'parts of water']),
    ],
  },
  towels: {
    document: TowelRow,
    fields: [
      needed('name', 'text', ['name', 'towel', 'item']),
      field('role', 'word', ['role', 'for', 'use'], { otherwise: 'wash' }),
      needed('clean', 'number', ['count', 'clean', 'number', 'quantity', 'amount']),
      field('widthCm', 'number', ['width_cm', 'width']),
      field('lengthCm', 'number', ['length_cm', 'length', 'height']),
      field('gsm', 'number', ['gsm', 'weight']),
    ],
  },
};

/** Which column holds which field: its number, or null where none does. */
export type Mapping = Readonly<Record<string, number | null>>;

const known = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, ' ');

/** A first guess by the names of the columns; each column is taken once. */
export function guessMapping(kind: TableKind, columns: readonly string[]): Mapping {
  const taken = new Set<number>();
  const mapping: Record<string, number | null> = {};
  for (const { key, names } of tables[kind].fields) {
    const at = names
      .map((name) => columns.findIndex((column, i) => !taken.has(i) && known(column) === known(name)))
      .find((i) => i >= 0);
    if (at !== undefined) taken.add(at);
    mapping[key] = at ?? null;
  }
  return mapping;
}
