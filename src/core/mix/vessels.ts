import type { Assumptions } from '../assumptions';
import type { Bottled, BucketSystem, MixPurpose, Vessel, VesselKind } from '../model';

/** What stands in a vessel on site. */
export type Content = Exclude<MixPurpose, Bottled> | 'water' | 'supply' | 'rinse';

/** Vessels each content can be worked from, best first. */
const suited: Readonly<Record<Content, readonly VesselKind[]>> = {
  water: ['pump-sprayer'],
  supply: ['bucket'],
  foam: ['foam-sprayer'],
  wash: ['bucket'],
  shampoo: ['bucket'],
  rinse: ['bucket'],
  waterless: ['spray-bottle'],
  glass: ['spray-bottle'],
  presoak: ['pump-sprayer', 'spray-bottle'],
};

/** Contents with one kind of vessel choose before those with two. */
const order: readonly Content[] = [
  'water',
  'foam',
  'wash',
  'shampoo',
  'rinse',
  'supply',
  'waterless',
  'glass',
  'presoak',
];

/** Buckets of plain rinse water beside the wash bucket. */
export const rinseBuckets = (system: BucketSystem): 0 | 1 | 2 =>
  system === 'three-buckets' ? 2 : system === 'two-buckets' ? 1 : 0;

/** A vessel's worth of something that is wanted on site. */
export interface Wanted {
  readonly content: Content;
  /** What the panels take. */
  readonly demandMl: number;
}

export interface Assigned extends Wanted {
  readonly vessel: Vessel;
}

export type Assignment =
  | { readonly ok: true; readonly vessels: readonly Assigned[] }
  | { readonly ok: false; readonly content: Content; readonly kind: VesselKind };

/** A mitt, a sponge or towels are loaded from it. */
export const isFromBucket = (content: Content): content is 'wash' | 'shampoo' =>
  content === 'wash' || content === 'shampoo';

/** What must stand in a vessel beyond what the panels take, mL: rinse water to rinse in, enough to load a mitt from, or what a pump or a nozzle does not reach. */
export function chargeOf(
  { content, vessel }: { readonly content: Content; readonly vessel: Vessel },
  a: Pick<Assumptions, 'rinseBucket' | 'mittLoad'>,
): number {
  if (content === 'rinse') return a.rinseBucket;
  return isFromBucket(content) ? Math.min(vessel.chargeMl, a.mittLoad) : vessel.chargeMl;
}

/** Up to its working line; above it there is no room for air, a hand or a guard. */
export const workingVolume = (vessel: Pick<Vessel, 'capacityMl' | 'workingShare'>): number =>
  vessel.capacityMl * vessel.workingShare;

/** The smallest that holds it in one filling, or else the largest. */
export function smallestFor<V extends Pick<Vessel, 'capacityMl' | 'workingShare'>>(
  candidates: readonly V[],
  volumeMl: number,
): V | undefined {
  const bySize = [...candidates].sort((p, q) => workingVolume(p) - workingVolume(q));
  return bySize.find((vessel) => workingVolume(vessel) >= volumeMl) ?? bySize.at(-1);
}

/** What a vessel holds from before. */
export interface InVessel {
  readonly content: Content;
  readonly vesselId: string;
  readonly ml: number;
}

/** Vessels that hold something keep it; the rest of what is wanted is still open. */
function keeping(wanted: readonly Wanted[], vessels: readonly Vessel[], held: readonly InVessel[]) {
  const open = [...wanted];
  const kept = held.flatMap(({ content, vesselId }): Assigned[] => {
    const [at, vessel] = [
      open.findIndex((want) => want.content === content),
      vessels.find(({ id }) => id === vesselId),
    ];
    return at >= 0 && vessel ? [{ ...open.splice(at, 1)[0]!, vessel }] : [];
  });
  return { kept, open };
}

/**
 * One vessel for each content, none used twice: every strength has a labelled vessel of its own.
 * @param held what stands in some of them already
 */
export function assignVessels(
  wanted: readonly Wanted[],
  vessels: readonly Vessel[],
  held: readonly InVessel[] = [],
): Assignment {
  const full = new Set(held.map(({ vesselId }) => vesselId));
  const free = new Set(vessels.filter(({ id }) => !full.has(id)));
  const { kept, open } = keeping(wanted, vessels, held);
  const assigned = [...kept];
  const sorted = [...open].sort((p, q) => order.indexOf(p.content) - order.indexOf(q.content));
  for (const want of sorted) {
    const kinds = suited[want.content];
    const vessel = kinds
      .map((kind) =>
        smallestFor(
          [...free].filter((v) => v.kind === kind),
          want.demandMl,
        ),
      )
      .find((found) => found !== undefined);
    if (!vessel) return { ok: false, content: want.content, kind: kinds[0]! };
    free.delete(vessel);
    assigned.push({ ...want, vessel });
  }
  return { ok: true, vessels: assigned };
}
