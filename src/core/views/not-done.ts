import { type Job, type MarkKind, type ScopePart, type ZoneId, usualScope } from '../model';
import type { Plan } from '../planning';
import { isRinsed } from '../rules';

/** Something that a client may expect of a wash and that this one does not do. */
export type NotDone =
  /** Parts that nobody asked for. */
  | { readonly code: 'not-asked'; readonly parts: readonly ScopePart[] }
  /** Gaps and edges that are wiped over, not rinsed. */
  | { readonly code: 'gaps'; readonly zones: readonly ZoneId[] }
  /** What has bonded stays, and can be felt. */
  | { readonly code: 'bonded'; readonly zones: readonly ZoneId[] }
  /** Marks in the paint were there before, and are there after. */
  | { readonly code: 'marks'; readonly kinds: readonly MarkKind[] };

/** Panels with gaps that hold dirt a cloth does not reach. */
const hasGaps = (id: ZoneId): boolean => /grille|badges|mirror|-shut|boot-sill/.test(id);

/** Marks that no wash takes off; a stain or residue may go. */
const lasting: readonly MarkKind[] = ['scratch', 'swirls', 'chip', 'dent', 'water-spots', 'etching'];

/** What to tell the client before and after: what this wash does not do, as far as job and plan tell. Nothing for a refusal. */
export function notDone({ scope, marks }: Pick<Job, 'scope' | 'marks'>, { method, zones }: Plan): readonly NotDone[] {
  if (method === 'decline') return [];
  const washed = zones.flatMap(({ zone, soil, option }) =>
    option ? [{ id: zone.id, soil, treatment: option.treatment }] : [],
  );
  const found: readonly NotDone[] = [
    { code: 'not-asked', parts: usualScope.filter((part) => !scope.includes(part)) },
    {
      code: 'gaps',
      zones: washed.filter(({ id, treatment }) => hasGaps(id) && !isRinsed(treatment)).map(({ id }) => id),
    },
    {
      code: 'bonded',
      zones: washed
        .filter(({ soil }) => soil.loads.some(({ kind, loadGm2 }) => kind === 'fallout' && loadGm2 > 0))
        .map(({ id }) => id),
    },
    { code: 'marks', kinds: lasting.filter((kind) => marks.some((mark) => mark.kind === kind)) },
  ];
  return found.filter((one) => ('parts' in one ? one.parts : 'zones' in one ? one.zones : one.kinds).length > 0);
}
