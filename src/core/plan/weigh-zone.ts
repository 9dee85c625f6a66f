import { optionsOn } from '../method/evaluate';
import type { Option } from '../method/option';
import { sceneOf } from '../method/scene';
import type { Job, ZoneId } from '../model';

/** Every treatment on offer on one zone, with its index, what it takes, and all that forbids it. */
export function weighZone(job: Job, id: ZoneId): readonly Option[] {
  const scene = sceneOf(job);
  const soiled = scene.zones.find(({ zone }) => zone.id === id);
  return soiled ? optionsOn(soiled, scene) : [];
}
