import { isFromBucket } from '../mix';
import type { Job, VehicleMethod } from '../model';
import type { Plan } from '../planning';
import { contextOf } from '../rules';
import type { DayMend } from './mends';
import type { DayLeg, DayPlan } from './plan-day';

/** What is left in a vessel of one car and does for the next, mL. */
interface CarriedMix {
  readonly productName: string;
  readonly ml: number;
}

/** A leg without its plan, for a list or a picture. */
export interface LegBrief extends Omit<DayLeg, 'visit'> {
  readonly method: VehicleMethod | null;
  /** Of the roof, or of the warmest panel where there is none, °C; null for a break. */
  readonly panelC: number | null;
  readonly carried: readonly CarriedMix[];
}

export interface DayBrief extends Omit<DayPlan, 'legs'> {
  readonly legs: readonly LegBrief[];
}

export interface MendBrief extends Omit<DayMend, 'plan'> {
  readonly plan: Omit<DayPlan, 'legs'>;
}

type Mixes = Plan['mix']['mixes'];

function panelC(job: Job): number {
  const { zones } = contextOf(job);
  return (
    zones.find(({ zone }) => zone.id === 'roof')?.panel.panelC ?? Math.max(...zones.map(({ panel }) => panel.panelC))
  );
}

/** A sprayer stays clean; a bucket only where no towel goes back into it. */
const staysClean = ({ content }: Mixes[number], { choices }: Job): boolean =>
  content !== 'rinse' && (!isFromBucket(content) || choices.bucket === 'many-towels');

/** What is left of a car's mixes and is what the next one takes: the same product for the same purpose, as strong, and clean. */
function carriedOn(before: { readonly job: Job; readonly plan: Plan }, next: Plan): readonly CarriedMix[] {
  return before.plan.mix.mixes.flatMap((mix): CarriedMix[] => {
    const left = Math.max(0, mix.makeMl + mix.haveMl - mix.demandMl);
    const same = next.mix.mixes.find(
      (one) =>
        one.content === mix.content &&
        one.productName === mix.productName &&
        one.strength?.waterParts === mix.strength?.waterParts,
    );
    if (!mix.productName || !same || left < 1 || !staysClean(mix, before.job)) return [];
    return [{ productName: mix.productName, ml: Math.min(left, same.makeMl) }];
  });
}

/** A day to be shown. */
export function briefDay({ legs, ...rest }: DayPlan): DayBrief {
  let before: DayLeg['visit'] = null;
  const shown = legs.map(({ visit, ...leg }): LegBrief => {
    const carried = visit && before ? carriedOn(before, visit.plan) : [];
    before = visit ?? before;
    return { ...leg, method: visit?.plan.method ?? null, panelC: visit && panelC(visit.job), carried };
  });
  return { legs: shown, ...rest };
}

export function briefMend({ change, plan: { legs: _legs, ...plan } }: DayMend): MendBrief {
  return { change, plan };
}
