import type { Gate } from '../reasons';
import type { Contacted } from './contacts';
import { type Drying, windowGates } from './drying-window';
import type { FlushRule } from './flushes';
import type { Scene, SoiledZone } from './scene';

/** The treatment on the zone, as far as the gates need to know it. */
export interface Gated {
  readonly flush: FlushRule;
  readonly contact: Contacted;
  readonly runoffMl: number;
  readonly index: number;
  readonly drying: Drying;
}

/** Temperature after flush and first layer have landed. */
function landedC({ panel }: SoiledZone, { flush, contact }: Gated, { a, job }: Scene): number {
  const carried = job.site.liquidC;
  const flushUm = flush.filmUm(a);
  const flushed =
    flushUm > 0 ? panel.landedC(flushUm, flush.liquidC(carried, a)) : panel.panelC;
  const [first] = contact.layers;
  if (!first) return flushed;
  const landed = panel.landedC(first.film, carried, flushed);
  return flushUm > 0 ? Math.min(flushed, landed) : landed;
}

function productGates({ zone, panel: { panelC } }: SoiledZone, { contact }: Gated, scene: Scene): Gate[] {
  const { job, recipes } = scene;
  return contact.layers.flatMap(({ purpose }): Gate[] => {
    const product = recipes[purpose]?.product;
    if (!product) return [{ code: 'no-product', purpose }];
    const gates: Gate[] = [];
    if (panelC > product.maxPanelC)
      gates.push({ code: 'panel-too-hot', panelC, maxC: product.maxPanelC });
    if (product.notOnSurfaces.includes(zone.surface))
      gates.push({ code: 'surface', surface: zone.surface });
    if (zone.surface === 'paint' && product.notOnFinishes.includes(job.vehicle.finish))
      gates.push({ code: 'finish', finish: job.vehicle.finish });
    return gates;
  });
}

function siteGates({ flush, runoffMl }: Gated, { job: { site } }: Scene): Gate[] {
  const gates: Gate[] = [];
  if (flush.kits.includes('heater') && !site.power) gates.push({ code: 'no-power' });
  if (runoffMl > 0 && site.runoff === 'forbidden')
    gates.push({ code: 'runoff-forbidden', litres: runoffMl / 1000, rule: site.runoff });
  if (runoffMl > 0 && site.indoors && site.runoff === 'allowed') gates.push({ code: 'indoors' });
  return gates;
}

/**
 * Everything that forbids this treatment on this zone. The index limit belongs to the school; no
 * school lifts any of the others.
 */
export function gatesOf(soiled: SoiledZone, gated: Gated, scene: Scene): readonly Gate[] {
  const { a, job, limit } = scene;
  const gates = [...siteGates(gated, scene), ...productGates(soiled, gated, scene)];
  if (soiled.soil.lumps && gated.flush.filmUm(a) === 0) gates.push({ code: 'lumps' });
  const film = gated.contact.layers.reduce((sum, layer) => sum + layer.film, 0);
  if (film < a.leastFilm) gates.push({ code: 'wiped-dry', filmUm: film, leastUm: a.leastFilm });
  const mixC = landedC(soiled, gated, scene);
  if (mixC <= a.slushC) gates.push({ code: 'freezes', mixC, limitC: a.slushC });
  else gates.push(...windowGates(soiled.zone, gated.drying, a));
  if (gated.index > limit)
    gates.push({
      code: 'index-over-limit',
      index: gated.index,
      limit,
      school: job.choices.school,
    });
  return gates;
}
