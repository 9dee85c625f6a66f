import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { libraryKinds, soilKinds, soilLevels, zoneIds } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleJob, soilAll } from '../testing/sample';
import { mirrored } from '../vehicle';
import { celsius } from '../units';
import {
  addPicture,
  copyJob,
  dropPicture,
  fixTreatment,
  keepProof,
  lift,
  measure,
  mirrorSoil,
  newItem,
  newJob,
  paint,
  setAssumption,
  setBugs,
  setSpots,
  unsee,
} from '.';

const job = sampleJob({ soil: {} });
const brush = fc.record({
  deposit: fc.record({ kind: fc.constantFrom(...soilKinds), level: fc.constantFrom(...soilLevels) }),
  onTop: fc.boolean(),
});
const zones = fc.uniqueArray(fc.constantFrom(...zoneIds), { minLength: 1, maxLength: 8 });

describe('painting', () => {
  it('changes the zones that it touches and no others, and never the job before', () => {
    fc.assert(
      fc.property(zones, brush, (ids, one) => {
        const before = sampleJob({ soil: soilAll('salt', 2) });
        const frozen = structuredClone(before);
        const after = paint(before, ids, one);
        for (const id of zoneIds) {
          if (ids.includes(id)) expect(after.soil[id]!.deposits).toContainEqual(one.deposit);
          else expect(after.soil[id]).toBe(before.soil[id]);
        }
        expect(before).toEqual(frozen);
      }),
    );
  });

  it('puts a measured load in place of what was guessed, until somebody judges anew or stands on the other side', () => {
    const spotted = setSpots(job, 'left-sill', 'tar', 3);
    const measured = measure(spotted, 'left-sill', { kind: 'road-film', level: 2 }, { loadGm2: 2.6, spread: 1.15 });
    expect(measured.soil['left-sill']).toEqual({
      deposits: [{ kind: 'road-film', level: 2 }],
      spots: { tar: 3 },
      measured: { loadGm2: 2.6, spread: 1.15 },
    });
    const again = paint(measured, ['left-sill'], { deposit: { kind: 'dust', level: 1 }, onTop: true });
    expect(again.soil['left-sill']!.measured).toBeUndefined();
    expect(lift(measured, 'left-sill', 'road-film').soil['left-sill']!.measured).toBeUndefined();
    const mirror = mirrorSoil(measured, 'left').soil;
    expect(mirror['right-sill']).toEqual({ deposits: [{ kind: 'road-film', level: 2 }], spots: { tar: 3 } });
    expect(mirror['left-sill']!.measured).toBeDefined();
  });

  it('keeps a proof with its pictures, and takes it off with either', () => {
    const picture = (id: string, when: 'before' | 'after') =>
      ({ id, when, zone: 'bonnet', note: '', photo: `p-${id}` }) as const;
    const proof = {
      id: 'one',
      zone: 'bonnet',
      at: 5,
      before: 'b',
      after: 'a',
      marksBefore: 4,
      marksAfter: 6,
      doubt: 2,
    } as const;
    const kept = keepProof(addPicture(job, picture('other', 'before')), proof, [
      picture('b', 'before'),
      picture('a', 'after'),
    ]);
    expect(kept.pictures.map(({ id }) => id)).toEqual(['other', 'b', 'a']);
    expect(dropPicture(kept, 'other').proofs).toEqual([proof]);
    expect(dropPicture(kept, 'a').proofs).toEqual([]);
  });

  it('lays on top or instead, at most one deposit of a kind', () => {
    const dusty = paint(job, ['roof'], { deposit: { kind: 'dust', level: 1 }, onTop: false });
    const both = paint(dusty, ['roof'], { deposit: { kind: 'pollen', level: 2 }, onTop: true });
    expect(both.soil.roof!.deposits).toHaveLength(2);
    const more = paint(both, ['roof'], { deposit: { kind: 'dust', level: 3 }, onTop: true });
    expect(more.soil.roof!.deposits).toEqual([
      { kind: 'pollen', level: 2 },
      { kind: 'dust', level: 3 },
    ]);
    expect(
      paint(more, ['roof'], { deposit: { kind: 'mud', level: 1 }, onTop: false }).soil.roof!.deposits,
    ).toHaveLength(1);
    expect(lift(more, 'roof', 'dust').soil.roof!.deposits).toEqual([{ kind: 'pollen', level: 2 }]);
  });

  it('takes a zone back to not looked at', () => {
    const seen = paint(job, ['roof', 'bonnet'], { deposit: { kind: 'dust', level: 1 }, onTop: false });
    expect(Object.keys(unsee(seen, ['roof']).soil)).toEqual(['bonnet']);
  });

  it('counts spots and drops a count of nothing', () => {
    const three = setSpots(job, 'bonnet', 'tar', 3);
    expect(three.soil.bonnet!.spots).toEqual({ tar: 3 });
    expect(setSpots(three, 'bonnet', 'tar', 0).soil.bonnet!.spots).toEqual({});
  });

  it('judges bugs by cover, which neither paint nor spots take off', () => {
    const covered = setBugs(job, 'grille', 'covered');
    const painted = setSpots(
      paint(covered, ['grille'], { deposit: { kind: 'dust', level: 1 }, onTop: false }),
      'grille',
      'tar',
      1,
    );
    expect(painted.soil.grille).toEqual({ deposits: [{ kind: 'dust', level: 1 }], spots: { tar: 1 }, bugs: 'covered' });
    expect(setBugs(painted, 'grille', null).soil.grille).not.toHaveProperty('bugs');
  });

  it('mirrors one flank onto the other, and twice is once', () => {
    fc.assert(
      fc.property(zones, brush, (ids, one) => {
        const mirroredOnce = mirrorSoil(paint(job, ids, one), 'left');
        for (const id of zoneIds) expect(mirroredOnce.soil[mirrored(id)]).toEqual(mirroredOnce.soil[id]);
        expect(mirrorSoil(mirroredOnce, 'left')).toEqual(mirroredOnce);
      }),
    );
  });
});

