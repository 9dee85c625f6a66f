import { Injectable } from '@angular/core';
import { migrateItem } from '@esmero/migrations';
import { collectionVersion, freshId } from '@esmero/records';
import { collectionActions } from './collection';

/** An item with what it was changed from, or movements. Each may arrive twice and is the same as once. */
export type Sent = ReturnType<typeof collectionActions.putEntry> | ReturnType<typeof collectionActions.post>;

interface Written {
  readonly version: number;
  readonly sent: readonly Sent[];
}

const PREFIX = 'esmero-unsent/';

/** Items as they are read today: Esmero may have been renewed meanwhile. */
function read(text: string): readonly Sent[] {
  const { version, sent } = JSON.parse(text) as Written;
  const today = (entry: { readonly kind: string; readonly item: object }) => ({
    ...entry,
    item: migrateItem(entry.kind, entry.item, version),
  });
  return sent.map((one) =>
    one.type === collectionActions.putEntry.type
      ? ({ ...one, entry: today(one.entry), base: one.base && today(one.base) } as Sent)
      : one,
  );
}

/** What is on its way to the store. A page that goes away leaves it where the next one finds it. */
@Injectable({ providedIn: 'root' })
export class Unsent {
  private readonly under = new Set<Sent>();
  private readonly key = `${PREFIX}${freshId('page')}`;
  private aside = 0;

  add(sent: Sent): void {
    this.under.add(sent);
  }

  /** It has arrived, or it has been said that it has not. */
  done(sent: Sent): void {
    this.under.delete(sent);
    if (this.aside > 0) this.leaveBehind();
  }

  /**
   * Written at once, while the page still stands.
   * @returns how many are safe by it
   */
  leaveBehind(): number {
    try {
      if (this.under.size === 0) localStorage.removeItem(this.key);
      else
        localStorage.setItem(
          this.key,
          JSON.stringify({ version: collectionVersion, sent: [...this.under] } satisfies Written),
        );
      this.aside = this.under.size;
    } catch {
      // Full or forbidden: whoever leaves is asked.
      this.aside = 0;
    }
    return this.aside;
  }

  /** What other pages have left behind; it is this page’s to send from now on. */
  takeUp(): readonly Sent[] {
    try {
      const keys = Object.keys(localStorage).filter((key) => key.startsWith(PREFIX) && key !== this.key);
      return keys.flatMap((key) => {
        const text = localStorage.getItem(key)!;
        localStorage.removeItem(key);
        return read(text);
      });
    } catch {
      return [];
    }
  }
}
