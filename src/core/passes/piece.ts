import type { Assumptions } from '../assumptions';
import type { Zone } from '../model';
import {
  type Cuts,
  type Held,
  type Option,
  type Sprayed,
  type StandingPlace,
  type WorkSeconds,
  cutsOf,
  extentOf,
  holderOf,
} from '../rules';
import type { Lap } from './lap';

/** A zone with what is done to it and when. */
export interface Chosen {
  readonly zone: Zone;
  readonly option: Option;
  readonly lap: Lap;
}

/** A part of a zone that is wetted and wiped in one go, from one place. */
export interface Piece extends Chosen {
  /** From 1; halves from the left come first. */
  readonly section: number;
  readonly of: number;
  readonly areaM2: number;
  readonly place: StandingPlace;
  /** Who is at it, or has wetted it; null for whoever comes. */
  readonly holder: number | null;
  /** When it was sprayed, before the plan begins; null where it is not wet. */
  readonly wet: Sprayed | null;
  /** From the nose backwards, m. */
  readonly fromM: number;
  readonly toM: number;
  /** Seconds with folding and fetching in them. */
  readonly work: WorkSeconds;
}

/** Where a section of a zone is reached from, and its stretch from the nose backwards. */
function standingFor(
  zone: Zone,
  { across }: Cuts,
  section: number,
  of: number,
  lengthM: number,
): Pick<Piece, 'place' | 'fromM' | 'toM'> {
  if (zone.view === 'front') return { place: 'front', fromM: 0, toM: 0 };
  if (zone.view === 'rear') return { place: 'rear', fromM: lengthM, toM: lengthM };
  const [from, to] = extentOf(zone, 0);
  const each = Math.max(1, Math.floor(of / across));
  const along = (section - 1) % each;
  const stretch = { fromM: from + ((to - from) * along) / each, toM: from + ((to - from) * (along + 1)) / each };
  if (zone.view !== 'top') return { place: zone.view, ...stretch };
  if (across === 1) return { place: 'rear', ...stretch };
  return { place: section <= each ? 'left' : 'right', ...stretch };
}

/** A zone cut into its sections; its spots are taken to lie evenly. */
export function piecesOf(chosen: Chosen, lengthM: number, held: Held, a: Assumptions): readonly Piece[] {
  const { zone, option } = chosen;
  const { work, sections } = option;
  const cuts = cutsOf(zone, lengthM, a);
  const share = (1 + a.walking) / sections;
  const { wet = [], begun } = option.rest ?? {};
  return Array.from({ length: sections }, (_, i): Piece => {
    const standing = standingFor(zone, cuts, i + 1, sections, lengthM);
    const place = begun?.places[i] ?? standing.place;
    // What is wet already comes first; the others are wetted.
    const wetting = i < wet.length ? 0 : (1 + a.walking) / (sections - wet.length);
    return {
      ...chosen,
      ...standing,
      place,
      holder: holderOf(held, { zoneId: zone.id, section: i + 1, place }),
      wet: wet[i] ?? null,
      section: i + 1,
      of: sections,
      areaM2: zone.areaM2 / sections,
      work: {
        flush: work.flush * share,
        pretreat: work.pretreat * wetting,
        spray: work.spray * wetting,
        rinseBefore: work.rinseBefore * share,
        wipe: work.wipe * share,
        rinseOff: work.rinseOff * share,
        finish: work.finish * (1 - (option.rest?.unfinished ?? 0)) * share,
        glass: work.glass * share,
        protect: work.protect * share,
      },
    };
  });
}