describe('choices', () => {
  it('fixes treatments by hand and hands them back', () => {
    const fixed = fixTreatment(job, ['roof', 'bonnet'], 'none/rinseless');
    expect(fixed.choices.fixed).toEqual({ roof: 'none/rinseless', bonnet: 'none/rinseless' });
    expect(fixTreatment(fixed, ['roof'], null).choices.fixed).toEqual({ bonnet: 'none/rinseless' });
  });

  it('takes a figure of one’s own and gives it back', () => {
    const own = setAssumption(job, 'walking', 0.3);
    expect(own.choices.assumptions).toEqual({ walking: 0.3 });
    expect(setAssumption(own, 'walking', null).choices.assumptions).toEqual({});
  });
});

describe('new things', () => {
  it('start from what is in the library and not archived', () => {
    const library = [
      { kind: 'vehicle', archived: true, item: { ...newItem.vehicle('gone'), name: 'Gone' } },
      { kind: 'vehicle', archived: false, item: newItem.vehicle('here') },
      { kind: 'towel', archived: false, item: newItem.towel('t') },
    ] as const;
    const made = newJob('j', '2031-05-05', library);
    expect(made.vehicle.id).toBe('here');
    expect(made.towels.map(({ id }) => id)).toEqual(['t']);
  });

  it('make a job that can be planned even with an empty library', () => {
    const plan = planJob(newJob('j', '2031-05-05', []));
    expect(plan.method).toBe('decline');
    expect(plan.verdicts.length).toBeGreaterThan(0);
  });

  it.each(libraryKinds)('a new %s has a name and its own id', (kind) => {
    expect(newItem[kind]('x')).toMatchObject({ id: 'x', name: expect.stringMatching(/^New/) as string });
  });
});

describe('a copy for another visit', () => {
  it('keeps car, place, marks and habits, and nothing of what was seen, measured, agreed or done', () => {
    const job = {
      ...sampleJob(),
      consent: { by: 'Somebody', on: '2031-01-01', note: '' },
      readings: { roof: celsius(40) },
    };
    const copy = copyJob(job, 'other', '2031-06-01');
    expect(copy).toMatchObject({
      id: 'other',
      date: '2031-06-01',
      name: `${job.name} (copy)`,
      vehicle: job.vehicle,
      site: job.site,
      choices: job.choices,
      since: job.since,
      marks: job.marks,
    });
    expect(copy).toMatchObject({
      soil: {},
      readings: {},
      weather: null,
      consent: null,
      signed: null,
      refused: null,
      pictures: [],
      run: null,
    });
    expect(planJob(copy).zones.every(({ soil }) => soil.basis !== 'seen')).toBe(true);
  });
});
