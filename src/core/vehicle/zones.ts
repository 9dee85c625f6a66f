import { recent } from '../cache';
import type { Polygon, Side, Vehicle, Zone, ZoneId } from '../model';
import { degrees, m2, metres } from '../units';
import { centreShapes } from './centre';
import { flankShapes } from './flank';
import { frameOf } from './frame';
import { motorcycleZones } from './motorcycle';
import { areaOf, centroidOf } from './polygon';
import { type Traits, centreTraits, flankTraits } from './traits';

const surfaceOf = (traits: Traits, vehicle: Vehicle): Zone['surface'] =>
  traits.surface !== 'painted-or-clad' ? traits.surface : vehicle.cladding ? 'bare-plastic' : 'paint';

interface Shape {
  readonly id: ZoneId;
  readonly view: Zone['view'];
  readonly polygons: readonly Polygon[];
  readonly slopeFactor: number;
  readonly tiltDeg: number;
  readonly facingDeg: number;
  readonly heightM: number;
}

const zoneFrom = (shape: Shape, traits: Traits, vehicle: Vehicle): Zone => ({
  id: shape.id,
  view: shape.view,
  polygons: shape.polygons,
  areaM2: m2(areaOf(shape.polygons) * shape.slopeFactor * traits.curvature),
  tiltDeg: degrees(shape.tiltDeg),
  facingDeg: degrees(shape.facingDeg),
  heightM: metres(shape.heightM),
  surface: surfaceOf(traits, vehicle),
  cleanliness: traits.cleanliness,
});

function outlined(vehicle: Vehicle): readonly Zone[] {
  const frame = frameOf(vehicle);
  const centre = centreShapes(frame).map((shape) =>
    zoneFrom({ ...shape, id: shape.part, polygons: [shape.polygon] }, centreTraits[shape.part], vehicle),
  );
  const flank = (side: Side): Zone[] =>
    [...flankShapes(frame)].map(([part, polygons]) =>
      zoneFrom(
        {
          id: `${side}-${part}`,
          view: side,
          polygons,
          slopeFactor: 1,
          tiltDeg: 90,
          facingDeg: side === 'right' ? 90 : 270,
          heightM: centroidOf(polygons)[1],
        },
        flankTraits[part],
        vehicle,
      ),
    );
  return [...centre, ...flank('left'), ...flank('right')];
}

/** Cars whose outlines are kept: those on the desk, and those that a log goes through. */
const KEPT = 64;

/**
 * All zones of a vehicle in five views, scaled by its own dimensions. A sedan has 53, a van fewer:
 * a body has only the parts that it has. Left and right have the same outlines, seen from their
 * own side. Areas grow with the square of a uniform scale.
 */
export const zonesOf: (vehicle: Vehicle) => readonly Zone[] = recent(KEPT, JSON.stringify, (vehicle: Vehicle) =>
  vehicle.body === 'motorcycle' ? motorcycleZones(vehicle) : outlined(vehicle),
);
