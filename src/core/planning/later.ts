import type { ZoneId } from '../model';
import { type PlanningContext, careRates, isTyre } from '../rules';
import type { Realised } from './realise';

/** Tyres that are dressed after the drive home, when nothing is slung off any more. */
export interface LaterTask {
  readonly use: 'tyre-dressing';
  /** null where there is nothing in the van. */
  readonly productName: string | null;
  readonly zones: readonly ZoneId[];
  readonly ml: number;
  readonly minutes: number;
  /** Not before: hours of the day when the wash is done. */
  readonly fromHour: number;
}

/** Dressing that was asked for after the drive, on the tyres that are washed. */
export function laterOf({ a, job, recipes }: PlanningContext, { chosen, timeline }: Realised): LaterTask | null {
  if (job.care.tyres !== 'after-drive') return null;
  const tyres = chosen.filter(({ zone }) => isTyre(zone.id)).map(({ zone }) => zone);
  if (tyres.length === 0) return null;
  const areaM2 = tyres.reduce((sum, zone) => sum + zone.areaM2, 0);
  const recipe = recipes['tyre-dressing'];
  const { mLPerM2, secondsPerM2 } = careRates('tyre-dressing', recipe?.use.mLPerM2 ?? null, a);
  return {
    use: 'tyre-dressing',
    productName: recipe?.product.name ?? null,
    zones: tyres.map(({ id }) => id),
    ml: mLPerM2 * areaM2,
    minutes: (secondsPerM2 * areaM2 * (1 + a.walking)) / 60,
    fromHour: job.hour + timeline.elapsedS / 3600,
  };
}
