import type { Day, Spot } from '../model';

const EARTH_KM = 6371;

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** Along a great circle, km. */
export function kmBetween(p: Spot, q: Spot): number {
  const [dLat, dLong] = [radians(q.latitudeDeg - p.latitudeDeg), radians(q.longitudeDeg - p.longitudeDeg)];
  const half =
    Math.sin(dLat / 2) ** 2 +
    Math.cos(radians(p.latitudeDeg)) * Math.cos(radians(q.latitudeDeg)) * Math.sin(dLong / 2) ** 2;
  return 2 * EARTH_KM * Math.asin(Math.min(1, Math.sqrt(half)));
}

/** Rows of the travel table: the start, the end, the stops, the places to restock. */
const placesOf = ({ start, end, stops, restocking }: Day): readonly Spot[] => [
  start,
  end,
  ...stops.map(({ job }) => job.site),
  ...restocking,
];

export const START = 0;
export const END = 1;
export const rowOfStop = (index: number): number => 2 + index;
export const rowOfRestock = ({ stops }: Pick<Day, 'stops'>, index: number): number => 2 + stops.length + index;

/** Minutes from each place of a day to each. */
export function travelTable(day: Day): readonly (readonly number[])[] {
  const { travel } = day;
  if (travel.kind === 'table') return travel.minutes;
  const places = placesOf(day);
  const { roadFactor, kmPerHour, parkMin } = travel;
  return places.map((from, i) =>
    places.map((to, j) =>
      i === j || kmBetween(from, to) === 0 ? 0 : ((kmBetween(from, to) * roadFactor) / kmPerHour) * 60 + parkMin,
    ),
  );
}
