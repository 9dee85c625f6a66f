import { type Assumptions, resolveAssumptions } from '../assumptions';
import { type Content, type Mix, isFromBucket } from '../mix';
import { type Job, towelRoles } from '../model';
import type { Plan } from '../planning';
import { choicesOf } from '../rules';
import { type LaundryGroup, type Soak, type UsedTowel, groupOf, laundryGroups, soakFor, weightKg } from '../towel';

export interface LaundryLoad extends Soak {
  readonly group: LaundryGroup;
  readonly towels: number;
  readonly kg: number;
}

/** Poured away; good for the next car today, as an open bucket does not keep; or kept in a closed sprayer. */
type Keeping =
  { readonly kind: 'dirty' } | { readonly kind: 'today' } | { readonly kind: 'days'; readonly days: number };

/** What is left of a filling, and whether it can be kept. */
export interface LeftOver {
  readonly content: Content;
  readonly ml: number;
  readonly keeping: Keeping;
}

export interface Afterwards {
  readonly laundry: readonly LaundryLoad[];
  readonly leftOvers: readonly LeftOver[];
  /** Dirty water to take to a lawful drain, in parts, L. */
  readonly waste: { readonly bucketsL: number; readonly capturedL: number; readonly soakL: number };
}

/** All that were opened, in this plan or before it. */
function usedTowels({ towels, begun }: Plan): readonly Pick<UsedTowel, 'role' | 'batchId'>[] {
  const before = begun.towels.map(({ batch }) => ({ role: batch.role, batchId: batch.id }));
  return [...before, ...towels.filter((towel) => !towel.begun)];
}

function laundryOf(plan: Plan, job: Job): readonly LaundryLoad[] {
  const a = resolveAssumptions(job.choices.assumptions);
  const kgOf = (batchId: string): number => {
    const batch = job.towels.find(({ id }) => id === batchId) ?? job.towels[0];
    return batch ? weightKg(batch) : 0;
  };
  return laundryGroups.flatMap((group): LaundryLoad[] => {
    const roles = towelRoles.filter((role) => groupOf[role] === group);
    const own = usedTowels(plan).filter(({ role }) => roles.includes(role));
    if (own.length === 0) return [];
    const kg = own.reduce((sum, { batchId }) => sum + kgOf(batchId), 0);
    return [{ group, towels: own.length, kg, ...soakFor(kg, a) }];
  });
}

/** A medium that is rinsed leaves its grit in the wash and in the rinse; where none goes back, the wash stays clean. */
function keepingOf({ content, vessel }: Mix, job: Job, a: Assumptions): Keeping {
  const dirty = content === 'rinse' || (isFromBucket(content) && choicesOf(job).bucket !== 'many-towels');
  if (dirty) return { kind: 'dirty' };
  return vessel.kind === 'bucket' ? { kind: 'today' } : { kind: 'days', days: a.keepsDays };
}

const leftOversOf = ({ mix }: Plan, job: Job): readonly LeftOver[] => {
  const a = resolveAssumptions(job.choices.assumptions);
  return mix.mixes.map((one) => ({
    content: one.content,
    ml: Math.max(0, one.leftoverMl),
    keeping: keepingOf(one, job, a),
  }));
};

/** What there is to do when the car is done: soak and wash towels, take dirty water away, keep what keeps. */
export function afterwards(job: Job, plan: Plan): Afterwards {
  const laundry = laundryOf(plan, job);
  const leftOvers = leftOversOf(plan, job);
  const poured = leftOvers.filter(({ keeping }) => keeping.kind === 'dirty');
  return {
    laundry,
    leftOvers,
    waste: {
      bucketsL: poured.reduce((sum, { ml }) => sum + ml, 0) / 1000,
      capturedL: job.site.runoff === 'captured' ? plan.totals.runoffL.value : 0,
      soakL: laundry.reduce((sum, { soakL }) => sum + soakL, 0),
    },
  };
}
