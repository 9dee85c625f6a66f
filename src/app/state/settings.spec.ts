import { expect, it } from 'vitest';
import { settingsFrom } from './settings';

it.each([
  [undefined, 'en-GB', {}],
  ['nonsense', 'de', {}],
  [{ units: 'us', theme: 'dark' }, 'en-GB', { units: 'us', theme: 'dark' }],
  [{ units: 'roman', theme: 'pink', english: 'old' }, 'en-AU', {}],
  [undefined, 'en-US', { english: 'us', units: 'us' }],
  [{ english: 'gb', units: 'metric' }, 'en-US', {}],
])('takes %j in a browser that speaks %s for settings only where it is', (kept, language, expected) => {
  expect(settingsFrom(kept, language)).toEqual({
    english: 'gb',
    units: 'metric',
    theme: 'system',
    sound: false,
    speech: 'off',
    ...expected,
  });
});
