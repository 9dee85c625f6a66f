import { describe, expect, it } from 'vitest';
import { cues, planJob, runRows, tasksOf, troubles } from '@esmero/core';
import { type Job, replanEventKinds } from '@esmero/model';
import { demoJobs } from '@esmero/demo';
import {
  careAsked,
  cueText,
  laterSentence,
  moveText,
  protectionText,
  rinseWaterLines,
  stepsFor,
  troubleHelp,
  troubleName,
  turnText,
  unitsOf,
  wayText,
} from '.';

const found = (id: string): Job => demoJobs.find((one) => one.id === id)!;
const u = unitsOf('metric');

/** What is said in the passes of a plan that touch a zone. */
function said(job: Job, zone: string): readonly string[] {
  const plan = planJob(job);
  return tasksOf(plan)
    .filter(({ parts }) => parts.some(({ zoneId }) => zoneId === zone))
    .flatMap((task) => stepsFor(plan, task));
}

describe('what is said in a pass', () => {
  it('keeps a hand’s breadth round droppings that are left alone', () => {
    const track = found('demo-track');
    expect(said({ ...track, choices: { ...track.choices, droppings: 'never' } }, 'bonnet')).toContain(
      'Leave the droppings, and a hand’s breadth round them',
    );
    expect(said(track, 'bonnet').join()).not.toContain('hand’s breadth');
  });

  it('tells the chain of a shampoo wash, and what is put on at the end', () => {
    const lines = said(found('demo-cinders'), 'left-sill');
    const order = [
      'Rinse the foam off, from the top',
      'Lift or wash, straight strokes without weight',
      'Rinse it off, before it dries',
      'Finish dry',
    ].map((line) => lines.indexOf(line));
    expect(order).toEqual([...order].sort((p, q) => p - q));
    expect(order[0]).toBeGreaterThanOrEqual(0);
    expect(said(found('demo-topper'), 'bonnet').join()).toMatch(
      /Topper: .*press(es)? a panel, spread, turn the towel, buff/,
    );
  });

  it('names the nozzle: a jet for the washer, a mist to cool, steam along a seam', () => {
    expect(said(found('demo-noon'), 'roof').join()).toContain('Mist nozzle');
    expect(said(found('demo-seams'), 'boot-sill').join()).toMatch(/^Steam .*along the seam/);
    const plan = planJob(found('demo-topper'));
    expect(tasksOf(plan).flatMap((task) => stepsFor(plan, task))).toContain('Wet it with waterless mix, mist nozzle');
  });

  it('tells what is waited for: a panel that cools, or a dwell', () => {
    const noon = planJob(found('demo-noon'));
    const lines = tasksOf(noon).flatMap((task) => stepsFor(noon, task));
    expect(lines.some((line) => /^Let it cool, 0:\d\d$/.test(line))).toBe(true);
    const courtyard = planJob(found('demo-courtyard'));
    expect(tasksOf(courtyard).flatMap((task) => stepsFor(courtyard, task))).toContain('Let it dwell, 0:20');
    for (const line of lines.filter((one) => one.startsWith('Let it cool')))
      expect(lines[lines.indexOf(line) - 1]).toContain('Mist');
  });

  it('names the air gun and the brushes, each where it is used and nowhere else', () => {
    const dusty = planJob(found('demo-dust-off'));
    const blown = tasksOf(dusty).filter((task) => stepsFor(dusty, task).some((line) => line.startsWith('Air gun')));
    expect(blown.length).toBeGreaterThan(0);
    expect(blown.every(({ act }) => act === 'flush')).toBe(true);
    expect(
      runRows(dusty)
        .filter(({ lap }) => lap === 'blow-out')
        .map(wayText),
    ).toEqual(['Blow out, dry']);
    expect(said(found('demo-courier'), 'left-front-wheel').join()).toMatch(/wheel brush/i);
    expect(said(found('demo-courier'), 'left-tank').join()).not.toMatch(/brush/i);
    expect(said(found('demo-seams'), 'boot-sill').join()).toContain('Steam with degreaser');
  });

  it('tells what lifts each kind of spot, and how often', () => {
    const all = (id: string): string =>
      (({ plan }) =>
        tasksOf(plan)
          .flatMap((task) => stepsFor(plan, task))
          .join())({ plan: planJob(found(id)) });
    expect(all('demo-bay')).toContain('Tar and sap lifter on 3 tar spots, two goes of 1:00');
    expect(all('demo-track')).toMatch(/ on 2 bird droppings, \d:\d\d/);
  });

  it('says of each round only what belongs to it', () => {
    const plan = planJob(found('demo-topper'));
    const trim = tasksOf(plan).find(
      ({ act, parts }) => act === 'protect' && parts.every(({ zoneId }) => zoneId === 'grille'),
    )!;
    expect(stepsFor(plan, trim).join()).not.toContain('Topper');
  });

  it('has words for every cue, every trouble and every turn of events', () => {
    for (const cue of cues) expect(cueText[cue].split(/[.:]/).length).toBeGreaterThan(2);
    for (const one of troubles)
      expect([troubleName[one], troubleHelp[one]].every((text) => text.length > 3)).toBe(true);
    for (const kind of ['drags', 'smears', 'crackles', 'new-marks'] as const) {
      expect(replanEventKinds).toContain(kind);
      expect(turnText({ kind, zone: 'roof', at: 0 }, u).length).toBeGreaterThan(5);
    }
  });
});

describe('what is said of care and water', () => {
  it('names what is asked for, when, and until when it is claimed to hold', () => {
    expect(careAsked({ paint: { use: 'topper', on: 'uppers' }, trim: false, tyres: 'after-drive' })).toBe(
      'Topper on the uppers; tyre dressing after the drive',
    );
    expect(careAsked({ paint: null, trim: false, tyres: null })).toBe('');
    const plan = planJob(found('demo-topper'));
    expect(laterSentence(plan.later!, u)).toMatch(
      /^After the drive home, from \d\d:\d\d: dress the tyres, \d+ min, .* of Tyre dressing/,
    );
    expect(
      protectionText({ product: 'Pale', use: 'sealant', on: 'body', since: '2031-07-14', until: '2032-01-10' }),
    ).toMatch(/^Sealant on all the paint \(Pale\) since 14 Jul 2031, claimed to hold until 10 Jan 2032$/);
  });

  it('says litres by stage, fillings and batteries, and leaves out what there is none of', () => {
    const lines = rinseWaterLines(
      {
        stages: [
          { stage: 'pre-rinse', litres: 10, runoffL: 9 },
          { stage: 'foam', litres: 1, runoffL: 0 },
        ],
        fillings: [{ vessel: 'Bucket', fillings: 3 }],
        batteryMin: 12,
        batteriesLastMin: 24,
      },
      u,
    );
    expect(lines).toEqual([
      'Pre-rinse: 10.0 L, 9.0 L runs off',
      'Foam: 1.0 L',
      'Bucket: filled 3 times',
      'The washer runs 12 min of the 24 min that its batteries last',
    ]);
    expect(rinseWaterLines({ stages: [], fillings: [], batteryMin: 0, batteriesLastMin: null }, u)).toEqual([]);
  });
});

describe('which side of a towel', () => {
  it('is turned to, but for the first of a towel that was opened for a car before', () => {
    const move = { towel: 2, worker: 0, role: 'drying', how: 'turned', sides: [3, 4], done: true } as const;
    expect(moveText(move)).toBe('Drying towel 2: turn to side 3, then 4; done after that');
    expect(moveText({ ...move, sides: [1], done: false })).toBe('Drying towel 2: side 1');
  });
});
