import type { CarBody, Point, Vehicle } from '../model';
import { bodyTemplates, type BodyTemplate } from './template';

/** A template scaled to one vehicle: the points from which every outline is drawn, in metres. */
export interface Frame {
  readonly vehicle: Vehicle;
  readonly template: BodyTemplate;
  readonly length: number;
  readonly width: number;
  readonly height: number;
  readonly clearance: number;
  readonly wheelRadius: number;
  readonly archRadius: number;
  readonly frontAxle: Point;
  readonly rearAxle: Point;
  readonly nose: Point;
  readonly cowl: Point;
  readonly header: Point;
  readonly roofEnd: Point;
  readonly deck: Point;
  readonly tail: Point;
  readonly glassBase: Point;
  readonly glassTop: Point;
  readonly doorStart: number;
  readonly pillar: number;
  readonly doorEnd: number;
  readonly skirt: number;
  readonly sillTop: number;
}

/** Gap between tyre and arch edge, share of the wheel's radius. */
const ARCH_GAP = 0.16;
/** Height of the sill, share of the vehicle's height. */
const SILL = 0.075;

export function frameOf(vehicle: Vehicle): Frame {
  const template = bodyTemplates[vehicle.body as CarBody];
  const { lengthM, widthM, heightM, wheelbaseM, clearanceM, wheelDiameterM } = vehicle.dimensions;
  const at = ([along, up]: readonly [number, number]): Point => [along * lengthM, up * heightM];
  const wheelRadius = wheelDiameterM / 2;
  const frontAxleX = template.frontOverhang * (lengthM - wheelbaseM);
  return {
    vehicle,
    template,
    length: lengthM,
    width: widthM,
    height: heightM,
    clearance: clearanceM,
    wheelRadius,
    archRadius: wheelRadius * (1 + ARCH_GAP),
    frontAxle: [frontAxleX, wheelRadius],
    rearAxle: [frontAxleX + wheelbaseM, wheelRadius],
    nose: at(template.nose),
    cowl: at(template.cowl),
    header: at(template.header),
    roofEnd: at(template.roofEnd),
    deck: at(template.deck),
    tail: at(template.tail),
    glassBase: at(template.glassBase),
    glassTop: at(template.glassTop),
    doorStart: template.doorStart * lengthM,
    pillar: template.pillar * lengthM,
    doorEnd: template.doorEnd * lengthM,
    skirt: template.skirt * heightM,
    sillTop: clearanceM + SILL * heightM,
  };
}
