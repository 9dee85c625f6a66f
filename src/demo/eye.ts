import { randomLcg, randomNormal } from 'd3-random';
import {
  defaultAssumptions as a,
  evenMark,
  levelOfLoad,
  mixingCards,
  mixingTask,
  mixingTry,
  nextCard,
  panelCards,
  panelOf,
  panelTry,
} from '@esmero/core';
import { type Calibration, type PracticeSession, type Try, soilKinds } from '@esmero/model';
import { type Day, dayAfter, instantAt } from '@esmero/units';

const helper = 'The new helper';
/** Hour of the day, and so long for a try. */
const EVENING = 17;
const TRY_MS = 35_000;

/** How somebody judges: by what factor less than there is, how unevenly, and how often the kind is mistaken. */
interface Learner {
  readonly daysAgo: number;
  readonly sees: number;
  readonly spread: number;
  readonly mistakes: number;
}

/** At first too little and unevenly, then better. */
const evenings: readonly Learner[] = [
  { daysAgo: 9, sees: 0.7, spread: 0.5, mistakes: 0.4 },
  { daysAgo: 5, sees: 0.8, spread: 0.35, mistakes: 0.25 },
  { daysAgo: 2, sees: 0.88, spread: 0.28, mistakes: 0.15 },
];
const TRIES = 14;

/** Two towels that were weighed, a light and a heavy one: this hand gets more soil into the same colour than usual. */
const weighed = [
  { grams: 0.02, reflectance: 0.632 },
  { grams: 0.3, reflectance: 0.2 },
] as const;
const SIDE_M2 = 0.0417;
/** Share of the side that the mark takes. */
const MARK = 0.34;

/** Somebody new who has practised for a week, and has weighed two towels: simulated by the drills themselves. */
export function helperOn(today: Day): {
  readonly sessions: readonly PracticeSession[];
  readonly calibrations: readonly Calibration[];
} {
  const draw = randomLcg(0.42);
  const normal = randomNormal.source(draw)(0, 1);
  const judged: Try[] = [];
  const evening = (daysAgo: number): number => instantAt(dayAfter(today, -daysAgo), EVENING, 0);
  const panels = evenings.map(({ daysAgo, sees, spread, mistakes }, i): PracticeSession => {
    const tries = Array.from({ length: TRIES }, (_try, t) => {
      const at = evening(daysAgo) + t * TRY_MS;
      const card = nextCard(panelCards, judged, at);
      const scene = panelOf(card, draw, a);
      const level = levelOfLoad(scene.loadGm2 * sees * Math.exp(spread * normal()), a);
      const kind = draw() < mistakes ? soilKinds[Math.floor(draw() * soilKinds.length)]! : scene.kind;
      const one = panelTry(card, scene, { kind, level }, at, a);
      judged.push(one);
      return one;
    });
    return { id: `practice-panels-${i}`, name: helper, drill: 'panels', tries };
  });
  const mixed: Try[] = [];
  for (let t = 0; t < TRIES; t++) {
    const at = evening(3) + t * TRY_MS;
    const task = mixingTask(nextCard(mixingCards, mixed, at), draw);
    mixed.push(mixingTry(task, task.productMl * Math.exp(0.08 * normal()), draw() < 0.9 ? 'water' : 'product', at));
  }
  return {
    sessions: [...panels, { id: 'practice-mixing-0', name: helper, drill: 'mixing', tries: mixed }],
    calibrations: weighed.map(({ grams, reflectance }, i) => ({
      id: `calibration-${i}`,
      name: 'Wash towels, grey edge',
      person: helper,
      kind: 'dust',
      by: 'scale',
      at: evening(2),
      onTowelGm2: grams / SIDE_M2,
      shades: evenMark(reflectance, MARK),
    })),
  };
}
