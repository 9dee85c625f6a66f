/** Least reflectance that is told apart from black. */
const BLACK = 0.004;

/**
 * What soil takes out of the light over what scatters it back, from the reflectance relative to
 * the clean cloth (Kubelka and Munk 1931). Unlike the reflectance it grows in proportion to the soil.
 * @example absorption(1) is 0
 */
export const absorption = (reflectance: number): number => {
  const r = Math.min(1, Math.max(BLACK, reflectance));
  return (1 - r) ** 2 / (2 * r);
};

/** The other way. @example reflectance(0) is 1 */
export const reflectance = (absorbed: number): number => 1 + absorbed - Math.sqrt(absorbed * (absorbed + 2));
