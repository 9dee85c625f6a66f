import { type Learned, type Lesson, mixPurposes, towelRoles } from '@esmero/core';
import { fixed, percent } from './units';
import { contentName, roleName } from './words';

/** What a lesson is about. */
export function lessonName(lesson: Lesson): string {
  const purpose = mixPurposes.find((one) => lesson === `ml.${one}`);
  if (purpose) return contentName[purpose];
  const role = towelRoles.find((one) => lesson === `towels.${one}`);
  return role ? `${roleName[role][0]!.toUpperCase()}${roleName[role].slice(1)}` : 'Minutes';
}

/** "12 % more than planned, from 7 runs; eight of ten between −5 % and 33 %". */
export function learnedSentence({ lesson, jobs, factor, low, high }: Learned): string {
  const off = (times: number): string => `${times >= 1 ? '+' : '−'}${percent(Math.abs(times - 1))}`;
  const what = Math.abs(factor - 1) < 0.005 ? 'as planned' : `${percent(Math.abs(factor - 1))} ${factor > 1 ? 'more' : 'less'} than planned`;
  return `${lessonName(lesson)}: ${what}, from ${fixed(jobs)} ${jobs === 1 ? 'run' : 'runs'}; eight of ten between ${off(low)} and ${off(high)}`;
}
