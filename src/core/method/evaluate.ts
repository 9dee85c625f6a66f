import { type Working, mixPurposes, partsOf, workingTreatments } from '../model';
import { type WorkSeconds, pieceSeconds, spotCount, spotSeconds, totalWork } from '../schedule/work';
import { type Load, totalLoad } from '../soil';
import { holdUp, runoffOf } from '../surface';
import { type TowelNeed, SIDES, sidesFor, towelNeeds } from '../towel';
import { type Micrometres, gPerM2, um } from '../units';
import { type Contacted, contactRules } from './contacts';
import { dryingOf } from './drying-window';
import { type FlushRule, flushRules } from './flushes';
import { gatesOf } from './gates';
import { marringIndex, sensitivityOf } from './marring';
import type { ZoneOptions } from './choose';
import { type Laid, type Option, type Usage, vectorOf } from './option';
import type { Scene, SoiledZone } from './scene';

const PAINTED_OR_GLASS = 3;

/** What is left on the panel when the contact begins. */
const afterFlush = (soiled: SoiledZone, flush: FlushRule, scene: Scene): readonly Load[] =>
  soiled.soil.loads.map(({ kind, loadGm2 }) => ({
    kind,
    loadGm2: gPerM2(loadGm2 * (1 - flush.removes(kind, scene.a))),
  }));

function laidOn(soiled: SoiledZone, flush: FlushRule, contact: Contacted, scene: Scene): Laid {
  const { areaM2 } = soiled.zone;
  const { a } = scene;
  const laid = { waterless: 0, presoak: 0, wash: 0, glass: 0, water: flush.filmUm(a) * areaM2 };
  for (const { purpose, film } of contact.layers) laid[purpose] += film * areaM2;
  const [first] = contact.layers;
  if (first) laid[first.purpose] += a.spotMl * spotCount(soiled.soil);
  laid.glass += glassFilm(soiled, scene) * areaM2;
  return laid;
}

/** Film of a dedicated glass finish, where the school asks for one and there is a product. */
const glassFilm = ({ zone }: SoiledZone, { a, job, recipes }: Scene): number =>
  zone.surface === 'glass' && job.choices.glass === 'last' && recipes.glass ? a.glassFilm : 0;

function workOn(
  soiled: SoiledZone,
  flush: FlushRule,
  contact: Contacted,
  loadGm2: number,
  scene: Scene,
): WorkSeconds {
  const { a } = scene;
  const { areaM2, cleanliness } = soiled.zone;
  const piece = pieceSeconds(soiled.zone, loadGm2, a);
  const glass = glassFilm(soiled, scene) > 0 ? a.rateGlassFinish * areaM2 : 0;
  return {
    flush: flush.secondsPerM2(a) * areaM2,
    pretreat: spotSeconds(soiled.soil, a),
    spray: piece === undefined ? contact.sprayRate * areaM2 : 0,
    wipe: piece ?? contact.wipeRate * areaM2,
    finish: piece === undefined && cleanliness <= PAINTED_OR_GLASS ? contact.finishRate * areaM2 : 0,
    glass,
  };
}

function usageOf(
  laidMl: Laid,
  runoffMl: number,
  work: WorkSeconds,
  needs: readonly TowelNeed[],
  scene: Scene,
): Usage {
  const { a, job, recipes, typicalTowel } = scene;
  const usage = { litres: 0, runoffL: runoffMl / 1000, minutes: 0, wash: 0, finish: 0, drying: 0, glass: 0, wheels: 0 };
  let litres = laidMl.water;
  for (const purpose of mixPurposes) litres += laidMl[purpose] * (1 - (recipes[purpose]?.share ?? 0));
  usage.litres = (litres * a.wasteFactor) / 1000;
  usage.minutes = (totalWork(work) * (1 + a.walking)) / 60 / job.site.workers;
  for (const need of needs) {
    const batch = typicalTowel[need.role];
    const sides = need.soaked ? job.choices.soakedSides : SIDES;
    // Without a towel of the role the zone cannot be wiped: more than any budget.
    usage[need.role] += batch ? sidesFor(need, batch, a) / sides : 1e6;
  }
  return usage;
}

