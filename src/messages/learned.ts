import { type Learned, type Lesson, type RunState, ratiosOf } from '@esmero/core';
import { type Run, type PacedAct, type RunUse, mixPurposes, pacedActs, towelRoles, usedIn } from '@esmero/model';
import { type Units, fixed, percent } from './units';
import { contentName, roleName } from './words';

const paceName: Readonly<Record<PacedAct, string>> = {
  flush: 'Seconds of pre-rinsing',
  wet: 'Seconds of wetting',
  wipe: 'Seconds of wiping',
  dry: 'Seconds of drying',
  glass: 'Seconds on glass',
  protect: 'Seconds of protecting and dressing',
  before: 'Arriving and the walk-round',
  after: 'Packing and the second look',
};

/** What a lesson is about. */
export function lessonName(lesson: Lesson): string {
  if (lesson === 'soil') return 'Soil of this client’s cars';
  const purpose = mixPurposes.find((one) => lesson === `ml.${one}`);
  if (purpose) return contentName[purpose];
  const role = towelRoles.find((one) => lesson === `towels.${one}`);
  if (role) return `${roleName[role][0]!.toUpperCase()}${roleName[role].slice(1)}`;
  const act = pacedActs.find((one) => lesson === `pace.${one}`);
  return act ? paceName[act] : 'Minutes';
}

/** "12 % more than planned, from 7 runs; eight of ten between −5 % and 33 %". */
export function learnedSentence({ lesson, jobs, factor, low, high }: Learned): string {
  const what =
    Math.abs(factor - 1) < 0.005
      ? 'as planned'
      : `${percent(Math.abs(factor - 1))} ${factor > 1 ? 'more' : 'less'} than ${lesson === 'soil' ? 'forecast' : 'planned'}`;
  return `${lessonName(lesson)}: ${what}, from ${fixed(jobs)} ${jobs === 1 ? 'run' : 'runs'}; eight of ten between ${off(low)} and ${off(high)}`;
}

export const runStateName: Readonly<Record<RunState, string>> = {
  counted: 'Counted',
  'broken-off': 'Broken off',
  'not-counted': 'Not counted',
  refused: 'Declined',
};

const off = (times: number): string => `${times >= 1 ? '+' : '−'}${percent(Math.abs(times - 1))}`;

/** Time has a column of its own. */
const isOfThings = (lesson: Lesson): boolean => lesson !== 'minutes' && !lesson.startsWith('pace.');

/** Less off than this is as planned. */
const NOTICED = 0.02;

/** "6.6 L of water, 0.4 L ran off"; nothing where it was not noted. */
export function waterText(used: RunUse | null, u: Units): string {
  if (!used || used.waterL === null) return '';
  const off = used.runoffL ? `, ${u.water(used.runoffL)} ran off` : ', none ran off';
  return `${u.water(used.waterL)} of water${off}`;
}

/** "Wash towels +100 %", or why there is nothing to say. */
export function againstText(run: Run): string {
  const used = usedIn(run);
  if (!used) return 'not counted';
  if (used.doneShare < 1) return `broken off with ${percent(used.doneShare)} done`;
  const differs = ratiosOf(run).filter(([lesson, ratio]) => isOfThings(lesson) && Math.abs(ratio - 1) > NOTICED);
  return differs.map(([lesson, ratio]) => `${lessonName(lesson)} ${off(ratio)}`).join(', ') || 'as planned';
}
