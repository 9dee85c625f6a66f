import { type Job, type ZoneId, invoiceIn, quoteIn } from '../model';
import type { Plan } from '../planning';

/** Where a stage of a job stands: nothing to do, something to look at, or not begun. */
export type StageState = 'done' | 'attention' | 'open';

export type StageName = 'site' | 'walk-round' | 'method' | 'price' | 'mix' | 'towels' | 'order' | 'run' | 'handover';

const attentionIf = (asks: boolean): StageState => (asks ? 'attention' : 'done');

/** Nobody has looked, or a closer look might change the answer. */
function walkRound({ soil }: Job, plan: Plan, zones: readonly ZoneId[]): StageState {
  if (zones.every((id) => !soil[id])) return 'open';
  return attentionIf(plan.questions.length > 0 || zones.some((id) => !soil[id]));
}

/** Work that is over asks for its invoice, where it was quoted. */
function price(job: Job): StageState {
  if (!quoteIn(job)) return 'open';
  return attentionIf((job.run?.endedAt ?? null) !== null && !invoiceIn(job));
}

/** The planning stages have nothing to show where nothing is washed. */
const ifWashed = ({ method }: Plan, state: StageState): StageState => (method === 'decline' ? 'open' : state);

/**
 * What each stage of a job asks of somebody who looks at all of them at once.
 * @param zones of the whole car, also where the plan is that of the rest
 */
export function stageStates(job: Job, plan: Plan, zones: readonly ZoneId[]): Readonly<Record<StageName, StageState>> {
  const { run } = job;
  return {
    site: 'done',
    'walk-round': walkRound(job, plan, zones),
    method: attentionIf(plan.method === 'decline' || plan.zones.some(({ leftBecause }) => leftBecause !== null)),
    price: price(job),
    mix: ifWashed(plan, 'done'),
    towels: ifWashed(plan, attentionIf(plan.towels.some(({ missing }) => missing))),
    order: ifWashed(plan, attentionIf(plan.timeline.late.length + plan.timeline.refused.length > 0)),
    run: run === null ? 'open' : attentionIf(run.endedAt === null),
    handover: run === null ? 'open' : attentionIf(run.endedAt === null || run.punch.some(({ done }) => !done)),
  };
}
