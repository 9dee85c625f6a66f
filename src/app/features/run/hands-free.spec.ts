import { describe, expect, it } from 'vitest';
import { startRun } from '@esmero/core';
import { NOW } from '../../state/clock';
import { show } from '../../testing/show';
import { RunStage } from './run.stage';
import { VOICE, type Voice } from './speech';

function voice(isLocal = true) {
  const said: string[] = [];
  const stand: Voice = { isLocal: () => isLocal, say: (text) => said.push(text), stop: () => undefined };
  return { said, stand };
}

const running = (stand: Voice) =>
  show(
    RunStage,
    [
      { provide: VOICE, useValue: stand },
      { provide: NOW, useValue: () => 60_000 },
    ],
    (job) => startRun(job, 1000),
  );
const key = (name: string) => document.dispatchEvent(new KeyboardEvent('keydown', { key: name }));

describe('a run without hands', () => {
  it('reads the next pass aloud, short or in full, and says nothing when it is off', async () => {
    const { said, stand } = voice();
    const { fixture, settle } = await running(stand);
    expect(said).toEqual([]);
    const stage = fixture.componentInstance as unknown as { setSpeech(speech: string): void };
    stage.setSpeech('short');
    await settle();
    expect(said).toHaveLength(1);
    stage.setSpeech('full');
    await settle();
    expect(said.at(-1)!.startsWith(said[0]!)).toBe(true);
    const before = said.length;
    key('1');
    await settle();
    expect(said).toHaveLength(before + 1);
    stage.setSpeech('off');
    await settle();
    key('1');
    await settle();
    expect(said).toHaveLength(before + 1);
    fixture.destroy();
  });

  it('takes the button of a remote for done, and no other key', async () => {
    const { stand } = voice();
    const { fixture, settle, job } = await running(stand);
    const done = () => job.job()!.run!.events.length;
    key('MediaTrackNext');
    await settle();
    const first = done();
    expect(first).toBeGreaterThan(0);
    // A page is scrolled with it, and a key that is held is pressed once.
    key('PageDown');
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'MediaTrackNext', repeat: true }));
    await settle();
    expect(done()).toBe(first);
    (fixture.componentInstance as unknown as { pad: { set(on: boolean): void } }).pad.set(true);
    key('PageDown');
    await settle();
    expect(done()).toBeGreaterThan(first);
    const second = done();
    key('PageUp');
    await settle();
    expect(done()).toBe(second);
    fixture.destroy();
  });

  it('makes the whole screen one button, that does not count a bounce', async () => {
    const { stand } = voice();
    const { fixture, settle, job, element } = await running(stand);
    const stage = fixture.componentInstance as unknown as { pad: { set(on: boolean): void } };
    stage.pad.set(true);
    await settle();
    const pad = element.querySelector<HTMLButtonElement>('.pad')!;
    const ticked = () => job.job()!.run!.events.length;
    pad.click();
    const once = ticked();
    expect(once).toBeGreaterThan(0);
    pad.click();
    await settle();
    expect(ticked()).toBe(once);
    expect(element.querySelector('.pad .title')!.textContent).not.toBe('');
    fixture.destroy();
  });

  it('says so where the device has no voice of its own', async () => {
    const { stand } = voice(false);
    const { fixture, settle } = await running(stand);
    const stage = fixture.componentInstance as unknown as {
      setSpeech(speech: string): void;
      elseOpen: { set(on: boolean): void };
    };
    stage.setSpeech('short');
    stage.elseOpen.set(true);
    await settle();
    expect(document.body.textContent).toContain('no voice of its own');
    stage.setSpeech('off');
    fixture.destroy();
  });
});
