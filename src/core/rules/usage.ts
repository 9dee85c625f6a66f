import { mixPurposes } from '../model';
import { type TowelNeed, sidesFor, sidesUsed } from '../towel';
import type { PlanningContext } from './context';
import type { Laid, Usage } from './option';
import { type WorkSeconds, rinsedS, totalWork } from './work-seconds';

/** What liquids, hands and towels on a zone take of each budget. */
export function usageOf(
  laidMl: Laid,
  runoffMl: number,
  work: WorkSeconds,
  needs: readonly TowelNeed[],
  context: PlanningContext,
): Usage {
  const { a, job, recipes, typicalTowel } = context;
  const usage = {
    litres: 0,
    runoffL: runoffMl / 1000,
    minutes: 0,
    batteryMin: 0,
    wash: 0,
    finish: 0,
    drying: 0,
    glass: 0,
    wheels: 0,
  };
  let litres = laidMl.water * (1 - (recipes.water?.share ?? 0)) + laidMl.supply + laidMl.line;
  if (laidMl.supply > 0) usage.batteryMin = rinsedS(work) / 60;
  for (const purpose of mixPurposes) litres += laidMl[purpose] * (1 - (recipes[purpose]?.share ?? 0));
  usage.litres = (litres * a.wasteFactor) / 1000;
  usage.minutes = (totalWork(work) * (1 + a.walking)) / 60 / job.site.workers;
  for (const need of needs) {
    const batch = typicalTowel[need.role];
    // Without a towel of the role the zone cannot be wiped: more than any budget.
    usage[need.role] += batch ? sidesFor(need, batch, a) / sidesUsed(batch, need.soaked, job.choices) : 1e6;
  }
  return usage;
}
