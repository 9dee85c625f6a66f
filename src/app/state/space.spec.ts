import { TestBed } from '@angular/core/testing';
import { describe, expect, it } from 'vitest';
import { memoryStore } from '@esmero/store';
import { deck, deskWith } from '../testing/desk';
import { NOW } from './clock';
import { leaveBehind } from './rescue';
import { SpaceDesk } from './space';

const DAY = 86_400_000;

async function withPictures() {
  let now = 1_000_000;
  const store = await memoryStore('for-good');
  const desk = await deskWith(store, [{ provide: NOW, useValue: () => now }]);
  for (const key of ['shown', 'loose', 'dropped']) await store.keepPhoto(key, new Blob([key]));
  const picture = { id: 'p', when: 'after', zone: null, note: '', photo: 'shown' } as const;
  await store.saveJob({ ...deck, pictures: [picture] }, null);
  return { ...desk, space: TestBed.inject(SpaceDesk), wait: (days: number) => (now += days * DAY) };
}

describe('room on the device', () => {
  it('lets pictures go that no job has shown for thirty days, and no others', async () => {
    const { store, space, wait } = await withPictures();
    await space.sweep();
    expect([...space.orphans()].sort()).toEqual(['dropped', 'loose']);
    wait(20);
    // One of them is shown again.
    await store.saveJob(
      { ...deck, pictures: [{ id: 'p', when: 'after', zone: null, note: '', photo: 'loose' }] },
      null,
    );
    await space.sweep();
    wait(11);
    await space.sweep();
    expect(await store.photoKeys()).toEqual(['loose', 'shown']);
    expect(space.orphans()).toEqual(['shown']);
  });

  it('deletes those that were shown when asked, but not one that is used again meanwhile', async () => {
    const { store, space } = await withPictures();
    await space.sweep();
    await store.saveJob(
      { ...deck, pictures: [{ id: 'p', when: 'after', zone: null, note: '', photo: 'loose' }] },
      null,
    );
    expect(await space.deleteOrphans()).toBe(1);
    expect(await store.photoKeys()).toEqual(['loose', 'shown']);
  });

  it('keeps pictures that only an unsaved job shows', async () => {
    const { space } = await withPictures();
    const picture = { id: 'p', when: 'after', zone: null, note: '', photo: 'loose' } as const;
    leaveBehind({ job: { ...deck, pictures: [picture] }, kept: deck, base: 1 });
    await space.sweep();
    expect(space.orphans()).toEqual(['dropped']);
  });

  it('leaves pictures alone where nothing outlives the tab', async () => {
    const { store } = await deskWith(memoryStore());
    await store.keepPhoto('loose', new Blob(['x']));
    await TestBed.inject(SpaceDesk).sweep();
    expect(TestBed.inject(SpaceDesk).orphans()).toEqual([]);
  });
});
