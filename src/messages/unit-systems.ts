export const unitSystems = ['metric', 'us'] as const;
export type UnitSystem = (typeof unitSystems)[number];
