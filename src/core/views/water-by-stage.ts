import { type Job } from '../model';
import type { Plan } from '../planning';
import type { Option } from '../rules';
import { isShampooed } from '../rules';

/** Stages of a wash in which water runs, in their order. */
const waterStages = ['pre-rinse', 'foam', 'rinse-foam', 'wash', 'rinse-off'] as const;
export type WaterStage = (typeof waterStages)[number];

/** What a stage lays on the car, and what of it runs off, L. */
export interface StageWater {
  readonly stage: WaterStage;
  readonly litres: number;
  readonly runoffL: number;
}

/** How often something is filled besides the first time. */
interface Refilled {
  readonly vessel: string;
  readonly fillings: number;
}

/** Water of a rinsing plan: where it goes, fillings, and what it takes out of batteries, minutes. */
export interface RinseWater {
  readonly stages: readonly StageWater[];
  readonly fillings: readonly Refilled[];
  readonly batteryMin: number;
  /** What the batteries of the van last, minutes; null on mains, or without any. */
  readonly batteriesLastMin: number | null;
}

type Amounts = Readonly<Record<WaterStage, { readonly ml: number; readonly runoffMl: number }>>;

/** Foam goes with its rinse, and what is left of the wash with the last one; what stands is for the towels. */
function amountsOf({ treatment, laidMl, rinsedMl, rinsedBeforeMl, runoffMl, moisture }: Option): Amounts {
  const water = laidMl.water + laidMl.supply + laidMl.line + laidMl.bay;
  const offMl = rinsedMl - rinsedBeforeMl;
  const foamMl = isShampooed(treatment) ? laidMl.foam : 0;
  const foamGone = rinsedBeforeMl > 0 ? rinsedBeforeMl + foamMl : 0;
  return {
    'pre-rinse': { ml: water - rinsedMl, runoffMl: runoffMl - moisture.runoffMl },
    foam: { ml: foamMl, runoffMl: 0 },
    'rinse-foam': { ml: rinsedBeforeMl, runoffMl: foamGone },
    wash: { ml: laidMl.shampoo, runoffMl: 0 },
    'rinse-off': { ml: offMl, runoffMl: rinsedMl > 0 ? Math.max(0, moisture.runoffMl - foamGone) : 0 },
  };
}

function lastsOf(gear: Job['gear']): number | null {
  const wands = gear.filter(({ kind }) => kind === 'cordless-wand');
  if (wands.length === 0 || wands.some(({ batteryMin }) => batteryMin === null)) return null;
  return wands.reduce((sum, { batteryMin }) => sum + batteryMin!, 0);
}

/** Litres by stage; null where nothing is rinsed. */
export function waterByStage({ gear }: Pick<Job, 'gear'>, { zones, mix }: Plan): RinseWater | null {
  const options = zones.flatMap(({ option }) => option ?? []);
  const amounts = options.map(amountsOf);
  const stages = waterStages.flatMap((stage): StageWater[] => {
    const [ml, runoffMl] = [
      amounts.reduce((sum, one) => sum + one[stage].ml, 0),
      amounts.reduce((sum, one) => sum + one[stage].runoffMl, 0),
    ];
    return ml > 1e-6 ? [{ stage, litres: ml / 1000, runoffL: runoffMl / 1000 }] : [];
  });
  if (!stages.some(({ stage }) => stage === 'pre-rinse' || stage === 'rinse-off')) return null;
  return {
    stages,
    fillings: mix.mixes.flatMap(({ vessel, fills }) =>
      fills.length > 1 ? [{ vessel: vessel.name, fillings: fills.length }] : [],
    ),
    batteryMin: options.reduce((sum, { usage }) => sum + usage.batteryMin, 0),
    batteriesLastMin: lastsOf(gear),
  };
}
