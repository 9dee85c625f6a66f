import { type Assumptions, resolveAssumptions } from '../assumptions';
import type { Job, TowelBatch, TowelRole, Zone } from '../model';
import { type Recipes, recipesOf } from '../mix/recipe';
import { type SoilState, soilOn } from '../soil';
import { type RolesAtHand, rolesAtHand } from '../towel';
import { type Panel, panelsOf } from '../surface';
import { zonesOf } from '../vehicle';
import { limitOf } from './marring';

/** A zone with what lies on it. */
export interface SoiledZone {
  readonly zone: Zone;
  readonly soil: SoilState;
  readonly panel: Panel;
}

/** A job with everything looked up once that every zone and treatment asks for. */
export interface Scene {
  readonly job: Job;
  readonly a: Assumptions;
  readonly zones: readonly SoiledZone[];
  readonly totalAreaM2: number;
  readonly recipes: Recipes;
  readonly limit: number;
  readonly roles: RolesAtHand;
  /** First batch of each role on hand: what a fraction of a side is reckoned with. */
  readonly typicalTowel: Readonly<Partial<Record<TowelRole, TowelBatch>>>;
}

export function sceneOf(job: Job): Scene {
  const a = resolveAssumptions(job.choices.assumptions);
  const outlines = zonesOf(job.vehicle);
  const panels = panelsOf(outlines, job.site, job.vehicle.colour, a);
  const zones = outlines.map((zone) => ({
    zone,
    soil: soilOn(zone, job.soil, a),
    panel: panels.get(zone)!,
  }));
  return {
    job,
    a,
    zones,
    totalAreaM2: zones.reduce((sum, { zone }) => sum + zone.areaM2, 0),
    recipes: recipesOf(job),
    limit: limitOf(job.choices.school, a),
    roles: rolesAtHand(job.towels),
    typicalTowel: Object.fromEntries(
      [...job.towels].reverse().filter((b) => b.clean > 0).map((batch) => [batch.role, batch]),
    ),
  };
}
