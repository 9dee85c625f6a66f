import { type Choices, type View, type Zone, type ZoneId, cleanlinessOf, isHidden } from '../model';
import type { Option } from '../rules';
import { isRinsed } from '../rules';

/** What is blown out with air; then once round the car each, from the cleanest down; a side that traffic goes by is done in one go, so that nobody goes back to it. */
export const laps = [
  'blow-out',
  'wheels-first',
  'top',
  'road-glass',
  'road-uppers',
  'road-lowers',
  'uppers',
  'ends',
  'lowers',
  'shuts',
  'wheels-last',
] as const;
export type Lap = (typeof laps)[number];
/** The place of each lap in their order. */
export const lapAt = Object.fromEntries(laps.map((lap, at) => [lap, at])) as Readonly<Record<Lap, number>>;

/** Nose and tail are done whole, lamps, grille and badges with them. */
const isEnd = ({ view }: Zone): boolean => view === 'front' || view === 'rear';

/** @param roadSides where traffic goes by */
export function lapOf(zone: Zone, wheelsFirst: boolean, roadSides: readonly View[] = []): Lap {
  if (zone.cleanliness >= cleanlinessOf.faces) return wheelsFirst ? 'wheels-first' : 'wheels-last';
  // Doors are open then; the glass inside is last but for the wheels.
  if (zone.cleanliness === cleanlinessOf.shuts || isHidden(zone.id)) return 'shuts';
  if (zone.view === 'top') return 'top';
  const byRoad = roadSides.includes(zone.view);
  if (zone.surface === 'glass') return byRoad ? 'road-glass' : 'top';
  if (isEnd(zone)) return 'ends';
  if (zone.cleanliness <= cleanlinessOf.uppers) return byRoad ? 'road-uppers' : 'uppers';
  return byRoad ? 'road-lowers' : 'lowers';
}

/**
 * Wheels come first when they are rinsed, or their water would sit drying on clean paint; last, with the tiredest
 * towels, when they are only wiped. Either way can be asked for.
 */
export function wheelsGoFirst(
  picks: ReadonlyMap<ZoneId, Option>,
  zones: readonly Zone[],
  { wheels }: Pick<Choices, 'wheels'>,
): boolean {
  if (wheels !== 'auto') return wheels === 'first';
  return zones.some((zone) => {
    const option = picks.get(zone.id);
    return zone.cleanliness >= cleanlinessOf.faces && option !== undefined && isRinsed(option.treatment);
  });
}
