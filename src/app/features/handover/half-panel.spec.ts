import { afterEach, describe, expect, it, vi } from 'vitest';
import { type Raster, plainProof, renderProof } from '@esmero/core';
import { picturesAre } from '../../testing/pictures';
import { show } from '../../testing/show';
import { HalfPanelComponent } from './half-panel.component';

afterEach(() => {
  vi.unstubAllGlobals();
  document.body.innerHTML = '';
});

async function dialog(pictures: readonly Raster[]) {
  let at = 0;
  picturesAre(() => pictures[at]!);
  const all = await show(HalfPanelComponent);
  const part = all.fixture.componentInstance as unknown as { take(when: string, file: Blob): Promise<void> };
  for (const [i, when] of ['before', 'after'].entries()) {
    at = i;
    await part.take(when, new Blob(['x']));
    await all.settle();
  }
  return { ...all, says: () => document.querySelector('.p-dialog')!.textContent };
}

describe('the half-panel proof', () => {
  it('lays two pictures beside each other with what was counted', async () => {
    const { says, fixture } = await dialog([renderProof({ ...plainProof, arcs: 3, streaks: 0 }), renderProof({ ...plainProof, arcs: 30, streaks: 0, lineSeed: 5 })]);
    expect(says()).toMatch(/\d+ more than before: stop/);
    expect(document.querySelectorAll('.p-dialog figure path').length).toBeGreaterThan(25);
    fixture.destroy();
  });

  it('refuses pictures of two places, with what to do', async () => {
    const { says, fixture } = await dialog([renderProof({ ...plainProof, panelSeed: 1, lineSeed: 1 }), renderProof({ ...plainProof, panelSeed: 2, lineSeed: 30 })]);
    expect(says()).toContain('Stick two written strips of tape');
    expect(says()).not.toContain('Keep with the job');
    fixture.destroy();
  });
});
