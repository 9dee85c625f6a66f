import { afterEach, describe, expect, it, vi } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { type Raster, addPicture, plainProof, renderProof } from '@esmero/core';
import type { Pictures } from '../state/pictures';
import { picturesAre } from '../testing/pictures';
import { show } from '../testing/show';
import { HalfPanelComponent } from './half-panel.component';

afterEach(() => {
  vi.unstubAllGlobals();
  document.body.innerHTML = '';
});

interface Part {
  readonly pictures: Pictures;
  take(when: 'before' | 'after', file: Blob): Promise<void>;
  keepFirst(): Promise<void>;
  keep(): Promise<void>;
}

async function dialog(pictures: readonly Raster[]) {
  let at = 0;
  picturesAre(() => pictures[at]!);
  const all = await show(HalfPanelComponent);
  const part = all.fixture.componentInstance as unknown as Part;
  for (const [i, when] of (['before', 'after'] as const).entries()) {
    at = i;
    await part.take(when, new Blob(['x']));
    await all.settle();
  }
  return { ...all, says: () => document.querySelector('.p-dialog')!.textContent };
}

describe('the half-panel proof', () => {
  it('lays two pictures beside each other with what was counted', async () => {
    const { says, fixture } = await dialog([
      renderProof({ ...plainProof, arcs: 3, streaks: 0 }),
      renderProof({ ...plainProof, arcs: 30, streaks: 0, lineSeed: 5 }),
    ]);
    expect(says()).toMatch(/\d+ more than before: stop/);
    expect(document.querySelectorAll('.p-dialog figure path').length).toBeGreaterThan(25);
    fixture.destroy();
  });

  it('refuses pictures of two places, with what to do', async () => {
    const { says, fixture } = await dialog([
      renderProof({ ...plainProof, panelSeed: 1, lineSeed: 1 }),
      renderProof({ ...plainProof, panelSeed: 2, lineSeed: 30 }),
    ]);
    expect(says()).toContain('Stick two written strips of tape');
    expect(says()).not.toContain('Keep with the job');
    fixture.destroy();
  });

  it('takes no towel of a wipe test for the panel before', async () => {
    picturesAre(() => renderProof(plainProof));
    const all = await show(HalfPanelComponent, [], undefined, { panel: 'bonnet' });
    await all.store.keepPhoto('kept', new Blob(['kept']));
    const figures = async (shows: 'towel' | 'lamp'): Promise<number> => {
      all.job.edit('a picture', (job) =>
        addPicture(job, { id: shows, when: 'before', zone: 'bonnet', note: '', photo: 'kept', shows }),
      );
      await all.settle();
      await all.settle();
      return document.querySelectorAll('.p-dialog figure').length;
    };
    expect(await figures('towel')).toBe(0);
    expect(await figures('lamp')).toBe(1);
    all.fixture.destroy();
  });

  it('keeps the picture before the wash, and has it again beside the car afterwards', async () => {
    picturesAre(() => renderProof({ ...plainProof, arcs: 3, streaks: 0 }));
    const all = await show(HalfPanelComponent, [], undefined, { panel: 'roof' });
    const part = all.fixture.componentInstance as unknown as Part;
    const spy = vi
      .spyOn(part.pictures, 'keep')
      .mockImplementation((file) => all.store.keepPhoto('p-first', file).then(() => ({ key: 'p-first' })));
    await part.take('before', new Blob(['first']));
    await all.settle();
    await part.keepFirst();
    await all.settle();
    expect(spy).toHaveBeenCalledOnce();
    expect(all.job.job()!.pictures.at(-1)).toMatchObject({
      when: 'before',
      zone: 'roof',
      photo: 'p-first',
      shows: 'lamp',
    });
    all.fixture.destroy();

    const again = TestBed.createComponent(HalfPanelComponent);
    again.componentRef.setInput('panel', 'roof');
    again.detectChanges();
    await all.settle();
    again.detectChanges();
    const dialogs = document.querySelectorAll('.p-dialog');
    expect(dialogs.item(dialogs.length - 1).querySelectorAll('figure')).toHaveLength(1);
    const second = again.componentInstance as unknown as Part;
    vi.spyOn(second.pictures, 'keep').mockResolvedValue({ key: 'p-second' });
    await second.take('after', new Blob(['second']));
    again.detectChanges();
    await all.settle();
    await second.keep();
    await all.settle();
    const { pictures, proofs } = all.job.job()!;
    expect(pictures.filter(({ photo }) => photo === 'p-first')).toHaveLength(1);
    expect(proofs.at(-1)).toMatchObject({
      zone: 'roof',
      before: pictures.find(({ photo }) => photo === 'p-first')!.id,
    });
    again.destroy();
  });
});
