import { type BrushKind, type Zone, cleanlinessOf } from '../model';
import type { PlanningContext } from './context';

/** The brush that is made for a zone: none that has touched a tyre comes near paint. */
function brushFor({ id, surface }: Pick<Zone, 'id' | 'surface'>): BrushKind {
  if (id.endsWith('-barrel')) return 'barrel-brush';
  if (surface === 'wheel-finish') return 'wheel-brush';
  return id.endsWith('-tyre') || id.endsWith('-arch') ? 'tyre-brush' : 'detail-brush';
}

/** Wheels, grille and badges may get a soft brush, where it is wanted and in the van; null where none is used. */
export function brushOn(
  zone: Pick<Zone, 'id' | 'surface' | 'cleanliness'>,
  { job: { choices }, gear }: Pick<PlanningContext, 'job' | 'gear'>,
): BrushKind | null {
  const { id, cleanliness } = zone;
  if (choices.brush !== 'lubricated' || !(cleanliness > cleanlinessOf.shuts || id === 'grille' || id === 'badges'))
    return null;
  const kind = brushFor(zone);
  return gear[kind] ? kind : null;
}
