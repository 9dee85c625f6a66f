import { panelAt } from '@esmero/core';
import type { Job, ZoneId } from '@esmero/model';

/** The instrument reads to this step, °C. */
const STEP_C = 0.5;
/** What skin, angle and hand make of it, °C either way. */
const ERROR_C = 1.5;

/** The same place at the same time reads the same: an error out of the zone's name. */
function wobble(seed: string): number {
  let hash = 2166136261;
  for (const letter of seed) hash = Math.imul(hash ^ letter.codePointAt(0)!, 16777619) >>> 0;
  return (hash / 0xffffffff) * 2 - 1;
}

/**
 * A simulated panel thermometer: what the panel should have by air, sun and colour, with an error as
 * a real one held to it would have. Stands in for an instrument; it says "simulated" where it is used.
 */
export function simulatedReading(job: Job, zone: ZoneId): number | null {
  const panelC = panelAt({ ...job, readings: {}, site: { ...job.site, panelC: null } }, zone);
  if (panelC === null) return null;
  const read = panelC + ERROR_C * wobble(`${zone}/${job.date}/${job.hour}`);
  return Math.round(read / STEP_C) * STEP_C;
}
