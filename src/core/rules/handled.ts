import { brushOn } from './brush';
import { cleanlinessOf, partsOf } from '../model';
import { totalLoad, type Load } from '../soil';
import { type Moisture, type TowelNeed, careNeed, towelNeeds } from '../towel';
import { type Micrometres, gPerM2 } from '../units';
import { contactOn } from './contact-on';
import { type ContactRule, type Contacted, contactRules } from './contacts';
import { type PlanningContext, type SoiledZone } from './context';
import { type Drying, dryingOf, finishingOf } from './drying-window';
import { type Flushed, flushedFor } from './flushed';
import { laidOnto } from './gates';
import { type Laid, type Option, emptyLaid } from './option';
import { type BugPlan, bugsOn } from './bugs';
import { type CarePlan, careOn, isWhileDrying } from './care';
import { type CleanerPlan, cleanerOn } from './cleaner';
import { type PassRinse, loadsAfterFoam, passRinseOf } from './rinse-off';
import { type SpotPlan, spotSeconds, spotsOn } from './spots';
import type { Waits } from './waits';
import { type WorkSeconds, pieceSeconds } from './work-seconds';
import { type Part, type PartWet, airTakesUm, filmAtWipe, filmOf, meanOf, moistureOn } from './part-wet';

/** What is done on a zone besides the contact itself. */
interface Extras {
  readonly spots: readonly SpotPlan[];
  readonly bugs: BugPlan | null;
  readonly cleaner: CleanerPlan | null;
  readonly care: CarePlan | null;
  readonly rinse: PassRinse;
}

export const rinsedMl = ({ beforeUm, offUm }: PassRinse, areaM2: number): number => (beforeUm + offUm) * areaM2;

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
export interface Handled extends Extras {
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

export function handled(
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
  const spots = spotsOn(soiled, contact.layers[0].purpose, flushed, context);
  const bugs = bugsOn(soiled, contact.layers[0].purpose, flushed, context);
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
export const partsBy = (
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
