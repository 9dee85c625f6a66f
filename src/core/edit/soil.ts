import type { Deposit, Job, SoilMap, SpotKind, ZoneId, ZoneSoil } from '../model';
import { mirrored } from '../vehicle';

/** What a stroke lays on a zone: instead of what is there, or on top of it. */
export interface Brush {
  readonly deposit: Deposit;
  readonly onTop: boolean;
}

const bare: ZoneSoil = { deposits: [], spots: {} };

const soilAt = (soil: SoilMap, id: ZoneId): ZoneSoil => soil[id] ?? bare;

function laid({ deposits, spots }: ZoneSoil, { deposit, onTop }: Brush): ZoneSoil {
  const kept = onTop ? deposits.filter(({ kind }) => kind !== deposit.kind) : [];
  return { deposits: [...kept, deposit], spots };
}

const withSoil = (job: Job, soil: SoilMap): Job => ({ ...job, soil });

/** Paints zones with a brush; spots stay. */
export const paint = (job: Job, ids: readonly ZoneId[], brush: Brush): Job =>
  withSoil(job, {
    ...job.soil,
    ...Object.fromEntries(ids.map((id) => [id, laid(soilAt(job.soil, id), brush)])),
  });

/** Takes zones back to "not looked at". */
export const unsee = (job: Job, ids: readonly ZoneId[]): Job =>
  withSoil(
    job,
    Object.fromEntries(
      Object.entries(job.soil).filter(([id]) => !ids.includes(id as ZoneId)),
    ) as SoilMap,
  );

/** Takes one kind of soil off a zone; the zone stays looked at. */
export const lift = (job: Job, id: ZoneId, kind: Deposit['kind']): Job => {
  const { deposits, spots } = soilAt(job.soil, id);
  return withSoil(job, {
    ...job.soil,
    [id]: { deposits: deposits.filter((deposit) => deposit.kind !== kind), spots },
  });
};

/** Sets how many spots of a kind a zone has; 0 takes them off. */
export function setSpots(job: Job, id: ZoneId, kind: SpotKind, count: number): Job {
  const { deposits, spots } = soilAt(job.soil, id);
  const { [kind]: _before, ...others } = spots;
  const next = count > 0 ? { ...others, [kind]: Math.round(count) } : others;
  return withSoil(job, { ...job.soil, [id]: { deposits, spots: next } });
}

/** Makes one flank look like the other; zones of the centre stay. */
export function mirrorSoil(job: Job, from: 'left' | 'right'): Job {
  const prefix = `${from}-`;
  const copied = Object.entries(job.soil).filter(([id]) => id.startsWith(prefix));
  const centre = Object.entries(job.soil).filter(([id]) => !/^(left|right)-/.test(id));
  return withSoil(
    job,
    Object.fromEntries([
      ...centre,
      ...copied,
      ...copied.map(([id, soil]) => [mirrored(id as ZoneId), soil]),
    ]) as SoilMap,
  );
}
