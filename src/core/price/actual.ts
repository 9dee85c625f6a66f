import { elapsedMs } from '../execution';
import { type Bill, type Job, type RunUse, type VanSetUp, quoteIn, usedIn } from '../model';
import { type Plan, planJob } from '../planning';
import type { Study } from '../studies';
import { type Cost, costsOf } from './price';
import type { QuoteAsked } from './quote';
import { type VisitTakes, takesOf } from './takes';

/** What a visit really cost, beside what was quoted. */
export interface VisitAccount {
  readonly quoted: Bill | null;
  readonly takes: VisitTakes;
  readonly costs: readonly Cost[];
  readonly costMinor: number;
  /** Net of the quote less the real costs; null where nothing was quoted. */
  readonly keptMinor: number | null;
}

const MINUTE_MS = 60_000;

/** Minutes at the car: the run by the clock, before it by the clock where somebody noted when he came, and the rest as planned. */
function minutesOf(plan: Plan, { arrivedAt, run }: Job, endedAt: number): number {
  const part = (code: string): number => plan.slot.parts.find((one) => one.code === code)?.value ?? 0;
  const before =
    arrivedAt === null
      ? part('slot.arriving') + part('slot.walk-round')
      : Math.max(0, run!.startedAt - arrivedAt) / MINUTE_MS;
  return before + elapsedMs(run!, endedAt) / MINUTE_MS + part('slot.handover');
}

/** The plan's product, each mix by as much as was really used of it. */
function productMinor({ totals }: Plan, { mixes }: RunUse): number | null {
  if (!totals.costMinor) return null;
  const times = new Map(
    mixes.map(({ purpose, plannedMl, usedMl }) => [`content.${purpose}`, plannedMl > 0 ? usedMl / plannedMl : 1]),
  );
  return totals.costMinor.parts.reduce((sum, { code, value }) => sum + value * (times.get(code) ?? 1), 0);
}

function takesOfRun(plan: Plan, job: Job, van: VanSetUp | null, used: RunUse, endedAt: number): VisitTakes {
  const planned = takesOf(plan, job, van);
  return {
    ...planned,
    minutes: minutesOf(plan, job, endedAt),
    productMinor: productMinor(plan, used),
    towels: used.towels.reduce((sum, { opened }) => sum + opened, 0),
    litres: used.waterL ?? planned.litres,
  };
}

/** What a visit that is counted really cost, at today's prices; null before it is. Way, dirty water and battery are as planned. */
export function* visitAccount({ job, business, van }: QuoteAsked): Study<VisitAccount | null> {
  yield 0;
  const { run } = job;
  const used = run && usedIn(run);
  if (!run || run.endedAt === null || !used) return null;
  const takes = takesOfRun(planJob(job), job, van, used, run.endedAt);
  const costs = costsOf(takes, business);
  const costMinor = costs.reduce((sum, { minor }) => sum + minor, 0);
  const quoted = quoteIn(job);
  return { quoted, takes, costs, costMinor, keptMinor: quoted && quoted.netMinor - costMinor };
}
