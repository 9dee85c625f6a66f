import type { Assumptions } from '../assumptions';
import { brushOn } from './brush';
import { kitsFor } from './available-treatments';
import { lazy, recent } from '../cache';
import { type Working, cleanlinessOf, partsOf } from '../model';
import { totalLoad, type Load } from '../soil';
import { runoffOf } from '../surface';
import { type Moisture, type TowelNeed, ONE_TOWEL_FROM, careNeed, moistureOf, sidesFor, towelNeeds } from '../towel';
import { type Micrometres, gPerM2, um } from '../units';
import { contactOn } from './contact-on';
import { type ContactRule, type Contacted, contactRules } from './contacts';
import { type PlanningContext, type SoiledZone, oncePerSharedContext } from './context';
import { productCost, weightedCost } from './cost';
import { type Drying, dryingOf, finishingOf, sectionsOf } from './drying-window';
import { cutsOf } from './reach';
import { type Flushed, flushedFor } from './flushed';
import { type RinseAmount, flushRules } from './flushes';
import { dirtGates, rinsedFirst, withAirFirst, withRinseFirst } from './dirt-limit';
import { filmGates, laidOnto, standingGates } from './gates';
import { isBody } from './limit';
import { marringIndex, sensitivityOf } from './marring';
import { type Laid, type Option, type Shut, type ZoneOptions, emptyLaid, vectorOf } from './option';
import { restOf } from './remaining-work';
import { type BugPlan, bugsOn } from './bugs';
import { type CarePlan, careOn, isWhileDrying } from './care';
import { type CleanerPlan, cleanerOn } from './cleaner';
import { type PassRinse, loadsAfterFoam, passRinseOf, wetAfterRinse } from './rinse-off';
import { type SpotPlan, spotSeconds, spotsOn } from './spots';
import type { BegunZone } from './start-state';
import { usageOf } from './usage';
import { type WorkSeconds, pieceSeconds } from './work-seconds';
import { loosenedBy } from './treatment';

/** What is done on a zone besides the contact itself. */
interface Extras {
  readonly spots: readonly SpotPlan[];
  readonly bugs: BugPlan | null;
  readonly cleaner: CleanerPlan | null;
  readonly care: CarePlan | null;
  readonly rinse: PassRinse;
}

const rinsedMl = ({ beforeUm, offUm }: PassRinse, areaM2: number): number => (beforeUm + offUm) * areaM2;

function laidOn(
  soiled: SoiledZone,
  flushed: Flushed,
  contact: Contacted,
  { spots, bugs, cleaner, care, rinse }: Extras,
  context: PlanningContext,
): Laid {
  const { areaM2 } = soiled.zone;
  const laid = emptyLaid();
  if (flushed.flush.source) laid[flushed.flush.source] = flushed.filmUm * areaM2 + rinsedMl(rinse, areaM2);
  laid.degreaser += flushed.injectedMl;
  for (const { purpose, film } of contact.layers) laid[purpose] += film * areaM2;
  for (const { purpose, ml } of [...spots, ...(bugs ? [bugs] : []), ...(cleaner ? [cleaner] : [])]) laid[purpose] += ml;
  if (care) laid[care.use] += care.ml;
  laid.glass += glassFilm(soiled, context) * areaM2;
  return laid;
}

/** Film of a dedicated glass finish, where the approach asks for one and there is a product. */
const glassFilm = ({ zone }: SoiledZone, { a, job, recipes }: PlanningContext): number =>
  zone.surface === 'glass' && job.choices.glass !== 'first' && recipes.glass ? a.glassFilm : 0;

/** With its own cleaner right after the roof, it is finished in its pass. */
const glassInPass = ({ job }: PlanningContext): boolean => job.choices.glass === 'first-own';

