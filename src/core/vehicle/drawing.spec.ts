import { describe, expect, it } from 'vitest';
import { type Point, type View, bodies } from '../model';
import { sampleVehicle } from '../testing/sample';
import { detailsOf } from './drawing';
import { zonesOf } from './zones';

describe.each(bodies.filter((body) => body !== 'motorcycle'))('what is drawn besides the zones of a %s', (body) => {
  const vehicle = sampleVehicle(body);
  const { lengthM, widthM, heightM } = vehicle.dimensions;
  const details = detailsOf(vehicle);

  it('stays within the car', () => {
    for (const { kind, view, points } of details)
      for (const [x, y] of points) {
        const [from, to] =
          view === 'left' || view === 'right' || view === 'top' ? [0, lengthM] : [-widthM / 2, widthM / 2];
        expect(x, kind).toBeGreaterThanOrEqual(from - 1e-6);
        expect(x, kind).toBeLessThanOrEqual(to + 1e-6);
        expect(Math.abs(y), kind).toBeLessThanOrEqual((view === 'top' ? widthM / 2 : heightM) + 1e-6);
      }
  });

  it('has a body round the zones of every view', () => {
    const boxOf = (points: readonly Point[]) =>
      [0, 1].flatMap((k) => [Math.min(...points.map((at) => at[k]!)), -Math.max(...points.map((at) => at[k]!))]);
    for (const view of ['left', 'right', 'front', 'rear', 'top'] as const satisfies readonly View[]) {
      const shell = boxOf(details.find((one) => one.kind === 'body' && one.view === view)!.points);
      for (const { id, polygons } of zonesOf(vehicle).filter(
        (zone) => zone.view === view && !/wheel|tyre|arch/.test(zone.id),
      ))
        boxOf(polygons.flat()).forEach((edge, i) =>
          expect(edge, `${view} ${id}`).toBeGreaterThanOrEqual(shell[i]! - 0.02),
        );
    }
  });

  it('is the same on both flanks', () => {
    const of = (view: View) => details.filter((one) => one.view === view).map(({ kind, points }) => [kind, points]);
    expect(of('right')).toEqual(of('left'));
  });
});
