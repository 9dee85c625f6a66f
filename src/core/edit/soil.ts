import type { BugCover, Deposit, Job, MeasuredLoad, SoilMap, SpotKind, ZoneId, ZoneSoil } from '../model';
import { byEye } from '../soil';
import { mirrored } from '../vehicle';

/** What a stroke lays on a zone: instead of what is there, or on top of it. */
export interface Brush {
  readonly deposit: Deposit;
  readonly onTop: boolean;
}

const bare: ZoneSoil = { deposits: [], spots: {} };

const soilAt = (soil: SoilMap, id: ZoneId): ZoneSoil => soil[id] ?? bare;

function laid(soil: ZoneSoil, { deposit, onTop }: Brush): ZoneSoil {
  const kept = onTop ? soil.deposits.filter(({ kind }) => kind !== deposit.kind) : [];
  return { ...byEye(soil), deposits: [...kept, deposit] };
}

const withSoil = (job: Job, soil: SoilMap): Job => ({ ...job, soil });

/** Paints zones with a brush; spots and bugs stay. */
export const paint = (job: Job, ids: readonly ZoneId[], brush: Brush): Job =>
  withSoil(job, {
    ...job.soil,
    ...Object.fromEntries(ids.map((id) => [id, laid(soilAt(job.soil, id), brush)])),
  });

/**
 * Puts what a wipe test found onto a zone: its likely kind at the nearest level, in place of kinds
 * of which it says nothing, and the load itself.
 */
export function measure(job: Job, id: ZoneId, deposit: Deposit, measured: MeasuredLoad): Job {
  return withSoil(job, { ...job.soil, [id]: { ...soilAt(job.soil, id), deposits: [deposit], measured } });
}

/** Takes zones back to "not looked at". */
export const unsee = (job: Job, ids: readonly ZoneId[]): Job =>
  withSoil(job, Object.fromEntries(Object.entries(job.soil).filter(([id]) => !ids.includes(id as ZoneId))) as SoilMap);

/** Takes one kind of soil off a zone; the zone stays looked at. */
export const lift = (job: Job, id: ZoneId, kind: Deposit['kind']): Job => {
  const soil = soilAt(job.soil, id);
  return withSoil(job, {
    ...job.soil,
    [id]: { ...byEye(soil), deposits: soil.deposits.filter((deposit) => deposit.kind !== kind) },
  });
};

/** Sets how many spots of a kind a zone has; 0 takes them off. */
export function setSpots(job: Job, id: ZoneId, kind: SpotKind, count: number): Job {
  const soil = soilAt(job.soil, id);
  const { [kind]: _before, ...others } = soil.spots;
  const next = count > 0 ? { ...others, [kind]: Math.round(count) } : others;
  return withSoil(job, { ...job.soil, [id]: { ...soil, spots: next } });
}

/** How much of a zone bug splatter covers; null takes it off. */
export function setBugs(job: Job, id: ZoneId, bugs: BugCover | null): Job {
  const { bugs: _before, ...soil } = soilAt(job.soil, id);
  return withSoil(job, { ...job.soil, [id]: bugs ? { ...soil, bugs } : soil });
}

/** Makes one flank look like the other; zones of the centre stay. */
export function mirrorSoil(job: Job, from: 'left' | 'right'): Job {
  const prefix = `${from}-`;
  const copied = Object.entries(job.soil).filter(([id]) => id.startsWith(prefix));
  const mirror = copied.map(([id, soil]) => [mirrored(id as ZoneId), byEye(soil)]);
  const centre = Object.entries(job.soil).filter(([id]) => !/^(left|right)-/.test(id));
  return withSoil(job, Object.fromEntries([...centre, ...copied, ...mirror]) as SoilMap);
}