function workOn(
  soiled: SoiledZone,
  flushed: Flushed,
  contact: Contacted,
  loadGm2: number,
  { spots, bugs, cleaner, care, rinse }: Extras,
  context: PlanningContext,
): WorkSeconds {
  const { a } = context;
  const { areaM2, cleanliness } = soiled.zone;
  const byPiece = pieceSeconds(soiled.zone, loadGm2, a);
  const sprayS = contact.sprayRate * areaM2;
  const piece = byPiece !== undefined && brushOn(soiled.zone, context) ? byPiece * a.rateBrush : byPiece;
  const wipeS = piece === undefined ? contact.wipeRate * areaM2 : Math.max(0, piece - sprayS);
  // The gun is laid down while somebody wipes; what the boiler needs beyond that is waited for.
  const recoveryS =
    flushed.flush.gear === 'steamer' ? a.takeUpS + Math.max(0, a.steamRecovery * flushed.seconds - wipeS) : 0;
  return {
    flush: flushed.seconds + recoveryS,
    pretreat: spotSeconds(spots) + (bugs?.seconds ?? 0) + (cleaner?.seconds ?? 0),
    spray: sprayS,
    // What goes by the piece has its wetting in it.
    wipe: wipeS,
    rinseBefore: rinse.beforeS,
    rinseOff: rinse.offS,
    finish:
      piece === undefined && cleanliness <= cleanlinessOf.shuts
        ? contact.finishRate * areaM2 +
          (care && isWhileDrying(care.use) ? care.seconds : 0) +
          (glassInPass(context) && glassFilm(soiled, context) > 0 ? a.rateGlassFinish * areaM2 : 0)
        : 0,
    glass: !glassInPass(context) && glassFilm(soiled, context) > 0 ? a.rateGlassFinish * areaM2 : 0,
    protect: care && !isWhileDrying(care.use) ? care.seconds : 0,
  };
}

/** What a treatment on a zone takes: by hand, in liquids and in towels. */
interface Handled extends Extras {
  readonly contact: Contacted;
  /** What the wash meets. */
  readonly loads: readonly Load[];
  readonly filmUm: Micrometres;
  readonly laidMl: Laid;
  readonly moisture: Moisture;
  readonly drying: Drying;
  readonly work: WorkSeconds;
  readonly needs: readonly TowelNeed[];
}

/** Where the liquid on a zone goes, with the rinse water that stands there still; spots and a glass finish have their own. */
function moistureOn(
  { zone, panel }: SoiledZone,
  { standsUm }: Flushed,
  filmUm: Micrometres,
  { contact, rinse }: Pick<Handled, 'contact' | 'rinse'>,
  drying: Drying,
  a: Assumptions,
): Moisture {
  const { areaM2, cleanliness } = zone;
  const rinsedUm = rinse.beforeUm + rinse.offUm;
  const allUm = standsUm + filmUm + rinsedUm;
  // What is rinsed off takes the mix along: only water stands there.
  if (rinsedUm > 0)
    return moistureOf({
      laidMl: allUm * areaM2,
      runoffMl: Math.max(0, allUm - rinse.standsUm) * areaM2,
      washTakes: 0,
      airTakesMl: 0,
    });
  return moistureOf({
    laidMl: allUm * areaM2,
    runoffMl: runoffOf(allUm, panel.holdUpUm, areaM2, a),
    washTakes: cleanliness >= ONE_TOWEL_FROM ? 0 : contact.mediumTakes,
    airTakesMl: drying.lossUmPerS * drying.wetS * areaM2,
  });
}

/** What is between hand and panel when the wipe begins: the mix on what a rinse has left, without what has dried by then. */
function filmAtWipe(
  soiled: SoiledZone,
  { standsUm }: Flushed,
  filmUm: number,
  { dwellS, rinses, layers }: Contacted,
  { lossUmPerS }: Drying,
  context: PlanningContext,
): Micrometres {
  const { panel } = soiled;
  // Foam is off by then: the mitt brings its own on the water that stands there.
  if (rinses === 'between') return um(wetAfterRinse(soiled, 0, context) + layers.at(-1)!.film);
  return um(Math.max(0, Math.min(standsUm + filmUm, Math.max(panel.holdUpUm, filmUm)) - lossUmPerS * dwellS));
}

