import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { planJob } from '@esmero/core';
import { demoJobs, harbourDay } from '@esmero/demo';
import { writeJob } from '@esmero/exchange';
import { run } from './run';

const fixture = JSON.parse(readFileSync('src/core/testing/fixtures/mixing.json', 'utf8')) as {
  readonly cases: readonly { readonly input: object; readonly expect: object }[];
};

const files: Record<string, string> = {
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

  it('plans a job in a few words, says what it assumed, and prints one to start from', () => {
    const example = run(['plan', '--example'], around());
    expect(example.code).toBe(0);
    files['short.json'] = example.out;
    const { out, err, code } = run(['plan', 'short.json'], around());
    expect(code).toBe(0);
    expect(JSON.parse(out)).toMatchObject({ format: 'esmero-plan' });
    expect(err).toContain('template “harbour”');
    files['wrong.json'] = example.out.replace('uppers: film 2', 'uppers: fluff 2').replace('courtyard', 'moon');
    expect(run(['plan', 'wrong.json'], around())).toMatchObject({ code: 2, out: '' });
    expect(run(['plan', 'wrong.json'], around()).err).toContain('soil');
  });

  it('says why parts are left out or a car is refused, and what would help', () => {
    const short = JSON.parse(run(['plan', '--example'], around()).out) as { job: Record<string, unknown> };
    files['muddy.json'] = JSON.stringify({
      ...short,
      job: { ...short.job, site: 'deck', soil: ['all: dust 1', 'lowers: mud 3'] },
    });
    const left = run(['plan', 'muddy.json', '--format', 'md'], around());
    expect(left.err).toContain('Left out today');
    expect(left.err).toContain('What would help');
    files['mud.json'] = JSON.stringify({ ...short, job: { ...short.job, site: 'deck', soil: ['all: mud 4'] } });
    expect(run(['plan', 'mud.json', '--format', 'md'], around()).err).toMatch(/^.*[\s\S]*Not today\.[\s\S]*rinsed off/);
  });

  it('answers the other way round: what was poured, against what the label wants', () => {
    const ask = (poured: object) =>
      run(['calc', 'mixing'], around(JSON.stringify([{ label: '128', reading: 'water', poured }])));
    expect(JSON.parse(ask({ caps: 2.5, capMl: 14.8, waterMl: 9460 }).out)).toEqual([
      {
        productMl: 37,
        waterPartsPerProduct: 255.675676,
        productPercent: 0.389597,
        labelWaterParts: 128,
        ofTheLabelsStrength: 0.500634,
        labelWantsMl: 73.9063,
        labelWantsCaps: 4.9937,
      },
    ]);
    expect(ask({ caps: 2.5, waterMl: 9460 }).code).toBe(2);
    expect(ask({ productMl: 74, waterMl: 9460 }).code).toBe(0);
  });

  it('speaks British or American', () => {
    const sheet = (english: string): string =>
      run(['plan', 'deck.json', '--format', 'md', '--english', english], around()).out;
    expect(sheet('us')).toMatch(/Hood[^]*Windshield/);
    expect(sheet('gb')).toMatch(/Bonnet[^]*Windscreen/);
    expect(run(['plan', 'deck.json', '--english', 'old'], around()).code).not.toBe(0);
  });

  it('prints a readable sheet in either system of units, and tables', () => {
    expect(run(['plan', 'deck.json', '--format', 'md'], around()).out).toMatch(/\d\.\d L/);
    expect(run(['plan', 'deck.json', '--format', 'md', '--units', 'us'], around()).out).toContain('gal');
    const { out } = run(['plan', 'deck.json', '--format', 'csv'], around());
    for (const table of ['# mixes', '# towels', '# steps']) expect(out).toContain(table);
  });

  it('puts a day of stops in order, names what is short first and what mends it', () => {
    const example = run(['plan', 'day', '--example'], around());
    expect(example.code).toBe(0);
    files['day.json'] = example.out;
    const sheet = run(['plan', 'day.json', '--format', 'md'], around());
    expect([sheet.err, sheet.code]).toEqual(['', 0]);
    for (const { job } of harbourDay.stops) expect(sheet.out).toContain(job.name);
    // The black car that stands in the open comes before the heat.
    expect(sheet.out).toMatch(/0[89]:\d\d to \d\d:\d\d: Coupé in the noon sun/);
    expect(sheet.out).toMatch(/Short first, at .*drying towel/);
    expect(sheet.out).toMatch(/With a load of laundry at the yard, 90 min: done by \d\d:\d\d\./);
    const { plan } = JSON.parse(run(['plan', 'day.json'], around()).out) as {
      plan: { legs: readonly { stop: number | null; left: readonly number[] }[] };
    };
    expect(plan.legs.map(({ stop }) => stop ?? 'break').sort()).toEqual([0, 1, 2, 3, 4, 5, 'break']);
    expect(run(['plan', 'day.json', '--format', 'csv'], around()).err).toMatch(/json or md/);
    files['wrong.json'] = example.out.replace('"endHour": 18', '"endHour": 4');
    expect(run(['plan', 'wrong.json'], around()).err).toMatch(/endHour/);
  });

  it('plans a lot of seventy-five, and names the towels that are short first', () => {
    files['lot.json'] = run(['plan', 'lot', '--example'], around()).out;
    const sheet = run(['plan', 'lot.json', '--format', 'md'], around());
    expect([sheet.err, sheet.code]).toEqual(['', 0]);
    expect(sheet.out).toMatch(/75 cars, 2 people: done by \d\d:\d\d, \d+\.\d min a car/);
    expect(sheet.out).toMatch(/- Short at car \d+, \d\d:\d\d: the lot takes \d+ [a-z ]*towels/);
    const { plan } = JSON.parse(run(['plan', 'lot.json'], around()).out) as {
      plan: { cars: readonly unknown[]; methods: readonly string[] };
    };
    expect([plan.cars.length, plan.methods.length]).toEqual([75, 3]);
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
