/** Conversions for the edges only; inside the core everything is metric. */

/** US fluid ounce in mL (exact by definition of the US gallon, 231 in³). */
export const ML_PER_US_FL_OZ = 29.5735295625;
/** US gallon in mL (exact). */
export const ML_PER_US_GAL = 3785.411784;
/** Square foot in m² (exact). */
export const M2_PER_FT2 = 0.09290304;
/** Inch in m (exact). */
export const M_PER_INCH = 0.0254;

export const celsiusToFahrenheit = (c: number): number => (c * 9) / 5 + 32;
export const fahrenheitToCelsius = (f: number): number => ((f - 32) * 5) / 9;
