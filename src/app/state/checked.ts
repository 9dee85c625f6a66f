import type { EntryKind } from '@esmero/model';
import type { Fault } from '@esmero/exchange';

/** Holds a form's draft to the rules of the files; the rules are fetched when first needed. */
export async function checked(kind: EntryKind, draft: unknown): Promise<readonly Fault[]> {
  const { faultsInItem } = await import('@esmero/exchange');
  return faultsInItem(kind, draft);
}
