import { TestBed } from '@angular/core/testing';
import { describe, expect, it } from 'vitest';
import { writeCollection } from '@esmero/exchange';
import { held } from '@esmero/records';
import { demo } from '@esmero/demo';
import { deck, deckToday, deskWith } from '../../testing/desk';
import { TransferDesk } from '../../state/transfer-desk';
import { ImportReviewComponent } from './import-review.component';

/** The dialog over a file with one job that differs, one that is new, and a vehicle that differs. */
async function show() {
  const desk = await deskWith();
  const [vehicle, ...others] = demo.library;
  const renamed = { ...vehicle!, item: { ...vehicle!.item, name: 'From the file' } } as typeof vehicle & object;
  const jobs = [
    { ...deck, client: 'From the file' },
    { ...deck, id: 'never-seen', name: 'Never seen' },
  ];
  const text = writeCollection(held({ library: [renamed, ...others], jobs, movements: demo.movements, photos: [] }));
  const transfer = TestBed.inject(TransferDesk);
  await transfer.open(new File([text], 'theirs.json'));
  const fixture = TestBed.createComponent(ImportReviewComponent);
  fixture.detectChanges();
  await desk.settle();
  fixture.detectChanges();
  // What the selects of the dialog call.
  const dialog = fixture.componentInstance as unknown as {
    picked(): Record<string, string>;
    pickAll(kind: string, choice: string): void;
    pick(key: string, choice: string): void;
    nothing(): boolean;
    bring(): void;
    same(): string;
  };
  const finished = async (): Promise<void> => {
    for (let i = 0; i < 100 && (transfer.busy() !== null || transfer.review() !== null); i++) await desk.settle();
    await desk.settle();
  };
  return { ...desk, dialog, transfer, finished, text: () => document.body.textContent! };
}

describe('what a file holds beside what is here', () => {
  it('is told kind by kind, with the choice that gives nothing up', async () => {
    const { dialog, text } = await show();
    expect(text()).toContain('1 new, 1 changed in both');
    expect(dialog.picked()).toMatchObject({ 'job/demo-deck': 'both', 'job/never-seen': 'theirs' });
    expect(dialog.same()).toContain('sites');
    expect(dialog.nothing()).toBe(false);
  });

  it('is chosen for a whole kind, and otherwise for one of it', async () => {
    const { dialog, store, transfer, finished } = await show();
    dialog.pickAll('job', 'theirs');
    dialog.pickAll('vehicle', 'mine');
    dialog.pick('job/never-seen', 'mine');
    dialog.bring();
    await finished();
    expect((await store.job(deck.id))!.job.client).toBe('From the file');
    expect(await store.job('never-seen')).toBeUndefined();
    expect((await store.library()).some(({ item }) => item.name === 'From the file')).toBe(false);
    await transfer.undo();
    expect((await store.job(deck.id))!.job).toEqual(deckToday());
  });

  it('is nothing to do where all of mine is kept', async () => {
    const { dialog } = await show();
    for (const kind of ['job', 'vehicle']) dialog.pickAll(kind, 'mine');
    expect(dialog.nothing()).toBe(true);
  });
});
