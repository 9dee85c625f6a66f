import type { Choices, Zone, ZoneId } from '../model';
import type { Option } from '../rules';

/** The order of work, in stages; within a stage the order is that of the list. */
export const runStages = [
  'wheels-first',
  'top',
  'glass',
  'horizontals',
  'upper-sides',
  'front',
  'rear',
  'lower-body',
  'shuts',
  'wheels-last',
] as const;
export type RunStage = (typeof runStages)[number];

/** A zone in its place. */
export interface Ordered {
  readonly zone: Zone;
  readonly option: Option;
  readonly stage: RunStage;
}

const SHUTS = 3;
const WHEELS = 4;

function paintStage({ id, view, cleanliness }: Zone): RunStage {
  if (id === 'roof') return 'top';
  if (cleanliness > 1) return 'lower-body';
  if (id === 'bonnet' || view === 'top') return 'horizontals';
  return view === 'front' || view === 'rear' ? view : 'upper-sides';
}

function stageOf(zone: Zone, wheelsFirst: boolean): RunStage {
  if (zone.cleanliness >= WHEELS) return wheelsFirst ? 'wheels-first' : 'wheels-last';
  if (zone.cleanliness === SHUTS) return 'shuts';
  return zone.surface === 'glass' ? 'glass' : paintStage(zone);
}

const flushed = ({ treatment }: Option): boolean => !treatment.startsWith('none/');

/**
 * Wheels come first when they are flushed, or their water would sit drying on clean paint; last,
 * with the tiredest towels, when they are only wiped. Either school can be asked for.
 */
export function wheelsGoFirst(
  picks: ReadonlyMap<ZoneId, Option>,
  zones: readonly Zone[],
  { wheels }: Choices,
): boolean {
  if (wheels !== 'auto') return wheels === 'first';
  return zones.some((zone) => {
    const option = picks.get(zone.id);
    return zone.cleanliness >= WHEELS && option !== undefined && flushed(option);
  });
}

/** Zones in the order of work: cleaner before dirtier, faces before tyres, left before right. */
export function runOrder(
  zones: readonly Zone[],
  picks: ReadonlyMap<ZoneId, Option>,
  choices: Choices,
): readonly Ordered[] {
  const wheelsFirst = wheelsGoFirst(picks, zones, choices);
  return zones
    .flatMap((zone): Ordered[] => {
      const option = picks.get(zone.id);
      return option ? [{ zone, option, stage: stageOf(zone, wheelsFirst) }] : [];
    })
    .sort(
      (p, q) =>
        runStages.indexOf(p.stage) - runStages.indexOf(q.stage) ||
        p.zone.cleanliness - q.zone.cleanliness ||
        q.zone.heightM - p.zone.heightM,
    );
}
