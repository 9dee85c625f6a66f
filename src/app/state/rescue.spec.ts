import { beforeEach, describe, expect, it, vi } from 'vitest';
import { memoryStore } from '@esmero/store';
import { deck } from '../testing/desk';
import { leaveBehind, takenUp } from './rescue';

describe('a page that goes away in the middle', () => {
  beforeEach(() => localStorage.clear());

  it('leaves its job where the next page takes it up, once', async () => {
    const store = memoryStore();
    await store.saveJob(deck, 0);
    leaveBehind({ job: { ...deck, name: 'Half done' }, base: 1 });
    await takenUp(store);
    expect(await store.job(deck.id)).toMatchObject({ revision: 2, job: { name: 'Half done' } });
    await takenUp(store);
    expect((await store.job(deck.id))?.revision).toBe(2);
  });

  it('gives way to what was saved after it', async () => {
    const store = memoryStore();
    await store.saveJob(deck, 0);
    await store.saveJob({ ...deck, name: 'Newer' }, 1);
    leaveBehind({ job: { ...deck, name: 'Half done' }, base: 1 });
    await takenUp(store);
    expect((await store.job(deck.id))?.job.name).toBe('Newer');
  });

  it('does not stumble over storage that is full, forbidden or garbled', async () => {
    const store = memoryStore();
    const set = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(() => leaveBehind({ job: deck, base: 1 })).not.toThrow();
    set.mockRestore();
    localStorage.setItem('esmero-rescue', '{"job":');
    expect(await takenUp(store)).toBe(store);
  });
});
