import type { Day } from '@esmero/model';
import { jobDocument, jobFrom, jobVersion } from '@esmero/records';
import { DayDocument, type TravelDocument } from './documents/day';
import { type Format, openEnvelope, writeEnvelope } from './envelope';
import type { Fault, Read } from './fault';
import { faultsIn } from './validate';
import { stepsForJobsIn, vanDocument, vanFrom } from './van';

export const dayFormat: Format = {
  name: 'esmero-day',
  version: jobVersion,
  most: 40_000_000,
  key: 'day',
  migrations: stepsForJobsIn('stops'),
};

/** What no field can say alone: ends after begins, each job once. */
function orderFaults({ startHour, endHour, stops, taken = [], break: pause }: DayDocument): readonly Fault[] {
  const within = (path: string, from: number, until: number): Fault[] =>
    until < from
      ? [{ path: `day.${path}`, expected: { code: 'number', min: from, max: 24 }, found: String(until) }]
      : [];
  const ids = stops.map(({ job }) => job.id);
  return [
    ...within('endHour', startHour, endHour),
    ...(pause ? within('break.untilHour', pause.fromHour, pause.untilHour) : []),
    ...taken.flatMap(({ fromHour, untilHour }, i) => within(`taken[${i}].untilHour`, fromHour, untilHour)),
    ...stops.flatMap(({ fromHour, untilHour }, i) => within(`stops[${i}].untilHour`, fromHour, untilHour)),
    ...(new Set(ids).size < ids.length
      ? [
          {
            path: 'day.stops',
            expected: { code: 'unique', field: 'job.id' } as const,
            found: ids.find((id, i) => ids.indexOf(id) !== i)!,
          },
        ]
      : []),
  ];
}

/** Every place needs its row, and every row a figure for each place. */
function travelFaults({ travel, stops, restocking }: DayDocument): readonly Fault[] {
  if (travel.kind !== 'table') return [];
  const places = 2 + stops.length + restocking.length;
  const fits = travel.rows!.length === places && travel.rows!.every(({ to }) => to.length === places);
  return fits
    ? []
    : [{ path: 'day.travel.rows', expected: { code: 'list', most: places }, found: `${travel.rows!.length}` }];
}

const travelFrom = ({ kind, roadFactor, kmPerHour, parkMin, rows }: TravelDocument): Day['travel'] =>
  kind === 'line'
    ? { kind, roadFactor: roadFactor!, kmPerHour: kmPerHour!, parkMin: parkMin! }
    : { kind: 'table', minutes: rows!.map(({ to }) => to.map(({ minutes }) => minutes)) };

function dayFrom(document: DayDocument): Day {
  const { travel, van, stops, rainFromHour = null, taken = [], ...same } = document;
  return {
    ...(same as unknown as Omit<Day, 'travel' | 'van' | 'stops' | 'rainFromHour' | 'taken'>),
    rainFromHour,
    taken,
    travel: travelFrom(travel),
    van: vanFrom(van),
    stops: stops.map(({ job, ...window }) => ({ ...window, job: jobFrom(job) })),
  };
}

/** Reads a file with a day of stops, of any known version. Never throws. */
export function readDay(text: string): Read<Day> {
  const opened = openEnvelope(text, dayFormat);
  if (!opened.ok) return opened;
  const { content } = opened.value;
  const found = faultsIn(DayDocument, content, 'day');
  const faults =
    found.length > 0 ? found : [...orderFaults(content as DayDocument), ...travelFaults(content as DayDocument)];
  return faults.length > 0
    ? { ok: false, why: { code: 'faults', faults } }
    : { ok: true, value: dayFrom(content as DayDocument) };
}

export function writeDay({ travel, van, stops, ...same }: Day): string {
  const document = {
    ...same,
    travel:
      travel.kind === 'line'
        ? travel
        : { kind: 'table', rows: travel.minutes.map((row) => ({ to: row.map((minutes) => ({ minutes })) })) },
    van: vanDocument(van),
    stops: stops.map(({ job, ...window }) => ({ ...window, job: jobDocument(job) })),
  };
  return writeEnvelope(dayFormat, document);
}
