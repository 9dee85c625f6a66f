import type { Working } from '../model';
import type { RinseAmount } from './flushes';
import type { ContactRule } from './contacts';
import { brushOn } from './brush';
import { kitsFor } from './available-treatments';
import { type Load } from '../soil';
import { type TowelNeed, ONE_TOWEL_FROM, sidesFor } from '../towel';
import { type PlanningContext, type SoiledZone } from './context';
import { productCost, weightedCost } from './cost';
import { finishingOf, sectionsOf } from './drying-window';
import { cutsOf } from './reach';
import { type Flushed } from './flushed';
import { dirtGates } from './dirt-limit';
import { filmGates } from './gates';
import { isBody, limitOn } from './limit';
import { type Marring, marringIndex, sensitivityOf } from './marring';
import { type Option, vectorOf } from './option';
import { usageOf } from './usage';
import { type Part, type PartWet, filmAtWipe, meanIn } from './part-wet';
import { handled, rinsedMl } from './handled';

/** One treatment with one amount of rinse, and whether anything that stands forbids it. */
export interface Variant {
  readonly treatment: Working;
  readonly amount: RinseAmount;
  readonly flushed: Flushed;
  readonly rule: ContactRule;
  readonly standing: Option['gates'];
}

const washSidesOf = (needs: readonly TowelNeed[], { typicalTowel, a }: PlanningContext): number =>
  needs
    .filter(({ use }) => use === 'wash')
    .reduce((sum, need) => sum + (typicalTowel[need.role] ? sidesFor(need, typicalTowel[need.role]!, a) : 0), 0);

/** How risky the wipe of one part is. */
const marringOn = (
  { zone }: SoiledZone,
  loads: readonly Load[],
  { contact, wipedUm }: Pick<PartWet, 'contact' | 'wipedUm'>,
  { a, job }: PlanningContext,
): Marring =>
  marringIndex(
    {
      loads,
      film: wipedUm,
      encapsulation: contact.encapsulation,
      pressure: contact.pressure,
      sideLoading: a.sideLoading,
      sensitivity: sensitivityOf(zone.surface, job.vehicle, a),
    },
    a,
  );

/** Halvings of the time within which a film gets too thin. */
const HALVINGS = 10;

/** Seconds after the spray within which the film that is left keeps the index within its limit. */
function wipeWithinS(
  soiled: SoiledZone,
  flushed: Flushed,
  loads: readonly Load[],
  { contact, drying }: PartWet,
  context: PlanningContext,
): number {
  const limit = limitOn(soiled.zone, context);
  const isWithin = (soakS: number): boolean =>
    marringOn(soiled, loads, { contact, wipedUm: filmAtWipe(soiled, flushed, contact, soakS, context) }, context)
      .index <= limit;
  const mostS = Math.min(drying.windowS, drying.openS ?? Infinity);
  if (mostS === Infinity || contact.sprayRate === 0 || isWithin(mostS)) return Infinity;
  let [within, over] = [0, mostS];
  for (let i = 0; i < HALVINGS && within < over; i++) {
    const middle = (within + over) / 2;
    if (isWithin(middle)) within = middle;
    else over = middle;
  }
  return within;
}

/** One treatment on one zone that nothing standing forbids, or that is asked about all the same. */
export function workedOut(
  soiled: SoiledZone,
  { treatment, flushed, rule, standing }: Omit<Variant, 'amount'>,
  context: PlanningContext,
  inParts: readonly Part[] = [{ flushed }],
): Option {
  const { a, job } = context;
  const { areaM2, cleanliness } = soiled.zone;
  const { contact, spots, bugs, cleaner, care, rinse, loads, filmUm, laidMl, moisture, drying, work, needs, parts } =
    handled(soiled, inParts, rule, context);
  const marring = parts
    .map((part) => marringOn(soiled, loads, part, context))
    .reduce((p, q) => (q.index > p.index ? q : p));
  const runoffMl = meanIn(inParts, (part) => part.flushed.runoffMl) + moisture.runoffMl;
  const usage = usageOf(laidMl, runoffMl, work, needs, context);
  const gated = { contact, filmUm, runoffMl: moisture.runoffMl, index: marring.index, drying };
  const gates = [
    ...standing,
    ...filmGates(soiled, flushed, gated, context),
    ...dirtGates(soiled, flushed, treatment, context),
  ];
  return {
    treatment,
    rinse: flushed.amount,
    rinseLM2: flushed.filmUm / 1000,
    ofBody: isBody(soiled.zone),
    kits: kitsFor(treatment),
    gates,
    marring,
    loadBeforeGm2: soiled.soil.totalGm2,
    loadAfterFlushGm2: flushed.loadGm2,
    filmUm,
    dwellS: contact.dwellS,
    finishing: work.finish > 0 ? finishingOf(contact, context) : 'in-pass',
    drying,
    waits: inParts.flatMap(({ waits }) => waits ?? []),
    settleS: flushed.settleS,
    wipeWithinS: gates.length > 0 ? Infinity : wipeWithinS(soiled, inParts[0]!.flushed, loads, parts[0]!, context),
    atTurn: work.flush > 0 && (drying.freezeS !== null || flushed.staysBy || flushed.atTurn),
    inPass: flushed.atTurn,
    sections: sectionsOf(soiled.zone, drying, cutsOf(soiled.zone, job.vehicle.dimensions.lengthM, a), context),
    rest: null,
    spots,
    bugs,
    cleaner,
    brush: brushOn(soiled.zone, context),
    care,
    rinsedMl: rinsedMl(rinse, areaM2),
    rinsedBeforeMl: rinse.beforeUm * areaM2,
    medium: cleanliness >= ONE_TOWEL_FROM ? 'towel' : contact.medium,
    laidMl,
    standsMl: meanIn(inParts, ({ flushed: { standsUm } }) => standsUm) * areaM2,
    blown: flushed.blown || rinse.blown,
    moisture,
    runoffMl,
    work,
    needs,
    washSides: washSidesOf(needs, context),
    usage,
    use: vectorOf(usage),
    cost: weightedCost(areaM2, marring.index, usage, productCost(laidMl, context), context),
  };
}