/** With what a cleaner has taken off. */
const cleanedBy = (flushed: Flushed, takes: number): Flushed =>
  takes === 0
    ? flushed
    : {
        ...flushed,
        loads: flushed.loads.map(({ kind, loadGm2 }) => ({ kind, loadGm2: gPerM2(loadGm2 * (1 - takes)) })),
        loadGm2: gPerM2(flushed.loadGm2 * (1 - takes)),
      };

/** A drying aid goes onto the towel that dries. */
const withDryingAid = (needs: readonly TowelNeed[], ml: number): readonly TowelNeed[] =>
  ml === 0
    ? needs
    : needs.map((need) =>
        need.use === 'wash' || need.moment === 'glass' ? need : { ...need, liquidMl: need.liquidMl + ml },
      );

function handled(
  soiled: SoiledZone,
  rinsed: Flushed,
  rule: ContactRule,
  context: PlanningContext,
  dries?: Drying,
): Handled {
  const { areaM2, cleanliness } = soiled.zone;
  const cleaner = cleanerOn(soiled, rinsed, context);
  const flushed = cleanedBy(rinsed, cleaner?.takes ?? 0);
  const contact = contactOn(soiled, rule, flushed, context);
  const spots = spotsOn(soiled, contact.layers[0]!.purpose, flushed, context);
  const bugs = bugsOn(soiled, contact.layers[0]!.purpose, flushed, context);
  const care = careOn(soiled, laidOnto(flushed, rule, context), context);
  const rinse = passRinseOf(
    soiled,
    flushed,
    contact,
    [...spots, cleaner, bugs].some((one) => one?.rinses),
    context,
  );
  const extras: Extras = { spots, bugs, cleaner, care, rinse };
  const loads = loadsAfterFoam(flushed.loads, flushed.flush, rinse.beforeUm, context);
  const loadGm2 = totalLoad(loads);
  const filmUm = um(contact.layers.reduce((sum, layer) => sum + layer.film, 0));
  const drying = dries ?? dryingOf(soiled, flushed, contact, context);
  const moisture = moistureOn(soiled, flushed, filmUm, { contact, rinse }, drying, context.a);
  const glassMl = glassFilm(soiled, context) * areaM2;
  const work = workOn(soiled, flushed, contact, loadGm2, extras, context);
  const driedLater = work.finish > 0 && finishingOf(contact, context) !== 'in-pass';
  return {
    contact,
    ...extras,
    loads,
    filmUm,
    moisture,
    drying,
    laidMl: laidOn(soiled, flushed, contact, extras, context),
    work,
    needs: [
      ...withDryingAid(
        towelNeeds(
          {
            areaM2,
            cleanliness,
            loadGm2: gPerM2(loadGm2 + (bugs?.soilGm2 ?? 0)),
            moisture,
            glassMl,
            glassInPass: glassInPass(context),
            driedLater,
          },
          contact,
          context.roles,
          context.job.choices.glassTowels,
          context.a,
        ),
        care && isWhileDrying(care.use) ? care.ml : 0,
      ),
      ...(care && work.protect > 0 ? [careNeed(soiled.zone, care.ml, context.roles, context.a)] : []),
    ],
  };
}

/** What a planned treatment takes on its zone when that is dirtier or cleaner than planned; it dries as planned. */
export const takenBy = (
  soiled: SoiledZone,
  { treatment, drying, rinse }: Option,
  context: PlanningContext,
): Pick<Handled, 'laidMl' | 'work' | 'needs'> =>
  handled(
    soiled,
    flushedFor(soiled, context)(treatment, rinse),
    contactRules[partsOf(treatment).contact],
    context,
    drying,
  );

const washSidesOf = (needs: readonly TowelNeed[], { typicalTowel, a }: PlanningContext): number =>
  needs
    .filter(({ use }) => use === 'wash')
    .reduce((sum, need) => sum + (typicalTowel[need.role] ? sidesFor(need, typicalTowel[need.role]!, a) : 0), 0);

