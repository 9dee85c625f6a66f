import 'reflect-metadata';
// @ts-expect-error the library ships no types for its storage
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { getMetadataStorage } from 'class-validator';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import '../src/exchange/documents/backup';
import '../src/exchange/documents/day';
import '../src/exchange/documents/lot';
import '../src/exchange/documents/library';
import type { Format } from '../src/exchange/envelope';

/**
 * JSON Schema of a format, made from the very rules that files are validated with. Rules across
 * fields (a wheelbase within the length) are in the text of the format, not in the schema.
 * @param around what else the envelope may hold
 */
export function schemaOf(
  format: Format,
  document: string,
  title: string,
  around: Readonly<Record<string, string>> = {},
): object {
  const definitions = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: '#/$defs/',
    additionalConverters,
  });
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title,
    type: 'object',
    required: ['format', 'version', format.key],
    properties: {
      format: { const: format.name },
      version: { const: format.version },
      [format.key]: { $ref: `#/$defs/${document}` },
      ...Object.fromEntries(Object.entries(around).map(([name, type]) => [name, { $ref: `#/$defs/${type}` }])),
    },
    additionalProperties: false,
    $defs: Object.fromEntries(
      reachable([document, ...Object.values(around)], definitions).map(([name, schema]) => [
        name,
        { ...schema, properties: withNulls(name, schema.properties ?? {}), additionalProperties: false },
      ]),
    ),
  };
}

type Definitions = ReturnType<typeof validationMetadatasToSchemas>;

/** What documents consist of, all the way down; the validator knows those of every other format, too. */
function reachable(from: readonly string[], definitions: Definitions): [string, Definitions[string]][] {
  const found = new Map<string, Definitions[string]>();
  const visit = (name: string): void => {
    const schema = definitions[name];
    if (!schema || found.has(name)) return;
    found.set(name, schema);
    for (const [, next] of JSON.stringify(schema).matchAll(/"#\/\$defs\/(\w+)"/g)) visit(next!);
  };
  from.forEach(visit);
  return [...found].sort(([p], [q]) => p.localeCompare(q));
}

const nothing = () => ({});

type Properties = Readonly<Record<string, object>>;

/** Fields that may be null, as `Document.field`. */
const nullable = (): ReadonlySet<string> =>
  new Set(
    [...getMetadataStorage()['validationMetadatas'].values()]
      .flat()
      .filter(({ type }) => type === 'conditionalValidation')
      .map(({ target, propertyName }) => `${(target as { name: string }).name}.${propertyName}`),
  );

const withNulls = (document: string, properties: Properties): Properties => {
  const may = nullable();
  return Object.fromEntries(
    Object.entries(properties).map(([field, schema]) => [
      field,
      may.has(`${document}.${field}`) ? { anyOf: [schema, { type: 'null' }] } : schema,
    ]),
  );
};

/** Rules of our own that a schema cannot say. */
const additionalConverters = Object.fromEntries(
  ['isObject', 'uniqueBy', 'dilution', 'band', 'assumption', 'charge', 'day', 'belongs', 'balance', 'base64']
    .concat(['height', 'wheelbase', 'overhang', 'clearance', 'wheel'])
    .map((name) => [name, nothing]),
);
