import type { Job, ZoneId } from '../model';
import { type Option, contextOf, optionsOn } from '../rules';

/** Every treatment on offer on one zone, with its index, what it takes, and all that forbids it. */
export function zoneTreatments(job: Job, id: ZoneId): readonly Option[] {
  const context = contextOf(job);
  const soiled = context.zones.find(({ zone }) => zone.id === id);
  return soiled ? optionsOn(soiled, context) : [];
}
