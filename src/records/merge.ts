/** Two changes of one record put together. */
export interface Merged<T> {
  readonly value: T;
  /** Paths of what both changed otherwise; there `value` has mine. */
  readonly conflicts: readonly string[];
}

type Fields = Readonly<Record<string, unknown>>;

const isRecord = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Equal as plain data; a field that is undefined is a field that is not there. */
export function same(p: unknown, q: unknown): boolean {
  if (p === q) return true;
  if (Array.isArray(p)) return Array.isArray(q) && p.length === q.length && p.every((one, i) => same(one, q[i]));
  if (!isRecord(p) || !isRecord(q)) return false;
  return [...new Set([...Object.keys(p), ...Object.keys(q)])].every((key) => same(p[key], q[key]));
}

/** Figures that mean something only together: halves of two changes would make a third thing. */
const atoms: ReadonlySet<string> = new Set([
  'dilution',
  'dimensions',
  'device',
  'weather',
  'signed',
  'consent',
  'refused',
  'uses',
  'shadeHours',
]);

/** What makes a record another thing altogether: a car with another id, a run begun at another time. */
const isOther = (p: Fields, q: Fields): boolean => p['id'] !== q['id'] || p['startedAt'] !== q['startedAt'];

/** Fields by which entries of a list may be told apart. */
const keys = ['id', 'zone', 'kind', 'purpose', 'role', 'name'] as const;

type List = readonly Fields[];

/** How entries of these lists are told apart; null where they are not. What was noted in order never changes. */
function keyFor(lists: readonly List[]): ((entry: Fields) => string) | null {
  if (lists.every((list) => list.every(({ seq }) => typeof seq === 'number'))) return (entry) => JSON.stringify(entry);
  const found = keys.find((key) =>
    lists.every(
      (list) =>
        list.every((entry) => typeof entry[key] === 'string') &&
        new Set(list.map((entry) => entry[key])).size === list.length,
    ),
  );
  return found ? (entry) => String(entry[found]) : null;
}

const bySeq = (p: Fields, q: Fields): number =>
  Number(p['seq']) - Number(q['seq']) || Number(p['at']) - Number(q['at']);

class Merge {
  readonly conflicts: string[] = [];

  value(path: string, base: unknown, mine: unknown, theirs: unknown): unknown {
    if (mine === base || same(mine, base)) return theirs;
    if (same(theirs, base) || same(mine, theirs)) return mine;
    const name = path.slice(path.lastIndexOf('.') + 1);
    if (!atoms.has(name)) {
      if (isRecord(mine) && isRecord(theirs) && !isOther(mine, theirs))
        return this.record(path, isRecord(base) ? base : {}, mine, theirs);
      const lists = [base ?? [], mine, theirs];
      if (lists.every((list): list is List => Array.isArray(list) && list.every(isRecord))) {
        const key = keyFor(lists);
        if (key) return this.list(path, key, lists as [List, List, List]);
      }
    }
    this.conflicts.push(path);
    return mine;
  }

  private record(path: string, base: Fields, mine: Fields, theirs: Fields): Fields {
    const all = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])];
    const fields = all.map(
      (key) => [key, this.value(path ? `${path}.${key}` : key, base[key], mine[key], theirs[key])] as const,
    );
    return Object.fromEntries(fields.filter(([, value]) => value !== undefined));
  }

  /** Mine in my order, then what they added; what either took out is gone unless the other changed it. */
  private list(path: string, key: (entry: Fields) => string, lists: readonly [List, List, List]): List {
    const [base, mine, theirs] = lists.map((list) => new Map(list.map((entry) => [key(entry), entry]))) as unknown as [
      Map<string, Fields>,
      Map<string, Fields>,
      Map<string, Fields>,
    ];
    const merged = [...new Set([...mine.keys(), ...theirs.keys()])].flatMap((one): Fields[] => {
      const value = this.value(`${path}.${one}`, base.get(one), mine.get(one), theirs.get(one));
      return value === undefined ? [] : [value as Fields];
    });
    return merged.every(({ seq }) => typeof seq === 'number') ? [...merged].sort(bySeq) : merged;
  }
}

/**
 * Puts two changes of one record together, field by field and entry by entry (a three-way merge). What only
 * one side changed is taken from it; where both changed the same thing otherwise, mine stands and the path is named.
 * @param base what both began with; null where nobody knows
 */
export function merged<T extends object>(base: T | null, mine: T, theirs: T): Merged<T> {
  const merge = new Merge();
  const value = merge.value('', base, mine, theirs) as T;
  return { value, conflicts: merge.conflicts };
}
