import type { AssumptionKey, Assumptions } from '../assumptions';
import { type CareUse, type MixPurpose, type Zone, type ZoneId, careUses, cleanlinessOf } from '../model';
import type { CareLeft } from '../reasons';
import { type PlanningContext, type SoiledZone, isInSun } from './context';

/** What is put onto a clean zone, or why it is not. */
export interface CarePlan {
  readonly use: CareUse;
  readonly ml: number;
  readonly seconds: number;
  /** Of a trigger. */
  readonly presses: number;
  readonly left: CareLeft | null;
  /** Warmest panel by its label, °C; null where that is silent. */
  readonly mostC: number | null;
}

interface CareRule {
  readonly film: AssumptionKey;
  readonly rate: AssumptionKey;
}

const rules: Readonly<Record<CareUse, CareRule>> = {
  topper: { film: 'topperFilm', rate: 'topperRate' },
  'drying-aid': { film: 'dryingAidFilm', rate: 'dryingAidRate' },
  sealant: { film: 'sealantFilm', rate: 'sealantRate' },
  'trim-dressing': { film: 'trimFilm', rate: 'trimRate' },
  'tyre-dressing': { film: 'tyreFilm', rate: 'tyreRate' },
};

/** Goes on while a panel is dried, with the towel that dries it. */
export const isWhileDrying = (use: CareUse): boolean => use === 'drying-aid';

/** How much of it goes onto a square metre by its label or by practice, mL, and how long that takes, s. */
export function careRates(
  use: CareUse,
  mLPerM2: number | null,
  a: Assumptions,
): { readonly mLPerM2: number; readonly secondsPerM2: number } {
  const { film, rate } = rules[use];
  return { mLPerM2: mLPerM2 ?? a[film], secondsPerM2: a[rate] };
}

/** Nothing slippery goes where somebody sits, nor onto instruments. */
const staysDry = (id: ZoneId): boolean => id === 'seat' || id === 'instruments';

/** Arches are of rubber, too, and are not dressed. */
export const isTyre = (id: ZoneId): boolean => id.endsWith('-tyre');

/** What is asked for on a zone; null where nothing is. */
export function careWantedOn(
  { id, surface, cleanliness }: Pick<Zone, 'id' | 'surface' | 'cleanliness'>,
  { care: { paint, trim, tyres } }: PlanningContext['job'],
): CareUse | null {
  switch (surface) {
    case 'paint':
      return paint &&
        cleanliness >= cleanlinessOf.uppers &&
        cleanliness <= (paint.on === 'uppers' ? cleanlinessOf.uppers : cleanlinessOf.lowers)
        ? paint.use
        : null;
    case 'bare-plastic':
      return trim && cleanliness <= cleanlinessOf.lowers && !staysDry(id) ? 'trim-dressing' : null;
    case 'rubber':
      return tyres === 'now' && isTyre(id) ? 'tyre-dressing' : null;
    default:
      return null;
  }
}

/** A layer never goes onto what excludes it, nor after what it must not meet. */
function leftFor(
  use: CareUse,
  soiled: SoiledZone,
  under: readonly (MixPurpose | 'water')[],
  context: PlanningContext,
): CareLeft | null {
  const { zone, panel } = soiled;
  const { job, recipes } = context;
  const recipe = recipes[use];
  if (!recipe) return 'no-product';
  const { product } = recipe;
  const { finish } = job.vehicle;
  if (product.notOnSurfaces.includes(zone.surface)) return 'surface';
  if (zone.surface === 'paint' && product.notOnFinishes.includes(finish)) return 'finish';
  if (
    zone.surface === 'paint' &&
    product.leavesLayer &&
    job.choices.topping === 'none' &&
    (finish === 'coated' || finish === 'matte')
  )
    return 'layer';
  const met = under.flatMap((purpose) => recipes[purpose]?.product ?? []);
  if (met.some((other) => other.notWith.includes(product.id) || product.notWith.includes(other.id)))
    return 'not-together';
  if (product.maxPanelC !== null && panel.panelC > product.maxPanelC) return 'too-warm';
  if (!recipe.use.inSun && isInSun(soiled, context)) return 'in-sun';
  // Nothing is rinsed any more once the car is dry.
  return recipe.use.rinseAfter ? 'no-rinse' : null;
}

/**
 * What is put onto a zone once it is clean; null where nothing is asked for.
 * @param under what the wash lays there before
 */
export function careOn(
  soiled: SoiledZone,
  under: readonly (MixPurpose | 'water')[],
  context: PlanningContext,
): CarePlan | null {
  const use = careWantedOn(soiled.zone, context.job);
  if (!use) return null;
  const { a, recipes } = context;
  const left = leftFor(use, soiled, under, context);
  const { mLPerM2, secondsPerM2 } = careRates(use, recipes[use]?.use.mLPerM2 ?? null, a);
  const areaM2 = left === null ? soiled.zone.areaM2 : 0;
  const ml = mLPerM2 * areaM2;
  return {
    use,
    ml,
    presses: ml > 0 ? Math.max(1, Math.round(ml / a.pressMl)) : 0,
    seconds: secondsPerM2 * areaM2,
    left,
    mostC: recipes[use]?.product.maxPanelC ?? null,
  };
}

/** In the order in which they are done. */
export const careOrder = (use: CareUse): number => careUses.indexOf(use);
