import { resolveAssumptions } from '../assumptions';
import type { Job, SoilKind, VehicleMethod } from '../model';
import { soilOn } from '../soil';
import { zonesIn } from '../vehicle';
import { type LogEntry, logOf } from './log';

/** One visit of a vehicle. */
export interface Visit {
  readonly entry: LogEntry<Job>;
  /** On the mean over the zones that were looked at; null where none was. */
  readonly loadGm2: number | null;
  /** What there was most of, the most first. */
  readonly kinds: readonly SoilKind[];
  readonly method: VehicleMethod | null;
  readonly marks: number;
  /** Marks that were not there the time before. */
  readonly newMarks: number;
}

const KINDS = 3;

function soilOf({ job }: LogEntry<Job>): Pick<Visit, 'loadGm2' | 'kinds'> {
  const a = resolveAssumptions(job.choices.assumptions);
  const grams = new Map<SoilKind, number>();
  let area = 0;
  for (const zone of zonesIn(job)) {
    if (!job.soil[zone.id]) continue;
    area += zone.areaM2;
    for (const { kind, loadGm2 } of soilOn(zone, job, a).loads)
      grams.set(kind, (grams.get(kind) ?? 0) + loadGm2 * zone.areaM2);
  }
  const total = [...grams.values()].reduce((sum, one) => sum + one, 0);
  const kinds = [...grams]
    .sort((p, q) => q[1] - p[1])
    .slice(0, KINDS)
    .map(([kind]) => kind);
  return { loadGm2: area > 0 ? total / area : null, kinds };
}

const markKey = ({ zone, kind }: Job['marks'][number]): string => `${zone}/${kind}`;

/** The visits of one vehicle over time, the first one first. */
export function historyOf(jobs: readonly Job[]): readonly Visit[] {
  const visits = [...logOf(jobs)].reverse();
  let known: ReadonlySet<string> | null = null;
  return visits.map((entry): Visit => {
    const { marks } = entry.job;
    const newMarks = known === null ? 0 : marks.filter((mark) => !known!.has(markKey(mark))).length;
    known = new Set(marks.map(markKey));
    return { entry, ...soilOf(entry), method: entry.method, marks: marks.length, newMarks };
  });
}
