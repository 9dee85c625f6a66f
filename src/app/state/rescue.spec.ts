import { beforeEach, describe, expect, it, vi } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { type Saved, type Store, memoryStore } from '@esmero/store';
import { deck, deskWith } from '../testing/desk';
import { deskActions } from './desk';
import { JobDesk } from './job-desk';
import { forget, leaveBehind, rescuedIds, whileSending } from './rescue';
import { rescueOf, soundRescueOf, takenUp } from './rescue-taken-up';

const lasting = (): Promise<Store> => memoryStore('for-good');
const half = { job: { ...deck, name: 'Half done' }, kept: deck, base: 1 };

describe('a page that goes away in the middle', () => {
  beforeEach(() => localStorage.clear());

  it('leaves its job where the next page takes it up, once', async () => {
    const store = await lasting();
    await store.saveJob(deck, 0);
    expect(leaveBehind(half)).toBe(true);
    await takenUp(store);
    expect(await store.job(deck.id)).toMatchObject({ revision: 2, job: { name: 'Half done' } });
    expect(rescuedIds()).toEqual([]);
    await takenUp(store);
    expect((await store.job(deck.id))?.revision).toBe(2);
  });

  it('is put together with what was saved after it, and asked about where both changed the same', async () => {
    const store = await lasting();
    await store.saveJob(deck, 0);
    await store.saveJob({ ...deck, note: 'Newer' }, 1);
    leaveBehind(half);
    await takenUp(store);
    expect((await store.job(deck.id))?.job).toMatchObject({ name: 'Half done', note: 'Newer' });
    leaveBehind({ ...half, job: { ...deck, name: 'Other' } });
    await takenUp(store);
    expect((await store.job(deck.id))?.job.name).toBe('Half done');
    expect(rescueOf(deck.id)?.job.name).toBe('Other');
  });

  it('is not asked about what the page itself had sent off before it went', async () => {
    const store = await lasting();
    await store.saveJob(deck, 0);
    const typing = { ...deck, name: 'Half' };
    await whileSending(typing, async () => {
      leaveBehind(half);
      await store.saveJob(typing, 1);
    });
    await takenUp(store);
    expect((await store.job(deck.id))?.job.name).toBe('Half done');
    expect(rescuedIds()).toEqual([]);
  });

  it.each<[string, () => Promise<Store>]>([
    [
      'the disk is full',
      async () => ({ ...(await lasting()), saveJob: async (): Promise<Saved> => ({ kind: 'full' }) }),
    ],
    ['nothing outlives the tab', () => memoryStore()],
    ['a newer Esmero has the data', () => memoryStore('newer')],
  ])('keeps what it held while %s', async (_when, open) => {
    leaveBehind(half);
    await takenUp(await open());
    expect(rescueOf(deck.id)?.job.name).toBe('Half done');
  });

  it('does not stumble over storage that is full, forbidden or garbled', async () => {
    const store = await lasting();
    const set = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(leaveBehind(half)).toBe(false);
    set.mockRestore();
    localStorage.setItem(`esmero-rescue/${deck.id}/x`, '{"job":');
    expect(await takenUp(store)).toBe(store);
    expect(rescuedIds()).toEqual([]);
  });

  it('is read by an Esmero that was renewed meanwhile, and not opened where it is no job any more', async () => {
    const store = await lasting();
    leaveBehind(half);
    const [key] = Object.keys(localStorage);
    const written = JSON.parse(localStorage.getItem(key!)!) as { version: number; job: Record<string, unknown> };
    // As version 8 had it: no numbers in runs, and nothing else to tell.
    localStorage.setItem(key!, JSON.stringify({ ...written, version: 8 }));
    expect(rescueOf(deck.id)?.job.name).toBe('Half done');
    localStorage.setItem(key!, JSON.stringify({ ...written, job: { ...written.job, vehicle: 7 } }));
    expect(await soundRescueOf(deck.id)).toBeNull();
    await takenUp(store);
    expect(rescuedIds()).toEqual([]);
    expect(await store.job(deck.id)).toBeUndefined();
  });

  it('leaves its job behind in every state but saved, and forgets it when it is saved', async () => {
    const inner = await lasting();
    let full = true;
    const store: Store = {
      ...inner,
      saveJob: async (job, base) => (full ? { kind: 'full' } : inner.saveJob(job, base)),
    };
    const { state, settle } = await deskWith(store);
    TestBed.inject(JobDesk).edit('Renamed', (job) => ({ ...job, name: 'Renamed' }));
    await settle();
    state.dispatch(deskActions.flush());
    await settle();
    expect(rescueOf(deck.id)?.job.name).toBe('Renamed');
    full = false;
    state.dispatch(deskActions.retrySave());
    await settle();
    expect(TestBed.inject(JobDesk).saving().kind).toBe('clean');
    expect(rescueOf(deck.id)).toBeNull();
  });

  it('is offered when the job is opened, and asked about beside what was saved since', async () => {
    const { state, settle, store } = await deskWith(lasting());
    await store.saveJob({ ...deck, name: 'Newer' }, 1);
    leaveBehind(half);
    state.dispatch(deskActions.open({ id: deck.id }));
    await settle();
    expect(TestBed.inject(JobDesk).saving()).toMatchObject({ kind: 'conflict', fields: ['name'] });
    state.dispatch(deskActions.keepMine());
    await settle();
    expect((await store.job(deck.id))?.job.name).toBe('Half done');
    expect(rescueOf(deck.id)).toBeNull();
    forget(deck.id);
  });
});
