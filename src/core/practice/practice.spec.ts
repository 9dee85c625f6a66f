import { randomLcg, randomNormal } from 'd3-random';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import { linearOf } from '../eye';
import { type LibraryEntry, type PracticeSession, type SoilKind, type Try, colours } from '../model';
import { planJob } from '../planning';
import { levelOfLoad, loadOfLevel, soilOn } from '../soil';
import { finish } from '../studies';
import { sampleJob, soilAll } from '../testing/sample';
import { zonesIn } from '../vehicle';
import { dealTry, dealingOf } from './dealing';
import { decisionCards, decisionOf, decisionTry, decisions } from './decisions';
import { eyeCurve, usesEye, withEye, withoutEye } from './eye-curve';
import { mixingCards, mixingTask, mixingTry, practiceVessel, strengthError } from './mixing';
import { type PanelScene, coverOf, panelAngles, renderPanel } from './panel-picture';
import { panelCards, panelOf, panelTry } from './panels';
import { deckStanding, dueAt, nextCard, triesOf } from './schedule';

const DAY = 86_400_000;
const job = sampleJob({ soil: soilAll('road-film', 2) });
const library: readonly LibraryEntry[] = [
  ...job.products.map((item) => ({ kind: 'product' as const, archived: false, item })),
  ...job.vessels.map((item) => ({ kind: 'vessel' as const, archived: false, item })),
  ...job.towels.map((item) => ({ kind: 'towel' as const, archived: false, item })),
  ...job.gear.map((item) => ({ kind: 'gear' as const, archived: false, item })),
];
const tried = (card: string, isRight: boolean, at: number): Try => ({ card, truth: 1, answer: 1, isRight, at });

describe('panels to be judged', () => {
  const scene: PanelScene = {
    kind: 'dust',
    loadGm2: 2,
    colour: 'black',
    light: 'cloud',
    angle: 'square',
    width: 60,
    height: 40,
    seed: 3,
  };
  const meanOf = (one: PanelScene): number => {
    const { rgba } = renderPanel(one, a);
    let sum = 0;
    for (let i = 0; i < rgba.length; i += 4) sum += linearOf(rgba[i + 1]!);
    return (4 * sum) / rgba.length;
  };

  it('hide more of the paint the more lies on them, and the lower one looks', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 30, noNaN: true }),
        fc.double({ min: 1.01, max: 3, noNaN: true }),
        (load, more) => {
          const covers = panelAngles.map((angle) => coverOf('road-film', load, angle, a));
          return (
            coverOf('road-film', load * more, 'square', a) > covers[0]! &&
            covers[0]! < covers[1]! &&
            covers[1]! < covers[2]!
          );
        },
      ),
    );
  });

  it('grow paler on black paint and darker on white', () => {
    const thick = { ...scene, loadGm2: 20 };
    expect(meanOf(thick)).toBeGreaterThan(1.5 * meanOf(scene));
    expect(meanOf({ ...thick, kind: 'road-film', colour: 'white' })).toBeLessThan(
      meanOf({ ...scene, kind: 'road-film', colour: 'white' }),
    );
  });

  it('are the same again for the same seed, and in every light and colour a picture', () => {
    expect(renderPanel(scene, a).rgba).toEqual(renderPanel(scene, a).rgba);
    const random = randomLcg(0.3);
    for (const card of panelCards) {
      const one = panelOf(card, random, a);
      expect(colours).toContain(one.colour);
      expect(`${one.kind}/${levelOfLoad(one.loadGm2, a)}`).toBe(card);
    }
  });

  it('are right only where level and kind are', () => {
    const at = (kind: SoilKind, level: 2 | 3) =>
      panelTry('dust/2', { kind: 'dust', loadGm2: 2.2 }, { kind, level }, 5, a);
    expect(at('dust', 2)).toEqual({ card: 'dust/2', truth: 2.2, answer: a.soilLevel2, isRight: true, at: 5 });
    expect(at('pollen', 2).isRight).toBe(false);
    expect(at('dust', 3).isRight).toBe(false);
  });
});

