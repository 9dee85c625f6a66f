import type { SoilKind, Working } from '../model';
import type { Gate } from '../reasons';
import { loadOfLevel } from '../soil';
import type { PlanningContext, SoiledZone } from './context';
import type { Flushed } from './flushed';
import { isBody } from './limit';
import type { Option } from './option';
import { contactOf, isShampooed, loosenedBy } from './treatment';

/** Lies loose, and lifts with a film. */
const loose: readonly SoilKind[] = ['dust', 'pollen'];
/** Crackles under a finger. */
const crackling: readonly SoilKind[] = ['grit', 'mud', 'salt'];

/** A load up to the middle between two levels, in ratio, still counts as the lower one. */
const upTo = (level: 1 | 2, { a }: PlanningContext): number =>
  Math.sqrt(loadOfLevel(level, a) * loadOfLevel(level === 1 ? 2 : 3, a));

/** On the body, what a waterless product may meet after any rinse by the approach; foam lifts more, and only the index holds it. */
export function dirtGates(
  { zone }: SoiledZone,
  { loads }: Flushed,
  treatment: Working,
  context: PlanningContext,
): readonly Gate[] {
  const limit = context.job.choices.dirtLimit;
  if (limit === 'index' || !isBody(zone) || contactOf(treatment).family !== 'waterless') return [];
  const least = loadOfLevel(1, context.a);
  const tooMuch = loads.find(({ kind, loadGm2 }) =>
    limit === 'only-dust'
      ? loadGm2 > (loose.includes(kind) ? upTo(1, context) : least / 2)
      : loadGm2 > (crackling.includes(kind) ? least : upTo(2, context)),
  );
  return tooMuch ? [{ code: 'dirt-limit', limit, kind: tooMuch.kind, loadGm2: tooMuch.loadGm2 }] : [];
}

/** What crackles on a zone at level 2 or more, under an approach that rinses it first; undefined where nothing does. */
export function rinsedFirst({ zone, soil }: SoiledZone, context: PlanningContext): SoilKind | undefined {
  if (context.job.choices.dirtLimit === 'index' || !isBody(zone)) return undefined;
  const level2 = loadOfLevel(2, context.a);
  return soil.loads.find(({ kind, loadGm2 }) => crackling.includes(kind) && loadGm2 >= level2)?.kind;
}

/** The options on a zone whose soil is rinsed first: with a rinse, as far as any is open; and a shampoo mitt comes after foam, where there is any. */
export function withRinseFirst(
  options: readonly Option[],
  kind: SoilKind,
): { readonly options: readonly Option[]; readonly shut: readonly Pick<Option, 'treatment' | 'gates'>[] } {
  // Steam loosens as well, but nothing of it runs off.
  const runsOff = ({ treatment }: Option): boolean => loosenedBy(treatment) === 'rinse';
  if (!options.some(runsOff)) return { options, shut: [] };
  const rinsed = options.filter(runsOff);
  const foamed = rinsed.some(isFoamedFirst)
    ? rinsed.filter((one) => !isShampooed(one.treatment) || isFoamedFirst(one))
    : rinsed;
  const shutBy = (left: readonly Option[], code: 'rinse-first' | 'foam-first') =>
    left.map((one) => ({ ...one, gates: [{ code, kind } satisfies Gate] }));
  return {
    options: foamed,
    shut: [
      ...shutBy(
        options.filter((one) => !runsOff(one)),
        'rinse-first',
      ),
      ...shutBy(
        rinsed.filter((one) => !foamed.includes(one)),
        'foam-first',
      ),
    ],
  };
}

/** Dust of level 2 or more that lies loose in a seam comes out with air before anything is wiped, wherever air may be used. */
export function withAirFirst(
  { soil }: SoiledZone,
  options: readonly Option[],
  context: PlanningContext,
): { readonly options: readonly Option[]; readonly shut: readonly Pick<Option, 'treatment' | 'gates'>[] } {
  const level2 = loadOfLevel(2, context.a);
  const kind = soil.loads.find((one) => loose.includes(one.kind) && one.loadGm2 >= level2 - 1e-9)?.kind;
  const isDry = ({ treatment }: Option): boolean => loosenedBy(treatment) === 'nothing';
  if (!kind || !options.some(({ treatment }) => loosenedBy(treatment) === 'air')) return { options, shut: [] };
  return {
    options: options.filter((one) => !isDry(one)),
    shut: options.filter(isDry).map((one) => ({ ...one, gates: [{ code: 'blow-first', kind }] })),
  };
}

const isFoamedFirst = ({ treatment }: Option): boolean =>
  isShampooed(treatment) && contactOf(treatment).sprays === 'foam';
