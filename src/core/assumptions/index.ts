import { assumptionTable } from './table';

export { assumptionGroups, assumptionTable } from './table';
export type { AssumptionGroup } from './table';

export type AssumptionKey = keyof typeof assumptionTable;

export const assumptionKeys = Object.keys(assumptionTable) as readonly AssumptionKey[];

/** The figures one plan is computed with. */
export type Assumptions = Readonly<Record<AssumptionKey, number>>;

/** Figures that a user has set otherwise. */
export type AssumptionOverrides = Readonly<Partial<Record<AssumptionKey, number>>>;

export const defaultAssumptions: Assumptions = Object.fromEntries(
  assumptionKeys.map((key) => [key, assumptionTable[key].value]),
) as Record<AssumptionKey, number>;

/** Defaults with a user's own figures on top. */
export const resolveAssumptions = (overrides: AssumptionOverrides): Assumptions => ({
  ...defaultAssumptions,
  ...overrides,
});