describe('one’s own eye', () => {
  const looked = (count: number, factor: number, power: number, sd: number): readonly Try[] => {
    const normal = randomNormal.source(randomLcg(0.77))(0, 1);
    return Array.from({ length: count }, (_unused, i) => {
      const answer = loadOfLevel((1 + (i % 5)) as 1, a);
      return { card: 'x', truth: factor * answer ** power * Math.exp(sd * normal()), answer, isRight: false, at: i };
    });
  };

  it('is even before any try', () => {
    expect(eyeCurve([])).toMatchObject({ tries: 0, factor: 1, power: 1, spread: a.spreadSeen });
  });

  it('is found again, more surely the more is tried', () => {
    const [few, many] = [eyeCurve(looked(10, 1.5, 0.8, 0.2)), eyeCurve(looked(400, 1.5, 0.8, 0.2))];
    expect(many.factor).toBeCloseTo(1.5, 1);
    expect(many.power).toBeCloseTo(0.8, 1);
    expect(many.spread).toBeCloseTo(Math.exp(0.2), 1);
    expect(Math.abs(few.factor - 1)).toBeLessThan(Math.abs(many.factor - 1));
    expect(many.plainSpread).toBeGreaterThan(many.spread);
  });

  it('goes into a plan’s soil and its spread, where it is switched on, and out again', () => {
    const curve = eyeCurve(looked(200, 1.5, 1, 0.1));
    const mine = withEye(job, curve);
    const zone = zonesIn(mine).find(({ id }) => mine.soil[id])!;
    const of = (one: typeof mine) => soilOn(zone, one, { ...a, ...one.choices.assumptions });
    expect(of(mine).totalGm2 / of(job).totalGm2).toBeCloseTo(curve.factor, 1);
    expect(of(mine).spread).toBe(curve.spread);
    expect(usesEye(mine)).toBe(true);
    expect(withoutEye(mine)).toEqual(job);
  });

  it('grows surer in a learner who is told what it was', () => {
    const normal = randomNormal.source(randomLcg(0.21))(0, 1);
    const kinds = [...new Set(panelCards.map((card) => card.split('/')[0]!))];
    // A learner misjudges each kind in a way of its own, and forgets a third of that each time it is told.
    const misjudges = new Map(kinds.map((kind, i) => [kind, i % 2 ? 0.7 : -0.6]));
    const random = randomLcg(0.4);
    const tries: Try[] = [];
    for (let i = 0; i < 180; i++) {
      const card = nextCard(panelCards, tries, i * 20_000);
      const scene = panelOf(card, random, a);
      const bias = misjudges.get(scene.kind)!;
      const level = levelOfLoad(scene.loadGm2 * Math.exp(bias + 0.15 * normal()), a);
      tries.push(panelTry(card, scene, { kind: scene.kind, level }, i * 20_000, a));
      misjudges.set(scene.kind, bias * 0.67);
    }
    const [first, last] = [eyeCurve(tries.slice(0, 60)), eyeCurve(tries.slice(-60))];
    expect(last.plainSpread).toBeLessThan(0.85 * first.plainSpread);
    expect(tries.slice(-60).filter(({ isRight }) => isRight).length).toBeGreaterThan(
      tries.slice(0, 60).filter(({ isRight }) => isRight).length,
    );
  });
});

describe('what comes next', () => {
  const cards = ['one', 'two', 'three', 'four', 'five'] as const;

  it('begins with what is new, in order, and brings a miss back after a few others', () => {
    expect(nextCard(cards, [], 0)).toBe('one');
    const tries = [tried('one', false, 0)];
    const seen: string[] = [];
    for (let i = 1; i <= 4; i++) {
      const card = nextCard(cards, tries, i);
      seen.push(card);
      tries.push(tried(card, true, i));
    }
    expect(seen).toEqual(['two', 'three', 'four', 'one']);
  });

  it('waits longer the more often it was right, and starts over at a miss', () => {
    const right = (count: number) => Array.from({ length: count }, (_unused, i) => tried('one', true, i));
    const waits = [1, 2, 3, 4, 5, 6].map((count) => dueAt('one', right(count)) - (count - 1));
    expect(waits).toEqual([...waits].sort((p, q) => p - q));
    expect(waits[0]).toBe(DAY);
    expect(dueAt('one', [...right(4), tried('one', false, 9)])).toBe(9);
    expect(deckStanding(cards, right(3), 8 * DAY)).toEqual({ due: 1, held: 1, fresh: 4 });
  });

  it('always has one, whatever was tried', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ card: fc.constantFrom(...cards), isRight: fc.boolean(), at: fc.nat(1e6) }), {
          maxLength: 30,
        }),
        fc.nat(2e6),
        (all, now) =>
          cards.includes(
            nextCard(
              cards,
              all.map(({ card, isRight, at }) => tried(card, isRight, at)),
              now,
            ),
          ),
      ),
    );
  });

  it('keeps people apart', () => {
    const session = (name: string): PracticeSession => ({
      id: name,
      name,
      drill: 'panels',
      tries: [tried('one', true, 1)],
    });
    expect(triesOf([session('Ada'), session('Bo')], 'Ada', 'panels')).toHaveLength(1);
    expect(triesOf([session('Ada')], 'Ada', 'mixing')).toHaveLength(0);
  });
});

