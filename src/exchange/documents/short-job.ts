import { bodies, colours, finishes, habitAnswers, scopeParts, surroundingsToMind, vehicleMethods } from '@esmero/model';
import { CareDocument } from './care';
import { Between, ManyOf, Maybe, One, OneOf, SomeOf, Text, check } from './rules';

/** Parts of a car that are spoken of together, from the cleanest down. */
const soilGroups = ['all', 'glass', 'top', 'uppers', 'ends', 'lowers', 'shuts', 'wheels'] as const;
export type SoilGroup = (typeof soilGroups)[number];

/** Soil as it is said, and what it is. */
export const soilWords = {
  clean: 'dust',
  dust: 'dust',
  pollen: 'pollen',
  film: 'road-film',
  fallout: 'fallout',
  salt: 'salt',
  grit: 'grit',
  mud: 'mud',
  'brake dust': 'brake-dust',
} as const;

const LINE = new RegExp(`^(${soilGroups.join('|')}): (${Object.keys(soilWords).join('|')})(?: ([0-5]))?$`);

/** "uppers: film 2" in its parts; undefined where it says something else. */
export function soilLine(
  text: unknown,
): { readonly group: SoilGroup; readonly word: keyof typeof soilWords; readonly level: number } | undefined {
  const found = typeof text === 'string' ? LINE.exec(text) : null;
  if (!found) return undefined;
  const [, group, word, level] = found;
  return {
    group: group as SoilGroup,
    word: word as keyof typeof soilWords,
    level: word === 'clean' ? 0 : Number(level ?? 1),
  };
}

export class ShortVehicleDocument {
  @OneOf(bodies) body!: string;
  @Maybe() @Between(2, 8) lengthM?: number;
  @Maybe() @Between(1, 3) widthM?: number;
  @Maybe() @Between(1, 3.5) heightM?: number;
  @Maybe() @OneOf(finishes) finish?: string;
  @Maybe() @OneOf(colours) colour?: string;
}

/** A job in a few words: everything else comes from a template. */
export class ShortJobDocument {
  @Maybe() @Text(60, 1) template?: string;
  @One(() => ShortVehicleDocument) vehicle!: ShortVehicleDocument;
  @Maybe() @Text(60, 1) site?: string;
  @check(
    'soil-lines',
    (value) => Array.isArray(value) && value.length <= 40 && value.every((line) => soilLine(line) !== undefined),
    {
      code: 'one-of',
      values: soilGroups.map((group, i) => `${group}: ${Object.keys(soilWords)[i]!} ${(i % 3) + 1}`),
    },
  )
  soil!: string[];
  @Maybe() @OneOf(['auto', ...vehicleMethods]) method?: string;
  @Maybe() @OneOf(habitAnswers.approach) approach?: string;
  @Maybe() @OneOf(habitAnswers.bucket) bucket?: string;
  @Maybe() @SomeOf(scopeParts) scope?: string[];
  @Maybe() @One(() => CareDocument) care?: CareDocument;
  @Maybe() @ManyOf(surroundingsToMind) around?: string[];
  @Maybe() @Between(1, 2) people?: number;
}
