import type { Assumptions } from '../assumptions';
import { lazy, recent } from '../cache';
import { type Working, partsOf } from '../model';
import { runoffOf } from '../surface';
import { type Moisture, type TowelNeed, moistureOf, ONE_TOWEL_FROM, towelNeeds } from '../towel';
import { type Micrometres, um } from '../units';
import { isBrushed, contactOn } from './contact-on';
import { type ContactRule, type Contacted, contactRules } from './contacts';
import { type PlanningContext, type SoiledZone, oncePerSharedContext } from './context';
import { productCost, weightedCost } from './cost';
import { type Drying, driedLater, dryingOf, sectionsOf } from './drying-window';
import { cutsOf } from './reach';
import { type Flushed, flushedFor } from './flushed';
import { filmGates, standingGates } from './gates';
import { marringIndex, sensitivityOf } from './marring';
import { type Laid, type Option, type Shut, type ZoneOptions, emptyLaid, vectorOf } from './option';
import { restOf } from './remaining-work';
import { type SpotPlan, spotSeconds, spotsOn } from './spots';
import type { BegunZone } from './start-state';
import { usageOf } from './usage';
import { type WorkSeconds, pieceSeconds } from './work-seconds';

const PAINTED_OR_GLASS = 3;

function laidOn(soiled: SoiledZone, flushed: Flushed, contact: Contacted, spots: readonly SpotPlan[], context: PlanningContext): Laid {
  const { areaM2 } = soiled.zone;
  const laid = emptyLaid();
  if (flushed.flush.source) laid[flushed.flush.source] = flushed.filmUm * areaM2;
  for (const { purpose, film } of contact.layers) laid[purpose] += film * areaM2;
  for (const { purpose, ml } of spots) laid[purpose] += ml;
  laid.glass += glassFilm(soiled, context) * areaM2;
  return laid;
}

/** Film of a dedicated glass finish, where the school asks for one and there is a product. */
const glassFilm = ({ zone }: SoiledZone, { a, job, recipes }: PlanningContext): number =>
  zone.surface === 'glass' && job.choices.glass === 'last' && recipes.glass ? a.glassFilm : 0;

function workOn(
  soiled: SoiledZone,
  flushed: Flushed,
  contact: Contacted,
  spots: readonly SpotPlan[],
  context: PlanningContext,
): WorkSeconds {
  const { a } = context;
  const { areaM2, cleanliness } = soiled.zone;
  const byPiece = pieceSeconds(soiled.zone, flushed.loadGm2, a);
  const piece = byPiece !== undefined && isBrushed(soiled, context) ? byPiece * a.rateBrush : byPiece;
  return {
    flush: flushed.seconds,
    pretreat: spotSeconds(spots),
    spray: piece === undefined ? contact.sprayRate * areaM2 : 0,
    wipe: piece ?? contact.wipeRate * areaM2,
    finish: piece === undefined && cleanliness <= PAINTED_OR_GLASS ? contact.finishRate * areaM2 : 0,
    glass: glassFilm(soiled, context) > 0 ? a.rateGlassFinish * areaM2 : 0,
  };
}

/** What a treatment on a zone takes: by hand, in liquids and in towels. */
interface Handled {
  readonly contact: Contacted;
  readonly spots: readonly SpotPlan[];
  readonly filmUm: Micrometres;
  readonly laidMl: Laid;
  readonly moisture: Moisture;
  readonly drying: Drying;
  readonly work: WorkSeconds;
  readonly needs: readonly TowelNeed[];
}

/** Where the sprayed and wiped liquid goes; spots and a glass finish have their own. */
function moistureOn({ zone, panel }: SoiledZone, filmUm: Micrometres, contact: Contacted, drying: Drying, a: Assumptions): Moisture {
  const { areaM2, cleanliness } = zone;
  return moistureOf({
    laidMl: filmUm * areaM2,
    runoffMl: runoffOf(filmUm, panel.holdUpUm, areaM2, a),
    washTakes: cleanliness >= ONE_TOWEL_FROM ? 0 : contact.mediumTakes,
    airTakesMl: drying.lossUmPerS * drying.wetS * areaM2,
  });
}

