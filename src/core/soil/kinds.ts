import type { AssumptionKey, Assumptions } from '../assumptions';
import { type SoilKind, type SoilLevel, soilLevels } from '../model';
import { type GramsPerSquareMetre, type Micrometres, gPerM2, um } from '../units';

const levelKeys = [
  'soilLevel0',
  'soilLevel1',
  'soilLevel2',
  'soilLevel3',
  'soilLevel4',
  'soilLevel5',
] as const satisfies readonly AssumptionKey[];

const kindKeys = {
  dust: ['hardDust', 'grainDust'],
  pollen: ['hardPollen', 'grainPollen'],
  'road-film': ['hardRoadFilm', 'grainRoadFilm'],
  fallout: ['hardFallout', 'grainFallout'],
  salt: ['hardSalt', 'grainSalt'],
  grit: ['hardGrit', 'grainGrit'],
  mud: ['hardMud', 'grainMud'],
  'brake-dust': ['hardBrakeDust', 'grainBrakeDust'],
} as const satisfies Record<SoilKind, readonly [AssumptionKey, AssumptionKey]>;

/** Load that a step of the scale for the eye stands for: the middle of the step. */
export const loadOfLevel = (level: SoilLevel, a: Assumptions): GramsPerSquareMetre => gPerM2(a[levelKeys[level]]);

/** What a level that this eye gave stands for: an eye may say too much or too little, and more so the dirtier it is. */
export const seenLoad = (level: SoilLevel, a: Assumptions): GramsPerSquareMetre =>
  gPerM2(a.eyeFactor * loadOfLevel(level, a) ** a.eyePower);

/** Share of a soil's mass that is hard enough to scratch. */
export const hardShareOf = (kind: SoilKind, a: Assumptions): number => a[kindKeys[kind][0]];

/** Typical size of a soil's coarsest grains. */
export const grainOf = (kind: SoilKind, a: Assumptions): Micrometres => um(a[kindKeys[kind][1]]);

/** The step of the scale for the eye that a load is nearest to, in ratio. */
export function levelOfLoad(loadGm2: number, a: Assumptions): SoilLevel {
  const off = (level: SoilLevel): number => Math.abs(Math.log(Math.max(1e-6, loadGm2) / a[levelKeys[level]]));
  return soilLevels.reduce((best, level) => (off(level) < off(best) ? level : best));
}
