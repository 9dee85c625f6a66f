import { readFileSync, readdirSync } from 'node:fs';
import { expect, it } from 'vitest';

/** Controls of the browser that the component library has as well. */
const native: readonly (readonly [name: string, found: RegExp])[] = [
  ['button', /<button(?![^>]*\bpButton\b)/],
  ['select', /<select\b/],
  ['details', /<details\b/],
  ['progress', /<progress\b/],
  ['meter', /<meter\b/],
  ['dialog', /<dialog\b/],
  ['textarea', /<textarea(?![^>]*\bpTextarea\b)/],
  ...['number', 'date', 'time', 'month', 'datetime-local', 'range', 'checkbox', 'radio', 'color', 'file'].map(
    (type) => [type, new RegExp(`<input[^>]*type="${type}"`)] as const,
  ),
  ['input', /<input(?![^>]*\bpInputText\b)(?![^>]*type="file")/],
];

const templates = (readdirSync('src/app', { recursive: true }) as string[])
  .map((path) => `src/app/${path.replaceAll('\\', '/')}`)
  .filter((path) => /\.(component|stage|page)\.ts$|\.html$/.test(path) && !path.endsWith('index.html'));

it('uses a control of the browser only with a reason in the decisions', () => {
  const used = templates.flatMap((path) => {
    const source = readFileSync(path, 'utf8');
    return native.filter(([, found]) => found.test(source)).map(([name]) => `${path} ${name}`);
  });
  const [, list = ''] = readFileSync('docs/decisions.md', 'utf8').split(/^## \d+\. Native controls$/m);
  const reasons = [...list.matchAll(/^- `([^`]+)` (\w+): \S/gm)].map(([, path, name]) => `${path} ${name}`);
  expect(used.length).toBeGreaterThan(0);
  expect(used.sort()).toEqual(reasons.sort());
});
