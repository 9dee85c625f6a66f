import { fillModes, readDilution, skins } from '@esmero/core';
import { colours, contacts, flushes, labelReadings, soilKinds } from '@esmero/model';
import { Between, Flag, Maybe, One, OneOf, OrNull, Text, check } from './rules';

/** What somebody has poured together: product in mL, or in caps of a bottle. */
export class PouredDocument {
  @check('product', (_value, object) => isAmount(object as PouredDocument), {
    code: 'belongs',
    fields: ['productMl', 'caps and capMl'],
  })
  @Between(0.001, 10_000_000)
  waterMl!: number;
  @Maybe() @Between(0.001, 1_000_000) productMl?: number;
  @Maybe() @Between(0.01, 10_000) caps?: number;
  @Maybe() @Between(0.1, 1000) capMl?: number;
}

const isAmount = ({ productMl, caps, capMl }: PouredDocument): boolean =>
  productMl !== undefined ? caps === undefined && capMl === undefined : caps !== undefined && capMl !== undefined;

/** One question to the mixing calculator: what to pour for a volume, or what was poured. */
export class MixingInputDocument {
  @check(
    'dilution',
    (_value, object) => {
      const { label, reading } = object as MixingInputDocument;
      return typeof label === 'string' && readDilution({ label, reading: reading as 'water' }).ok;
    },
    { code: 'dilution' },
  )
  @check('question', (_value, object) => isOneQuestion(object as MixingInputDocument), {
    code: 'belongs',
    fields: ['fill and volumeMl', 'poured'],
  })
  @Text(20, 1)
  label!: string;
  @OneOf(labelReadings) reading!: string;
  @Maybe() @OneOf(fillModes) fill?: string;
  @Maybe() @Between(0.001, 10_000_000) volumeMl?: number;
  @Maybe() @One(() => PouredDocument) poured?: PouredDocument;
}

const isOneQuestion = ({ fill, volumeMl, poured }: MixingInputDocument): boolean =>
  poured ? fill === undefined && volumeMl === undefined : fill !== undefined && volumeMl !== undefined;

/** A panel with a film on it, for drying and freezing. */
export class FilmInputDocument {
  @OneOf(skins) skin!: string;
  @OneOf(colours) colour!: string;
  @Between(-40, 60) airC!: number;
  @Between(0, 1) relativeHumidity!: number;
  @Between(0, 20) windMs!: number;
  @Between(0, 1400) sunOnPanelWm2!: number;
  @Flag() shaded!: boolean;
  @Between(0.1, 10_000) appliedUm!: number;
  @Between(0.1, 10_000) holdUpUm!: number;
  @Between(0, 95) liquidC!: number;
  @OrNull() @Between(-40, 110) panelReadingC!: number | null;
}

export class SettlingInputDocument {
  @Between(0.1, 2000) diameterUm!: number;
  @Between(0, 95) waterC!: number;
}

export class IndexInputDocument {
  @OneOf(soilKinds) kind!: string;
  @Between(0, 1000) loadGm2!: number;
  @OneOf(contacts) treatment!: string;
  @OneOf(flushes) flush!: string;
  @Between(0, 10_000) filmUm!: number;
  @Between(0, 36_000) dwellS!: number;
  @Between(0, 1) sideLoading!: number;
  @Between(0.01, 100) sensitivity!: number;
}
