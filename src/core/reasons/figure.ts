import type { AssumptionKey } from '../assumptions';
import type { Origin } from '../model';

export type FigureUnit = 'min' | 's' | 'L' | 'mL' | 'index' | 'towels' | 'minor' | 'um';

/** A summand or factor of a figure; the code is worded by the interface. */
export interface FigurePart {
  readonly code: string;
  readonly value: number;
}

/** A number that can say why: what it is made of, and the assumptions behind it. */
export interface Figure {
  readonly value: number;
  readonly unit: FigureUnit;
  readonly origin: Origin;
  readonly parts: readonly FigurePart[];
  readonly uses: readonly AssumptionKey[];
}

/** A figure that is the sum of its parts; parts of zero are left out. */
export const sumFigure = (unit: FigureUnit, parts: readonly FigurePart[], uses: readonly AssumptionKey[]): Figure => ({
  value: parts.reduce((sum, { value }) => sum + value, 0),
  unit,
  origin: 'computed',
  parts: parts.filter(({ value }) => value !== 0),
  uses,
});
