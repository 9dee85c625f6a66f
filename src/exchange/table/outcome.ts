import type { Fault } from '../fault';

/** What becomes of a row. */
export type Outcome =
  | { readonly kind: 'new' }
  /** It is about something that is here. */
  | { readonly kind: 'changes'; readonly name: string }
  /** It is about what an earlier row brought. */
  | { readonly kind: 'adds-to'; readonly name: string }
  /** It is here already, and stays as it is here. */
  | { readonly kind: 'here' }
  /** There is a row just like it. */
  | { readonly kind: 'again'; readonly line: number }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/** Something that a row was found to be about, and whether it was here before the table. */
export interface Found<I> {
  readonly item: I;
  readonly isHere: boolean;
}

export const added: Outcome = { kind: 'new' };

export const about = ({ item, isHere }: Found<{ readonly name: string }>): Outcome => ({
  kind: isHere ? 'changes' : 'adds-to',
  name: item.name,
});
