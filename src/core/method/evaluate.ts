import type { Assumptions } from '../assumptions';
import { type Working, mixPurposes, partsOf } from '../model';
import { type WorkSeconds, pieceSeconds, totalWork } from '../schedule/work';
import { runoffOf } from '../surface';
import { type Moisture, ONE_TOWEL_FROM, type TowelNeed, moistureOf, sidesFor, sidesUsed, towelNeeds } from '../towel';
import { type Micrometres, um } from '../units';
import type { BegunZone } from './begun';
import type { Shut, ZoneOptions } from './choose';
import { type ContactRule, type Contacted, contactRules } from './contacts';
import { type Drying, driedLater, dryingOf, sectionsOf } from './drying-window';
import { type Flushed, flushedFor } from './flushed';
import { filmGates, standingGates } from './gates';
import { marringIndex, sensitivityOf } from './marring';
import { type Laid, type Option, type Usage, emptyLaid, vectorOf } from './option';
import { once } from './once';
import { productCost, weigh } from './reweigh';
import { recent } from '../recent';
import { restOf } from './rest';
import { type Scene, type SoiledZone, onGround } from './scene';
import { type SpotPlan, spotSeconds, spotsOn } from './spots';
import { isBrushed, touch } from './touch';

const PAINTED_OR_GLASS = 3;

function laidOn(soiled: SoiledZone, flushed: Flushed, contact: Contacted, spots: readonly SpotPlan[], scene: Scene): Laid {
  const { areaM2 } = soiled.zone;
  const laid = emptyLaid();
  if (flushed.flush.source) laid[flushed.flush.source] = flushed.filmUm * areaM2;
  for (const { purpose, film } of contact.layers) laid[purpose] += film * areaM2;
  for (const { purpose, ml } of spots) laid[purpose] += ml;
  laid.glass += glassFilm(soiled, scene) * areaM2;
  return laid;
}

/** Film of a dedicated glass finish, where the school asks for one and there is a product. */
const glassFilm = ({ zone }: SoiledZone, { a, job, recipes }: Scene): number =>
  zone.surface === 'glass' && job.choices.glass === 'last' && recipes.glass ? a.glassFilm : 0;

function workOn(
  soiled: SoiledZone,
  flushed: Flushed,
  contact: Contacted,
  spots: readonly SpotPlan[],
  scene: Scene,
): WorkSeconds {
  const { a } = scene;
  const { areaM2, cleanliness } = soiled.zone;
  const byPiece = pieceSeconds(soiled.zone, flushed.loadGm2, a);
  const piece = byPiece !== undefined && isBrushed(soiled, scene) ? byPiece * a.rateBrush : byPiece;
  return {
    flush: flushed.seconds,
    pretreat: spotSeconds(spots),
    spray: piece === undefined ? contact.sprayRate * areaM2 : 0,
    wipe: piece ?? contact.wipeRate * areaM2,
    finish: piece === undefined && cleanliness <= PAINTED_OR_GLASS ? contact.finishRate * areaM2 : 0,
    glass: glassFilm(soiled, scene) > 0 ? a.rateGlassFinish * areaM2 : 0,
  };
}

