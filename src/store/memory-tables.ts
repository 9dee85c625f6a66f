import { type Rows, type Table, type Tables, type Transaction, keyOf, tables } from './tables';

type Held = Map<string, unknown>;

/** Stands in where the browser keeps nothing: all is there until the tab closes. */
export function memoryTables(): Tables {
  let all = new Map<Table, Held>(tables.map((name) => [name, new Map()]));
  let last: Promise<unknown> = Promise.resolve();

  const transaction = (held: Map<Table, Held>): Transaction => {
    const sorted = (table: Table): readonly string[] => [...held.get(table)!.keys()].sort();
    return {
      get: async <T extends Table>(table: T, key: string) => held.get(table)!.get(key) as Rows[T] | undefined,
      put: async (table, row, key) => {
        const field = keyOf[table];
        const id = field ? (row as Record<string, unknown>)[field] : key;
        if (typeof id !== 'string') throw new DOMException('A row needs a name.', 'DataError');
        held.get(table)!.set(id, row);
      },
      delete: async (table, key) => void held.get(table)!.delete(key),
      keys: async (table) => sorted(table),
      between: async <T extends Table>(table: T, first: string, final: string) =>
        sorted(table).flatMap((key) => (key >= first && key <= final ? [held.get(table)!.get(key) as Rows[T]] : [])),
      clear: async (table) => held.get(table)!.clear(),
    };
  };

  /** One after the other, on copies that are taken over when all went well. */
  const run: Tables['run'] = (names, mode, work) => {
    const turn = last.then(async () => {
      const held = new Map(all);
      if (mode === 'readwrite') for (const name of names) held.set(name, new Map(all.get(name)));
      const value = await work(transaction(held));
      if (mode === 'readwrite') all = held;
      return value;
    });
    last = turn.catch(() => undefined);
    return turn;
  };
  return { run, close: () => undefined };
}
