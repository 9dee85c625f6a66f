import type { Expected, Fault, Unreadable } from '@esmero/exchange';
import type { Bounds } from '@esmero/model';
import { type Editable, fixed, plainUnit, threeDigits } from './units';

/** "a number from 0 to 5000 L", in the units of the reader. */
function rangeText({ min, max, whole }: Bounds, as: Editable): string {
  const said = (value: number): string => threeDigits(as.show(value));
  return `${whole ? 'a whole number' : 'a number'} from ${said(min)} to ${said(max)}${as.unit ? ` ${as.unit}` : ''}`;
}

function expectedText(expected: Expected, as: Editable = plainUnit('')): string {
  switch (expected.code) {
    case 'number':
      return rangeText(expected, as);
    case 'whole':
      return rangeText({ ...expected, whole: true }, as);
    case 'one-of':
      return expected.values.length > 12
        ? `one of ${expected.values.length} known names, such as ${expected.values.slice(0, 3).join(', ')}`
        : `one of ${expected.values.join(', ')}`;
    case 'text':
      return expected.min > 0
        ? `a text of ${expected.min} to ${expected.max} characters`
        : `a text of at most ${expected.max} characters`;
    case 'flag':
      return 'true or false';
    case 'id':
      return 'an identifier of letters, digits, dots and dashes';
    case 'day':
      return 'a day such as 2031-07-14';
    case 'path':
      return 'a drawing as an SVG path of moves and lines';
    case 'picture':
      return 'a JPEG, PNG or WebP picture as a data URL';
    case 'belongs':
      return `a word with just its own of the fields ${expected.fields.join(', ')}`;
    case 'balance':
      return 'amounts of each item that add up to nothing';
    case 'currency':
      return 'a currency code of three capital letters';
    case 'object':
      return 'an object';
    case 'list':
      return `a list of at most ${expected.most} entries`;
    case 'some':
      return `at least one of ${expected.values.join(', ')}, each once`;
    case 'unique':
      return `a list in which no two entries have the same ${expected.field}`;
    case 'dilution':
      return 'a number that this reading of the label allows, such as 256 or 2.5';
    case 'band':
      return 'a strongest ratio with no more water than the weakest';
    case 'assumption':
      return 'a value within the bounds of that assumption';
    case 'wheelbase':
      return 'a wheelbase of less than 85 % of the length';
    case 'height':
      return 'a height of less than the length';
    case 'clearance':
      return 'a ground clearance of less than 35 % of the height';
    case 'wheel':
      return 'wheels of less than 55 % of the height';
    case 'overhang':
      return 'a wheelbase that leaves room between the wheels';
    case 'charge':
      return 'a least content below the working line';
    case 'unknown-field':
      return 'no field of this name';
    case 'valid':
      return 'a value that this field allows';
  }
}

/** "vehicle.dimensions.lengthM: expected a number from 1.5 to 9, found -3." */
export function faultSentence({ path, expected, found }: Fault): string {
  const what = `expected ${expectedText(expected)}`;
  return `${path ? `${path}: ` : ''}${what}${found ? `, found ${found}` : ', found nothing'}.`;
}

/** The same beside a form's field: what is wanted there. */
export const faultHint = ({ expected }: Fault, as?: Editable): string => `Should be ${expectedText(expected, as)}.`;

/** The same for a field that knows its own bounds. */
export const boundsHint = (bounds: Bounds, as: Editable): string => `Should be ${rangeText(bounds, as)}.`;

const megabytes = (bytes: number): string => `${fixed(bytes / 1e6, 1)} MB`;
const FAULTS_SHOWN = 6;

/** Why a file could not be read, and what to do: a headline and its details. */
export function unreadableText(why: Unreadable): { readonly headline: string; readonly details: readonly string[] } {
  switch (why.code) {
    case 'too-large':
      return {
        headline: `The file is ${megabytes(why.bytes)}; at most ${megabytes(why.most)} are read.`,
        details: ['Check that it is the file you meant.'],
      };
    case 'not-json':
      return {
        headline: why.cut
          ? 'The file ends before it is complete. It may have been cut off while it was copied.'
          : 'The file is not JSON and cannot be read.',
        details: [why.detail, 'Export it again, or copy it once more.'],
      };
    case 'other-format':
      return {
        headline: `This is not ${why.wanted === 'esmero-job' ? 'an Esmero job' : 'an Esmero collection'}: its “format” should be “${why.wanted}”.`,
        details: why.format ? [`It says “${why.format.slice(0, 60)}”.`] : [],
      };
    case 'no-version':
      return {
        headline: 'The file does not say its version.',
        details: ['“version” should be a whole number from 1.'],
      };
    case 'no-zip':
      return {
        headline: 'This is no whole backup: its end is missing, or it is another kind of zip.',
        details: [why.detail, 'Copy the file once more, or choose an older backup.'],
      };
    case 'damaged':
      return {
        headline:
          why.paths.length === 1
            ? 'One file in the backup is damaged.'
            : `${why.paths.length} files in the backup are damaged.`,
        details: [...why.paths.slice(0, FAULTS_SHOWN), 'Copy the file once more, or choose an older backup.'],
      };
    case 'newer-version':
      return {
        headline: `The file is of version ${why.version}, and this Esmero reads up to ${why.newest}.`,
        details: ['It was written by a newer Esmero. Update this one, or export the file in an older version.'],
      };
    case 'faults': {
      const more = why.faults.length - FAULTS_SHOWN;
      return {
        headline:
          why.faults.length === 1
            ? 'One thing in the file is wrong.'
            : `${why.faults.length}${why.faults.length >= 100 ? ' or more' : ''} things in the file are wrong.`,
        details: [
          ...why.faults.slice(0, FAULTS_SHOWN).map(faultSentence),
          ...(more > 0 ? [`… and ${more} more.`] : []),
        ],
      };
    }
  }
}
