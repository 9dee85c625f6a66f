import { scopeParts } from '@esmero/model';
import { CareDocument } from './care';
import { Id, One, OrNull, SomeOf, Text, WholeBetween } from './rules';

export class SoldAsDocument {
  @Id() id!: string;
  @Text(120, 1) name!: string;
  @OrNull() @WholeBetween(0, 100_000_000) priceMinor!: number | null;
}

/** A scope that is sold under a name. */
export class PackageDocument extends SoldAsDocument {
  @SomeOf(scopeParts) scope!: string[];
  @One(() => CareDocument) care!: CareDocument;
}
