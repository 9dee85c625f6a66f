import type { Assumptions } from '../assumptions';
import type { Surface } from '../model';
import { type Celsius, type Micrometres, celsius } from '../units';

/** Heat capacity of what lies under a film, J/m²K. */
export function skinHeatCapacity(surface: Surface, a: Assumptions): number {
  switch (surface) {
    case 'paint':
    case 'bright-metal':
    case 'wheel-finish':
      return a.heatCapacityPaint;
    case 'bare-plastic':
    case 'rubber':
      return a.heatCapacityPlastic;
    case 'glass':
      return a.heatCapacityGlass;
  }
}

/** Heat capacity of water, J/gK; 1 µm is 1 g/m². */
const WATER = 4.186;

/**
 * Temperature of skin and film the moment the liquid has landed: both share their heat at once.
 * The liquid that then runs off has left its heat behind.
 */
export const mixingTemperature = (
  panel: Celsius,
  heatCapacity: number,
  applied: Micrometres,
  liquid: Celsius,
): Celsius =>
  celsius(
    (heatCapacity * panel + WATER * applied * liquid) / (heatCapacity + WATER * applied),
  );
