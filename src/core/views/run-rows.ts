import type { TreatmentId, ZoneId } from '../model';
import type { Plan } from '../planning';
import type { RunStage, Step, StepKind } from '../schedule';

/** A towel side that works on a zone. */
export interface SideAt {
  readonly towel: number;
  readonly side: number;
}

/** One line of the run sheet: a zone, or something done for the whole job. */
export interface RunRow {
  /** Place in the order of work, from 1; null for set-up and packing. */
  readonly number: number | null;
  readonly zoneId: ZoneId | null;
  readonly stage: RunStage | null;
  readonly treatment: TreatmentId | null;
  readonly worker: number;
  readonly startS: number;
  /** When the wipe begins; a wetted zone dwells until then. The start for everything else. */
  readonly wipeS: number;
  readonly endS: number;
  /** Seconds of each kind of step in this row. */
  readonly seconds: Readonly<Partial<Record<StepKind, number>>>;
  readonly kit: Step['kit'];
  readonly sides: readonly SideAt[];
  /** Parts in which the zone is wetted and wiped, so that none dries before it is done; at least 1. */
  readonly sections: number;
}

/** Steps for a zone that stand apart from its contact, because the whole car is gone over at once. */
const apart: readonly StepKind[] = ['flush', 'dry', 'glass'];

const secondsBy = (steps: readonly Step[]): RunRow['seconds'] => {
  const seconds: Partial<Record<StepKind, number>> = {};
  for (const { kind, startS, endS } of steps) seconds[kind] = (seconds[kind] ?? 0) + endS - startS;
  return seconds;
};

const sidesOn = ({ towels }: Plan, zoneId: ZoneId): readonly SideAt[] =>
  towels.flatMap((towel) =>
    towel.sides.flatMap((side) =>
      side.entries.some((entry) => entry.zoneId === zoneId)
        ? [{ towel: towel.number, side: side.number }]
        : [],
    ),
  );

function groups(steps: readonly Step[]): readonly (readonly Step[])[] {
  const byZone = new Map<string, Step[]>();
  steps.forEach((step, i) => {
    const key = step.zoneId ? `${step.zoneId}/${apart.includes(step.kind) ? step.kind : ''}` : `job/${i}`;
    byZone.set(key, [...(byZone.get(key) ?? []), step]);
  });
  return [...byZone.values()];
}

const isContact = (steps: readonly Step[]): boolean =>
  steps[0]!.zoneId !== null && !apart.includes(steps[0]!.kind);

/** When the hands are first on the zone: a wetted zone waits for its turn. */
const beginsAt = (steps: readonly Step[]): number =>
  steps.find(({ kind }) => kind === 'wipe')?.startS ?? steps[0]!.startS;

/**
 * The run as a list to work down: set-up, flushes, then one row a zone in the order in which each
 * is wiped, the glass finish, packing. Zones that are left have no row.
 */
export function runRows(plan: Plan): readonly RunRow[] {
  const zones = new Map(plan.zones.map((zone) => [zone.zone.id, zone]));
  let number = 0;
  return [...groups(plan.timeline.steps)]
    .sort((p, q) => beginsAt(p) - beginsAt(q))
    .map((steps): RunRow => {
      const [first] = steps as readonly [Step, ...Step[]];
      const zone = first.zoneId ? zones.get(first.zoneId) : undefined;
      const contact = isContact(steps);
      return {
        number: contact ? ++number : null,
        zoneId: first.zoneId,
        stage: contact ? (zone?.stage ?? null) : null,
        treatment: contact ? (zone?.treatment ?? null) : null,
        worker: first.worker,
        startS: Math.min(...steps.map(({ startS }) => startS)),
        wipeS: beginsAt(steps),
        endS: Math.max(...steps.map(({ endS }) => endS)),
        seconds: secondsBy(steps),
        kit: first.kit,
        sections: Math.max(1, zone?.option?.sections ?? 1),
        sides: contact && first.zoneId ? sidesOn(plan, first.zoneId) : [],
      };
    });
}
