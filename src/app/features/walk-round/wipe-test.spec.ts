import { TestBed } from '@angular/core/testing';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { type Raster, defaultAssumptions, plainScene, renderTowel } from '@esmero/core';
import { EyeDesk } from '../../state/eye-desk';
import { picturesAre } from '../../testing/pictures';
import { show } from '../../testing/show';
import { WipeTestComponent } from './wipe-test.component';

const towel = (rest: Partial<typeof plainScene> = {}): Raster =>
  renderTowel(
    { ...plainScene, kind: 'road-film', loadGm2: 2.5, patchM2: 0.04, share: 0.7, ...rest },
    defaultAssumptions,
  );

async function dialog(picture: () => Raster | null) {
  picturesAre(picture);
  const all = await show(WipeTestComponent, [], undefined, { zone: 'bonnet' });
  TestBed.inject(EyeDesk).pick('Ada');
  await all.settle();
  const box = (): HTMLElement => document.querySelector<HTMLElement>('.p-dialog')!;
  const press = async (text: string | RegExp): Promise<void> => {
    [...box().querySelectorAll<HTMLButtonElement>('button')]
      .find((one) => (typeof text === 'string' ? one.textContent.trim() === text : text.test(one.textContent.trim())))!
      .click();
    await all.settle();
  };
  const take = async (): Promise<void> => {
    await (all.fixture.componentInstance as unknown as { take(file: Blob): Promise<void> }).take(new Blob(['x']));
    await all.settle();
  };
  return { ...all, press, take, says: () => box().textContent };
}

afterEach(() => {
  vi.unstubAllGlobals();
  document.body.innerHTML = '';
});

describe('the wipe test', () => {
  it('puts what it found onto the panel, in a step that can be undone', async () => {
    const { take, press, says, job, fixture } = await dialog(() => towel());
    await take();
    expect(says()).toContain('Eight in ten lie between');
    expect(says()).toContain('not calibrated');
    await press(/^Put on panel/);
    const soil = job.job()!.soil.bonnet!;
    expect(soil.deposits).toHaveLength(1);
    expect(soil.measured!.spread).toBeGreaterThan(1.1);
    job.undo();
    expect(job.job()!.soil.bonnet!.measured).toBeUndefined();
    fixture.destroy();
  });

  it('says why a picture tells nothing, and cannot be put anywhere then', async () => {
    let picture: Raster | null = towel({ blur: 14 });
    const { take, says, fixture } = await dialog(() => picture);
    await take();
    expect(says()).toContain('The picture is blurred');
    expect(says()).not.toContain('Put on panel');
    picture = null;
    await take();
    expect(says()).toContain('cannot read this file');
    fixture.destroy();
  });

  it('is calibrated for a hand and a cloth, shown, and forgotten again', async () => {
    const { take, press, says, settle, fixture } = await dialog(() => towel());
    const eye = TestBed.inject(EyeDesk);
    await take();
    await press('Calibrate');
    (fixture.componentInstance as unknown as { weigh(which: string, grams: number): void }).weigh('before', 40);
    (fixture.componentInstance as unknown as { weigh(which: string, grams: number): void }).weigh('after', 40.09);
    await settle();
    await press('Calibrate by scale');
    const [one] = eye.calibrations().filter(({ person }) => person === 'Ada');
    expect(one).toMatchObject({ person: 'Ada', by: 'scale' });
    expect(one!.onTowelGm2).toBeGreaterThan(0);
    expect(one!.shades.some((share) => share > 0)).toBe(true);
    expect(says()).toMatch(/one calibration/);
    eye.forget(one!);
    await settle();
    expect(says()).toContain('not calibrated');
    expect(eye.persons()).toContain('Ada');
    // Those of somebody else are kept.
    expect(eye.calibrations()).toHaveLength(2);
    fixture.destroy();
  });
});
