import { readFileSync, readdirSync } from 'node:fs';
import { expect, it } from 'vitest';

const templates = readdirSync('src/app', { recursive: true, encoding: 'utf8' })
  .filter((path) => /\.(html|component\.ts|page\.ts|stage\.ts)$/.test(path))
  .map((path) => `src/app/${path}`);

/** A line break before a mark is a space before it on the screen. */
it('begins no line of a template with a mark that belongs to the word before', () => {
  expect(templates.length).toBeGreaterThan(100);
  const found = templates.flatMap((path) =>
    readFileSync(path, 'utf8')
      .split('\n')
      .flatMap((line, i) => (/^\s*([,.;!](\s|$)|[?:]\s*(<|\{\{|$))/.test(line) ? [`${path}:${i + 1}`] : [])),
  );
  expect(found).toEqual([]);
});
