import { type MixPurpose, cleanlinessOf, isHidden } from '../model';
import type { Gate } from '../reasons';
import { aroundGates } from './around';
import type { ContactRule, Contacted } from './contacts';
import { type PlanningContext, type SoiledZone, isInSun } from './context';
import { type Drying, windowGates } from './drying-window';
import type { Flushed } from './flushed';
import { isBody, limitOn } from './limit';

/** @param panelC when the product comes: after a pre-rinse or a mist */
function productGate(
  { zone }: SoiledZone,
  panelC: number,
  purpose: MixPurpose | 'water',
  { job, recipes }: PlanningContext,
): Gate[] {
  const { finish } = job.vehicle;
  const product = recipes[purpose]?.product;
  if (!product) return purpose === 'water' ? [] : [{ code: 'no-product', purpose }];
  const gates: Gate[] = [];
  // What no label says forbids nothing: practice warns.
  if (product.maxPanelC !== null && panelC > product.maxPanelC)
    gates.push({ code: 'panel-too-hot', panelC, maxC: product.maxPanelC });
  if (product.notOnSurfaces.includes(zone.surface)) gates.push({ code: 'surface', surface: zone.surface });
  if (zone.surface !== 'paint') return gates;
  if (product.notOnFinishes.includes(finish)) gates.push({ code: 'finish', finish });
  if (product.leavesLayer && job.choices.topping === 'none' && (finish === 'coated' || finish === 'matte'))
    gates.push({ code: 'leaves-layer' });
  return gates;
}

/** Products that follow each other on the panel and must not meet. */
function sequenceGates(purposes: readonly (MixPurpose | 'water')[], { recipes }: PlanningContext): Gate[] {
  if (purposes.length < 2) return [];
  return purposes.flatMap((first, i) =>
    purposes.slice(i + 1).flatMap((next): Gate[] => {
      const [before, after] = [recipes[first]?.product, recipes[next]?.product];
      const meet = before && after && (before.notWith.includes(after.id) || after.notWith.includes(before.id));
      return meet ? [{ code: 'incompatible', purposes: [first, next] }] : [];
    }),
  );
}

/** Zones with seams and recesses that steam and compressed air are for. */
const SEAMS = /sill|badges|grille|mirror|-shut|bumper-lower|-wheel|-tyre|-arch|fuel-flap|-handle/;

function steamGates({ zone }: SoiledZone, { job }: PlanningContext): Gate[] {
  if (zone.surface === 'glass' && job.site.airC <= 0) return [{ code: 'steam-off', why: 'cold-glass' }];
  if (!SEAMS.test(zone.id)) return [{ code: 'steam-off', why: 'seams-only' }];
  return zone.surface === 'paint' && job.vehicle.finish === 'film-wrapped' ? [{ code: 'steam-off', why: 'film' }] : [];
}

/** Dust that is blown about flies at whoever stands by, and into a car that is open. */
function airGates({ zone: { id } }: SoiledZone, { job: { around } }: PlanningContext): Gate[] {
  if (around.includes('people')) return [{ code: 'air-off', why: 'people' }];
  return SEAMS.test(id) || id === 'engine-bay' ? [] : [{ code: 'air-off', why: 'seams-only' }];
}

/** What the powered kit of a flush asks of site, neighbours and van. */
function gearGates({ flush: { gear: kind } }: Flushed, { job: { site }, gear }: PlanningContext): Gate[] {
  if (!kind) return [];
  const piece = gear[kind];
  if (!piece) return [{ code: 'no-gear', gear: kind }];
  const gates: Gate[] = [];
  if (piece.batteryMin === null && !site.power) gates.push({ code: 'no-power' });
  if (kind === 'mains-wand' && !site.tap) gates.push({ code: 'no-tap' });
  if (site.noiseDb !== null && piece.noiseDb > site.noiseDb)
    gates.push({ code: 'too-loud', noiseDb: piece.noiseDb, mostDb: site.noiseDb });
  return gates;
}

/** What no view shows keeps dry inside, and an engine bay gets a spray or a foam at most. */
function hiddenGates({ zone: { id } }: SoiledZone, { flush }: Flushed, { purposes }: ContactRule): Gate[] {
  // A jet on instruments, bearings and chain does harm.
  if (flush.jet && /^instruments$|-engine$|-chain$/.test(id)) return [{ code: 'electrics' }];
  if (!isHidden(id)) return [];
  const wets = flush.source !== null || flush.gear === 'steamer';
  const inside = id === 'glass-inside' || id === 'engine-bay' || id === 'mats';
  if (wets && inside) return [{ code: 'opening' }];
  return id === 'engine-bay' && (purposes.includes('wash') || purposes.includes('presoak'))
    ? [{ code: 'electrics' }]
    : [];
}

function flushGates(soiled: SoiledZone, flushed: Flushed, context: PlanningContext): Gate[] {
  const { flush, filmUm } = flushed;
  const gates = gearGates(flushed, context);
  if (flush.source === 'bay' && !context.job.site.bay) gates.push({ code: 'no-bay' });
  if (flush.jet && soiled.zone.cleanliness === cleanlinessOf.shuts) gates.push({ code: 'opening' });
  // Lumps go with water that runs off, not with a film that stays; mats are beaten out first.
  if (soiled.soil.lumps && soiled.zone.id !== 'mats' && filmUm <= soiled.panel.holdUpUm) gates.push({ code: 'lumps' });
  switch (flush.gear) {
    case 'steamer':
      return [...gates, ...steamGates(soiled, context)];
    case 'air-gun':
      return [...gates, ...airGates(soiled, context)];
    default:
      return gates;
  }
}

