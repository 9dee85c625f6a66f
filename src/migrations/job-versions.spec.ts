import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { jobMigrations, migrate } from '.';

type Content = Record<string, unknown>;

/** Taken from a version to the present. */
const from = (version: number, content: unknown): Content =>
  jobMigrations.slice(version - 1).reduce<unknown>((so, step) => step(so), content) as Content;
/** One step, from a version to the next. */
const step = (version: number, content: unknown): Content => jobMigrations[version - 1]!(content) as Content;

function frozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null) {
    Object.values(value).forEach(frozen);
    Object.freeze(value);
  }
  return value;
}

describe('a job of any older version', () => {
  const versions = jobMigrations.map((_step, i) => i + 1);
  const draft = {
    soil: { roof: { kind: 'dust', level: 2 } },
    site: { airC: 20 },
    products: [{ id: 'p', uses: [{ purpose: 'wash' }] }],
    towels: [{ id: 't' }],
    vehicle: { id: 'v' },
    choices: { method: 'auto', fixed: {}, assumptions: { filmWipe: 3 } },
  };

  it('keeps what no step knows', () => {
    for (const version of versions) expect(from(version, { ...draft, own: [1, 2] })['own']).toEqual([1, 2]);
  });

  it('is left as it was: every step makes a new one', () => {
    for (const version of versions) expect(() => step(version, frozen(structuredClone(draft)))).not.toThrow();
  });

  it('is never what makes a step fail: what is no job is left for the rules of files', () => {
    fc.assert(
      fc.property(fc.constantFrom(...versions), fc.anything(), (version, content) => {
        expect(() => from(version, content)).not.toThrow();
      }),
    );
  });

  it('keeps its own answer where a later version asks', () => {
    const asked = { ...draft.choices, drying: 'body', pair: 'one-panel', medium: 'pad' };
    expect(from(3, { ...draft, choices: { ...asked, assumptions: [] }, soil: [] })['choices']).toMatchObject({
      drying: 'body',
      pair: 'one-panel',
      medium: 'pad',
    });
  });

  it('of a version that is not known is left alone', () => {
    const newer = { version: jobMigrations.length + 2, job: {} };
    expect(migrate(newer.job, newer.version, jobMigrations)).toEqual({});
  });
});

describe('what single steps say', () => {
  it('one deposit a zone becomes a list of them', () => {
    const { soil, choices } = step(1, {
      soil: { roof: { kind: 'dust', level: 2 } },
      choices: { fixed: { roof: 'waterless' }, assumptions: { filmWipe: 3 } },
    });
    expect(soil).toEqual([{ zone: 'roof', deposits: [{ kind: 'dust', level: 2 }], spots: [] }]);
    expect(choices).toEqual({
      fixed: [{ zone: 'roof', treatment: 'waterless' }],
      assumptions: [{ name: 'filmWipe', value: 3 }],
    });
  });

  it('the one count of a run becomes the first of several, noted when the run was over', () => {
    const { run } = step(6, { run: { startedAt: 1, endedAt: 9, events: [], used: { minutes: 30 } } });
    expect(run).toMatchObject({ counts: [{ at: 9, because: '', method: null, minutes: 30 }] });
    expect(run).not.toHaveProperty('used');
  });

  it('a zone done once more has no section of its own any more', () => {
    const { run } = step(6, { run: { startedAt: 1, events: [{ kind: 'again', zone: 'roof', section: 1, of: 2 }] } });
    expect((run as Content)['events']).toEqual([{ kind: 'again', zone: 'roof' }]);
  });

  it('bugs are judged by cover: a few up to four, many up to fifteen', () => {
    const bugs = (count: number): unknown => {
      const { soil } = step(12, { soil: [{ zone: 'grille', spots: [{ kind: 'insects', count }, { kind: 'tar' }] }] });
      const [one] = soil as readonly Content[];
      expect(one!['spots']).toEqual([{ kind: 'tar' }]);
      return one!['bugs'];
    };
    expect([0, 1, 4, 5, 15, 16].map(bugs)).toEqual([undefined, 'few', 'few', 'many', 'many', 'covered']);
  });

  it('what was called a school is the approach, in choices and in wishes', () => {
    const job = step(12, { soil: [], choices: { school: 'balanced' }, wishes: { school: 'careful' } });
    expect(job).toMatchObject({ choices: { approach: 'balanced' }, wishes: { approach: 'careful' } });
  });

  it('trim is washed where bodywork was, and stays out where only wheels were', () => {
    const scope = (parts: readonly string[]): unknown => step(13, { scope: parts })['scope'];
    expect(scope(['body', 'glass'])).toEqual(['body', 'trim', 'glass']);
    expect(scope(['wheels'])).toEqual(['wheels']);
    expect(scope(['body', 'trim'])).toEqual(['body', 'trim']);
  });

  it('figures that are none any more are dropped, the others stay', () => {
    const own = [
      { name: 'stretch', value: 2 },
      { name: 'filmWipe', value: 3 },
    ];
    expect(step(9, { choices: { assumptions: own } })['choices']).toEqual({ assumptions: [own[1]] });
  });
});
