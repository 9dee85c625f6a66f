import type { Recipes } from '../mix';
import { type Gear, type GearKind, type Job, type Working, partsOf, workingTreatments } from '../model';
import { contactRules } from './contacts';
import { flushRules } from './flushes';
import { type Kit, kits } from './kit';
import { contactOf, isShampooed, loosenedBy } from './treatment';

/** What van and site offer. */
interface Place {
  readonly job: Job;
  readonly gear: GearAtHand;
  readonly recipes: Recipes;
}

/** The first piece of each kind of powered kit in the van. */
export type GearAtHand = Readonly<Partial<Record<GearKind, Gear>>>;

/** A pump foamer with something to foam: nobody is offered foam without. */
const foams = ({ job, recipes }: Place): boolean =>
  recipes.foam !== undefined && job.vessels.some(({ kind }) => kind === 'foam-sprayer');

function isAtHand(treatment: Working, place: Place): boolean {
  const { gear, source } = flushRules[partsOf(treatment).flush];
  if (gear && !place.gear[gear]) return false;
  if (source === 'bay' && !place.job.site.bay) return false;
  // Shampoo has to come off again: only with a rinse that runs.
  if (isShampooed(treatment) && !(place.recipes.shampoo && loosenedBy(treatment) === 'rinse')) return false;
  return contactOf(treatment).sprays !== 'foam' || foams(place);
}

/** Treatments that van and site have the kit for, and those that were fixed by hand all the same. */
export function availableTreatments(place: Place): readonly Working[] {
  const wanted = new Set(Object.values(place.job.choices.fixed));
  return workingTreatments.filter((treatment) => isAtHand(treatment, place) || wanted.has(treatment));
}

/** Stations that a treatment needs. */
export function kitsFor(treatment: Working): readonly Kit[] {
  const { flush, contact } = partsOf(treatment);
  return [...contactRules[contact].kits, ...flushRules[flush].kits];
}

/** Stations that some treatment on offer needs. */
export function kitsAtHand({ treatments }: { readonly treatments: readonly Working[] }): readonly Kit[] {
  const used = new Set(treatments.flatMap(kitsFor));
  return kits.filter((kit) => used.has(kit));
}

export const gearOf = ({ gear }: Job): GearAtHand =>
  Object.fromEntries([...gear].reverse().map((one): [Gear['kind'], Gear] => [one.kind, one]));
