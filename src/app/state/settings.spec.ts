import { expect, it } from 'vitest';
import { settingsFrom } from './settings';

it.each([
  [undefined, { units: 'metric', theme: 'system' }],
  ['nonsense', { units: 'metric', theme: 'system' }],
  [{ units: 'us', theme: 'dark' }, { units: 'us', theme: 'dark' }],
  [{ units: 'roman', theme: 'pink' }, { units: 'metric', theme: 'system' }],
])('takes %j for settings only where it is', (kept, expected) => {
  expect(settingsFrom(kept)).toEqual(expected);
});
