import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { planJob } from '@esmero/core';
import { demoJobs } from '@esmero/demo';
import { writeJob } from '@esmero/exchange';
import { run } from './run';

const fixture = JSON.parse(readFileSync('src/core/testing/fixtures/mixing.json', 'utf8')) as {
  readonly cases: readonly { readonly input: object; readonly expect: object }[];
};

const files: Readonly<Record<string, string>> = {
  'deck.json': writeJob(demoJobs[0]!),
  'cut.json': writeJob(demoJobs[0]!).slice(0, 2000),
};
const around = (input = '') => ({
  readFile: (path: string): string => {
    const text = files[path];
    if (text === undefined) throw new Error('no such file');
    return text;
  },
  readInput: () => input,
});

describe('the command line', () => {
  it('prints the plan that the core makes', () => {
    const { out, err, code } = run(['plan', 'deck.json'], around());
    expect([err, code]).toEqual(['', 0]);
    const printed = JSON.parse(out) as { format: string; plan: unknown };
    expect(printed.format).toBe('esmero-plan');
    const { begun: _begun, ...plan } = planJob(demoJobs[0]!);
    expect(printed.plan).toEqual(JSON.parse(JSON.stringify(plan)));
  });

  it('prints a readable sheet in either system of units, and tables', () => {
    expect(run(['plan', 'deck.json', '--format', 'md'], around()).out).toContain('6.6 L');
    expect(run(['plan', 'deck.json', '--format', 'md', '--units', 'us'], around()).out).toContain('gal');
    const { out } = run(['plan', 'deck.json', '--format', 'csv'], around());
    for (const table of ['# mixes', '# towels', '# steps']) expect(out).toContain(table);
  });

  it('calculates mixes from standard input', () => {
    const input = JSON.stringify(fixture.cases.map((one) => one.input));
    const { out, code } = run(['calc', 'mixing'], around(input));
    expect(code).toBe(0);
    expect(JSON.parse(out)).toEqual(fixture.cases.map((one) => one.expect));
  });

  it.each([
    [['plan', 'cut.json'], /cut off/],
    [['plan', 'none.json'], /none\.json cannot be read/],
    [['plan'], /Usage/],
    [['plan', 'deck.json', '--format', 'pdf'], /json, md, csv/],
    [['plan', 'deck.json', '--units', 'roman'], /metric, us/],
    [['plan', 'deck.json', '--quick'], /Unknown option/],
    [['calc', 'weather'], /Usage/],
    [['calc', 'mixing'], /not JSON|ends before/],
    [[], /Usage/],
  ])('%j ends with 2 and says why', (args, message) => {
    const { out, err, code } = run(args, around('{'));
    expect([out, code]).toEqual(['', 2]);
    expect(err).toMatch(message);
  });
});
