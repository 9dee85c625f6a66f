type Class = new () => object;

/** By class, the fields that hold objects of another class, or lists of them. */
const nested = new Map<unknown, Map<string, () => Class>>();

/** Notes that a field holds objects of a class. */
export const nests =
  (type: () => Class): PropertyDecorator =>
  (target, key) => {
    const fields = nested.get(target.constructor) ?? new Map<string, () => Class>();
    nested.set(target.constructor, fields.set(String(key), type));
  };

/** The fields of a class and of those that it extends. */
export function nestedIn(type: Class): ReadonlyMap<string, () => Class> {
  const above = Object.getPrototypeOf(type) as Class | null;
  return new Map([...(above ? nestedIn(above) : []), ...(nested.get(type) ?? [])]);
}

/** An object with fields, as JSON has them. */
export const isPlain = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
