import { getMetadataStorage } from 'class-validator';
import { type Expected, type Fault, shown } from './fault';
import { isPlain, nestedIn } from './nested';

type Class = new () => object;

/** So many faults are told; whoever reads them has long understood. */
export const MOST_FAULTS = 100;

type Fields = Readonly<Record<string, unknown>>;

/** One rule of a field, as it was declared. */
interface Rule {
  readonly expected: Expected;
  readonly holds: (value: unknown, object: Fields) => boolean;
}

interface Field {
  /** The rules count only where all of these hold: a field that may be null, or missing. */
  readonly where: readonly ((object: Fields, value: unknown) => boolean)[];
  readonly rules: readonly Rule[];
}

interface Shape {
  readonly fields: ReadonlyMap<string, Field>;
  readonly nested: ReturnType<typeof nestedIn>;
}

type Declared = ReturnType<ReturnType<typeof getMetadataStorage>['getTargetValidationMetadatas']>[number];

function ruleOf({ constraintCls, constraints = [], each, context, propertyName }: Declared): Rule {
  // Its getter looks for the instance anew each time.
  const { instance } = getMetadataStorage().getTargetValidatorConstraints(constraintCls)[0]!;
  const holds = (value: unknown, object: Fields): boolean =>
    instance.validate(value, { value, constraints, object, property: propertyName, targetName: '' }) === true;
  const ofEach = (value: unknown, object: Fields): boolean =>
    Array.isArray(value) && value.every((one) => holds(one, object));
  return { expected: (context as Expected | undefined) ?? { code: 'valid' }, holds: each ? ofEach : holds };
}

const shapes = new Map<Class, Shape>();

/** What a class declares, read once: the validator itself would gather it anew for each of a hundred thousand objects. */
function shapeOf(type: Class): Shape {
  const known = shapes.get(type);
  if (known) return known;
  const declared = getMetadataStorage().getTargetValidationMetadatas(type, '', false, true);
  const fields = new Map<string, Field>();
  for (const one of declared) {
    const { where, rules } = fields.get(one.propertyName) ?? { where: [], rules: [] };
    const isCondition = one.type === 'conditionalValidation';
    fields.set(one.propertyName, {
      where: isCondition ? [...where, one.constraints[0] as Field['where'][number]] : where,
      rules: isCondition ? rules : [...rules, ruleOf(one)],
    });
  }
  const shape = { fields, nested: nestedIn(type) };
  shapes.set(type, shape);
  return shape;
}

/**
 * Holds plain data against document classes, object by object. The way down follows the classes, not the data, so
 * however deep a file is nested this is not; it stops at {@link MOST_FAULTS}.
 */
class Validation {
  readonly faults: Fault[] = [];

  private get full(): boolean {
    return this.faults.length >= MOST_FAULTS;
  }

  private add(path: string, expected: Expected, found: unknown): void {
    if (!this.full) this.faults.push({ path, expected, found: shown(found) });
  }

  object(type: Class, plain: unknown, path: string): void {
    if (this.full) return;
    if (!isPlain(plain)) return this.add(path, { code: 'object' }, plain);
    const { fields, nested } = shapeOf(type);
    const below = (field: string): string => (path ? `${path}.${field}` : field);
    for (const field of Object.keys(plain)) {
      if (!fields.has(field)) this.add(below(field), { code: 'unknown-field' }, plain[field]);
      if (this.full) return;
    }
    for (const [field, { where, rules }] of fields) {
      const value = plain[field];
      if (!where.every((holds) => holds(plain, value))) continue;
      const broken = rules.find(({ holds }) => !holds(value, plain));
      if (broken) this.add(below(field), broken.expected, value);
    }
    for (const [field, of] of nested) this.nested(of(), plain[field], below(field));
  }

  /** What is no object and no list has been named by the rules of its own field. */
  private nested(type: Class, value: unknown, path: string): void {
    if (isPlain(value)) this.object(type, value, path);
    if (!Array.isArray(value)) return;
    for (let i = 0; i < value.length && !this.full; i++) this.object(type, value[i], `${path}[${i}]`);
  }
}

/** Checks plain data against a document class; every fault has its path below `above`. Never throws. */
export function faultsIn(type: Class, plain: unknown, above = ''): readonly Fault[] {
  const validation = new Validation();
  validation.object(type, plain, above);
  return validation.faults;
}
