import type { Content } from '../mix';
import { type Bottled, type GearKind, type Job, flushes, partsOf } from '../model';
import type { Plan } from '../planning';
import { flushRules } from '../rules';
import { afterwards } from './afterwards';

/** What is brought onto a site and used there. */
interface UsedThere {
  readonly purpose: Content | Bottled;
  readonly name: string;
  /** Parts of water to one of it; null as it is sold. */
  readonly waterParts: number | null;
  readonly productMl: number;
  readonly safety: string;
}

/** What the people of a site want to know before a car is washed there. */
export interface SiteSheet {
  readonly products: readonly UsedThere[];
  readonly litres: number;
  /** Off the car in all; nothing of it leaves the mat where it is caught. */
  readonly runoffL: number;
  readonly isCaught: boolean;
  /** Taken away again, with what stays in buckets. */
  readonly wasteL: number;
  /** Of the loudest gear that is used, at the operator; null where none makes a noise. */
  readonly noiseDb: number | null;
  readonly beginHour: number;
  readonly minutes: number;
}

/** Kinds of powered gear that the plan takes into the hand. */
function gearIn(plan: Plan): ReadonlySet<GearKind> {
  const used = new Set<GearKind>();
  for (const { treatment, option } of plan.zones) {
    if (treatment === 'leave') continue;
    const flush = flushes.find((one) => one === partsOf(treatment).flush)!;
    const { gear } = flushRules[flush];
    if (gear) used.add(gear);
    if (option?.blown) used.add('blower');
  }
  return used;
}

/** A job by its plan, for whoever answers for the place. */
export function siteSheet(job: Job, plan: Plan): SiteSheet {
  const safetyOf = (name: string): string => job.products.find((product) => product.name === name)?.safety ?? '';
  const mixed = plan.mix.mixes.flatMap(({ content, productName, productMl, strength }): UsedThere[] =>
    productName && productMl > 0 && content !== 'rinse'
      ? [
          {
            purpose: content,
            name: productName,
            waterParts: strength?.waterParts ?? null,
            productMl,
            safety: safetyOf(productName),
          },
        ]
      : [],
  );
  const bottled = plan.bottles.map(({ purpose, productName, productMl, strength }): UsedThere => ({
    purpose,
    name: productName,
    waterParts: strength?.waterParts ?? null,
    productMl,
    safety: safetyOf(productName),
  }));
  const used = gearIn(plan);
  const loud = job.gear
    .filter(({ kind }) => used.has(kind))
    .map(({ noiseDb }) => noiseDb)
    .filter((db) => db > 0);
  const { waste } = afterwards(job, plan);
  return {
    products: [...mixed, ...bottled],
    litres: plan.totals.litres.value,
    runoffL: plan.totals.runoffL.value,
    isCaught: job.site.runoff === 'captured',
    wasteL: waste.bucketsL + waste.capturedL,
    noiseDb: loud.length > 0 ? Math.max(...loud) : null,
    beginHour: job.hour,
    minutes: plan.slot.value,
  };
}
