import type { AssumptionKey } from '../assumptions';
import { type MixPurpose, type SpotKind, spotKinds } from '../model';
import type { SpotLeft } from '../reasons';
import { type PlanningContext, type SoiledZone, isInSun } from './context';

/** Pre-treatment of the spots of one kind on a zone, or why they stay. */
export interface SpotPlan {
  readonly kind: SpotKind;
  readonly count: number;
  /** What is laid on them. */
  readonly purpose: MixPurpose;
  readonly ml: number;
  readonly seconds: number;
  /** Before they are lifted. */
  readonly dwellS: number;
  readonly left: SpotLeft | null;
}

interface SpotRule {
  readonly seconds: AssumptionKey;
  readonly dwell: AssumptionKey;
  /** Sap and tar take a solvent; droppings soften under the mix of the zone. */
  readonly solvent: boolean;
}

/** In the order in which they are seen to: what etches first, what smears last. */
const rules: Readonly<Record<SpotKind, SpotRule>> = {
  droppings: { seconds: 'secondsDroppings', dwell: 'dwellDroppings', solvent: false },
  sap: { seconds: 'secondsSap', dwell: 'dwellSap', solvent: true },
  tar: { seconds: 'secondsTar', dwell: 'dwellTar', solvent: true },
};

const spotOrder = Object.keys(rules) as readonly SpotKind[];

function solventLeft(soiled: SoiledZone, context: PlanningContext): SpotLeft | null {
  const { zone, panel } = soiled;
  const { job, recipes, a } = context;
  const product = recipes.solvent?.product;
  if (!product) return 'no-product';
  if (product.notOnSurfaces.includes(zone.surface)) return 'surface';
  if (zone.surface === 'paint' && product.notOnFinishes.includes(job.vehicle.finish)) return 'finish';
  if (isInSun(soiled, context)) return 'in-sun';
  return panel.panelC > Math.min(a.solventMaxC, product.maxPanelC ?? Infinity) ? 'too-warm' : null;
}

const leftOf = (kind: SpotKind, soiled: SoiledZone, context: PlanningContext): SpotLeft | null => {
  if (kind === 'droppings' && context.job.choices.droppings === 'never') return 'habit';
  return rules[kind].solvent ? solventLeft(soiled, context) : null;
};

const none: readonly SpotPlan[] = [];

/**
 * What is done about the spots of a zone before it is wiped.
 * @param under the mix that the treatment lays first
 */
export function spotsOn(soiled: SoiledZone, under: MixPurpose, context: PlanningContext): readonly SpotPlan[] {
  const { spots } = soiled.soil;
  if (!spotKinds.some((kind) => spots[kind])) return none;
  const { a } = context;
  return spotOrder.flatMap((kind): SpotPlan[] => {
    const count = spots[kind] ?? 0;
    if (count === 0) return [];
    const rule = rules[kind];
    const left = leftOf(kind, soiled, context);
    const done = left === null ? count : 0;
    return [
      {
        kind,
        count,
        purpose: rule.solvent ? 'solvent' : under,
        ml: done * a.spotMl,
        seconds: done * a[rule.seconds],
        dwellS: left === null ? a[rule.dwell] : 0,
        left,
      },
    ];
  });
}

/** Kinds work one after the other, each with its own dwell: what is longest waits for nobody. */
export const spotDwellS = (spots: readonly SpotPlan[]): number => Math.max(0, ...spots.map(({ dwellS }) => dwellS));

export const spotSeconds = (spots: readonly SpotPlan[]): number => spots.reduce((sum, { seconds }) => sum + seconds, 0);
