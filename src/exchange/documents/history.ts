import { roads, shelters, surroundings } from '@esmero/model';
import { Between, OneOf } from './rules';

/** Days since the last wash with one kind of weather and roads. */
export class LegDocument {
  @Between(0, 3650) days!: number;
  @OneOf(surroundings) surroundings!: string;
  @OneOf(shelters) shelter!: string;
  @Between(0, 200_000) km!: number;
  @OneOf(roads) road!: string;
}
