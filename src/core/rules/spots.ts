import type { AssumptionKey } from '../assumptions';
import { type MixPurpose, type SpotKind, spotKinds } from '../model';
import type { SpotLeft } from '../reasons';
import { type PlanningContext, type SoiledZone, isInSun } from './context';
import { type Flushed, canRinseOff } from './flushed';

/** Pre-treatment of the spots of one kind on a zone, or why they stay. */
export interface SpotPlan {
  readonly kind: SpotKind;
  readonly count: number;
  /** Tar that is hard in the cold takes two goes. */
  readonly rounds: 1 | 2;
  /** What is laid on them. */
  readonly purpose: MixPurpose;
  readonly ml: number;
  readonly seconds: number;
  /** Before they are lifted. */
  readonly dwellS: number;
  /** A soft, lubricated brush may help: off paint and glass only. */
  readonly brush: boolean;
  /** The label of the product wants it rinsed off. */
  readonly rinses: boolean;
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

function solventLeft(soiled: SoiledZone, flushed: Flushed, context: PlanningContext): SpotLeft | null {
  const { zone, panel } = soiled;
  const { job, recipes, a } = context;
  if (!recipes.solvent) return 'no-product';
  const { product, use } = recipes.solvent;
  if (product.notOnSurfaces.includes(zone.surface)) return 'surface';
  if (zone.surface === 'paint' && product.notOnFinishes.includes(job.vehicle.finish)) return 'finish';
  if (!use.inSun && isInSun(soiled, context)) return 'in-sun';
  if (panel.panelC > Math.min(a.solventMaxC, product.maxPanelC ?? Infinity)) return 'too-warm';
  return use.rinseAfter && !canRinseOff(soiled, flushed) ? 'no-rinse' : null;
}

const leftOf = (kind: SpotKind, soiled: SoiledZone, flushed: Flushed, context: PlanningContext): SpotLeft | null => {
  if (kind === 'droppings' && context.job.choices.droppings === 'never') return 'habit';
  return rules[kind].solvent ? solventLeft(soiled, flushed, context) : null;
};

/** Trim, wheels and tyres; no brush on spots on paint or glass. */
const bearsBrush = ({ zone: { surface } }: SoiledZone, { job, gear }: PlanningContext): boolean =>
  surface !== 'paint' &&
  surface !== 'glass' &&
  job.choices.brush === 'lubricated' &&
  gear['detail-brush'] !== undefined;

const none: readonly SpotPlan[] = [];

/**
 * What is done about the spots of a zone before it is wiped.
 * @param under the mix that the treatment lays first
 */
export function spotsOn(
  soiled: SoiledZone,
  under: MixPurpose,
  flushed: Flushed,
  context: PlanningContext,
): readonly SpotPlan[] {
  const { spots } = soiled.soil;
  if (!spotKinds.some((kind) => spots[kind])) return none;
  const { a, recipes } = context;
  return spotOrder.flatMap((kind): SpotPlan[] => {
    const count = spots[kind] ?? 0;
    if (count === 0) return [];
    const rule = rules[kind];
    const left = leftOf(kind, soiled, flushed, context);
    const done = left === null ? count : 0;
    const rounds = kind === 'tar' && soiled.panel.panelC < a.tarSoftC ? 2 : 1;
    const use = rule.solvent ? recipes.solvent?.use : undefined;
    return [
      {
        kind,
        count,
        rounds,
        purpose: rule.solvent ? 'solvent' : under,
        ml: rounds * done * a.spotMl,
        seconds: rounds * done * a[rule.seconds],
        dwellS: left === null ? rounds * (use?.dwellS ?? a[rule.dwell]) : 0,
        brush: rule.solvent && bearsBrush(soiled, context),
        rinses: left === null && (use?.rinseAfter ?? false),
        left,
      },
    ];
  });
}

/** Kinds work one after the other, each with its own dwell: what is longest waits for nobody. */
export const spotDwellS = (spots: readonly SpotPlan[]): number => Math.max(0, ...spots.map(({ dwellS }) => dwellS));

export const spotSeconds = (spots: readonly SpotPlan[]): number => spots.reduce((sum, { seconds }) => sum + seconds, 0);
