import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { endRun, noteUse, putMark, startRun } from '../edit';
import { type Job, type RunUse, vehicleMethods } from '../model';
import { sampleJob, sampleVehicle, soilAll } from '../testing/sample';
import { historyOf } from './visits';
import { everything, logOf, runStates, searchLog } from './log';

const DAY = 86_400_000;
const use = (method: RunUse['method'], doneShare = 1): RunUse => ({
  at: 0,
  because: '',
  method,
  doneShare,
  plannedMin: 30,
  paces: [],
  soil: null,
  waterL: null,
  runoffL: null,
  mixes: [],
  towels: [],
});

/** A run that ended on the nth day, half an hour after it began. */
const over = (n: number, rest: Partial<Job> = {}, used: RunUse | null = use('waterless')): Job => {
  const ended = endRun(startRun({ ...sampleJob(), id: `job-${n}`, ...rest }, n * DAY), n * DAY + 1_800_000);
  return used ? noteUse(ended, used) : ended;
};

describe('the log', () => {
  it('has the runs that are over, the last one first', () => {
    const begun = startRun(sampleJob(), 0);
    const log = logOf([over(1), begun, over(3), sampleJob(), over(2)]);
    expect(log.map(({ job }) => job.id)).toEqual(['job-3', 'job-2', 'job-1']);
    expect(log[0]).toMatchObject({ minutes: 30, state: 'counted', method: 'waterless', day: '1970-01-04' });
  });

  it('has cars that were sent away among them, unless they were washed after all', () => {
    const away = { ...sampleJob(), id: 'away', refused: { at: 2.5 * DAY, why: 'Mud all over' } };
    const log = logOf([over(1), over(3), away, { ...over(4), refused: { at: DAY, why: 'Too hot' } }]);
    expect(log.map(({ job, state }) => [job.id, state])).toEqual([
      ['job-4', 'counted'],
      ['job-3', 'counted'],
      ['away', 'refused'],
      ['job-1', 'counted'],
    ]);
    expect(log[2]).toMatchObject({ minutes: null, method: null, run: null, day: '1970-01-03' });
    expect(searchLog(log, { ...everything, state: 'refused' }).map(({ job }) => job.id)).toEqual(['away']);
  });

  it('is of the day at the site, not at the meridian', () => {
    const [entry] = logOf([over(1, { site: { ...sampleJob().site, utcOffsetH: -5 } })]);
    expect(entry!.day).toBe('1970-01-01');
  });

  it('finds by every word, state, method, month and car, and narrows with each', () => {
    const jobs = [
      over(1, { client: 'Bay Bakery' }),
      over(40, { client: 'Bay Bakery', vehicle: { ...sampleVehicle('van'), id: 'v-2' } }, use('hybrid', 0.4)),
      over(41, { client: 'Ferry Line' }, null),
    ];
    const log = logOf(jobs);
    const found = (query: Partial<typeof everything>) =>
      searchLog(log, { ...everything, ...query }).map(({ job }) => job.id);
    expect(found({})).toHaveLength(3);
    expect(found({ words: 'bakery BAY' })).toEqual(['job-40', 'job-1']);
    expect(found({ state: 'broken-off' })).toEqual(['job-40']);
    expect(found({ state: 'not-counted' })).toEqual(['job-41']);
    expect(found({ method: 'hybrid' })).toEqual(['job-40']);
    expect(found({ day: '1970-02' })).toEqual(['job-41', 'job-40']);
    expect(found({ vehicle: 'v-2' })).toEqual(['job-40']);
    fc.assert(
      fc.property(
        fc.constantFrom(...runStates, null),
        fc.constantFrom(...vehicleMethods, null),
        fc.constantFrom('', 'bay', 'ferry'),
        (state, method, words) => {
          const all = new Set(found({ words }));
          found({ words, state, method }).forEach((id) => expect(all.has(id)).toBe(true));
        },
      ),
    );
  });
});

describe('the history of a car', () => {
  it('goes forward in time with soil, method and marks, and tells which are new', () => {
    const first = putMark(over(1, { soil: soilAll('dust', 1) }), {
      id: 'a',
      zone: 'bonnet',
      kind: 'chip',
      note: '',
      photo: null,
    });
    const scratch = { id: 'b', zone: 'roof', kind: 'scratch', note: '', photo: null } as const;
    const second = putMark(
      { ...over(9, { soil: soilAll('road-film', 3) }, use('rinseless')), marks: first.marks },
      scratch,
    );
    const visits = historyOf([second, first]);
    expect(visits.map(({ marks, newMarks, method, kinds }) => [marks, newMarks, method, kinds[0]])).toEqual([
      [1, 0, 'waterless', 'dust'],
      [2, 1, 'rinseless', 'road-film'],
    ]);
    expect(visits[1]!.loadGm2!).toBeGreaterThan(visits[0]!.loadGm2!);
    expect(historyOf([over(1, { soil: {} })])[0]!.loadGm2).toBeNull();
  });
});
