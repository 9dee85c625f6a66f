import { draws } from './draws';

type Json = unknown;
type Draw = ReturnType<typeof draws>;

const deep = (levels: number): Json => {
  let nested: Json = 1;
  for (let i = 0; i < levels; i++) nested = i % 2 === 0 ? [nested] : { a: nested };
  return nested;
};

/** What a field may turn into by accident, by another program or by malice. */
const junk: readonly ((draw: Draw, was: Json) => Json)[] = [
  () => null,
  () => [],
  () => ({}),
  () => [[]],
  () => [null],
  (_draw, was) => [was],
  (_draw, was) => [[was]],
  (_draw, was) => ({ value: was }),
  () => '',
  () => 'constructor',
  () => '__proto__',
  () => 'x'.repeat(5000),
  () => true,
  () => -1,
  () => 0,
  () => 1e308,
  () => 0.5,
  (draw) => draw.below(1000) - 500,
  () => deep(2000),
  () => 'data:image/png;base64,A',
  (_draw, was) => String(was),
  (_draw, was) => (typeof was === 'number' ? -was : was),
  (_draw, was) => (typeof was === 'number' ? was * 1000 : was),
];

const places = (value: Json, found: (readonly [Record<string, Json>, string])[] = []): typeof found => {
  if (typeof value !== 'object' || value === null) return found;
  for (const key of Object.keys(value)) {
    found.push([value as Record<string, Json>, key]);
    places((value as Record<string, Json>)[key], found);
  }
  return found;
};

/** One thing in a file changed, taken out, doubled or put in; the same for the same seed. */
function change(draw: Draw, file: object): void {
  const all = places(file);
  const [holder, key] = all[draw.below(all.length)]!;
  const kind = draw.below(10);
  if (kind === 0) Reflect.deleteProperty(holder, key);
  else if (kind === 1) holder[`${key}x`] = holder[key];
  else if (kind === 2 && Array.isArray(holder)) holder.push(structuredClone(holder[Number(key)]));
  else if (kind === 3) {
    const [other, at] = all[draw.below(all.length)]!;
    holder[key] = structuredClone(other[at]);
  } else holder[key] = junk[draw.below(junk.length)]!(draw, holder[key]);
}

/** A file with one to four things wrong, or cut off, or with letters changed. */
export function mutated(text: string, seed: number): string {
  const draw = draws(seed);
  const kind = draw.below(12);
  if (kind === 0) return text.slice(0, draw.below(text.length));
  if (kind === 1) {
    const at = draw.below(text.length);
    return `${text.slice(0, at)}${String.fromCharCode(32 + draw.below(90))}${text.slice(at + 1)}`;
  }
  const file = JSON.parse(text) as object;
  try {
    for (let i = draw.below(4); i >= 0; i--) change(draw, file);
    return JSON.stringify(file);
  } catch {
    // Nested in itself until the writer gives up: deeper still, by hand.
    return `{"format":"esmero-job","version":9,"job":${'['.repeat(100_000)}${']'.repeat(100_000)}}`;
  }
}
