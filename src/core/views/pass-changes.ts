import type { PartOfZone, PassChange } from '../model';
import type { Plan } from '../planning';
import type { PassPart, PlannedPass } from '../schedule';

/** What may be tried on a pass by hand; the plan says where windows, places or classes do not allow it. */
export interface PassChanges {
  readonly earlier: PassChange | null;
  readonly later: PassChange | null;
  readonly joinBefore: PassChange | null;
  readonly joinNext: PassChange | null;
  /** A pass of its own from each part on but the first. */
  readonly splits: readonly (PassChange & { readonly kind: 'split' })[];
}

const partOf = ({ zoneId, section, of }: PassPart): PartOfZone => ({ zone: zoneId, section, of });
const firstOf = ({ parts }: PlannedPass): PartOfZone => partOf(parts[0]!);

/** @param number of a pass that is wiped */
export function passChangesOf({ timeline: { passes } }: Pick<Plan, 'timeline'>, number: number): PassChanges {
  const pass = passes.find((one) => one.number === number)!;
  const own = passes.filter(({ act, worker }) => act === 'wipe' && worker === pass.worker);
  const at = own.indexOf(pass);
  const [before, next] = [own[at - 1], own[at + 1]];
  return {
    earlier: before ? { kind: 'move', part: firstOf(pass), before: firstOf(before) } : null,
    later: next ? { kind: 'move', part: firstOf(next), before: firstOf(pass) } : null,
    joinBefore: before ? { kind: 'join', part: firstOf(pass), with: firstOf(before) } : null,
    joinNext: next ? { kind: 'join', part: firstOf(next), with: firstOf(pass) } : null,
    splits: pass.parts.slice(1).map((part) => ({ kind: 'split', part: partOf(part) })),
  };
}
