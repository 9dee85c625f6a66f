import { describe, expect, it, vi } from 'vitest';
import { noteEvent, shareOf, startRun } from '@esmero/core';
import { framesOf, writeSharedRun } from '@esmero/exchange';
import { deck } from '../../testing/desk';
import { show } from '../../testing/show';
import { JobDesk } from '../../state/job-desk';
import { codeOf } from '../../ui/qr-code';
import { CAMERA, type Camera } from './camera';
import { CrewComponent } from './crew.component';
import { TestBed } from '@angular/core/testing';

const PX = 4;
const EDGE = 4;

/** What a camera in front of a code sees: squares of some pixels with a white edge. */
async function pictureOf(text: string): Promise<ImageData> {
  const { size, path } = await codeOf(text);
  const all = (size + 2 * EDGE) * PX;
  const data = new Uint8ClampedArray(all * all * 4).fill(255);
  for (const [, x, y] of path.matchAll(/M(\d+) (\d+)h/g))
    for (let row = 0; row < PX; row++) {
      const from = (((Number(y) + EDGE) * PX + row) * all + (Number(x) + EDGE) * PX) * 4;
      data.fill(0, from, from + PX * 4);
    }
  return { data, width: all, height: all, colorSpace: 'srgb' } as ImageData;
}

async function dialog(camera: () => Promise<Camera>) {
  const all = await show(CrewComponent, [{ provide: CAMERA, useValue: camera }], undefined, { job: deck });
  // Dialogs hang below the body.
  const press = async (text: string): Promise<void> => {
    [...document.querySelectorAll<HTMLElement>('.p-dialog button')]
      .find((one) => one.textContent.trim() === text)!
      .click();
    await all.settle();
  };
  return { ...all, press, desk: TestBed.inject(JobDesk), says: () => document.querySelector('.p-dialog')!.textContent };
}

describe('a run without a network', () => {
  it('is read off the codes of another phone by the camera', async () => {
    const theirs = noteEvent(startRun(deck, 1000), { kind: 'wipe', zone: 'roof', section: 5, of: 9, by: 1, at: 2000 });
    const pictures = await Promise.all((await framesOf(writeSharedRun(shareOf(deck.id, theirs.run!)))).map(pictureOf));
    let [at, stopped] = [0, false];
    const { press, desk, fixture } = await dialog(async () => ({
      grab: () => pictures[at++ % pictures.length]!,
      stop: () => (stopped = true),
    }));
    await press('Read codes');
    await vi.waitFor(() => expect(desk.job()!.run?.events).toMatchObject([{ section: 5 }]), 20_000);
    expect(stopped).toBe(true);
    fixture.destroy();
  });

  it('says so where there is no camera, and shows nothing before there is a run', async () => {
    const { press, says, fixture } = await dialog(() => Promise.reject(new DOMException('no', 'NotAllowedError')));
    await press('Read codes');
    expect(says()).toContain('The camera was not opened');
    expect(
      [...document.querySelectorAll<HTMLButtonElement>('.p-dialog button')].find(
        (one) => one.textContent.trim() === 'Show it as codes',
      )!.disabled,
    ).toBe(true);
    fixture.destroy();
  });
});
