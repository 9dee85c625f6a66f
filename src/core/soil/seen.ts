import { resolveAssumptions } from '../assumptions';
import type { Job, RunUse } from '../model';
import { zonesIn } from '../vehicle';
import { soilOn } from './zone-soil';

/** Soil that was seen, and what would have been forecast for the same zones by our own figures; null where either is not known. */
export function seenBesideForecast({
  vehicle,
  scope,
  soil,
  since,
}: Pick<Job, 'vehicle' | 'scope' | 'soil' | 'since'>): RunUse['soil'] {
  if (since.length === 0) return null;
  const a = resolveAssumptions({});
  let [seenG, forecastG] = [0, 0];
  for (const zone of zonesIn({ vehicle, scope })) {
    if (!soil[zone.id]) continue;
    seenG += soilOn(zone, { vehicle, soil, since }, a).totalGm2 * zone.areaM2;
    forecastG += soilOn(zone, { vehicle, soil: {}, since }, a).totalGm2 * zone.areaM2;
  }
  return forecastG > 0 && seenG > 0 ? { seenG, forecastG } : null;
}
