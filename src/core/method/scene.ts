import { type Assumptions, resolveAssumptions } from '../assumptions';
import type { Gear, GearKind, Job, TowelBatch, TowelRole, Zone } from '../model';
import { cooledC, fillingMl } from '../mix/cooling';
import { type Recipes, recipesOf } from '../mix/recipe';
import { type SoilState, soilOn } from '../soil';
import { type RolesAtHand, rolesAtHand } from '../towel';
import { type Panel, panelsOf } from '../surface';
import { zonesOf } from '../vehicle';
import { choicesOf } from './habits';
import { limitOf } from './marring';
import { gearOf } from './offered';

/** A zone with what lies on it. */
export interface SoiledZone {
  readonly zone: Zone;
  readonly soil: SoilState;
  readonly panel: Panel;
}

/** A job with everything looked up once that every zone and treatment asks for. */
export interface Scene {
  /** With the choices that count: wishes and finish are worked in. */
  readonly job: Job;
  readonly a: Assumptions;
  readonly gear: Readonly<Partial<Record<GearKind, Gear>>>;
  readonly carriedC: number;
  /** Hot flush water when a filling is nearly used up. */
  readonly hotC: number;
  readonly zones: readonly SoiledZone[];
  readonly totalAreaM2: number;
  readonly recipes: Recipes;
  readonly limit: number;
  readonly roles: RolesAtHand;
  /** First batch of each role on hand: what a fraction of a side is reckoned with. */
  readonly typicalTowel: Readonly<Partial<Record<TowelRole, TowelBatch>>>;
}

/** More than stray light falls straight on the panel. */
export const isInSun = ({ panel }: SoiledZone, { a, job }: Scene): boolean =>
  !job.site.shade && panel.sunWm2 > a.inSunWm2;

/** On the client's word no index is too high; every other gate stands. */
const NO_LIMIT = 100;

/** A filling of hot water cools in the largest sprayer while it is used. */
function hotAfter({ site, vessels }: Job, a: Assumptions): number {
  const filling = Math.max(0, ...vessels.filter(({ kind }) => kind === 'pump-sprayer').map(fillingMl));
  return filling > 0 ? cooledC(a.hotLiquidC, site.airC, filling, a.hotHoldMin * 60, a) : a.hotLiquidC;
}

export function sceneOf(given: Job): Scene {
  const job = { ...given, choices: choicesOf(given) };
  const a = resolveAssumptions(job.choices.assumptions);
  const outlines = zonesOf(job.vehicle);
  const panels = panelsOf(outlines, job, a);
  const zones = outlines.map((zone) => ({
    zone,
    soil: soilOn(zone, job, a),
    panel: panels.get(zone)!,
  }));
  return {
    job,
    a,
    gear: gearOf(job),
    carriedC: job.site.liquidC,
    hotC: hotAfter(job, a),
    zones,
    totalAreaM2: zones.reduce((sum, { zone }) => sum + zone.areaM2, 0),
    recipes: recipesOf(job),
    limit: job.consent ? NO_LIMIT : limitOf(job.choices.school, a),
    roles: rolesAtHand(job.towels),
    typicalTowel: Object.fromEntries(
      [...job.towels].reverse().filter((b) => b.clean > 0).map((batch) => [batch.role, batch]),
    ),
  };
}