function productCost(laidMl: Laid, { a, recipes }: Scene): number {
  let minor = 0;
  for (const purpose of mixPurposes)
    minor += laidMl[purpose] * a.wasteFactor * (recipes[purpose]?.minorPerMl ?? 0);
  return minor;
}

/** J of section 5 of the model: marring by area, time, water, product cost and towels, weighted. */
function weigh(area: number, index: number, usage: Usage, minor: number, scene: Scene): number {
  const { a, totalAreaM2 } = scene;
  const towels = usage.wash + usage.finish + usage.drying + usage.glass + usage.wheels;
  return (
    (a.weightMarring * area * index) / totalAreaM2 +
    a.weightMinute * usage.minutes +
    a.weightLitre * usage.litres +
    (a.weightCost * minor) / 100 +
    a.weightTowel * towels
  );
}

/** Runoff of the flush and of the contact's layers, which stay wet on each other. */
function runoffOn(soiled: SoiledZone, flush: FlushRule, film: Micrometres, scene: Scene): number {
  const { a } = scene;
  const held = holdUp(soiled.zone.tiltDeg, a);
  const { areaM2 } = soiled.zone;
  return (
    runoffOf(um(flush.filmUm(a)), held, areaM2, a) + runoffOf(film, held, areaM2, a)
  );
}

/** One treatment on one zone: what it takes, what it risks and what forbids it. */
export function evaluate(soiled: SoiledZone, treatment: Working, scene: Scene): Option {
  const { a, job, recipes } = scene;
  const parts = partsOf(treatment);
  const [flush, rule] = [flushRules[parts.flush], contactRules[parts.contact]];
  const loads = afterFlush(soiled, flush, scene);
  const loadGm2 = totalLoad(loads);
  const contact = rule.contact(
    loadGm2,
    recipes.waterless?.product.filmFactor ?? 1,
    job.choices.bucket,
    a,
  );
  const film = um(contact.layers.reduce((sum, layer) => sum + layer.film, 0));
  const marring = marringIndex(
    {
      loads,
      film,
      encapsulation: contact.encapsulation,
      pressure: contact.pressure,
      sideLoading: a.sideLoading,
      sensitivity: sensitivityOf(soiled.zone.surface, job.vehicle, a),
    },
    a,
  );
  const { areaM2, cleanliness } = soiled.zone;
  const drying = dryingOf(soiled, flush, contact, scene);
  const runoffMl = runoffOn(soiled, flush, film, scene);
  const laidMl = laidOn(soiled, flush, contact, scene);
  const work = workOn(soiled, flush, contact, loadGm2, scene);
  const needs = towelNeeds(
    { areaM2, cleanliness, loadGm2, filmUm: film, glassFilmUm: glassFilm(soiled, scene) },
    contact,
    scene.roles,
    a,
  );
  const usage = usageOf(laidMl, runoffMl, work, needs, scene);
  return {
    treatment,
    kits: [...rule.kits, ...flush.kits],
    gates: gatesOf(soiled, { flush, contact, runoffMl, index: marring.index, drying }, scene),
    marring,
    loadAfterFlushGm2: loadGm2,
    filmUm: film,
    dwellS: contact.dwellS,
    drying,
    laidMl,
    runoffMl,
    work,
    needs,
    usage,
    use: vectorOf(usage),
    cost: weigh(areaM2, marring.index, usage, productCost(laidMl, scene), scene),
  };
}

/** Every treatment on one zone. */
export const optionsFor = (soiled: SoiledZone, scene: Scene): readonly Option[] =>
  workingTreatments.map((treatment) => evaluate(soiled, treatment, scene));

/**
 * Every treatment on every zone. Left and right are mirror images: where they are equally dirty,
 * one is worked out for both.
 */
export function zoneOptions(scene: Scene): readonly ZoneOptions[] {
  const known = new Map<string, readonly Option[]>();
  return scene.zones.map((soiled) => {
    const key = `${soiled.zone.id.replace(/^right-/, 'left-')}/${JSON.stringify(soiled.soil)}`;
    const options = known.get(key) ?? optionsFor(soiled, scene);
    known.set(key, options);
    return { zoneId: soiled.zone.id, options };
  });
}
