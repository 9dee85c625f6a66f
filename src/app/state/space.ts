import { DOCUMENT, Injectable, computed, inject, signal } from '@angular/core';
import type { Store } from '@esmero/store';
import { NOW } from './clock';
import { STORE } from './ports';
import { rescuedIds } from './rescue';

/** Said before it is full: above this share of what the browser gives. */
const NEARLY = 0.85;
const MEASURE_MS = 60_000;
const DAY_MS = 86_400_000;
/** Pictures that nothing refers to wait so long for an undo, or another tab. */
const ORPHANS_DAYS = 30;
const ORPHANS = 'orphans';

export interface Space {
  readonly usedBytes: number;
  readonly quotaBytes: number;
  /** The browser has promised not to clear it by itself. */
  readonly lasting: boolean;
}

type Orphans = Readonly<Record<string, number>>;

/** Room on this device: how much is used, whether it lasts, and what may go. */
@Injectable({ providedIn: 'root' })
export class SpaceDesk {
  private readonly store = inject(STORE);
  private readonly now = inject(NOW);
  private readonly storage = inject(DOCUMENT).defaultView?.navigator?.storage as StorageManager | undefined;
  private asked = false;

  private readonly _space = signal<Space | null>(null);
  /** null where the browser does not say. */
  readonly space = this._space.asReadonly();
  private readonly _orphans = signal<readonly string[]>([]);
  /** Pictures that no job shows. */
  readonly orphans = this._orphans.asReadonly();
  readonly nearlyFull = computed(() => {
    const space = this._space();
    return space !== null && space.quotaBytes > 0 && space.usedBytes / space.quotaBytes > NEARLY;
  });

  /** Measures now and then, as long as the page is open. */
  watch(): () => void {
    void this.measure();
    const timer = setInterval(() => void this.measure(), MEASURE_MS);
    return () => clearInterval(timer);
  }

  async measure(): Promise<void> {
    if (!this.storage?.estimate) return;
    const [{ usage = 0, quota = 0 }, lasting] = await Promise.all([
      this.storage.estimate(),
      this.storage.persisted?.() ?? false,
    ]).catch(() => [{ usage: 0, quota: 0 }, false] as const);
    this._space.set({ usedBytes: usage, quotaBytes: quota, lasting });
  }

  /** Asked once there is something to lose: a browser that promised does not clear it by itself. */
  async makeLasting(): Promise<void> {
    if (this.asked || !this.storage?.persist) return;
    this.asked = true;
    await this.storage.persist().catch(() => false);
    await this.measure();
  }

  /** Looks for pictures that nothing refers to; those that have been so for thirty days go. */
  async sweep(): Promise<void> {
    const store = await this.store;
    if (store.keeping !== 'for-good') return;
    const unused = await this.unused(store);
    const known = ((await store.setting(ORPHANS)) ?? {}) as Orphans;
    const since: Orphans = Object.fromEntries(unused.map((key) => [key, known[key] ?? this.now()]));
    const gone = unused.filter((key) => this.now() - since[key]! > ORPHANS_DAYS * DAY_MS);
    if (gone.length > 0) await store.deletePhotos(gone);
    await store.keepSetting(ORPHANS, since);
    this._orphans.set(unused.filter((key) => !gone.includes(key)));
  }

  /** Those that were shown, now, unless something refers to them again. */
  async deleteOrphans(): Promise<number> {
    const store = await this.store;
    const shown = new Set(this._orphans());
    const unused = (await this.unused(store)).filter((key) => shown.has(key));
    await store.deletePhotos(unused);
    this._orphans.set([]);
    await this.measure();
    return unused.length;
  }

  private async unused(store: Store): Promise<readonly string[]> {
    const keys = await store.photoKeys();
    if (keys.length === 0) return [];
    const used = await store.usedPhotos();
    const unsaved = rescuedIds().length > 0 ? (await import('./rescue-taken-up')).rescuedPhotos() : new Set<string>();
    return keys.filter((key) => !used.has(key) && !unsaved.has(key));
  }
}
