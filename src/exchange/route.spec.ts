import { check } from '@placemarkio/check-geojson';
import { gpx } from '@tmcw/togeojson';
import fc from 'fast-check';
import { JSDOM } from 'jsdom';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { type RouteStop, routeGeoJson, routeGpx } from './route';

const some: fc.Arbitrary<RouteStop> = fc.record({
  name: fc.string({ maxLength: 20 }),
  note: fc.string({ maxLength: 20 }),
  beginAt: fc.option(fc.integer({ min: 0, max: 4e12 })),
  latitudeDeg: fc.double({ min: -90, max: 90, noNaN: true }) as fc.Arbitrary<never>,
  longitudeDeg: fc.double({ min: -180, max: 180, noNaN: true }) as fc.Arbitrary<never>,
});

describe('stops on a map', () => {
  it('are sound GeoJSON, in their order, longitude first', () => {
    fc.assert(
      fc.property(fc.array(some, { maxLength: 6 }), (stops) => {
        const { features } = check(routeGeoJson('A day', stops)) as GeoJSON.FeatureCollection<GeoJSON.Point>;
        expect(
          features.map(({ geometry, properties }) => [
            ...geometry.coordinates.map((one) => one + 0),
            properties!['order'] as number,
          ]),
        ).toEqual(stops.map(({ latitudeDeg, longitudeDeg }, i) => [longitudeDeg + 0, latitudeDeg + 0, i + 1]));
      }),
      { numRuns: runs(60) },
    );
  });

  it('are sound GPX that another reader has the same points of, whatever they are called', () => {
    const { DOMParser } = new JSDOM('').window;
    fc.assert(
      fc.property(fc.array(some, { minLength: 1, maxLength: 6 }), (stops) => {
        const document = new DOMParser().parseFromString(routeGpx('A <day> & more', stops), 'application/xml');
        expect(document.getElementsByTagName('parsererror')).toHaveLength(0);
        const { features } = gpx(document as never);
        const points = features
          .filter(({ geometry }) => geometry?.type === 'Point')
          .map(({ geometry }) => (geometry as GeoJSON.Point).coordinates);
        expect(points.map(([long, lat]) => [long! + 0, lat! + 0])).toEqual(
          stops.map(({ latitudeDeg, longitudeDeg }) => [longitudeDeg + 0, latitudeDeg + 0]),
        );
        expect(document.getElementsByTagName('rtept')).toHaveLength(stops.length);
      }),
      { numRuns: runs(40) },
    );
  });
});
