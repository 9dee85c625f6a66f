import { fillModes, labelReadings, readDilution } from '@esmero/core';
import { Between, OneOf, Text, check } from './rules';

/** One question to the mixing calculator. */
export class MixingInputDocument {
  @check(
    'dilution',
    (_value, object) => {
      const { label, reading } = object as MixingInputDocument;
      return typeof label === 'string' && readDilution({ label, reading: reading as 'water' }).ok;
    },
    { code: 'dilution' },
  )
  @Text(20, 1)
  label!: string;
  @OneOf(labelReadings) reading!: string;
  @OneOf(fillModes) fill!: string;
  @Between(0.001, 10_000_000) volumeMl!: number;
}
