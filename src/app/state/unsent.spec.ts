import { beforeEach, describe, expect, it } from 'vitest';
import { TestBed } from '@angular/core/testing';
import type { LotSetUp } from '@esmero/model';
import { collectionVersion } from '@esmero/records';
import { memoryStore } from '@esmero/store';
import { deskWith } from '../testing/desk';
import { collectionActions } from './collection';
import { Entries } from './entries';
import { Unsent } from './unsent';

const posted = collectionActions.post({ movements: [] });
const lot = async (store: Awaited<ReturnType<typeof memoryStore>>): Promise<LotSetUp> =>
  (await store.library()).find(({ kind }) => kind === 'lot')!.item as LotSetUp;

describe('what is on its way to the store', () => {
  beforeEach(() => localStorage.clear());

  it('is left behind by a page that goes away, and taken up by one other', () => {
    const [gone, next] = [new Unsent(), new Unsent()];
    gone.add(posted);
    expect(gone.leaveBehind()).toBe(1);
    expect(next.takeUp()).toEqual([posted]);
    expect(next.takeUp()).toEqual([]);
  });

  it('is left behind no longer once it has arrived', () => {
    const [page, next] = [new Unsent(), new Unsent()];
    page.add(posted);
    page.leaveBehind();
    page.done(posted);
    expect(next.takeUp()).toEqual([]);
    expect(page.leaveBehind()).toBe(0);
  });

  it('is not said to be safe where nothing can be written', () => {
    const page = new Unsent();
    page.add(posted);
    const write = Storage.prototype.setItem;
    Storage.prototype.setItem = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
    expect(page.leaveBehind()).toBe(0);
    Storage.prototype.setItem = write;
  });

  it('is nothing where another program has written there', () => {
    localStorage.setItem('esmero-unsent/x', 'not json');
    expect(new Unsent().takeUp()).toEqual([]);
    expect(localStorage).toHaveLength(0);
  });

  it('is sent by the next page, and once more is the same as once', async () => {
    const store = await memoryStore('for-good');
    // Seeds the store as a first page does.
    await deskWith(store);
    const before = (await store.library()).find(({ kind }) => kind === 'lot')!;
    const changed = { ...before.item, done: [{ car: 0, person: 0, at: 5 }] } as LotSetUp;
    const put = collectionActions.putEntry({ entry: { kind: 'lot', archived: false, item: changed }, base: before });
    TestBed.resetTestingModule();
    const left = { version: collectionVersion, sent: [put, put] };
    const page = new Unsent();
    const { settle } = await deskWith(store, [
      { provide: Unsent, useFactory: () => (localStorage.setItem('esmero-unsent/gone', JSON.stringify(left)), page) },
    ]);
    await settle();
    expect((await lot(store)).done).toEqual(changed.done);
    expect(TestBed.inject(Entries).items('lot')[0]!.done).toEqual(changed.done);
    expect(localStorage.getItem('esmero-unsent/gone')).toBeNull();
  });
});
