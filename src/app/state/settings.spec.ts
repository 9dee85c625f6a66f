import { expect, it } from 'vitest';
import { settingsFrom } from './settings';

it.each([
  [undefined, { units: 'metric', theme: 'system', sound: false }],
  ['nonsense', { units: 'metric', theme: 'system', sound: false }],
  [{ units: 'us', theme: 'dark' }, { units: 'us', theme: 'dark', sound: false }],
  [{ units: 'roman', theme: 'pink' }, { units: 'metric', theme: 'system', sound: false }],
])('takes %j for settings only where it is', (kept, expected) => {
  expect(settingsFrom(kept)).toEqual(expected);
});
