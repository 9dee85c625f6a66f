import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readWays, writeWays } from './ways-file';

const places = [
  { name: 'the yard', key: 'home' },
  { name: 'Council sedan, silver', key: 'job-1' },
  { name: '=Mill', key: 'the mill tap' },
];

describe('a table of ways', () => {
  it('comes back as it was written, whatever the names hold', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 1440 }), { minLength: 3, maxLength: 3 }), (minutes) => {
        const told = [places[0]!, places[1]!];
        const { ways, faults } = readWays(
          writeWays(told, () => minutes[0]!),
          told,
        );
        expect(faults).toEqual([]);
        expect(ways).toEqual([{ from: 'home', to: 'job-1', minutes: minutes[0] }]);
      }),
    );
    expect(writeWays(places, () => 5).split('\n')).toHaveLength(4);
    // A cell that a spreadsheet would take for a formula is text.
    expect(writeWays(places, () => 5)).not.toMatch(/(^|,)=/m);
  });

  it('is read with other separators, small letters and commas for points', () => {
    const { ways, faults } = readWays('From;To;Minutes\nThe Yard;council sedan, silver;12,5\n', places);
    expect(faults).toEqual([]);
    expect(ways).toEqual([{ from: 'home', to: 'job-1', minutes: 12.5 }]);
  });

  it('names what is wrong by its line, and reads the rest', () => {
    const { ways, faults } = readWays(
      'from,to,minutes\nthe yard,nowhere,5\nthe yard,"Council sedan, silver",soon\nthe yard,"Council sedan, silver",7\nthe yard,,1\n',
      places,
    );
    expect(ways).toHaveLength(1);
    expect(faults.map(({ path }) => path)).toEqual(['line 2.to', 'line 3.minutes', 'line 5.to']);
    expect(readWays('not a table', places)).toEqual({ ways: [], faults: [] });
  });

  it('never throws', () => {
    fc.assert(fc.property(fc.string(), (text) => void readWays(text, places)));
  });
});