function runoffGates(runoffMl: number, { a, job: { site } }: PlanningContext): Gate[] {
  if (runoffMl <= 0) return [];
  if (site.runoff === 'captured' && site.slope > a.matSlope)
    return [{ code: 'slope', slope: site.slope, most: a.matSlope }];
  if (site.runoff === 'forbidden') return [{ code: 'runoff-forbidden', litres: runoffMl / 1000, rule: site.runoff }];
  return site.indoors && site.runoff === 'allowed' ? [{ code: 'indoors' }] : [];
}

/** Only what is rinsed off again, where that is wished; door shuts and wheels may be wiped with a spray, but nothing is rinseless. */
const chemistryGates = ({ zone }: SoiledZone, { purposes }: ContactRule, { job }: PlanningContext): Gate[] =>
  job.choices.chemistry === 'rinsed-off' && !purposes.includes('shampoo') && (isBody(zone) || purposes.includes('wash'))
    ? [{ code: 'chemistry' }]
    : [];

const sunGates = (soiled: SoiledZone, context: PlanningContext): Gate[] =>
  context.job.choices.sun === 'shade-only' && isInSun(soiled, context) ? [{ code: 'sun-habit' }] : [];

/** A high roof asks for steps, and steps for level ground. */
function reachGates({ zone: { heightM } }: SoiledZone, { a, job: { site } }: PlanningContext): Gate[] {
  if (heightM <= a.reachM || (site.steps && site.slope <= a.stepsSlope)) return [];
  return [{ code: 'out-of-reach', heightM, reachM: a.reachM, why: site.steps ? 'slope' : 'no-steps' }];
}

/** What comes onto the panel one after the other; a sprayer may rinse with product. */
export const laidOnto = (
  { flush }: Flushed,
  { purposes }: ContactRule,
  { recipes }: PlanningContext,
): readonly (MixPurpose | 'water')[] => (flush.source === 'water' && recipes.water ? ['water', ...purposes] : purposes);

/**
 * What forbids a treatment on a zone whatever the film and the index come to: kit, site, products,
 * surfaces, lumps. Quick to tell.
 */
export const standingGates = (
  soiled: SoiledZone,
  flushed: Flushed,
  rule: ContactRule,
  context: PlanningContext,
): readonly Gate[] => [
  ...flushGates(soiled, flushed, context),
  ...hiddenGates(soiled, flushed, rule),
  ...aroundGates(soiled, flushed, rule, context),
  ...sunGates(soiled, context),
  ...chemistryGates(soiled, rule, context),
  ...reachGates(soiled, context),
  ...laidOnto(flushed, rule, context).flatMap((purpose) => productGate(soiled, flushed.panelC, purpose, context)),
  ...sequenceGates(laidOnto(flushed, rule, context), context),
  ...runoffGates(flushed.runoffMl, context),
];

/** The treatment on the zone, as far as the gates need to know it. */
export interface Gated {
  readonly contact: Contacted;
  readonly filmUm: number;
  /** Of the contact's own layers. */
  readonly runoffMl: number;
  readonly index: number;
  readonly drying: Drying;
}

/** The coldest that a rinse or the first layer comes to as it lands. */
function landedC({ panel }: SoiledZone, flushed: Flushed, { layers }: Contacted, context: PlanningContext): number {
  const landed = panel.landedC(layers[0].film, context.carriedC, flushed.panelC);
  return flushed.filmUm > 0 ? Math.min(flushed.landedC, landed) : landed;
}

/** The liquid slushes as it lands; with what would keep the thinnest of the layers from it. */
function freezing(
  { panel }: SoiledZone,
  flushed: Flushed,
  { layers }: Contacted,
  mixC: number,
  context: PlanningContext,
): Gate {
  const { slushC } = context.a;
  const wet = flushed.filmUm > 0;
  const [filmUm, liquidC] = wet ? [flushed.filmUm, flushed.liquidC] : [layers[0].film, context.carriedC];
  return {
    code: 'freezes',
    mixC,
    limitC: slushC,
    leastLiquidC: panel.leastLiquidC(filmUm, slushC),
    coldestPanelC: panel.coldestC(filmUm, liquidC, slushC),
  };
}

/**
 * What forbids it because of the film that is laid and the index that comes of it. The index limit
 * belongs to the approach; no approach lifts any of the others.
 */
export function filmGates(
  soiled: SoiledZone,
  flushed: Flushed,
  gated: Gated,
  context: PlanningContext,
): readonly Gate[] {
  const { a, job } = context;
  const limit = limitOn(soiled.zone, context);
  const { filmUm, contact, drying, index } = gated;
  const gates: Gate[] = flushed.runoffMl > 0 ? [] : runoffGates(gated.runoffMl, context);
  if (filmUm < a.leastFilm) gates.push({ code: 'wiped-dry', filmUm, leastUm: a.leastFilm });
  const mixC = landedC(soiled, flushed, contact, context);
  if (mixC <= a.slushC) gates.push(freezing(soiled, flushed, contact, mixC, context));
  else gates.push(...windowGates(soiled.zone, drying, a));
  if (index > limit) gates.push({ code: 'index-over-limit', index, limit, approach: job.choices.approach });
  return gates;
}
