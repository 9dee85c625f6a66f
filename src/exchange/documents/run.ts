import {
  MOST_ORDER,
  bounds,
  isBottled,
  type RunEvent,
  mixPurposes,
  pacedActs,
  runActs,
  towelRoles,
  replanEventKinds,
  vehicleMethods,
  weatherChanges,
  zoneIds,
} from '@esmero/model';
import {
  Between,
  Flag,
  Id,
  Many,
  ManyOf,
  Maybe,
  Moment,
  One,
  OneOf,
  OrNull,
  Text,
  UniqueBy,
  WholeBetween,
  Within,
  belongs,
} from './rules';

const vesselMixes = mixPurposes.filter((purpose) => !isBottled(purpose));

const tick: readonly (keyof RunEventDocument)[] = ['zone', 'section', 'of', 'by'];

/** Fields of each kind of event besides its kind and its time. */
const fieldsOf: Readonly<Record<RunEvent['kind'], readonly (keyof RunEventDocument)[]>> = {
  flush: tick,
  wet: tick,
  wipe: tick,
  dry: tick,
  glass: tick,
  protect: tick,
  again: ['zone'],
  'towel-out': ['role', 'worker'],
  'side-full': ['role', 'worker'],
  workers: ['workers'],
  panels: ['panelC'],
  soil: ['zone', 'steps'],
  weather: ['weather'],
  'mix-left': ['purpose', 'ml'],
  'product-out': ['purpose'],
  'water-left': ['litres'],
  drags: [],
  smears: [],
  crackles: ['zone'],
  'new-marks': [],
  leave: ['zones'],
};

/** Something that happened beside the car. */
export class RunEventDocument {
  @belongs(fieldsOf) @OneOf([...runActs, ...replanEventKinds]) kind!: string;
  @WholeBetween(1, MOST_ORDER) seq!: number;
  @Moment() at!: number;
  @Maybe() @OneOf(zoneIds) zone?: string;
  @Maybe() @WholeBetween(0, 1000) section?: number;
  @Maybe() @WholeBetween(0, 1000) of?: number;
  @Maybe() @OneOf(towelRoles) role?: string;
  @Maybe() @OrNull() @OneOf([0, 1]) by?: number | null;
  @Maybe() @OneOf([0, 1]) worker?: number;
  @Maybe() @OneOf([1, 2]) workers?: number;
  @Maybe() @Within(bounds.panelC) panelC?: number;
  @Maybe() @OneOf([1, -1]) steps?: number;
  @Maybe() @OneOf(weatherChanges) weather?: string;
  @Maybe() @OneOf(vesselMixes) purpose?: string;
  @Maybe() @Within(bounds.countedMl) ml?: number;
  @Maybe() @Within(bounds.waterL) litres?: number;
  @Maybe() @ManyOf(zoneIds) zones?: string[];
}

export class MixUseDocument {
  @OneOf(mixPurposes) purpose!: string;
  @Between(0, 1_000_000) plannedMl!: number;
  @Within(bounds.countedMl) usedMl!: number;
}

export class TowelUseDocument {
  @OneOf(towelRoles) role!: string;
  @Within(bounds.towels) planned!: number;
  @Within(bounds.towels) opened!: number;
}

export class PaceDocument {
  @OneOf(pacedActs) act!: string;
  @Between(0, 1_000_000) plannedS!: number;
  @Between(0, 1_000_000) tookS!: number;
}

export class SoilSeenDocument {
  @Between(0, 1_000_000) seenG!: number;
  @Between(0, 1_000_000) forecastG!: number;
}

/** What was really used, beside what the plan had of it. */
export class RunUseDocument {
  @Moment() at!: number;
  @Text(500) because!: string;
  @OrNull() @OneOf(vehicleMethods) method!: string | null;
  @Between(0, 1) doneShare!: number;
  @Between(0, 10_000) plannedMin!: number;
  @Maybe() @Between(0, 10_000) handMin?: number;
  @OrNull() @Between(0, 10_000) waterL!: number | null;
  @OrNull() @Between(0, 10_000) runoffL!: number | null;
  @UniqueBy('act') @Many(() => PaceDocument, pacedActs.length) paces!: PaceDocument[];
  @OrNull() @One(() => SoilSeenDocument) soil!: SoilSeenDocument | null;
  @UniqueBy('purpose') @Many(() => MixUseDocument, mixPurposes.length) mixes!: MixUseDocument[];
  @UniqueBy('role') @Many(() => TowelUseDocument, towelRoles.length) towels!: TowelUseDocument[];
}

/** Something for later. */
export class PunchItemDocument {
  @Id() id!: string;
  @Text(500, 1) text!: string;
  @OrNull() @OneOf(zoneIds) zone!: string | null;
  @Flag() done!: boolean;
}

/** A wash that has been begun. */
export class RunDocument {
  @Moment() startedAt!: number;
  @OrNull() @Moment() endedAt!: number | null;
  @Many(() => RunEventDocument, 5000) events!: RunEventDocument[];
  @Many(() => RunUseDocument, 100) counts!: RunUseDocument[];
  @UniqueBy('id') @Many(() => PunchItemDocument, 500) punch!: PunchItemDocument[];
}
