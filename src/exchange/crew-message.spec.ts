import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { followed, noteEvent, putPunch, shareOf, startRun, takeBackEvent } from '@esmero/core';
import type { Job } from '@esmero/model';
import { demoJobs } from '@esmero/demo';
import { runs } from '@esmero/testing';
import { crewJob, crewRun, readCrewMessage, readPeers, readSharedRun, writeSharedRun } from './crew-message';

const [deck] = demoJobs as readonly [Job];
const begun = startRun(deck, 1000);
const ticked = putPunch(noteEvent(begun, { kind: 'wipe', zone: 'roof', section: 1, of: 2, by: 0, at: 2000 }), {
  id: 'p',
  text: 'streak',
  zone: null,
  done: false,
});
const share = followed(
  followed(shareOf(deck.id, begun.run!), begun.run!, ticked.run!),
  ticked.run!,
  takeBackEvent(ticked).run!,
);

describe('what phones say to each other', () => {
  it('comes back as it was said, with nothing of money or pictures in it', () => {
    expect(readCrewMessage(crewRun(share))).toEqual({ kind: 'run', share });
    const heard = readCrewMessage(crewJob({ ...ticked, bills: [] }));
    expect(heard).toEqual({ kind: 'job', job: { ...ticked, pictures: [], bills: [] } });
    expect(readPeers('{"peers":2}')).toBe(2);
    expect(readSharedRun(writeSharedRun(share))).toEqual({ ok: true, value: share });
  });

  it('is nothing where it is not sound, whatever is sent', () => {
    for (const bad of ['', 'null', '[]', '{}', '{"peers":-1}', '{"peers":1e9}', '{"peers":"2"}'])
      expect(readPeers(bad)).toBeNull();
    for (const bad of ['', 'null', '[]', '{}', '{"peers":2}', '{"job":"{}"}', '{"run":1}', '{"run":"{}"}'])
      expect(readCrewMessage(bad)).toBeNull();
    const whole = crewRun(share);
    fc.assert(
      fc.property(fc.nat(whole.length), fc.string({ maxLength: 12 }), fc.nat(12), (at, text, cut) => {
        const heard = readCrewMessage(whole.slice(0, at) + text + whole.slice(at + cut));
        if (heard?.kind === 'run') expect(readSharedRun(writeSharedRun(heard.share)).ok).toBe(true);
      }),
      { numRuns: runs(400) },
    );
    fc.assert(
      fc.property(fc.json(), (text) => void readCrewMessage(text)),
      { numRuns: runs(200) },
    );
  });
});
