import type { Assumptions } from '../assumptions';
import type { BugCover, MixPurpose } from '../model';
import type { CareLeft } from '../reasons';
import { type PlanningContext, type SoiledZone, isInSun } from './context';
import { type Flushed, canRinseOff } from './flushed';

/** Share of a panel under bug splatter. */
export function coverOf(bugs: BugCover | null, a: Assumptions): number {
  switch (bugs) {
    case 'few':
      return a.bugsFew;
    case 'many':
      return a.bugsMany;
    case 'covered':
      return a.bugsCovered;
    case null:
      return 0;
  }
}

/** Bug splatter on a panel: laid on, left to soften, lifted with the rest; or why it stays. */
export interface BugPlan {
  readonly cover: BugCover;
  /** Bug remover, or what the treatment lays anyway where there is none. */
  readonly purpose: MixPurpose;
  readonly rounds: 1 | 2;
  readonly ml: number;
  readonly seconds: number;
  readonly dwellS: number;
  /** Dirt that it adds to the panel, for the towels, g/m². */
  readonly soilGm2: number;
  /** A soft, lubricated brush may help. */
  readonly brush: boolean;
  /** Its label wants it rinsed off. */
  readonly rinses: boolean;
  readonly left: CareLeft | null;
  /** Warmest panel for it, °C. */
  readonly mostC: number;
}

/** Why bug remover is not used here and now; practice has no other limit where its label is silent. */
function leftFor(soiled: SoiledZone, flushed: Flushed, mostC: number, context: PlanningContext): CareLeft | null {
  const { zone, panel } = soiled;
  const { job, recipes } = context;
  if (!recipes.bugs) return null;
  const { product, use } = recipes.bugs;
  if (product.notOnSurfaces.includes(zone.surface)) return 'surface';
  if (zone.surface === 'paint' && product.notOnFinishes.includes(job.vehicle.finish)) return 'finish';
  if (panel.panelC > mostC) return 'too-warm';
  if (!use.inSun && isInSun(soiled, context)) return 'in-sun';
  return use.rinseAfter && !canRinseOff(soiled, flushed) ? 'no-rinse' : null;
}

/**
 * What is done about bug splatter before a panel is wiped; null where there is none.
 * @param under the mix that the treatment lays first: it softens them where there is no bug remover
 */
export function bugsOn(
  soiled: SoiledZone,
  under: MixPurpose,
  flushed: Flushed,
  context: PlanningContext,
): BugPlan | null {
  const { soil, zone } = soiled;
  const { a, recipes, job } = context;
  if (!soil.bugs) return null;
  const share = coverOf(soil.bugs, a);
  const mostC = recipes.bugs?.product.maxPanelC ?? a.bugsMaxC;
  const left = leftFor(soiled, flushed, mostC, context);
  const rounds = share > a.bugsTwiceFrom ? 2 : 1;
  const coveredM2 = left === null ? share * zone.areaM2 : 0;
  return {
    cover: soil.bugs,
    purpose: recipes.bugs ? 'bugs' : under,
    rounds,
    ml: rounds * (recipes.bugs?.use.mLPerM2 ?? a.bugsFilm) * coveredM2,
    seconds: rounds * a.bugsRate * coveredM2,
    dwellS: left === null ? rounds * (recipes.bugs?.use.dwellS ?? a.dwellInsects) : 0,
    soilGm2: left === null ? share * a.bugsSoil : 0,
    brush: job.choices.brush === 'lubricated' && zone.surface !== 'glass' && context.gear['detail-brush'] !== undefined,
    rinses: left === null && (recipes.bugs?.use.rinseAfter ?? false),
    left,
    mostC,
  };
}
