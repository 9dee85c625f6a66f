import { cleanlinessOf } from '../model';
import type { CareLeft } from '../reasons';
import { brushOn } from './brush';
import { type PlanningContext, type SoiledZone, isInSun } from './context';
import { type Flushed, canRinseOff } from './flushed';

/** What loosens brake dust and road film below the paint, each on its own surface. */
type Cleaner = 'wheel-cleaner' | 'degreaser';

/** A cleaner on a wheel, tyre or arch: laid on, worked with a brush where there is one, left to work; or why it is not used. */
export interface CleanerPlan {
  readonly purpose: Cleaner;
  readonly ml: number;
  readonly seconds: number;
  readonly dwellS: number;
  /** Its label wants it rinsed off. */
  readonly rinses: boolean;
  /** Share of the dirt that it takes off before the towel comes. */
  readonly takes: number;
  readonly left: CareLeft | null;
  /** Warmest wheel for it, °C. */
  readonly mostC: number;
}

function leftFor(
  purpose: Cleaner,
  soiled: SoiledZone,
  flushed: Flushed,
  mostC: number,
  context: PlanningContext,
): CareLeft | null {
  const { panel, zone } = soiled;
  const recipe = context.recipes[purpose]!;
  if (recipe.product.notOnSurfaces.includes(zone.surface)) return 'surface';
  if (panel.panelC > mostC) return 'too-warm';
  if (!recipe.use.inSun && isInSun(soiled, context)) return 'in-sun';
  return recipe.use.rinseAfter && !canRinseOff(soiled, flushed) ? 'no-rinse' : null;
}

/** What a cleaner does on a wheel, tyre or arch; null where there is none, or no dirt that is worth it. */
export function cleanerOn(soiled: SoiledZone, flushed: Flushed, context: PlanningContext): CleanerPlan | null {
  const { zone } = soiled;
  const { a, recipes } = context;
  // An engine bay gets a foam at most.
  if (zone.cleanliness < cleanlinessOf.faces || zone.id === 'engine-bay') return null;
  const purpose = zone.surface === 'wheel-finish' ? 'wheel-cleaner' : 'degreaser';
  const recipe = recipes[purpose];
  if (!recipe || flushed.loadGm2 < a.cleanerFrom) return null;
  const mostC = recipe.product.maxPanelC ?? a.cleanerMaxC;
  const left = leftFor(purpose, soiled, flushed, mostC, context);
  const areaM2 = left === null ? zone.areaM2 : 0;
  return {
    purpose,
    ml: (recipe.use.mLPerM2 ?? a.cleanerFilm) * areaM2,
    seconds: a.cleanerRate * areaM2,
    dwellS: left === null ? (recipe.use.dwellS ?? a.cleanerDwell) : 0,
    rinses: left === null && recipe.use.rinseAfter,
    takes: left === null ? a.cleanerTakes * (brushOn(zone, context) ? 1 : a.cleanerUnbrushed) : 0,
    left,
    mostC,
  };
}
