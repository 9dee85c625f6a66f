import Papa from 'papaparse';

/** A table as it stands in a file: cells are text. */
export interface Table {
  readonly columns: readonly string[];
  /** As many cells in each as there are columns. */
  readonly rows: readonly (readonly string[])[];
}

/** More rows than anybody types, more columns than anybody looks at; more letters no table has. */
const MOST_ROWS = 20_000;
const MOST_COLUMNS = 200;
const MOST_LETTERS = 20_000_000;

export type TableRead =
  | { readonly ok: true; readonly table: Table }
  | { readonly ok: false; readonly why: 'empty' | 'no-text' | 'too-large' };

/** What a spreadsheet would take for a formula; or would, had it not been kept from it. */
const FORMULA = /^'*[=+\-@\t\r]/;

/** A cell as it was before it was kept from being a formula. */
const plain = (cell: string): string => (cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell);

/**
 * Reads a table (CSV: separated by whatever it is, with or without quotes and a byte order mark); its first row are the names of the
 * columns. Never throws.
 */
export function readTable(text: string): TableRead {
  if (text.length > MOST_LETTERS) return { ok: false, why: 'too-large' };
  // A picture or a document of another program.
  if (text.includes('\u0000')) return { ok: false, why: 'no-text' };
  const read = cellsIn(text);
  if (!read) return { ok: false, why: 'too-large' };
  const [head, ...rows] = read;
  if (!head || rows.length === 0) return { ok: false, why: 'empty' };
  const columns = head.map((name, i) => plain(name).trim() || `column ${i + 1}`);
  return {
    ok: true,
    table: { columns, rows: rows.map((row) => columns.map((_name, i) => plain(row[i] ?? '').trim())) },
  };
}

/** Row by row, as far as a table may go; null where it goes further. */
function cellsIn(text: string): readonly (readonly string[])[] | null {
  const rows: (readonly string[])[] = [];
  let isTooLarge = false;
  Papa.parse<readonly string[]>(text, {
    skipEmptyLines: 'greedy',
    step: ({ data }, parser) => {
      rows.push(data);
      isTooLarge = rows.length > MOST_ROWS + 1 || data.length > MOST_COLUMNS;
      if (isTooLarge) parser.abort();
    },
  });
  return isTooLarge ? null : rows;
}

export type Cell = string | number | null;

/** A table as CSV. Cells that a spreadsheet would take for a formula are kept as text. */
export const writeTable = (columns: readonly string[], rows: readonly (readonly Cell[])[]): string =>
  Papa.unparse(
    { fields: [...columns], data: rows.map((row) => row.map((cell) => cell ?? '')) },
    { newline: '\r\n', escapeFormulae: FORMULA },
  );
