export { sumFigure } from './figure';
export type { Figure, FigurePart, FigureUnit } from './figure';
export { budgets, cautions } from './reason';
export type { Budget, CareLeft, Caution, Gate, Obstacle, ShortBudget, SpotLeft, Verdict } from './reason';
