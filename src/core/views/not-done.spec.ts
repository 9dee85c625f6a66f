import { describe, expect, it } from 'vitest';
import type { Job } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleGear, sampleJob, sampleSite, soilAll } from '../testing/sample';
import { notDone } from './not-done';

const told = (rest: Partial<Job>) => {
  const job = sampleJob({ soil: soilAll('dust', 1), ...rest });
  return notDone(job, planJob(job));
};
const codes = (rest: Partial<Job>): string[] => told(rest).map(({ code }) => code);

describe('what a wash does not do', () => {
  it('are the gaps that a cloth does not reach, and nothing else on a dusty car without a mark', () => {
    expect(codes({})).toEqual(['gaps']);
    const [gaps] = told({});
    expect(gaps).toMatchObject({ code: 'gaps', zones: expect.arrayContaining(['grille', 'badges', 'left-mirror']) });
  });

  it('are no gaps where they are rinsed or not asked for', () => {
    const rinsed = told({
      soil: soilAll('grit', 3),
      site: { ...sampleSite, runoff: 'allowed', tap: true, power: true },
      gear: [sampleGear('mains-wand')],
    });
    const gaps = rinsed.find(({ code }) => code === 'gaps');
    // No jet goes into an opening.
    expect(gaps?.code === 'gaps' ? gaps.zones.filter((id) => !/shut|boot-sill/.test(id)) : []).toEqual([]);
    expect(codes({ scope: ['glass'] })).toEqual(['not-asked']);
  });

  it('names what nobody asked for, in the order of the car', () => {
    expect(told({ scope: ['body', 'trim', 'glass'] })[0]).toEqual({
      code: 'not-asked',
      parts: ['wheels', 'shuts', 'boot-sill'],
    });
  });

  it('says that fallout stays bonded, on the panels where it lies', () => {
    const soil = { ...soilAll('dust', 1), roof: { deposits: [{ kind: 'fallout', level: 2 }], spots: {} } } as const;
    expect(told({ soil }).find(({ code }) => code === 'bonded')).toEqual({ code: 'bonded', zones: ['roof'] });
  });

  it('says that water spots and etching do not wash off', () => {
    const mark = (kind: Job['marks'][number]['kind']): Job['marks'][number] => ({
      id: kind,
      zone: 'bonnet',
      kind,
      note: '',
      photo: null,
    });
    expect(told({ marks: [mark('etching'), mark('water-spots')] }).find(({ code }) => code === 'marks')).toEqual({
      code: 'marks',
      kinds: ['water-spots', 'etching'],
    });
  });

  it('says that marks in the paint stay, each kind once, but not of a stain', () => {
    const mark = (id: string, kind: Job['marks'][number]['kind']): Job['marks'][number] => ({
      id,
      zone: 'roof',
      kind,
      note: '',
      photo: null,
    });
    const marks = [mark('1', 'swirls'), mark('2', 'swirls'), mark('3', 'stain'), mark('4', 'scratch')];
    expect(told({ marks }).find(({ code }) => code === 'marks')).toEqual({
      code: 'marks',
      kinds: ['scratch', 'swirls'],
    });
  });

  it('is nothing where nothing is washed', () => {
    expect(told({ choices: { ...sampleJob().choices, method: 'decline' } })).toEqual([]);
  });
});