function handled(soiled: SoiledZone, flushed: Flushed, rule: ContactRule, context: PlanningContext, dries?: Drying): Handled {
  const { areaM2, cleanliness } = soiled.zone;
  const { loadGm2 } = flushed;
  const contact = contactOn(soiled, rule, loadGm2, context);
  const spots = spotsOn(soiled, contact.layers[0]!.purpose, context);
  const filmUm = um(contact.layers.reduce((sum, layer) => sum + layer.film, 0));
  const drying = dries ?? dryingOf(soiled, flushed, contact, context);
  const moisture = moistureOn(soiled, filmUm, contact, drying, context.a);
  const glassMl = glassFilm(soiled, context) * areaM2;
  return {
    contact,
    spots,
    filmUm,
    moisture,
    drying,
    laidMl: laidOn(soiled, flushed, contact, spots, context),
    work: workOn(soiled, flushed, contact, spots, context),
    needs: towelNeeds({ areaM2, cleanliness, loadGm2, moisture, glassMl }, contact, context.roles, context.a),
  };
}

/** What a planned treatment takes on its zone when that is dirtier or cleaner than planned; it dries as planned. */
export const takenBy = (
  soiled: SoiledZone,
  { treatment, drying }: Option,
  context: PlanningContext,
): Pick<Handled, 'laidMl' | 'work' | 'needs'> =>
  handled(soiled, flushedFor(soiled, context)(treatment), contactRules[partsOf(treatment).contact], context, drying);

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
  const { loads, loadGm2 } = flushed;
  const { contact, spots, filmUm, laidMl, moisture, drying, work, needs } = handled(soiled, flushed, rule, context);
  const marring = marringIndex(
    {
      loads,
      film: filmUm,
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
    kits: [...rule.kits, ...flushed.flush.kits],
    gates: [...standing, ...filmGates(soiled, flushed, gated, context)],
    marring,
    loadBeforeGm2: soiled.soil.totalGm2,
    loadAfterFlushGm2: loadGm2,
    filmUm,
    dwellS: contact.dwellS,
    driedLater: driedLater(contact, context),
    drying,
    sections: sectionsOf(soiled.zone, drying, cutsOf(soiled.zone, job.vehicle.dimensions.lengthM, a)),
    rest: null,
    spots,
    medium: cleanliness >= ONE_TOWEL_FROM ? 'towel' : contact.medium,
    laidMl,
    moisture,
    runoffMl,
    work,
    needs,
    usage,
    use: vectorOf(usage),
    cost: weightedCost(areaM2, marring.index, usage, productCost(laidMl, context), context),
  };
}

/** Every treatment on offer on one zone, worked out in full, with everything that forbids it. */
export function optionsOn(soiled: SoiledZone, context: PlanningContext): readonly Option[] {
  const after = flushedFor(soiled, context);
  return context.treatments.map((treatment) => {
    const rule = contactRules[partsOf(treatment).contact];
    const standing = standingGates(soiled, after(treatment), rule, context);
    return workedOut(soiled, treatment, after(treatment), rule, standing, context);
  });
}

/** Nothing forbids this treatment on the zone. */
export function isOpen(soiled: SoiledZone, treatment: Working, context: PlanningContext): boolean {
  const after = flushedFor(soiled, context)(treatment);
  const rule = contactRules[partsOf(treatment).contact];
  const standing = standingGates(soiled, after, rule, context);
  return standing.length === 0 && workedOut(soiled, treatment, after, rule, standing, context).gates.length === 0;
}

interface Sorted extends Omit<ZoneOptions, 'zoneId' | 'explain'> {
  readonly explain: () => readonly Option[];
}

/** What may be chosen on a zone; what anything forbids is only worked out as far as that. */
function sorted(soiled: SoiledZone, context: PlanningContext): Sorted {
  const after = flushedFor(soiled, context);
  const [options, shut]: [Option[], Shut[]] = [[], []];
  for (const treatment of context.treatments) {
    const rule = contactRules[partsOf(treatment).contact];
    const gates = standingGates(soiled, after(treatment), rule, context);
    if (gates.length > 0) {
      shut.push({ treatment, gates });
      continue;
    }
    const option = workedOut(soiled, treatment, after(treatment), rule, gates, context);
    if (option.gates.length > 0) shut.push(option);
    else options.push(option);
  }
  return { options, shut, explain: lazy(() => optionsOn(soiled, context)) };
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
  const same = options.find(({ treatment }) => treatment === begun.treatment);
  if (same) return [restOf(same, begun, context)];
  const other = { ...begun, done: { ...begun.done, flush: 0 }, wet: [] };
  const whatever = begun.done.wipe >= 1 ? explain().filter(({ treatment }) => treatment === begun.treatment) : options;
  return whatever.map((option) => restOf(option, other, context));
}
