import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { generatedDocs } from './docs';

it.each([...generatedDocs()])('%s is what the code says (npm run docs)', (path, text) => {
  expect(readFileSync(path, 'utf8')).toBe(text);
});
