import type { Job, Pace, VisitPart } from '../model';
import type { Plan } from '../planning';
import { isTheWork } from './pace';
import type { RunStatus } from './status';

/** What a visit is made of, one after the other. */
const visitStages = ['before', 'work', 'after', 'handover'] as const;
export type VisitStage = (typeof visitStages)[number];

type Standing = Pick<RunStatus, 'done' | 'all' | 'leftS'>;

/** One stage of a visit: arriving and the walk-round, the work with its set-up, packing and a second look, the handover. */
interface StageOfVisit {
  readonly stage: VisitStage;
  readonly plannedS: number;
  /** So far, or in all; null where nobody noted when it began. */
  readonly tookS: number | null;
  readonly state: 'done' | 'now' | 'open';
}

/** A visit on the clock. */
export interface Visit {
  readonly stages: readonly StageOfVisit[];
  readonly plannedS: number;
  /** Since somebody arrived, s; null where that was not noted. */
  readonly sinceS: number | null;
  /** Until the handover is over, by the plan, s. */
  readonly toGoS: number;
}

const partOf = ({ slot }: Plan, code: string): number => slot.parts.find((one) => one.code === code)?.value ?? 0;

/** Packing comes after the last panel, with the second look. */
const packingS = ({ timeline: { steps } }: Plan): number =>
  steps.reduce((sum, { kind, startS, endS }) => sum + (kind === 'pack' ? endS - startS : 0), 0);

/** Set-up by the plan: all of it stands before the first panel, s. */
export const setUpS = ({ timeline: { steps } }: Plan): number =>
  Math.max(0, ...steps.map(({ kind, endS }) => (kind === 'setup' ? endS : 0)));

function plannedFor(stage: VisitStage, plan: Plan): number {
  switch (stage) {
    case 'before':
      return (partOf(plan, 'slot.arriving') + partOf(plan, 'slot.walk-round')) * 60;
    case 'work':
      return partOf(plan, 'slot.work') * 60 - packingS(plan);
    case 'after':
      return packingS(plan) + partOf(plan, 'slot.second-look') * 60;
    case 'handover':
      return partOf(plan, 'slot.handover') * 60;
  }
}

/** When a stage begins and ends, milliseconds since 1970; null where it has not, or nobody noted it. */
function timesOf(
  stage: VisitStage,
  { arrivedAt, run }: Pick<Job, 'arrivedAt' | 'run'>,
  isThrough: boolean,
): readonly [number | null, number | null] {
  const lastAt = isThrough ? (run?.events.at(-1)?.at ?? run?.startedAt ?? null) : null;
  switch (stage) {
    case 'before':
      return [arrivedAt, run?.startedAt ?? null];
    case 'work':
      return [run?.startedAt ?? null, lastAt ?? run?.endedAt ?? null];
    case 'after':
      return [lastAt, run?.endedAt ?? null];
    case 'handover':
      return [isThrough ? (run?.endedAt ?? null) : null, null];
  }
}

/** What is left of a stage; of the work, once the first panel is done, what is left on the others. */
function leftOf({ stage, plannedS, tookS, state }: StageOfVisit, standing: Standing | null): number {
  if (state === 'done') return 0;
  return stage === 'work' && standing && standing.done > 0 ? standing.leftS : Math.max(0, plannedS - (tookS ?? 0));
}

/**
 * A visit by the plan and by the clock.
 * @param standing of the run; null before it is begun
 * @param now milliseconds since 1970
 */
export function visitOf(
  plan: Plan,
  job: Pick<Job, 'arrivedAt' | 'run'>,
  standing: Standing | null,
  now: number,
): Visit {
  const isThrough = standing !== null && standing.done === standing.all;
  const stages = visitStages.map((stage): StageOfVisit => {
    const [from, to] = timesOf(stage, job, isThrough);
    const plannedS = plannedFor(stage, plan);
    const over = to !== null || (stage === 'before' && job.run !== null);
    const state = over ? 'done' : from === null ? 'open' : 'now';
    return { stage, plannedS, tookS: from === null ? null : Math.max(0, ((to ?? now) - from) / 1000), state };
  });
  const { arrivedAt } = job;
  return {
    stages,
    plannedS: stages.reduce((sum, one) => sum + one.plannedS, 0),
    sinceS: arrivedAt === null ? null : Math.max(0, (now - arrivedAt) / 1000),
    toGoS: stages.reduce((sum, one) => sum + leftOf(one, standing), 0),
  };
}

const learnedFrom: readonly VisitPart[] = ['before', 'after'];

/** What a visit that is over tells of the time before and after the work; nothing where it was interrupted or not noted. */
export function visitPaces(plan: Plan, job: Pick<Job, 'arrivedAt' | 'run'>, standing: Standing): readonly Pace[] {
  if (!job.run || job.run.endedAt === null) return [];
  return visitOf(plan, job, standing, job.run.endedAt).stages.flatMap(({ stage, plannedS, tookS }): Pace[] => {
    const act = learnedFrom.find((one) => one === stage);
    return act && tookS !== null && isTheWork(tookS, plannedS) ? [{ act, plannedS, tookS }] : [];
  });
}
