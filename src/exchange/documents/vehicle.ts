import { bodies, careUses, colours, finishes } from '@esmero/model';
import { ProtectionDocument } from './care';
import { Between, Flag, Id, Many, One, OneOf, Text, UniqueBy, check } from './rules';

type Sizes = Readonly<Record<string, number>>;

const sized = (name: 'wheelbase' | 'height' | 'clearance' | 'wheel' | 'overhang', holds: (d: Sizes) => boolean) =>
  check(name, (_value, object) => holds(object as Sizes), { code: name });

/** Sizes of a road vehicle, metres; wide enough for a motorcycle and a long van. */
export class DimensionsDocument {
  @Between(1.5, 9) lengthM!: number;
  @Between(0.5, 2.8) widthM!: number;
  // A body higher than it is long has no shape that the templates could draw.
  @sized('height', (d) => !(d['heightM']! >= d['lengthM']!))
  @Between(0.8, 3.5)
  heightM!: number;
  @sized('wheelbase', (d) => !(d['wheelbaseM']! >= d['lengthM']! * 0.85))
  @sized('overhang', (d) => !(d['wheelDiameterM']! >= d['wheelbaseM']! * 0.6))
  @Between(1, 6)
  wheelbaseM!: number;
  @sized('clearance', (d) => !(d['clearanceM']! >= d['heightM']! * 0.35))
  @Between(0.05, 0.6)
  clearanceM!: number;
  @sized('wheel', (d) => !(d['wheelDiameterM']! >= d['heightM']! * 0.55))
  @Between(0.3, 1.2)
  wheelDiameterM!: number;
}

export class VehicleDocument {
  @Id() id!: string;
  @Text(120, 1) name!: string;
  @OneOf(bodies) body!: string;
  @One(() => DimensionsDocument) dimensions!: DimensionsDocument;
  @OneOf(finishes) finish!: string;
  @OneOf(colours) colour!: string;
  @Flag() cladding!: boolean;
  @UniqueBy('use') @Many(() => ProtectionDocument, careUses.length) protection!: ProtectionDocument[];
}
