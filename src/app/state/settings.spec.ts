import { expect, it } from 'vitest';
import { settingsFrom } from './settings';

it.each([
  [undefined, { units: 'metric', theme: 'system', sound: false, speech: 'off' }],
  ['nonsense', { units: 'metric', theme: 'system', sound: false, speech: 'off' }],
  [{ units: 'us', theme: 'dark' }, { units: 'us', theme: 'dark', sound: false, speech: 'off' }],
  [{ units: 'roman', theme: 'pink' }, { units: 'metric', theme: 'system', sound: false, speech: 'off' }],
])('takes %j for settings only where it is', (kept, expected) => {
  expect(settingsFrom(kept)).toEqual(expected);
});
