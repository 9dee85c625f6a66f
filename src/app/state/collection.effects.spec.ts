import { describe, expect, it, vi } from 'vitest';
import { TestBed } from '@angular/core/testing';
import type { LotSetUp } from '@esmero/model';
import { type Store, memoryStore } from '@esmero/store';
import { slowRuns } from '../testing/runs';
import { deskWith } from '../testing/desk';
import { CollectionDesk } from './collection-desk';
import { collectionActions, collectionFeature } from './collection';
import { Entries } from './entries';
import { PLANNING } from './ports';
import { SEEDED } from './seeded';
import { VanStock } from './van-stock';

describe('the past of a new demo', () => {
  const withPast = (past: () => Promise<typeof slowRuns>) => ({
    provide: PLANNING,
    useValue: { past, brief: async () => null, plan: async () => ({ kind: 'stale' }) },
  });

  it('is worked out once, and is there without a press', async () => {
    let asked = 0;
    const store = await memoryStore('for-good');
    const past = async () => (asked++, slowRuns);
    const { state, settle } = await deskWith(store, [withPast(past)]);
    state.dispatch(collectionActions.load());
    await settle();
    const ids = state
      .selectSignal(collectionFeature.selectJobs)()
      .map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining(slowRuns.map(({ id }) => id)));
    expect(await store.setting(SEEDED)).toBe(true);
    state.dispatch(collectionActions.load());
    await settle();
    expect(asked).toBe(1);
  });

  it('is missed by nobody where it cannot be worked out', async () => {
    const { state, settle } = await deskWith(memoryStore('for-good'), [
      withPast(() => Promise.reject(new Error('no worker'))),
    ]);
    state.dispatch(collectionActions.load());
    await settle();
    const desk = TestBed.inject(CollectionDesk);
    await vi.waitFor(() => expect(desk.ready()).toBe(true));
    expect(desk.unreadable()).toBeNull();
  });
});

describe('the van in two windows', () => {
  it('stands as the other window has it where both changed the same, and says so', async () => {
    const store = await memoryStore('for-good');
    const { state, settle } = await deskWith(store);
    state.dispatch(collectionActions.load());
    await settle();
    const stock = TestBed.inject(VanStock);
    const mine = TestBed.inject(CollectionDesk)
      .library()
      .find(({ kind }) => kind === 'van')!;
    await store.saveEntry({ kind: 'van', archived: false, item: { ...stock.van(), inTankL: 11 } }, mine);
    const problem = state.selectSignal(collectionFeature.selectProblem);
    stock.change({ inTankL: 22 });
    await settle();
    expect(problem()).toContain('was changed in another window');
    expect(stock.van().inTankL).toBe(11);
    // Another field of it is another matter.
    stock.change({ parkMin: 9 });
    await settle();
    expect(stock.van()).toMatchObject({ inTankL: 11, parkMin: 9 });
  });
});

describe('an item that is changed again and again', () => {
  const lotOf = () => TestBed.inject(Entries).items('lot')[0]!;
  const tick = (car: number) => {
    const lot = lotOf();
    TestBed.inject(Entries).put('lot', { ...lot, done: [...lot.done, { car, person: 0, at: 1000 + car }] });
  };
  const done = (lot: LotSetUp) => lot.done.map(({ car }) => car);

  it('has every change in it, however quickly they come', async () => {
    const { store, settle } = await deskWith(memoryStore('for-good'));
    for (const car of [0, 1, 2]) tick(car);
    expect(done(lotOf())).toEqual([0, 1, 2]);
    await settle();
    expect(done(lotOf())).toEqual([0, 1, 2]);
    const kept = (await store.library()).find(({ kind }) => kind === 'lot')!.item as LotSetUp;
    expect(done(kept)).toEqual([0, 1, 2]);
  });

  it('is not set back by what was fetched before the change and comes in after it', async () => {
    const kept = await memoryStore('for-good');
    let open = (): void => undefined;
    let gate: Promise<void> | null = null;
    const slow: Store = { ...kept, briefs: async () => (await gate, kept.briefs()) };
    const { state, settle } = await deskWith(slow);
    gate = new Promise((resolve) => (open = resolve));
    state.dispatch(collectionActions.load());
    await settle();
    tick(7);
    await settle();
    open();
    gate = null;
    await settle();
    expect(done(lotOf())).toEqual([7]);
  });

  it('stands as it is kept where it could not be saved, and says so', async () => {
    const kept = await memoryStore('for-good');
    const { state, settle } = await deskWith({ ...kept, saveEntry: async () => ({ kind: 'full' }) });
    tick(3);
    expect(done(lotOf())).toEqual([3]);
    await settle();
    expect(done(lotOf())).toEqual([]);
    expect(state.selectSignal(collectionFeature.selectProblem)()).toContain('storage is full');
  });
});
