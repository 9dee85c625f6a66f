import { careReaches, careUses, dressTimes, paintCares } from '@esmero/model';
import { Day, Flag, One, OneOf, OrNull, Text } from './rules';

export class PaintCareDocument {
  @OneOf(paintCares) use!: string;
  @OneOf(careReaches) on!: string;
}

/** What is put onto a car once it is clean. */
export class CareDocument {
  @OrNull() @One(() => PaintCareDocument) paint!: PaintCareDocument | null;
  @Flag() trim!: boolean;
  @OrNull() @OneOf(dressTimes) tyres!: string | null;
}

/** What was put onto a car before. */
export class ProtectionDocument {
  @Text(120, 1) product!: string;
  @OneOf(careUses) use!: string;
  @OrNull() @OneOf(careReaches) on!: string | null;
  @Day() since!: string;
  @OrNull() @Day() until!: string | null;
}
