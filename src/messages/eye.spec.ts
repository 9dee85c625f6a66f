import { describe, expect, it } from 'vitest';
import { type Counted, type MixingTask, type WipeMeasured, eyeCurve, mixingCards, mixingTask } from '@esmero/core';
import { eyeText, practiceText, proofText, roughly, sensorText, sideText, spansOf, unitsOf } from '.';

const metric = unitsOf('metric');
const us = unitsOf('us');
const counted = (arcs: number, streaks: number): Counted => ({ arcs, streaks, lines: [] });

describe('what a wipe test says', () => {
  const found: WipeMeasured = {
    kind: 'measured',
    loadGm2: 2.345,
    low: 1.876,
    high: 2.987,
    spread: 1.2,
    soil: 'dust',
    shades: [],
    outline: [],
    likely: [
      { kind: 'dust', share: 0.82, byLaw: [] },
      { kind: 'pollen', share: 0.17, byLaw: [] },
      { kind: 'fallout', share: 0.01, byLaw: [] },
    ],
    gauge: { own: 0, others: 0, range: null, reach: null },
  };

  it('has no more digits than a picture is good for', () => {
    expect(eyeText.measured(found, metric)).toBe('Eight in ten lie between 1.9 g/m² and 3 g/m².');
    expect(roughly(0.4567)).toBe(0.46);
  });

  it('names the kinds that remain, and what it rests on', () => {
    expect(eyeText.likely(found)).toBe('Most likely dust (82 %), then pollen (17 %), by colour and grain.');
    expect(eyeText.basis(found, metric)).toContain('not calibrated');
    const gauge = { own: 3, others: 2, range: [0.5, 6.04], reach: 'inside' } as const;
    expect(eyeText.basis({ gauge }, metric)).toBe(
      'It rests on 3 calibrations of this kind, by this hand with this cloth, from 0.5 g/m² to 6 g/m².',
    );
    expect(eyeText.basis({ gauge: { ...gauge, own: 0 } }, metric)).toContain('2 calibrations with other kinds');
    expect(eyeText.basis({ gauge: { ...gauge, reach: 'outside' } }, metric)).toContain('less sure');
    const once = { own: 1, others: 0, range: [2, 2], reach: 'one-load' } as const;
    expect(eyeText.basis({ gauge: once }, metric)).toBe(
      'It rests on one calibration of this kind, by this hand with this cloth, at 2 g/m². ' +
        'Calibrate a much dirtier or cleaner patch too: one load says little about others.',
    );
  });

  it('says how full a side is, and what of the colour is the product', () => {
    const side = {
      kind: 'measured',
      onTowelGm2: 12.34,
      low: 9,
      high: 17,
      limitGm2: 30,
      verdict: 'go-on',
      gauge: found.gauge,
      dyeShare: 0.25,
    } as const;
    expect(sideText.says(side)).toBe('12.3 g/m² on the side (9.0 to 17.0); it takes 30.');
    expect(sideText.dye(side)).toContain('25 %');
    expect(sideText.dye({ ...side, dyeShare: 0 })).toBe('');
  });
});

describe('what a proof says', () => {
  it('speaks of more only beyond its doubt', () => {
    expect(proofText.verdict(counted(5, 1), counted(7, 2), 3)).toContain('No more than before');
    expect(proofText.verdict(counted(5, 1), counted(20, 2), 3)).toContain('16 more than before');
    expect(proofText.verdict(counted(20, 2), counted(5, 1), 3)).toContain('16 fewer');
  });
});

describe('what the phone says', () => {
  it('puts hours together, and names the points of the compass', () => {
    expect(spansOf([8, 9, 10, 14])).toEqual([
      [8, 11],
      [14, 15],
    ]);
    expect(sensorText.shaded([8, 9, 14])).toBe('In the shade 8 to 10, 14 to 15 o’clock');
    expect(sensorText.shaded([])).toBe('No hour in the shade');
    expect(sensorText.stands(359, 0.03)).toBe('Faces north (359°), the ground falls 3.0 %');
    expect(sensorText.stands(null, 0)).toBe('Level ground');
  });
});

describe('what practice says', () => {
  it('asks for a mix in full words, in either system', () => {
    for (const card of mixingCards) {
      const task = mixingTask(card, () => 0.4);
      for (const units of [metric, us]) {
        const asked = practiceText.asked(task, units);
        expect(asked).toContain(task.label);
        expect(asked).not.toMatch(/\bN\b|NaN|undefined/);
        expect(practiceText.mixTruth(task, units)).not.toMatch(/NaN|undefined/);
      }
    }
    const other: MixingTask = { ...mixingTask(mixingCards[0]!, () => 0.2), capMl: 20, labelCapMl: 25 };
    expect(practiceText.cap(other, metric)).toBe('Your cap holds 20 mL; the label speaks of caps of 25 mL.');
  });

  it('says how far off one was', () => {
    expect([practiceText.mixOff(0.25), practiceText.mixOff(-0.1), practiceText.mixOff(0)]).toEqual([
      'The mix is 25 % too strong.',
      'The mix is 10 % too weak.',
      'The mix is right.',
    ]);
    expect([practiceText.panelOff(2.5), practiceText.panelOff(0.5), practiceText.panelOff(1.05)]).toEqual([
      'You gave 2.5 times as much.',
      'You gave 50 % less.',
      'You gave just about that.',
    ]);
    expect(practiceText.left(125)).toBe('2:05 left');
  });

  it('tells of a curve only once it says something', () => {
    expect(practiceText.curve(eyeCurve([]))).toContain('From twelve on');
    const low = eyeCurve(
      Array.from({ length: 40 }, (_unused, i) => ({ card: 'x', truth: 4, answer: 2, isRight: false, at: i })),
    );
    expect(practiceText.curve(low)).toContain('reads low');
    expect(practiceText.curve({ ...low, factor: 0.7 })).toContain('reads high: there is 30 % less');
    expect(practiceText.curve({ ...low, factor: 1 })).toContain('reads even');
  });
});
