import type { Assumptions } from '../assumptions';
import { brushOn } from './brush';
import { kitsFor } from './available-treatments';
import { lazy, recent } from '../cache';
import { type Working, cleanlinessOf, partsOf } from '../model';
import type { Gate } from '../reasons';
import { totalLoad, type Load } from '../soil';
import { runoffOf } from '../surface';
import { type Moisture, type TowelNeed, ONE_TOWEL_FROM, careNeed, moistureOf, sidesFor, towelNeeds } from '../towel';
import { type Micrometres, gPerM2, um } from '../units';
import { contactOn } from './contact-on';
import { type ContactRule, type Contacted, contactRules } from './contacts';
import { type PlanningContext, type SoiledZone, oncePerSharedContext } from './context';
import { productCost, weightedCost } from './cost';
import { type Drying, dryingOf, finishingOf, firstFilm, sectionsOf } from './drying-window';
import { cutsOf } from './reach';
import { type Flushed, flushedFor, isRinsedTooSoon, rinsedInPass } from './flushed';
import { type RinseAmount, flushRules } from './flushes';
import { dirtGates, rinsedFirst, withAirFirst, withRinseFirst } from './dirt-limit';
import { filmGates, laidOnto, standingGates } from './gates';
import { isBody, limitOn } from './limit';
import { type Marring, marringIndex, sensitivityOf } from './marring';
import { type Laid, type Option, type Shut, type ZoneOptions, emptyLaid, vectorOf } from './option';
import { restOf } from './remaining-work';
import { type BugPlan, bugsOn } from './bugs';
import { type CarePlan, careOn, isWhileDrying } from './care';
import { type CleanerPlan, cleanerOn } from './cleaner';
import { type PassRinse, loadsAfterFoam, passRinseOf } from './rinse-off';
import { type SpotPlan, spotSeconds, spotsOn } from './spots';
import { type BegunZone, secondsSince } from './start-state';
import { usageOf } from './usage';
import type { Waits } from './waits';
import { type WorkSeconds, pieceSeconds } from './work-seconds';
import { contactOf, loosenedBy } from './treatment';

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

/** A part of a zone when hands come: what its rinse has left, and how long each thing waits by the clock. */
interface Part {
  readonly flushed: Flushed;
  readonly waits?: Waits;
}

/** What happens to the liquid on one part. */
interface PartWet {
  readonly contact: Contacted;
  readonly drying: Drying;
  readonly rinse: PassRinse;
  readonly moisture: Moisture;
  readonly wipedUm: Micrometres;
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
  readonly parts: readonly PartWet[];
}

/** All films of a contact, µm. */
const filmOf = ({ layers }: Contacted): Micrometres => um(layers.reduce((sum, { film }) => sum + film, 0));

/** What the air takes from the spray to the finish: of what was sprayed until the hand comes, and of what that lays. */
function airTakesUm(
  { panel }: SoiledZone,
  flushed: Flushed,
  contact: Contacted,
  soakS: number,
  handS: number,
  { carriedC }: PlanningContext,
): number {
  const { firstUm, firstC } = firstFilm(flushed, contact, carriedC);
  const takes = (seconds: number): number => panel.later(firstUm, firstC, seconds, flushed.panelC).airUm;
  if (contact.layers.length === 1) return takes(soakS + handS);
  return takes(soakS) + panel.later(contact.layers.at(-1)!.film, carriedC, handS).airUm;
}

/** Where the liquid on a part goes, with the rinse water that stands there still; spots and a glass finish have their own. */
function moistureOn(
  { zone, panel }: SoiledZone,
  { standsUm }: Flushed,
  contact: Contacted,
  rinse: PassRinse,
  airUm: number,
  a: Assumptions,
): Moisture {
  const { areaM2, cleanliness } = zone;
  const rinsedUm = rinse.beforeUm + rinse.offUm;
  const allUm = standsUm + filmOf(contact) + rinsedUm;
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
    airTakesMl: airUm * areaM2,
  });
}

/** What is between hand and panel when the wipe begins: what is left of the spray on what a rinse has left, and what the hand brings. */
function filmAtWipe(
  { panel }: SoiledZone,
  flushed: Flushed,
  contact: Contacted,
  soakS: number,
  { carriedC }: PlanningContext,
): Micrometres {
  const { rinses, layers } = contact;
  // Foam is off by then: the mitt brings its own on the water that stands there.
  if (rinses === 'between') return um(panel.waterHeld(0) + layers.at(-1)!.film);
  const { firstUm, firstC } = firstFilm(flushed, contact, carriedC);
  const brought = layers.slice(1).reduce((sum, { film }) => sum + film, 0);
  const left = panel.later(firstUm, firstC, soakS, flushed.panelC).filmUm;
  return um(Math.min(left + brought, Math.max(panel.holdUpUm, filmOf(contact))));
}

