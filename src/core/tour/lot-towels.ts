import { resolveAssumptions } from '../assumptions';
import { type Job, type Lot, type TowelBatch, type TowelRole, towelRoles } from '../model';
import { type Plan, wipingsOf } from '../planning';
import { choicesOf } from '../rules';
import { type OpenTowel, type UsedTowel, type Wiping, sidesUsed, towelLedger } from '../towel';

/** The first batch of each role, as many of it as are asked for. */
const boundless = (jobs: readonly Job[]): readonly TowelBatch[] =>
  towelRoles.flatMap((role) => {
    const batch = jobs.flatMap(({ towels }) => towels).find((one) => one.role === role);
    return batch ? [{ ...batch, clean: Infinity }] : [];
  });

/** What dries or finishes washed paint and glass is clean on the sides that are left. */
const staysClean = (role: TowelRole): boolean => role === 'finish' || role === 'drying' || role === 'glass';

/** A towel after a car: the next one begins with a clean side of it, as long as it has one. */
function afterCar(
  { number, worker, role, batchId, wetted, rewetAfter, demoted, sides }: UsedTowel,
  old: OpenTowel | undefined,
  batches: readonly TowelBatch[],
  rules: Pick<Job['choices'], 'soakedSides'>,
): OpenTowel | undefined {
  const batch = old?.batch ?? batches.find(({ id }) => id === batchId);
  const last = sides.at(-1);
  if (!batch || !last) return undefined;
  const all = sidesUsed(batch, wetted, rules);
  const used = demoted && !staysClean(role) ? all : Math.min(all, Math.max(...sides.map((side) => side.number)));
  return {
    number,
    worker,
    batch,
    used,
    left: all - used,
    partial: 0,
    leastClass: staysClean(role) ? 0 : last.cleanliness,
    wetted,
    rewet: (old?.rewet ?? false) || rewetAfter !== null,
    slot: last.slot,
  };
}

/** In each hand stays what it held last. */
const inHands = (towels: readonly OpenTowel[]): readonly OpenTowel[] =>
  towels.map((towel, i) => {
    const isLast = !towels.slice(i + 1).some(({ worker, slot }) => worker === towel.worker && slot === towel.slot);
    return isLast ? towel : { ...towel, slot: null };
  });

/** Towels of one person, car after car: role, and the car at which each is opened. */
function openedBy(
  cars: readonly { readonly car: number; readonly wipings: readonly Wiping[] }[],
  batches: readonly TowelBatch[],
  job: Job,
): readonly { readonly role: TowelRole; readonly car: number }[] {
  const [rules, a] = [choicesOf(job), resolveAssumptions(job.choices.assumptions)];
  let open: ReadonlyMap<number, OpenTowel> = new Map();
  return cars.flatMap(({ car, wipings }) => {
    const begun = inHands([...open.values()].filter(({ left }) => left > 0));
    const towels = towelLedger([wipings], batches, rules, a, begun);
    const now = towels.flatMap((towel): [number, OpenTowel][] => {
      const after = afterCar(towel, open.get(towel.number), batches, rules);
      return after ? [[towel.number, after]] : [];
    });
    // What was used last comes last.
    open = new Map([...[...open].filter(([number]) => !now.some(([other]) => other === number)), ...now]);
    return towels.flatMap(({ role, begun: isOpen }) => (isOpen ? [] : [{ role, car }]));
  });
}

/** Towels through each person’s hands from the first car to the last: role, and the car at which each is opened. */
export function openedTowels(
  { people, classes }: Pick<Lot, 'people' | 'classes'>,
  plans: readonly Plan[],
  cars: readonly { readonly of: number; readonly person: number }[],
): readonly { readonly role: TowelRole; readonly car: number }[] {
  const own = plans.map((plan) => {
    const options = new Map(plan.zones.map(({ zone, option }) => [zone.id, option]));
    return wipingsOf(plan.timeline, 1, (zoneId) => options.get(zoneId)?.needs ?? [])[0] ?? [];
  });
  const [first] = classes;
  if (!first) return [];
  const batches = boundless(classes.map(({ job }) => job));
  return Array.from({ length: people }, (_, person) =>
    cars.flatMap((car, i) => (car.person === person ? [{ car: i, wipings: own[car.of] ?? [] }] : [])),
  ).flatMap((row) => openedBy(row, batches, first.job));
}
