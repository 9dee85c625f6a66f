import type { Pass } from '../passes';

export const workOf = ({ work }: Pass): number => work.pretreat + work.spray + work.wipe + work.finish;

/** One side is so much longer than the other before passes change hands. */
const UNEVEN = 1.15;

/** Pieces of a pass have one holder, or none. */
const holderOf = ({ pieces }: Pass): number | null => pieces[0]!.holder;

/** How two people share a car: each a side, or one the wheels and the other all else, which takes fewer towels. */
export const sharings = ['sides', 'wheels'] as const;
export type Sharing = (typeof sharings)[number];

const isWheels = ({ lap }: Pass): boolean => lap === 'wheels-first' || lap === 'wheels-last';

/**
 * Shares passes out between two people: each a side of the car, nose and tail to whoever has less. Only where one side
 * is much more work do passes change hands, as few as will do. What somebody is at stays theirs.
 */
export function sharedOut(passes: readonly Pass[], workers: number, sharing: Sharing): readonly (readonly Pass[])[] {
  if (workers < 2) return [passes];
  if (sharing === 'wheels') return [0, 1].map((worker) => passes.filter((pass) => (holderOf(pass) ?? Number(isWheels(pass))) === worker));
  const load = [0, 0];
  const owner = new Map<Pass, number>();
  const give = (pass: Pass, to: number): void => {
    owner.set(pass, to);
    load[to]! += workOf(pass);
  };
  for (const pass of passes) {
    const holder = holderOf(pass);
    if (holder !== null) give(pass, holder);
    else if (pass.place === 'left' || pass.place === 'right') give(pass, pass.place === 'left' ? 0 : 1);
  }
  for (const pass of passes) if (!owner.has(pass)) give(pass, load[0]! <= load[1]! ? 0 : 1);
  for (const _round of passes) {
    const from = load[0]! >= load[1]! ? 0 : 1;
    const [more, less] = [load[from]!, load[1 - from]!];
    if (more <= less * UNEVEN) break;
    const free = passes.filter((pass) => owner.get(pass) === from && holderOf(pass) === null);
    const after = (pass: Pass): number => Math.max(more - workOf(pass), less + workOf(pass));
    const best = free.reduce<Pass | undefined>((p, q) => (p && after(p) <= after(q) ? p : q), undefined);
    if (!best || after(best) >= more - 1e-9) break;
    owner.set(best, 1 - from);
    load[from]! -= workOf(best);
    load[1 - from]! += workOf(best);
  }
  return [0, 1].map((worker) => passes.filter((pass) => owner.get(pass) === worker));
}