describe('mixing', () => {
  it('asks for what the label means, in every notation', () => {
    const random = randomLcg(0.9);
    for (const card of mixingCards) {
      const task = mixingTask(card, random);
      // Share of the finished mix, from an independent reading of the label.
      const n = Number(task.label);
      const share = {
        water: 1 / (n + 1),
        whole: 1 / n,
        percent: n / 100,
        mLPerLitreOfWater: n / (1000 + n),
        flOzPerGallon: n / (128 + n),
        mLPerGallon: n / (3785.411784 + n),
      }[task.reading];
      expect(task.productMl).toBeCloseTo(share * (task.volumeMl - task.inItMl), 6);
      if (task.twist === 'other-cap') expect(task.labelCapMl).not.toBe(task.capMl);
      if (task.twist === 'topping-up') expect(task.inItMl).toBeGreaterThan(0);
      const vessel = practiceVessel(task.volumeMl);
      expect(task.volumeMl).toBeLessThanOrEqual(vessel.capacityMl * vessel.workingShare);
    }
  });

  it('is graded by the error in the bucket, and never right with the product first', () => {
    const task = mixingTask('256/water/plain', randomLcg(0.5));
    expect(mixingTry(task, task.productMl * 1.05, 'water', 0).isRight).toBe(true);
    expect(mixingTry(task, task.productMl * 1.3, 'water', 0).isRight).toBe(false);
    expect(mixingTry(task, task.productMl, 'product', 0).isRight).toBe(false);
    expect(strengthError(mixingTry(task, task.productMl * 0.8, 'water', 0))).toBeCloseTo(-0.2);
  });
});

describe('dealing the sides', () => {
  it('asks what the ledger does, panel by panel', () => {
    const plan = planJob({ ...job, soil: soilAll('dust', 1) });
    const tasks = dealingOf(plan);
    const wash = plan.towels.filter(({ role, worker }) => role === 'wash' && worker === 0);
    expect(tasks[0]).toMatchObject({ deal: 'new', inHand: null });
    for (const { deal, inHand, towel, side } of tasks.slice(1)) {
      expect(inHand!.fullness).toBeGreaterThan(0);
      // A pass that was begun on a side is ended on it: a little over is in the ledger, too.
      expect(inHand!.fullness).toBeLessThanOrEqual(1.2);
      if (deal === 'same') expect([inHand!.towel, inHand!.side]).toEqual([towel, side]);
      else expect([inHand!.towel, inHand!.side]).not.toEqual([towel, side]);
    }
    expect(tasks.filter(({ deal }) => deal === 'new').length).toBeLessThanOrEqual(wash.length);
    expect(tasks.filter(({ deal }) => deal !== 'same').length).toBeLessThanOrEqual(
      wash.reduce((sum, { sides }) => sum + sides.length, 0),
    );
    for (const task of tasks) {
      expect(dealTry(task, task.deal, 0).isRight).toBe(true);
      expect(dealTry(task, task.deal === 'same' ? 'turn' : 'same', 0).isRight).toBe(false);
    }
  });
});

describe('decisions', () => {
  it('are graded by the planner, and every answer comes up', () => {
    const met = new Set<string>();
    for (const card of decisionCards) {
      const found = finish(decisionOf({ card, library, date: '2031-07-14', seed: 5 }));
      met.add(found.decision);
      expect(found.reasons.length).toBeGreaterThan(0);
      expect(planJob(found.job).method).toBe(found.method);
      expect(decisionTry(found, found.decision, 1).isRight).toBe(true);
      expect(
        decisionTry(
          found,
          decisions.find((one) => one !== found.decision)!,
          1,
        ).isRight,
      ).toBe(false);
    }
    expect(met.size).toBeGreaterThanOrEqual(3);
  }, 60_000);
});
