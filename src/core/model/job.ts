import type { Choices } from './choices';
import type { MeasuringDevice, TowelBatch, Vessel } from './equipment';
import type { Product } from './product';
import type { Site } from './site';
import type { SoilMap } from './soil';
import type { Vehicle } from './vehicle';

/** Everything one plan needs, copied from the library so that the job stands alone. */
export interface Job {
  readonly id: string;
  readonly name: string;
  readonly client: string;
  /** ISO day, e.g. 2031-07-14. */
  readonly date: string;
  readonly note: string;
  /** ISO 4217 code; prices are in its minor unit. */
  readonly currency: string;
  readonly vehicle: Vehicle;
  readonly site: Site;
  readonly products: readonly Product[];
  readonly vessels: readonly Vessel[];
  readonly towels: readonly TowelBatch[];
  readonly device: MeasuringDevice;
  readonly soil: SoilMap;
  readonly choices: Choices;
}