/** What liquids, hands and towels on a zone take of each budget. */
export function usageOf(
  laidMl: Laid,
  runoffMl: number,
  work: WorkSeconds,
  needs: readonly TowelNeed[],
  scene: Scene,
): Usage {
  const { a, job, recipes, typicalTowel } = scene;
  const usage = { litres: 0, runoffL: runoffMl / 1000, minutes: 0, batteryMin: 0, wash: 0, finish: 0, drying: 0, glass: 0, wheels: 0 };
  let litres = laidMl.water + laidMl.supply + laidMl.line;
  if (laidMl.supply > 0) usage.batteryMin = work.flush / 60;
  for (const purpose of mixPurposes) litres += laidMl[purpose] * (1 - (recipes[purpose]?.share ?? 0));
  usage.litres = (litres * a.wasteFactor) / 1000;
  usage.minutes = (totalWork(work) * (1 + a.walking)) / 60 / job.site.workers;
  for (const need of needs) {
    const batch = typicalTowel[need.role];
    // Without a towel of the role the zone cannot be wiped: more than any budget.
    usage[need.role] += batch ? sidesFor(need, batch, a) / sidesUsed(batch, need.soaked, job.choices) : 1e6;
  }
  return usage;
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

function handled(soiled: SoiledZone, flushed: Flushed, rule: ContactRule, scene: Scene, dries?: Drying): Handled {
  const { areaM2, cleanliness } = soiled.zone;
  const { loadGm2 } = flushed;
  const contact = touch(soiled, rule, loadGm2, scene);
  const spots = spotsOn(soiled, contact.layers[0]!.purpose, scene);
  const filmUm = um(contact.layers.reduce((sum, layer) => sum + layer.film, 0));
  const drying = dries ?? dryingOf(soiled, flushed, contact, scene);
  const moisture = moistureOn(soiled, filmUm, contact, drying, scene.a);
  const glassMl = glassFilm(soiled, scene) * areaM2;
  return {
    contact,
    spots,
    filmUm,
    moisture,
    drying,
    laidMl: laidOn(soiled, flushed, contact, spots, scene),
    work: workOn(soiled, flushed, contact, spots, scene),
    needs: towelNeeds({ areaM2, cleanliness, loadGm2, moisture, glassMl }, contact, scene.roles, scene.a),
  };
}

/** What a planned treatment takes on its zone when that is dirtier or cleaner than planned; it dries as planned. */
export const takenBy = (
  soiled: SoiledZone,
  { treatment, drying }: Option,
  scene: Scene,
): Pick<Handled, 'laidMl' | 'work' | 'needs'> =>
  handled(soiled, flushedFor(soiled, scene)(treatment), contactRules[partsOf(treatment).contact], scene, drying);

/** One treatment on one zone that nothing standing forbids, or that is asked about all the same. */
function workedOut(
  soiled: SoiledZone,
  treatment: Working,
  flushed: Flushed,
  rule: ContactRule,
  standing: Option['gates'],
  scene: Scene,
): Option {
  const { a, job } = scene;
  const { areaM2, surface, cleanliness } = soiled.zone;
  const { loads, loadGm2 } = flushed;
  const { contact, spots, filmUm, laidMl, moisture, drying, work, needs } = handled(soiled, flushed, rule, scene);
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
  const usage = usageOf(laidMl, runoffMl, work, needs, scene);
  const gated = { contact, filmUm, runoffMl: moisture.runoffMl, index: marring.index, drying };
  return {
    treatment,
    kits: [...rule.kits, ...flushed.flush.kits],
    gates: [...standing, ...filmGates(soiled, flushed, gated, scene)],
    marring,
    loadAfterFlushGm2: loadGm2,
    filmUm,
    dwellS: contact.dwellS,
    driedLater: driedLater(contact, scene),
    drying,
    sections: sectionsOf(soiled.zone, drying),
    spots,
    medium: cleanliness >= ONE_TOWEL_FROM ? 'towel' : contact.medium,
    laidMl,
    moisture,
    runoffMl,
    work,
    needs,
    usage,
    use: vectorOf(usage),
    cost: weigh(areaM2, marring.index, usage, productCost(laidMl, scene), scene),
  };
}

/** Every treatment on offer on one zone, worked out in full, with everything that forbids it. */
export function optionsOn(soiled: SoiledZone, scene: Scene): readonly Option[] {
  const after = flushedFor(soiled, scene);
  return scene.treatments.map((treatment) => {
    const rule = contactRules[partsOf(treatment).contact];
    const standing = standingGates(soiled, after(treatment), rule, scene);
    return workedOut(soiled, treatment, after(treatment), rule, standing, scene);
  });
}

/** Nothing forbids this treatment on the zone. */
export function isOpen(soiled: SoiledZone, treatment: Working, scene: Scene): boolean {
  const after = flushedFor(soiled, scene)(treatment);
  const rule = contactRules[partsOf(treatment).contact];
  const standing = standingGates(soiled, after, rule, scene);
  return standing.length === 0 && workedOut(soiled, treatment, after, rule, standing, scene).gates.length === 0;
}

interface Sorted extends Omit<ZoneOptions, 'zoneId' | 'argue'> {
  readonly argue: () => readonly Option[];
}

/** What may be chosen on a zone; what anything forbids is only worked out as far as that. */
function sorted(soiled: SoiledZone, scene: Scene): Sorted {
  const after = flushedFor(soiled, scene);
  const [options, shut]: [Option[], Shut[]] = [[], []];
  for (const treatment of scene.treatments) {
    const rule = contactRules[partsOf(treatment).contact];
    const gates = standingGates(soiled, after(treatment), rule, scene);
    if (gates.length > 0) {
      shut.push({ treatment, gates });
      continue;
    }
    const option = workedOut(soiled, treatment, after(treatment), rule, gates, scene);
    if (option.gates.length > 0) shut.push(option);
    else options.push(option);
  }
  return { options, shut, argue: once(() => optionsOn(soiled, scene)) };
}

/** Zones with their soil that are kept: a car, and what was painted on it of late. */
const KEPT = 120;

/** Left and right are mirror images: where they are equally dirty and equally warm, one is worked out for both. */
const sortKey = ({ zone, soil, panel }: SoiledZone): string =>
  `${zone.id.replace(/^right-/, 'left-')}/${panel.sunWm2}/${panel.panelC}/${JSON.stringify(soil)}`;

const sorting = onGround(() => recent(KEPT, sortKey, sorted));

/** What may be chosen on every zone, begun or not. */
export function zoneOptions(scene: Scene): readonly ZoneOptions[] {
  const sort = sorting(scene);
  return scene.zones.map((soiled) => {
    const { id: zoneId } = soiled.zone;
    const begun = scene.begun.zones.get(zoneId);
    const may = sort(soiled, scene);
    return { zoneId, ...may, options: begun ? goingOn(may, begun, scene) : may.options };
  });
}

/**
 * A zone that is begun goes on as it was begun. Where that is forbidden by now, what is not wiped
 * yet is done another way; where all is wiped, it has to be finished whatever the gates say.
 */
function goingOn({ options, argue }: Sorted, begun: BegunZone, scene: Scene): readonly Option[] {
  const same = options.find(({ treatment }) => treatment === begun.treatment);
  if (same) return [restOf(same, begun, scene)];
  const other = { ...begun, done: { ...begun.done, flush: 0 }, wet: [] };
  const whatever = begun.done.wipe >= 1 ? argue().filter(({ treatment }) => treatment === begun.treatment) : options;
  return whatever.map((option) => restOf(option, other, scene));
}
