import type { Assumptions } from '../assumptions';
import type { Vessel } from '../model';

/** Heat capacity of water by volume, J/mL·K. */
const WATER = 4.186;

/** Wall of a vessel of that content, m²: a cylinder as high as it is wide. */
function wallM2(contentMl: number): number {
  const radius = (contentMl / 1e6 / (2 * Math.PI)) ** (1 / 3);
  return 6 * Math.PI * radius * radius;
}

/** Seconds in which a filling loses two thirds of its excess heat. */
export const coolingTimeS = (contentMl: number, a: Assumptions): number =>
  (WATER * contentMl) / (a.vesselLoss * wallM2(contentMl));

/**
 * Hot solution in its vessel after a while (Newton's law of cooling), °C.
 * @param contentMl what is in the vessel, more than 0
 */
export const cooledC = (startC: number, airC: number, contentMl: number, seconds: number, a: Assumptions): number =>
  airC + (startC - airC) * Math.exp(-seconds / coolingTimeS(contentMl, a));

/** Minutes until it has fallen to a temperature; null where the air is no colder than that. */
export function minutesAbove(
  leastC: number,
  startC: number,
  airC: number,
  contentMl: number,
  a: Assumptions,
): number | null {
  if (airC >= leastC) return null;
  if (startC <= leastC) return 0;
  return (coolingTimeS(contentMl, a) * Math.log((startC - airC) / (leastC - airC))) / 60;
}

/** What a vessel holds when it is filled to its working line. */
export const fillingMl = ({ capacityMl, workingShare }: Vessel): number => capacityMl * workingShare;
