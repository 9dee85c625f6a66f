import { worded } from './english';
import type { EntryKind } from '@esmero/model';
import { libraryName, zoneName } from './words';

export const standingName = {
  new: 'new',
  same: 'the same',
  older: 'older than yours',
  newer: 'newer than yours',
  different: 'changed in both',
} as const;
export const choiceName = { mine: 'Keep mine', theirs: 'Take the file’s', both: 'Keep both' } as const;
/** Where there is nothing of one’s own yet. */
export const freshChoiceName = { mine: 'Leave out', theirs: 'Bring in', both: '' } as const;

export const importKindName = (kind: 'job' | EntryKind): string => (kind === 'job' ? 'Jobs' : libraryName[kind].many);

/** "7 vehicles", "one site" */
export const importCount = (kind: 'job' | EntryKind, count: number): string =>
  count === 1
    ? `one ${kind === 'job' ? 'job' : libraryName[kind].one}`
    : `${count} ${importKindName(kind).toLowerCase()}`;

const some = (count: number, one: string, many: string): readonly string[] =>
  count === 0 ? [] : [count === 1 ? `one ${one}` : `${count} ${many}`];

const list = (parts: readonly string[]): string =>
  parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;

/** "8 jobs, 42 library items and one picture" */
export const countedText = ({
  jobs = 0,
  items = 0,
  movements = 0,
  pictures = 0,
}: {
  readonly jobs?: number;
  readonly items?: number;
  readonly movements?: number;
  readonly pictures?: number;
}): string =>
  list([
    ...some(jobs, 'job', 'jobs'),
    ...some(items, 'library item', 'library items'),
    ...some(movements, 'stock movement', 'stock movements'),
    ...some(pictures, 'picture', 'pictures'),
  ]);

/** What the numbers of a file's standings are: "3 new, 40 the same". */
export const standingsText = (counts: ReadonlyMap<keyof typeof standingName, number>): string =>
  [...counts]
    .filter(([, count]) => count > 0)
    .map(([standing, count]) => `${count} ${standingName[standing]}`)
    .join(', ');

const MB = 1e6;

/** "340 MB", "1.2 GB" */
export const bytesText = (bytes: number): string =>
  bytes >= 1000 * MB
    ? `${(bytes / (1000 * MB)).toFixed(1)} GB`
    : bytes >= MB
      ? `${Math.round(bytes / MB)} MB`
      : `${Math.max(1, Math.round(bytes / 1000))} kB`;

/** "Towels, short: 20, then 26" */
export const balanceText = (name: string, before: string, after: string): string =>
  `${name}: ${before} now, ${after} with them`;

const fields: Readonly<Record<string, string>> = {
  name: 'name',
  client: 'client',
  date: 'day',
  hour: 'time of arrival',
  note: 'note',
  vehicle: 'car',
  site: 'site',
  products: 'products',
  vessels: 'vessels',
  towels: 'towels',
  gear: 'gear',
  device: 'measuring device',
  since: 'days since the last wash',
  readings: 'panel readings',
  marks: 'existing marks',
  pictures: 'pictures',
  signed: 'signature',
  weather: 'weather',
  consent: 'consent',
  refused: 'refusal',
  wishes: 'wishes',
  choices: 'approach',
  run: 'run',
  archived: 'archived or not',
  uses: 'uses',
  dimensions: 'size',
};

const spaced = (name: string): string => name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();

/** What a path in a job or an item is called: "site: wind", "soil on the roof". */
function fieldText(path: string): string {
  const [first = '', second, ...rest] = path.startsWith('item.') ? path.slice(5).split('.') : path.split('.');
  if (first === 'soil' && second) return `soil, ${zoneName(second as Parameters<typeof zoneName>[0])}`;
  const name = fields[first] ?? spaced(first.replace(/(Ml|M|C|G|L|Minor)$/, ''));
  const detail = rest.at(-1) ?? second;
  return detail && /^[a-z]+[A-Za-z]*$/.test(detail) && ['vehicle', 'site', 'choices'].includes(first)
    ? `${name}: ${spaced(detail.replace(/(Ml|M|C|G|L|Ms|Deg|H)$/, ''))}`
    : name;
}

/** "client and note" */
export const fieldsText = (paths: readonly string[]): string => list([...new Set(paths.map(fieldText))]);

/** Sealed backups. */
export const passphraseText = worded({
  choose:
    'Nobody opens this backup without the passphrase, and nobody can give it back to you. A sentence you will remember is best. Write it down in a safe place.',
  open: (file: string): string => `${file} is sealed. Type the passphrase it was saved with.`,
  wrong: 'That is another passphrase, or the file was damaged. Try again.',
  short: (least: number): string => `At least ${least} letters.`,
  differs: 'The two are not the same.',
  cannot: 'This browser seals files only on https or on this device itself.',
  old: (days: number): string => `Your last backup is ${days} days old. All of this is kept in this browser only.`,
  never: 'You have never saved a backup. All of this is kept in this browser only.',
});
