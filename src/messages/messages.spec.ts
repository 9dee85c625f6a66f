import { describe, expect, it } from 'vitest';
import { type Figure, type Gate, afterwards, cautions, planJob, zoneTreatments } from '@esmero/core';
import { type Job, treatmentIds, zoneIds } from '@esmero/model';
import { demoJobs } from '@esmero/demo';
import { jobFormat, readJob } from '@esmero/exchange';
import {
  afterSentences,
  cautionSentence,
  clock,
  figureText,
  mixSentences,
  fixed,
  gateSentence,
  money,
  partName,
  refusalNote,
  planSheet,
  shortageSentence,
  treatmentName,
  unitsOf,
  unreadableText,
  verdictSentence,
  zoneList,
  zoneName,
} from '.';

const metric = unitsOf('metric');
const us = unitsOf('us');

describe('words', () => {
  it('name every zone and treatment once', () => {
    expect(new Set(zoneIds.map(zoneName)).size).toBe(zoneIds.length);
    expect(new Set(treatmentIds.map(treatmentName)).size).toBe(treatmentIds.length);
    expect(zoneName('left-front-door-upper')).toBe('Left front door, upper');
    expect(treatmentName('hot-pump/presoak-rinseless')).toBe('Hot pre-rinse, then pre-soak and rinseless wash');
  });

  it('list zones and count the rest', () => {
    expect(zoneList(['roof', 'bonnet', 'grille'], 2)).toBe('Roof; Bonnet and 1 more');
    expect(zoneList(['roof', 'bonnet'])).toBe('Roof and Bonnet');
  });

  it('have a sentence for every caution', () => {
    for (const caution of cautions) expect(cautionSentence[caution]).toMatch(/\.$/);
  });

  it('word every verdict, gate and part that the demo brings up, without a gap', () => {
    for (const job of demoJobs) {
      const plan = planJob(job);
      const gates: Gate[] = plan.zones.flatMap(({ zone }) =>
        zoneTreatments(job, zone.id).flatMap((option) => option.gates),
      );
      const said = [
        ...plan.verdicts.map((verdict) => verdictSentence(verdict, metric)),
        ...gates.map((gate) => gateSentence(gate, us)),
        ...(Object.values(plan.totals) as (Figure | null)[]).flatMap((figure) =>
          (figure?.parts ?? []).map(({ code }) => partName(code)),
        ),
      ];
      for (const sentence of said) expect(sentence).not.toMatch(/undefined|NaN|Infinity|\[object|^$/);
    }
  });
});

describe('units', () => {
  it('writes volumes, water and temperatures in both systems', () => {
    expect(metric.volume(29.3)).toBe('29.3 mL');
    expect(metric.volume(5500)).toBe('5.5 L');
    expect(us.volume(29.5735295625)).toBe('1 fl oz');
    expect(us.water(3.785411784)).toBe('1.00 gal');
    expect(us.temperature(-40)).toBe('−40 °F');
    expect(us.area(0.09290304 * 12)).toBe('12.0 ft²');
  });

  it.each(['length', 'towel', 'water', 'volume', 'temperature', 'wind', 'flow', 'share'] as const)(
    'reads back the %s that it shows',
    (what) => {
      for (const { edit } of [metric, us]) expect(edit[what].read(edit[what].show(12.34))).toBeCloseTo(12.34, 9);
    },
  );

  it('weighs laundry, and leaves nothing metric on a sheet for the US', () => {
    expect([metric.weight(1.5), us.weight(1.5)]).toEqual(['1.50 kg', '3.3 lb']);
    expect(us.edit.flow.read(1)).toBeCloseTo(3.7854, 4);
    for (const job of demoJobs) {
      const plan = planJob(job);
      const said = [
        planSheet(job, plan, us),
        ...afterSentences(afterwards(job, plan), us),
        ...plan.mix.mixes.flatMap((mix) => mixSentences(mix, us)),
      ].join('\n');
      // A vessel keeps the name that somebody gave it.
      expect(job.vessels.reduce((text, { name }) => text.replaceAll(name, ''), said)).not.toMatch(
        /\d (mL|L|kg|km|m²|°C)\b/,
      );
    }
  });

  it('never writes a negative nothing, and reads a clock', () => {
    expect(fixed(-0.004, 2)).toBe('0.00');
    expect(clock(125.4)).toBe('2:05');
    expect(money(135, 'EUR')).toBe('€1.35');
    expect(money(500, 'JPY')).toBe('¥500');
    expect(figureText(0.5, 'index', metric)).toBe('0.5');
  });
});

describe('refusals to read', () => {
  it('say what is wrong, where, and what to do', () => {
    const text = (file: string) => {
      const read = readJob(file);
      if (read.ok) throw new Error('was read');
      const { headline, details } = unreadableText(read.why);
      return [headline, ...details].join(' ');
    };
    expect(text('{"format":"esmero-job","version":99}')).toMatch(
      new RegExp(`version 99.*reads up to ${jobFormat.version}.*Update`),
    );
    expect(text('{"format":')).toMatch(/cut off.*Export it again/);
    expect(text('{"format":"other","version":1}')).toMatch(/“esmero-job”.*“other”/);
    expect(text('{"format":"esmero-job","version":3,"job":{}}')).toMatch(
      /things in the file are wrong.*expected.*and \d+ more/,
    );
  });
});

describe('shortages', () => {
  it('speak of towels by role, of time and of water', () => {
    expect(shortageSentence({ budget: 'wash', need: 6.2, have: 3, proved: true }, metric)).toBe(
      'Takes 7 wash towels, and 3 are clean.',
    );
    expect(shortageSentence({ budget: 'glass', need: 1e6, have: 0, proved: true }, metric)).toBe(
      'There are no clean glass towels.',
    );
    expect(shortageSentence({ budget: 'litres', need: 12.7, have: 8, proved: true }, metric)).toContain('12.7 L');
    expect(shortageSentence({ budget: 'minutes', need: 80, have: 60, proved: true }, metric)).toContain('80 min');
  });
});

describe('the sheet', () => {
  it('holds method, mixes, towels, steps and care', () => {
    const job = demoJobs[0]!;
    const sheet = planSheet(job, planJob(job), metric);
    for (const part of [
      '**Rinseless**',
      '## Mixes',
      '## Towels',
      '## Zones',
      '## Passes',
      '## Care',
      'not a measurement',
    ])
      expect(sheet).toContain(part);
  });

  it('says no with reasons', () => {
    const job = demoJobs.find(({ id }) => id === 'demo-refusal')!;
    const sheet = planSheet(job, planJob(job), metric);
    expect(sheet).toContain('**Not today**');
    expect(sheet).toContain('full rinse wash');
    expect(sheet).not.toContain('## Mixes');
  });

  it('lets no name act as markup', () => {
    const job = { ...demoJobs[0]!, name: '<img src=x onerror=alert(1)> *bold*' };
    expect(planSheet(job, planJob(job), metric)).not.toMatch(/<img| \*bold\*/);
  });
});

describe('a note to the client', () => {
  it('says what the car needs, by what stands in the way', () => {
    const note = (job: Job): string => refusalNote(job, planJob(job), metric).join('\n');
    const job = (id: string) => demoJobs.find((one) => one.id === id)!;
    expect(note(job('demo-refusal'))).toContain('full rinse wash');
    // Nothing to cool the panels with.
    const noon = {
      ...job('demo-noon'),
      vessels: job('demo-noon').vessels.filter(({ kind }) => kind !== 'pump-sprayer'),
    };
    expect(note(noon)).toContain('cooler hour');
    expect(note(noon)).not.toContain('rinse wash');
    const frost = job('demo-frost');
    expect(note({ ...frost, gear: [], site: { ...frost.site, power: false } })).toContain('milder day');
    expect(note({ ...job('demo-deck'), products: [] })).toContain('with us today');
    expect(note({ ...job('demo-deck'), site: { ...job('demo-deck').site, minutes: 4 } })).toContain('more time');
  });

  it('lists only what is left where the rest is washed', () => {
    const deck = demoJobs[0]!;
    const left = { ...deck, choices: { ...deck.choices, fixed: { roof: 'leave' as const } } };
    expect(refusalNote(left, planJob(left), metric).join('\n')).toMatch(/these parts[\s\S]*Roof/);
  });
});
