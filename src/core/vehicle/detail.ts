import type { Polygon, View } from '../model';

/** What makes an outline look like a vehicle besides its zones: nothing that is washed by itself. */
export interface Detail {
  readonly kind: 'body' | 'glass' | 'stub' | 'lamp' | 'tail-lamp' | 'handle' | 'spoke';
  readonly view: View;
  /** A closed outline, or the two ends of a line. */
  readonly points: Polygon;
}
