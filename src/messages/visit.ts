import type { Visit, VisitStage } from '@esmero/core';
import { clock, fixed } from './units';

/** Stages of a visit, under their bar. */
export const visitStageName: Readonly<Record<VisitStage, string>> = {
  before: 'Arrive, walk round',
  work: 'Set up and wash',
  after: 'Pack, second look',
  handover: 'Hand over',
};

const minutes = (seconds: number): string => fixed(Math.max(1, Math.round(seconds / 60)));

/** "Here for 12:40 of 92 min; 79 min to go": nothing where nobody noted the arrival. */
export function visitText({ sinceS, toGoS }: Visit): string {
  return sinceS === null ? '' : `Here for ${clock(sinceS)}; ${minutes(toGoS)} min to go, handover included.`;
}

/** "8 min": what the plan gives a stage; or what it took. */
export const stageText = (seconds: number): string => `${minutes(seconds)} min`;