/** One treatment on one zone that nothing standing forbids, or that is asked about all the same. */
function workedOut(
  soiled: SoiledZone,
  treatment: Working,
  flushed: Flushed,
  rule: ContactRule,
  standing: Option['gates'],
  context: PlanningContext,
): Option {
  const { a, job } = context;
  const { areaM2, surface, cleanliness } = soiled.zone;
  const { contact, spots, bugs, cleaner, care, rinse, loads, filmUm, laidMl, moisture, drying, work, needs } = handled(
    soiled,
    flushed,
    rule,
    context,
  );
  const wipedUm = filmAtWipe(soiled, flushed, filmUm, contact, drying, context);
  const marring = marringIndex(
    {
      loads,
      film: wipedUm,
      encapsulation: contact.encapsulation,
      pressure: contact.pressure,
      sideLoading: a.sideLoading,
      sensitivity: sensitivityOf(surface, job.vehicle, a),
    },
    a,
  );
  const runoffMl = flushed.runoffMl + moisture.runoffMl;
  const usage = usageOf(laidMl, runoffMl, work, needs, context);
  const gated = { contact, filmUm, runoffMl: moisture.runoffMl, index: marring.index, drying };
  return {
    treatment,
    rinse: flushed.amount,
    rinseLM2: flushed.filmUm / 1000,
    ofBody: isBody(soiled.zone),
    kits: kitsFor(treatment),
    gates: [
      ...standing,
      ...filmGates(soiled, flushed, gated, context),
      ...dirtGates(soiled, flushed, treatment, context),
    ],
    marring,
    loadBeforeGm2: soiled.soil.totalGm2,
    loadAfterFlushGm2: flushed.loadGm2,
    filmUm,
    dwellS: contact.dwellS,
    finishing: work.finish > 0 ? finishingOf(contact, context) : 'in-pass',
    drying,
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
    standsMl: flushed.standsUm * areaM2,
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

/** One treatment with one amount of rinse, and whether anything that stands forbids it. */
interface Variant {
  readonly treatment: Working;
  readonly amount: RinseAmount;
  readonly flushed: Flushed;
  readonly rule: ContactRule;
  readonly standing: Option['gates'];
}

/** A panel that is not warm is not cooled. */
const isNeedless = ({ panel }: SoiledZone, treatment: Working, { a, job }: PlanningContext): boolean =>
  loosenedBy(treatment) === 'mist' &&
  panel.panelC <= a.mistFromC &&
  !Object.values(job.choices.fixed).includes(treatment);

function variantsOn(soiled: SoiledZone, context: PlanningContext): readonly Variant[] {
  const after = flushedFor(soiled, context);
  return context.treatments
    .filter((treatment) => !isNeedless(soiled, treatment, context))
    .flatMap((treatment) => {
      const { flush, contact } = partsOf(treatment);
      const rule = contactRules[contact];
      return flushRules[flush].amounts.map((amount): Variant => {
        const flushed = after(treatment, amount);
        return { treatment, amount, flushed, rule, standing: standingGates(soiled, flushed, rule, context) };
      });
    });
}

const workOut = (
  soiled: SoiledZone,
  { treatment, flushed, rule, standing }: Variant,
  context: PlanningContext,
): Option => workedOut(soiled, treatment, flushed, rule, standing, context);

/** Of one treatment the amount of rinse that is open and costs least; where none is, the one that the fewest things forbid. */
function bestAmounts(options: readonly Option[]): readonly Option[] {
  const best = new Map<Working, Option>();
  for (const option of options) {
    const known = best.get(option.treatment);
    if (
      !known ||
      option.gates.length < known.gates.length ||
      (option.gates.length === known.gates.length && option.cost < known.cost)
    )
      best.set(option.treatment, option);
  }
  return [...best.values()];
}

/** Every treatment on offer on one zone, worked out in full with the best amount of rinse, and with everything that forbids it. */
export const optionsOn = (soiled: SoiledZone, context: PlanningContext): readonly Option[] =>
  bestAmounts(variantsOn(soiled, context).map((variant) => workOut(soiled, variant, context)));

/** Nothing forbids this treatment on the zone, with one amount of rinse or another. */
export const isOpen = (soiled: SoiledZone, treatment: Working, context: PlanningContext): boolean =>
  variantsOn(soiled, { ...context, treatments: [treatment] }).some(
    (variant) => variant.standing.length === 0 && workOut(soiled, variant, context).gates.length === 0,
  );

interface Sorted extends Omit<ZoneOptions, 'zoneId' | 'explain'> {
  readonly explain: () => readonly Option[];
}

/** Another amount of rinse does the same and takes no more of anything. */
const isBeaten = (option: Option, all: readonly Option[]): boolean =>
  all.some(
    (other) =>
      other !== option &&
      other.treatment === option.treatment &&
      other.cost <= option.cost &&
      other.use.every((use, b) => use <= option.use[b]!) &&
      (other.cost < option.cost || all.indexOf(other) < all.indexOf(option)),
  );

/** What may be chosen on a zone; what anything forbids is only worked out as far as that. */
function sorted(soiled: SoiledZone, context: PlanningContext): Sorted {
  const [open, shut]: [Option[], Map<Working, Shut>] = [[], new Map()];
  const forbid = (one: Shut): void => {
    const known = shut.get(one.treatment);
    if (!known || one.gates.length < known.gates.length) shut.set(one.treatment, one);
  };
  for (const variant of variantsOn(soiled, context)) {
    if (variant.standing.length > 0) {
      forbid({ treatment: variant.treatment, gates: variant.standing });
      continue;
    }
    const option = workOut(soiled, variant, context);
    if (option.gates.length > 0) forbid(option);
    else open.push(option);
  }
  const options = open.filter((option) => !isBeaten(option, open));
  const forbidden = [...shut.values()].filter(
    ({ treatment }) => !options.some((option) => option.treatment === treatment),
  );
  const crackles = rinsedFirst(soiled, context);
  const may = crackles ? withRinseFirst(options, crackles) : withAirFirst(soiled, options, context);
  return { options: may.options, shut: [...forbidden, ...may.shut], explain: lazy(() => optionsOn(soiled, context)) };
}

/** Zones with their soil that are kept: a car, and what was painted on it of late. */
const KEPT = 120;

/** Left and right are mirror images: where they are equally dirty and equally warm, one is worked out for both. */
const sortKey = ({ zone, soil, panel }: SoiledZone): string =>
  `${zone.id.replace(/^right-/, 'left-')}/${panel.sunWm2}/${panel.panelC}/${JSON.stringify(soil)}`;

const sorting = oncePerSharedContext(() => recent(KEPT, sortKey, sorted));

/** What may be chosen on every zone, begun or not. */
export function zoneOptions(context: PlanningContext): readonly ZoneOptions[] {
  const sort = sorting(context);
  return context.zones.map((soiled) => {
    const { id: zoneId } = soiled.zone;
    const begun = context.begun.zones.get(zoneId);
    const may = sort(soiled, context);
    return { zoneId, ...may, options: begun ? goingOn(may, begun, context) : may.options };
  });
}

/**
 * A zone that is begun goes on as it was begun. Where that is forbidden by now, what is not wiped
 * yet is done another way; where all is wiped, it has to be finished whatever the gates say.
 */
function goingOn({ options, explain }: Sorted, begun: BegunZone, context: PlanningContext): readonly Option[] {
  const all = options.filter(({ treatment }) => treatment === begun.treatment);
  const same = all.find(({ rinse }) => rinse === begun.rinse) ?? all[0];
  if (same) return [restOf(same, begun, context)];
  const other = { ...begun, done: { ...begun.done, flush: 0 }, wet: [] };
  const whatever = begun.done.wipe >= 1 ? explain().filter(({ treatment }) => treatment === begun.treatment) : options;
  return whatever.map((option) => restOf(option, other, context));
}
