import { bounds, roads, shelters, surroundings } from '@esmero/model';
import { OneOf, Within } from './rules';

/** Days since the last wash with one kind of weather and roads. */
export class LegDocument {
  @Within(bounds.legDays) days!: number;
  @OneOf(surroundings) surroundings!: string;
  @OneOf(shelters) shelter!: string;
  @Within(bounds.legKm) km!: number;
  @OneOf(roads) road!: string;
}
