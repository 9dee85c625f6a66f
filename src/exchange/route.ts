import type { Spot } from '@esmero/model';

/** A stop of a day on the map. */
export interface RouteStop extends Spot {
  readonly note: string;
  /** When it is begun, milliseconds since 1970; null where nobody knows. */
  readonly beginAt: number | null;
}

/** Stops in their order as GeoJSON (RFC 7946), for maps. */
export function routeGeoJson(name: string, stops: readonly RouteStop[]): string {
  const points = stops.map(({ name: title, note, beginAt, latitudeDeg, longitudeDeg }, i) => ({
    type: 'Feature',
    geometry: { type: 'Point', coordinates: [longitudeDeg, latitudeDeg] },
    properties: {
      name: title,
      order: i + 1,
      note,
      ...(beginAt === null ? {} : { begin: new Date(beginAt).toISOString() }),
    },
  }));
  return JSON.stringify({ type: 'FeatureCollection', name, features: points }, null, 2);
}

const entities: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&apos;',
};
/** Characters that XML 1.0 has no place for are left out. */
const escaped = (text: string): string =>
  text
    .replace(/[^\t\n\r\u0020-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu, '')
    .replace(/[&<>"']/g, (one) => entities[one]!);

/** Stops in their order as waypoints and a route (GPX 1.1), for navigation. */
export function routeGpx(name: string, stops: readonly RouteStop[]): string {
  const point = (
    tag: 'wpt' | 'rtept',
    { name: title, note, beginAt, latitudeDeg, longitudeDeg }: RouteStop,
  ): string => {
    const time = beginAt === null ? '' : `<time>${new Date(beginAt).toISOString()}</time>`;
    return `<${tag} lat="${latitudeDeg}" lon="${longitudeDeg}">${time}<name>${escaped(title)}</name>${note ? `<desc>${escaped(note)}</desc>` : ''}</${tag}>`;
  };
  const lines = [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<gpx version="1.1" creator="Esmero" xmlns="http://www.topografix.com/GPX/1/1">',
    `<metadata><name>${escaped(name)}</name></metadata>`,
    ...stops.map((stop) => point('wpt', stop)),
    `<rte><name>${escaped(name)}</name>`,
    ...stops.map((stop) => point('rtept', stop)),
    '</rte>',
    '</gpx>',
    '',
  ];
  return lines.join('\n');
}
