import 'reflect-metadata';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayNotEmpty,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Matches,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
  registerDecorator,
  type ValidationArguments,
} from 'class-validator';
import { Type } from 'class-transformer';
import type { Expected } from '../fault';
import type { Bounds } from '@esmero/model';
import { isDay } from '@esmero/units';
import { isPlain, nests } from '../nested';

type Decorator = PropertyDecorator;

const all =
  (...decorators: readonly Decorator[]): Decorator =>
  (target, key) =>
    decorators.forEach((decorate) => decorate(target, key));

/** What a field must be travels with each rule as data; sentences are made elsewhere. */
const says = (expected: Expected) => ({ context: expected });

/** A finite number between two bounds, both allowed. */
export const Between = (min: number, max: number): Decorator => {
  const options = says({ code: 'number', min, max });
  return all(IsNumber({ allowNaN: false, allowInfinity: false }, options), Min(min, options), Max(max, options));
};

/** A figure that is typed beside the forms of items, too. */
export const Within = (bounds: Bounds): Decorator =>
  bounds.whole ? WholeBetween(bounds.min, bounds.max) : Between(bounds.min, bounds.max);

/** Milliseconds since 1970, up to the year 2286. */
export const Moment = (): Decorator => Between(0, 1e13);

export const WholeBetween = (min: number, max: number): Decorator => {
  const options = says({ code: 'whole', min, max });
  return all(IsInt(options), Min(min, options), Max(max, options));
};

export const OneOf = (values: readonly (string | number)[]): Decorator =>
  IsIn([...values], says({ code: 'one-of', values }));

export const Text = (max: number, min = 0): Decorator => {
  const options = says({ code: 'text', min, max });
  return all(IsString(options), Length(min, max, options));
};

/** A text of a given form. */
export const Matching = (form: RegExp): Decorator => Matches(form, says({ code: 'valid' }));

export const Flag = (): Decorator => IsBoolean(says({ code: 'flag' }));

const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** Identifiers stand in addresses and file names: letters, digits, dots, dashes. */
const ID = /^[\w.-]{1,80}$/;
export const Id = (): Decorator => Matches(ID, says({ code: 'id' }));

/** What the van stock counts: its kind, and which of that kind. */
export const StockId = (): Decorator => Matches(/^(product|towel|mix|gear)\/[\w./-]{1,160}$/, says({ code: 'id' }));

/** A day of the calendar, written 2031-07-14. */
export const Day = (): Decorator =>
  all(
    Matches(DAY, says({ code: 'day' })),
    check('day', (value) => typeof value === 'string' && isDay(value), { code: 'day' }),
  );

export const Currency = (): Decorator => Matches(/^[A-Z]{3}$/, says({ code: 'currency' }));

/** Lines as an SVG path of absolute moves and lines. */
export const Path = (max: number): Decorator => {
  const options = says({ code: 'path' });
  return all(IsString(options), Length(1, max, options), Matches(/^M[ML0-9 .,-]*$/, options));
};

/** A picture as a data URL, at most so many letters. */
export const DataUrl = (max: number): Decorator => {
  const options = says({ code: 'picture' });
  return all(
    IsString(options),
    Length(1, max, options),
    Matches(/^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/]+={0,2}$/, options),
    check('base64', (value) => typeof value === 'string' && (value.length - value.indexOf(',') - 1) % 4 === 0, {
      code: 'picture',
    }),
  );
};

/** The field may be null; otherwise the other rules hold. */
export const OrNull = (): Decorator => ValidateIf((_object, value) => value !== null);

/** Nested objects are gone through one by one; the validator's own way down is only there for the schemas. */
const forSchemas = { groups: ['schema'] };

/** An object of its own class. */
export const One = (type: () => new () => object): Decorator =>
  all(nests(type), Type(type), ValidateNested(forSchemas), check('isObject', isPlain, { code: 'object' }));

