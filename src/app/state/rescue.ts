import type { Job } from '@esmero/core';
import type { Store } from '@esmero/store';

/** A job that was on the desk, unsaved, when its page went away. */
interface Rescue {
  readonly job: Job;
  readonly base: number;
}

const KEY = 'esmero-rescue';

/** Written at once, while the page still stands; the database might not get round to it. */
export function leaveBehind(rescue: Rescue): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(rescue));
  } catch {
    // Full or forbidden: the save to the database is under way all the same.
  }
}

function found(): Rescue | null {
  try {
    const text = localStorage.getItem(KEY);
    localStorage.removeItem(KEY);
    return text ? (JSON.parse(text) as Rescue) : null;
  } catch {
    return null;
  }
}

/** Saves what was left behind, unless the database got it after all or has something newer. */
export async function takenUp(store: Store): Promise<Store> {
  const rescue = found();
  if (rescue) await store.saveJob(rescue.job, rescue.base);
  return store;
}
