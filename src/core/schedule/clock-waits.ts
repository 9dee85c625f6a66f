import type { Waits } from '../rules';
import type { ZoneId } from '../model';
import type { Step } from './crew';

/** The steps on one part of a zone. */
type PartSteps = Partial<Record<Step['kind'], Step>> & { readonly wipe: Step };

const middleOf = ({ startS, endS }: Pick<Step, 'startS' | 'endS'>): number => (startS + endS) / 2;

/** What is done to a zone as a whole is done to each of its parts. */
const isOn = ({ section }: Step, part: number): boolean => section === part || section === 0;

/** The steps of every part of every zone that is wetted or wiped. */
export function stepsByPart(steps: readonly Step[]): ReadonlyMap<ZoneId, readonly PartSteps[]> {
  const byZone = new Map<ZoneId, Step[]>();
  for (const step of steps) {
    if (!step.zoneId || step.kind === 'walk' || step.kind === 'wait' || step.kind === 'refill') continue;
    const own = byZone.get(step.zoneId);
    if (own) own.push(step);
    else byZone.set(step.zoneId, [step]);
  }
  return new Map(
    [...byZone].map(([zoneId, own]) => {
      const wipes = own.filter(({ kind, section }) => kind === 'wipe' && section > 0);
      return [
        zoneId,
        wipes.map((wipe): PartSteps => ({
          ...Object.fromEntries(own.filter((one) => isOn(one, wipe.section)).map((one) => [one.kind, one])),
          wipe,
        })),
      ];
    }),
  );
}

/** Of a point in the middle of the part: what was sprayed first is wiped and finished first. */
function waitsOf({ flush, spray, wipe, finish, dry, ...by }: PartSteps): Waits {
  const first = spray ?? by['rinse-before'] ?? wipe;
  const towel = finish ?? dry;
  const handS = middleOf(wipe);
  return {
    rinsedS: flush ? Math.max(0, first.startS - flush.endS) : 0,
    soakS: spray ? handS - middleOf(spray) : 0,
    handS: (towel ? middleOf(towel) : wipe.endS) - handS,
    offS: by['rinse-off'] && towel ? Math.max(0, towel.startS - by['rinse-off'].endS) : 0,
  };
}

/** How long each part of each zone waits between its acts. */
export const clockWaits = (steps: readonly Step[]): ReadonlyMap<ZoneId, readonly Waits[]> =>
  new Map([...stepsByPart(steps)].map(([zoneId, parts]) => [zoneId, parts.map(waitsOf)]));