/** A list of objects of one class. */
export const Many = (type: () => new () => object, most: number): Decorator => {
  const options = says({ code: 'list', most });
  return all(
    nests(type),
    Type(type),
    IsArray(options),
    ArrayMaxSize(most, options),
    ValidateNested({ each: true, ...forSchemas }),
  );
};

/** A list of words out of a fixed set. */
export const ManyOf = (values: readonly string[]): Decorator =>
  all(
    IsArray(says({ code: 'list', most: values.length })),
    IsIn([...values], { each: true, ...says({ code: 'one-of', values }) }),
  );

/** Words out of a fixed set: at least one, and each once. */
export const SomeOf = (values: readonly string[]): Decorator =>
  all(ManyOf(values), ArrayNotEmpty(says({ code: 'some', values })), ArrayUnique(says({ code: 'some', values })));

/** Hours of the day, 0 to 23. */
export const Hours = (): Decorator =>
  all(
    IsArray(says({ code: 'list', most: 24 })),
    ArrayMaxSize(24, says({ code: 'list', most: 24 })),
    IsInt({ each: true, ...says({ code: 'whole', min: 0, max: 23 }) }),
    Min(0, { each: true, ...says({ code: 'whole', min: 0, max: 23 }) }),
    Max(23, { each: true, ...says({ code: 'whole', min: 0, max: 23 }) }),
  );

/** So many figures between two bounds. */
export const Figures = (min: number, max: number, count: number): Decorator =>
  all(
    IsArray(says({ code: 'list', most: count })),
    ArrayMinSize(count, says({ code: 'list', most: count })),
    ArrayMaxSize(count, says({ code: 'list', most: count })),
    IsNumber({ allowNaN: false, allowInfinity: false }, { each: true, ...says({ code: 'number', min, max }) }),
    Min(min, { each: true, ...says({ code: 'number', min, max }) }),
    Max(max, { each: true, ...says({ code: 'number', min, max }) }),
  );

/** Identifiers of other records. */
export const Ids = (most: number): Decorator =>
  all(
    IsArray(says({ code: 'list', most })),
    ArrayMaxSize(most, says({ code: 'list', most })),
    Matches(ID, { each: true, ...says({ code: 'id' }) }),
  );

/** The field may be missing; a wish that nobody has is not written. */
export const Maybe = (): Decorator => ValidateIf((_object, value) => value !== undefined);

/** A rule of our own with a name under which it is reported. */
export function check(name: string, holds: (value: unknown, object: object) => boolean, expected: Expected): Decorator {
  return (target, key) =>
    registerDecorator({
      name,
      target: target.constructor,
      propertyName: String(key),
      options: says(expected),
      validator: {
        validate: (value: unknown, args?: ValidationArguments) => {
          try {
            return holds(value, args?.object ?? {});
          } catch {
            // A rule may look at fields beside it that are themselves wrong.
            return false;
          }
        },
        // Nobody reads it, but without a message the validator leaves the context out.
        defaultMessage: () => expected.code,
      },
    });
}

/** No two entries of a list have the same key. */
export const UniqueBy = (field: string): Decorator =>
  check(
    'uniqueBy',
    (value) => {
      if (!Array.isArray(value)) return true;
      const keys = value.map((entry: Record<string, unknown> | null) => entry?.[field]);
      return new Set(keys).size === keys.length;
    },
    { code: 'unique', field },
  );

/** With each word of a list, just the fields that belong to it; those that every word has are not listed. */
export const belongs = (fieldsOf: Readonly<Record<string, readonly string[]>>): Decorator => {
  const optional = [...new Set(Object.values(fieldsOf).flat())];
  return check(
    'belongs',
    (value, object) => {
      const fields = fieldsOf[String(value)];
      const given = optional.filter((field) => (object as Record<string, unknown>)[field] !== undefined);
      return !fields || (given.length === fields.length && given.every((field) => fields.includes(field)));
    },
    { code: 'belongs', fields: optional },
  );
};
