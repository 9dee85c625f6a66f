import type { Job, ZoneId } from '../model';
import { contextOf } from '../rules';

/** Temperature of a dry panel as the plan reckons with it, °C; null where the car has no such zone. */
export const panelAt = (job: Job, id: ZoneId): number | null =>
  contextOf(job).zones.find(({ zone }) => zone.id === id)?.panel.panelC ?? null;
