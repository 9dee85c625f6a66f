import { describe, expect, it } from 'vitest';
import { defaultDimensions, detailsOf, mirrored, newItem, zonesOf } from '@esmero/core';
import { bodies, views } from '@esmero/model';
import { type Net, type PlacedZone, neighbour, netOf, sideOf } from './net-layout';

const netFor = (body: (typeof bodies)[number], lie: 'across' | 'up' = 'across'): Net => {
  const vehicle = { ...newItem.vehicle('v'), body, dimensions: defaultDimensions(body) };
  return netOf(zonesOf(vehicle), detailsOf(vehicle), vehicle.dimensions, lie);
};

describe('the car unfolded', () => {
  it.each(bodies)('%s: every zone lies inside the picture, with its writing on it', (body) => {
    const net = netFor(body);
    const [x, y, width, height] = net.viewBox.split(' ').map(Number) as [number, number, number, number];
    for (const { centre, room, path, zone } of net.zones) {
      expect(centre[0]).toBeGreaterThan(x);
      expect(centre[0]).toBeLessThan(x + width);
      expect(centre[1]).toBeGreaterThan(y);
      expect(centre[1]).toBeLessThan(y + height);
      expect(room, zone.id).toBeGreaterThan(0);
      expect(path).not.toContain('NaN');
    }
  });

  it('hinges the flanks on the roof: right above and upside down, left below', () => {
    const centreOf = (id: string) => netFor('sedan').zones.find(({ zone }) => zone.id === id)!.centre;
    expect(centreOf('right-sill')[1]).toBeLessThan(centreOf('right-front-glass')[1]);
    expect(centreOf('right-front-glass')[1]).toBeLessThan(centreOf('roof')[1]);
    expect(centreOf('left-sill')[1]).toBeGreaterThan(centreOf('left-front-glass')[1]);
    for (const { zone, centre } of netFor('sedan').zones)
      if (zone.id.startsWith('left-')) {
        const twin = centreOf(mirrored(zone.id));
        expect(twin[0]).toBeCloseTo(centre[0], 1);
        expect(twin[1]).toBeCloseTo(-centre[1], 1);
      }
  });

  it.each(['across', 'up'] as const)(
    'lets nose and tail stand upright, each as one sees it who stands there: %s',
    (lie) => {
      const net = netFor('hatchback', lie);
      const at = (id: string) => net.zones.find(({ zone }) => zone.id === id)!.centre;
      expect(at('front-bumper-lower')[1]).toBeGreaterThan(at('grille')[1]);
      expect(at('rear-bumper-lower')[1]).toBeGreaterThan(at('badges')[1]);
      const [ahead, behind] =
        lie === 'across' ? [at('grille')[0], at('badges')[0]] : [at('grille')[1], at('badges')[1]];
      const roof = at('roof')[lie === 'across' ? 0 : 1];
      expect(ahead).toBeLessThan(roof);
      expect(behind).toBeGreaterThan(roof);
    },
  );

  it('stands nose up on a narrow screen', () => {
    const [, , width, height] = netFor('estate', 'up').viewBox.split(' ').map(Number) as [
      number,
      number,
      number,
      number,
    ];
    expect(height).toBeGreaterThan(width);
  });

  it('leads from every zone to every other by arrows', () => {
    const net = netFor('sedan');
    const reached = new Set(['roof']);
    const queue = ['roof'];
    while (queue.length > 0) {
      const from = queue.pop()!;
      for (const direction of ['left', 'right', 'up', 'down'] as const) {
        const next = neighbour(net, from as 'roof', direction);
        if (next && !reached.has(next)) {
          reached.add(next);
          queue.push(next);
        }
      }
    }
    expect(net.zones.map(({ zone }) => zone.id).filter((id) => !reached.has(id))).toEqual([]);
  });

  it('goes the way that is asked', () => {
    const net = netFor('sedan');
    expect(neighbour(net, 'roof', 'left')).toBe('windscreen');
    expect(neighbour(net, 'windscreen', 'left')).toBe('bonnet');
    expect(neighbour(net, 'bonnet', 'right')).toBe('windscreen');
  });
});

/** Area of a drawn path, holes taken off; the first ring is the outline. */
function drawnArea({ path }: PlacedZone): number {
  const rings = path
    .split('Z')
    .filter((ring) => ring !== '')
    .map((ring) =>
      ring
        .slice(1)
        .split('L')
        .map((point) => point.split(' ').map(Number) as [number, number]),
    );
  const areas = rings.map(
    (ring) =>
      Math.abs(
        ring.reduce(
          (sum, [x, y], i) => sum + x * ring[(i + 1) % ring.length]![1] - ring[(i + 1) % ring.length]![0] * y,
          0,
        ),
      ) / 2,
  );
  return areas.slice(1).reduce((rest, hole) => rest - hole, areas[0]!);
}

/** Area of a polygon with holes, before any rounding. */
const areaOf = (polygons: readonly (readonly (readonly [number, number])[])[]): number =>
  drawnArea({
    path: polygons.map((ring) => `M${ring.map((point) => point.join(' ')).join('L')}Z`).join(''),
  } as PlacedZone);

describe('what is drawn', () => {
  it.each(bodies)(
    '%s: is as large as what is computed, within half a per cent, on the net and side by side',
    (body) => {
      const vehicle = { ...newItem.vehicle('v'), body, dimensions: defaultDimensions(body) };
      const zones = zonesOf(vehicle);
      const sides = views.flatMap((view) => sideOf(view, zones, detailsOf(vehicle)).zones);
      for (const placed of [...netFor(body).zones, ...sides])
        expect(Math.abs(drawnArea(placed) / areaOf(placed.zone.polygons) - 1), placed.zone.id).toBeLessThan(0.005);
    },
  );
});

describe('one side alone', () => {
  it.each(bodies.filter((body) => body !== 'motorcycle'))('%s: has the panels of its side, upright', (body) => {
    const vehicle = { ...newItem.vehicle('v'), body, dimensions: defaultDimensions(body) };
    const zones = zonesOf(vehicle);
    for (const view of views) {
      const side = sideOf(view, zones, detailsOf(vehicle));
      expect(side.zones.map(({ zone }) => zone.id)).toEqual(
        zones.filter((zone) => zone.view === view).map(({ id }) => id),
      );
    }
    const right = sideOf('right', zones, detailsOf(vehicle)).zones;
    const at = (id: string) => right.find(({ zone }) => zone.id === id)!.centre;
    expect(at('right-sill')[1]).toBeGreaterThan(at('right-front-glass')[1]);
    expect(at('right-front-wheel')[0]).toBeGreaterThan(at('right-rear-wheel')[0]);
  });
});