const moistureKeys = ['laidMl', 'runoffMl', 'washMl', 'evaporatedMl', 'finishMl'] as const;

/** Of a zone whose parts are of one size. */
const meanIn = <T>(parts: readonly T[], of: (part: T) => number): number =>
  parts.reduce((sum, part) => sum + of(part), 0) / parts.length;

const meanOf = (parts: readonly Moisture[]): Moisture =>
  parts.length === 1
    ? parts[0]!
    : (Object.fromEntries(moistureKeys.map((key) => [key, meanIn(parts, (one) => one[key])])) as Record<
        (typeof moistureKeys)[number],
        number
      >);

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
  rinsed: readonly Part[],
  rule: ContactRule,
  context: PlanningContext,
  dries?: Drying,
): Handled {
  const { areaM2, cleanliness } = soiled.zone;
  const [first] = rinsed as readonly [Part, ...Part[]];
  const cleaner = cleanerOn(soiled, first.flushed, context);
  const flushed = cleanedBy(first.flushed, cleaner?.takes ?? 0);
  const contact = contactOn(soiled, rule, flushed, context);
  const spots = spotsOn(soiled, contact.layers[0]!.purpose, flushed, context);
  const bugs = bugsOn(soiled, contact.layers[0]!.purpose, flushed, context);
  const care = careOn(soiled, laidOnto(flushed, rule, context), context);
  const cleaned = [...spots, cleaner, bugs].some((one) => one?.rinses);
  const rinse = passRinseOf(soiled, flushed, contact, cleaned, first.waits?.offS, context);
  const extras: Extras = { spots, bugs, cleaner, care, rinse };
  const loads = loadsAfterFoam(flushed.loads, flushed.flush, rinse.beforeUm, context);
  const loadGm2 = totalLoad(loads);
  const glassMl = glassFilm(soiled, context) * areaM2;
  const work = workOn(soiled, flushed, contact, loadGm2, extras, context);
  const perM2 = { sprayRate: work.spray / areaM2, wipeRate: work.wipe / areaM2, finishRate: work.finish / areaM2 };
  const parts = rinsed.map(({ flushed: own, waits }): PartWet => {
    const touch =
      own === first.flushed ? contact : contactOn(soiled, rule, cleanedBy(own, cleaner?.takes ?? 0), context);
    const drying = dries ?? dryingOf(soiled, own, touch, context, perM2);
    const soakS = waits?.soakS ?? drying.sectionSoakS;
    const handS = waits?.handS ?? drying.sectionHandS;
    const off = waits ? passRinseOf(soiled, own, touch, cleaned, waits.offS, context) : rinse;
    return {
      contact: touch,
      drying,
      rinse: off,
      moisture: moistureOn(soiled, own, touch, off, airTakesUm(soiled, own, touch, soakS, handS, context), context.a),
      wipedUm: filmAtWipe(soiled, own, touch, soakS, context),
    };
  });
  const moisture = meanOf(parts.map((part) => part.moisture));
  const drying = parts.map((part) => part.drying).reduce((p, q) => (q.windowS < p.windowS ? q : p));
  const driedLater = work.finish > 0 && finishingOf(contact, context) !== 'in-pass';
  return {
    contact,
    ...extras,
    loads,
    filmUm: filmOf(contact),
    moisture,
    drying,
    parts,
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

/** A zone under a treatment as the clock has its parts, or as one part while there is no clock. */
const partsBy = (
  soiled: SoiledZone,
  { treatment, rinse, inPass }: Pick<Option, 'treatment' | 'rinse' | 'inPass'>,
  waits: readonly Waits[],
  context: PlanningContext,
): readonly Part[] => {
  const after = flushedFor(soiled, context);
  if (waits.length === 0) return [{ flushed: after(treatment, rinse) }];
  return waits.map((own) => ({
    flushed: after(treatment, rinse, { waitS: own.rinsedS, atTurn: inPass }),
    waits: own,
  }));
};

/** What a planned treatment takes on its zone when that is dirtier or cleaner than planned; it dries as planned. */
export const takenBy = (
  soiled: SoiledZone,
  option: Option,
  context: PlanningContext,
): Pick<Handled, 'laidMl' | 'work' | 'needs'> =>
  handled(
    soiled,
    partsBy(soiled, option, option.waits, context),
    contactRules[partsOf(option.treatment).contact],
    context,
    option.drying,
  );

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
function workedOut(
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

/**
 * A treatment as the clock has its parts, with what forbids it by then; in as many sections as it was planned in.
 * Of a zone that is begun it is what is left of that.
 */
export function clocked(soiled: SoiledZone, option: Option, waits: readonly Waits[], context: PlanningContext): Option {
  if (waits.length === 0) return option;
  const { treatment, sections, atTurn, rest } = option;
  const rule = contactRules[partsOf(treatment).contact];
  const parts = partsBy(soiled, option, waits, context);
  const [flushed] = parts.map((part) => part.flushed).sort((p, q) => q.panelC - p.panelC) as [Flushed];
  const standing = standingGates(soiled, flushed, rule, context);
  const all = { ...workedOut(soiled, { treatment, flushed, rule, standing }, context, parts), atTurn };
  if (!rest) return { ...all, sections };
  const left = restOf({ ...all, sections: rest.of }, rest.begun, context);
  return { ...left, sections, gates: all.gates.filter((gate) => !isPast(gate, all, rest.begun)) };
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
      return flushRules[flush].amounts.flatMap((amount): Variant[] => {
        const first = after(treatment, amount);
        const inPass = rinsedInPass(soiled, first, context).map((coming) => after(treatment, amount, coming));
        return [...(isRinsedTooSoon(soiled, first, context) ? [] : [first]), ...inPass].map((flushed) => ({
          treatment,
          amount,
          flushed,
          rule,
          standing: standingGates(soiled, flushed, rule, context),
        }));
      });
    });
}

const workOut = (soiled: SoiledZone, variant: Variant, context: PlanningContext): Option =>
  workedOut(soiled, variant, context);

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

const sorting = oncePerSharedContext(() =>
  recent(
    KEPT,
    (soiled: SoiledZone, { rinsedS }: PlanningContext) =>
      `${sortKey(soiled)}/${JSON.stringify(rinsedS.get(soiled.zone.id))}`,
    sorted,
  ),
);

/** What may be chosen on every zone, begun or not. */
export function zoneOptions(context: PlanningContext): readonly ZoneOptions[] {
  const sort = sorting(context);
  return context.zones.map((soiled) => {
    const { id: zoneId } = soiled.zone;
    const begun = context.begun.zones.get(zoneId);
    const may = sort(soiled, context);
    return { zoneId, ...may, options: begun ? goingOn(soiled, may, begun, context) : may.options };
  });
}

/** Nothing is to be laid on it any more. */
const isLaid = ({ wet, places }: BegunZone): boolean => wet.length === places.length;

/** What forbids to lay something forbids nothing where that lies already; what forbids to wipe it, nothing where that is done. */
function isPast(gate: Gate, { treatment }: Pick<Option, 'treatment'>, begun: BegunZone): boolean {
  if (begun.places.length === 0) return true;
  if (!isLaid(begun)) return false;
  switch (gate.code) {
    case 'index-over-limit':
    case 'wiped-dry':
    case 'dirt-limit':
    case 'rinse-first':
    case 'blow-first':
    case 'foam-first':
      return false;
    // What the hand brings is not there yet.
    case 'no-product':
      return gate.purpose === contactOf(treatment).sprays;
    default:
      return true;
  }
}

/** The treatment that a zone was begun with, as it was begun. */
function asBegun(soiled: SoiledZone, begun: BegunZone, context: PlanningContext): Option {
  const { treatment, rinse, inPass, rinsedAt, done } = begun;
  const rule = contactRules[partsOf(treatment).contact];
  const sinceS = rinsedAt === null || done.flush === 0 ? null : secondsSince(rinsedAt, context.begun);
  const roundS = context.rinsedS.get(soiled.zone.id)?.roundS ?? 0;
  const coming =
    sinceS !== null
      ? { waitS: Math.max(sinceS, roundS), atTurn: inPass }
      : inPass
        ? { waitS: null, atTurn: true }
        : undefined;
  const flushed = flushedFor(soiled, context)(treatment, rinse, coming);
  const standing = standingGates(soiled, flushed, rule, context);
  return workedOut(soiled, { treatment, flushed, rule, standing }, context);
}

/** The zone for another treatment: it is rinsed as that one asks, and what is wet stays wet where that sprays the same and does not rinse. */
function forAnother(begun: BegunZone, { treatment }: Option): BegunZone {
  const isSame =
    partsOf(treatment).flush === 'none' && contactOf(treatment).sprays === contactOf(begun.treatment).sprays;
  return { ...begun, done: { ...begun.done, flush: 0 }, wet: isSame ? begun.wet : [] };
}

/**
 * A zone that is begun goes on as it was begun. Where that is forbidden by now, what is not wiped yet is done another
 * way; what is laid is wiped, and what is wiped is finished, whatever the gates say of laying it.
 */
function goingOn(soiled: SoiledZone, { options, shut }: Sorted, begun: BegunZone, context: PlanningContext): Option[] {
  const same = asBegun(soiled, begun, context);
  const others = options.some(({ treatment }) => treatment === begun.treatment)
    ? []
    : (shut.find(({ treatment }) => treatment === begun.treatment)?.gates ?? []);
  const gates = [...same.gates, ...others].filter((gate) => !isPast(gate, same, begun));
  if (gates.length === 0) return [{ ...restOf(same, begun, context), gates }];
  return options.map((option) => restOf(option, forAnother(begun, option), context));
}
