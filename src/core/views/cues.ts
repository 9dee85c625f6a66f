import { type ReplanEvent } from '../model';
import type { Plan } from '../planning';
import type { PlannedPass } from '../schedule';
import { type ContactFamily, contactOf } from '../rules';

/** What hands, eyes and ears tell in a pass, and what to do then. */
export const cues = [
  'lifting',
  'gliding',
  'foam-clings',
  'lather',
  'loosening',
  'runs-clear',
  'dries-hard',
  'dirt-on-drying',
  'haze',
  'too-much',
  'cleaner-dries',
  'brush-drags',
  'dust-flies',
  'dust-settles',
] as const;
export type Cue = (typeof cues)[number];

/** What says that it works. */
const worksAs: Readonly<Record<ContactFamily, Cue>> = {
  waterless: 'lifting',
  foam: 'foam-clings',
  rinseless: 'lifting',
  presoak: 'lifting',
  shampoo: 'lather',
};

/** Two at the moment of need: the one that says that it works, and the one that says that it does not. */
export function cuesFor(
  { zones }: Plan,
  { act, lap, parts }: Pick<PlannedPass, 'act' | 'lap' | 'parts'>,
): readonly Cue[] {
  switch (act) {
    case 'flush':
      return lap === 'blow-out' ? ['dust-flies', 'dust-settles'] : ['loosening', 'runs-clear'];
    case 'dry':
      return ['dirt-on-drying', 'dries-hard'];
    case 'glass':
      return ['haze', 'dries-hard'];
    case 'protect':
      return ['too-much', 'haze'];
    case 'wipe': {
      const options = zones.flatMap(({ zone, option }) =>
        option && parts.some(({ zoneId }) => zoneId === zone.id) ? [option] : [],
      );
      if (options.some(({ cleaner }) => cleaner && !cleaner.left)) return ['cleaner-dries', 'brush-drags'];
      const [first] = options;
      return [worksAs[first ? contactOf(first.treatment).family : 'waterless'], 'gliding'];
    }
  }
}

/** What can be told with one press when it does not go as it should. */
export type Trouble = Extract<ReplanEvent['kind'], 'drags' | 'smears' | 'crackles' | 'new-marks'>;
export const troubles: readonly Trouble[] = ['drags', 'smears', 'crackles', 'new-marks'];
