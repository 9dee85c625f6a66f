import { type Job, type Zone, type ZoneId, cleanlinessOf } from '../model';
import type { Gate, Obstacle } from '../reasons';
import type { PlanningContext, Shut, SoiledZone, ZoneOptions } from '../rules';
import type { Shortage } from './choose';
import { obstacleOf } from './obstacle';

/** Why a part of the car is left out: what forbids the treatment that comes nearest, or a budget that does not reach. */
export type LeftBecause =
  | { readonly kind: 'gates'; readonly gates: readonly Gate[]; readonly help: Obstacle }
  | { readonly kind: 'budget'; readonly shortage: Shortage };

/** Parts that are left out, by why. */
export type LeftOut = ReadonlyMap<ZoneId, LeftBecause>;

export const nothingLeft: LeftOut = new Map();

/** Glass, wheels and door shuts are not what a client means by the car’s paint. */
const isPaint = ({ cleanliness, surface }: Zone): boolean => cleanliness <= cleanlinessOf.lowers && surface !== 'glass';

const areaOf = (zones: readonly SoiledZone[]): number => zones.reduce((sum, { zone }) => sum + zone.areaM2, 0);

/** Share of the paint that was to be done and is left out. */
export function paintLeft(left: ReadonlySet<ZoneId> | LeftOut, { zones, job: { choices } }: PlanningContext): number {
  const paint = zones.filter(({ zone }) => isPaint(zone) && choices.fixed[zone.id] !== 'leave');
  const all = areaOf(paint);
  return all > 0 ? areaOf(paint.filter(({ zone }) => left.has(zone.id))) / all : 0;
}

/** So much of the paint cannot be done that the car is not washed today; where the client wants all of it, any part is too much. */
export function isTooMuch(left: ReadonlySet<ZoneId> | LeftOut, context: PlanningContext): boolean {
  if (left.size === 0) return false;
  const asked = context.zones.filter(({ zone }) => context.job.choices.fixed[zone.id] !== 'leave');
  return (
    context.job.choices.parts === 'all' ||
    left.size >= asked.length ||
    paintLeft(left, context) > context.a.notTodayShare
  );
}

/** The treatment that the fewest things forbid. */
function nearest(shut: readonly Shut[]): Shut | undefined {
  const forbidden = shut.filter(({ gates }) => gates.length > 0);
  return forbidden.reduce<Shut | undefined>(
    (best, one) => (best && best.gates.length <= one.gates.length ? best : one),
    undefined,
  );
}

/** Gates named in a refusal: more are not read. */
const MOST_GATES = 3;

/** The first gate of what comes nearest on each zone; what would help most zones first. */
export function decidingGates(zones: readonly (readonly Shut[])[]): readonly Gate[] {
  const found = new Map<Gate['code'], { readonly gate: Gate; count: number }>();
  for (const shut of zones) {
    const gate = nearest(shut)?.gates[0];
    if (!gate) continue;
    const known = found.get(gate.code);
    if (known) known.count++;
    else found.set(gate.code, { gate, count: 1 });
  }
  return [...found.values()]
    .sort((p, q) => q.count - p.count)
    .slice(0, MOST_GATES)
    .map(({ gate }) => gate);
}

/** Zones that are asked for and that nothing may touch here and now. */
export const blockedZones = (zones: readonly ZoneOptions[], fixed: Job['choices']['fixed']): readonly ZoneOptions[] =>
  zones.filter(({ zoneId, options }) => fixed[zoneId] !== 'leave' && options.length === 0);

/** Such zones, each with what stands in the way of what comes nearest. */
export const blockedParts = (blocked: readonly ZoneOptions[]): LeftOut =>
  new Map(
    blocked.map(({ zoneId, explain }): [ZoneId, LeftBecause] => {
      const shut = explain();
      return [zoneId, { kind: 'gates', gates: nearest(shut)?.gates ?? [], help: obstacleOf([shut]) }];
    }),
  );

export const leavingOut = (fixed: Job['choices']['fixed'], left: LeftOut): Job['choices']['fixed'] => ({
  ...fixed,
  ...Object.fromEntries([...left.keys()].map((id) => [id, 'leave'] as const)),
});
