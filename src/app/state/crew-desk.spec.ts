import { afterEach, describe, expect, it } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { finish, joined, noteEvent, planRun, shareOf, startRun, studies, takeBackEvent } from '@esmero/core';
import { crewJob, crewRun, readCrewMessage } from '@esmero/exchange';
import { deck, deskWith } from '../testing/desk';
import { CrewDesk, SOCKET, type Socket } from './crew-desk';
import { JobDesk } from './job-desk';

/** A link whose other end is in the hands of the test. */
class Line implements Socket {
  readyState = 1;
  onopen: Socket['onopen'] = null;
  onmessage: Socket['onmessage'] = null;
  onclose: Socket['onclose'] = null;
  readonly sent: string[] = [];
  send(text: string): void {
    this.sent.push(text);
  }
  close(): void {
    this.cut(1000);
  }
  open(): void {
    this.onopen?.call(this as never, new Event('open'));
  }
  hear(text: string): void {
    this.onmessage?.call(this as never, new MessageEvent('message', { data: text }));
  }
  cut(code = 1006): void {
    this.readyState = 3;
    this.onclose?.call(this as never, new CloseEvent('close', { code }));
  }
}

const tick = (section: number, at: number) => ({ kind: 'wipe', zone: 'roof', section, of: 9, by: 1, at }) as const;

async function desk() {
  sessionStorage.clear();
  const lines: Line[] = [];
  const all = await deskWith(undefined, [{ provide: SOCKET, useValue: () => (lines.push(new Line()), lines.at(-1)!) }]);
  const [crew, job] = [TestBed.inject(CrewDesk), TestBed.inject(JobDesk)];
  const runs = (): readonly string[] => lines.at(-1)!.sent.filter((text) => text.startsWith('{"run"'));
  return { ...all, crew, job, lines, line: () => lines.at(-1)!, runs };
}
afterEach(() => sessionStorage.clear());

describe('a run on several phones', () => {
  it('is told to whoever comes, and each press after that', async () => {
    const { crew, job, line, settle, runs } = await desk();
    await crew.open(job.job()!);
    line().open();
    expect(JSON.parse(line().sent[0]!)).toEqual({ join: crew.code(), key: expect.stringMatching(/^[\w-]{16,}$/) });
    expect(crew.state()).toBe('alone');
    line().hear('{"peers":2}');
    await settle();
    expect(crew.state()).toBe('linked');
    expect(readCrewMessage(line().sent[1]!)).toMatchObject({ kind: 'job', job: { id: deck.id } });
    job.edit('begun', (one) => startRun(one, 1000));
    await settle();
    job.edit('ticked', (one) => noteEvent(one, tick(1, 2000)));
    await settle();
    expect(readCrewMessage(runs().at(-1)!)).toMatchObject({ kind: 'run', share: { jobId: deck.id, events: [{ section: 1 }] } });
  });

  it('takes in what others did, without telling them again', async () => {
    const { crew, job, line, settle, runs } = await desk();
    await crew.open(job.job()!);
    line().open();
    job.edit('begun', (one) => startRun(one, 1000));
    await settle();
    const theirs = noteEvent(startRun(job.job()!, 1000), tick(4, 3000));
    const before = runs().length;
    line().hear(crewRun(shareOf(deck.id, theirs.run!)));
    await settle();
    expect(job.job()!.run!.events).toMatchObject([{ section: 4 }]);
    expect(runs().length).toBe(before);
    // What is nonsense, or of another car, changes nothing.
    const now = job.job();
    for (const bad of ['', '{', '{"run":"{}"}', crewRun({ ...shareOf('another', theirs.run!), jobId: 'another' }), '{"peers":-4}']) line().hear(bad);
    await settle();
    expect(job.job()).toBe(now);
  });

  it('goes on alone while the link is cut, and is put together when it is back', async () => {
    const { crew, job, lines, line, settle } = await desk();
    await crew.open(job.job()!);
    line().open();
    job.edit('begun', (one) => startRun(one, 1000));
    await settle();
    const shared = shareOf(deck.id, job.job()!.run!);
    line().cut();
    expect(crew.state()).toBe('cut');
    job.edit('ticked', (one) => noteEvent(one, tick(1, 2000)));
    await settle();
    await new Promise((resolve) => setTimeout(resolve, 600));
    expect(lines).toHaveLength(2);
    line().open();
    const theirs = noteEvent(startRun(job.job()!, 1000), tick(7, 2500));
    line().hear(crewRun(joined(shared, shareOf(deck.id, theirs.run!))));
    await settle();
    expect(job.job()!.run!.events.map((event) => ('section' in event ? event.section : 0)).sort()).toEqual([1, 7]);
    // They are told what they could not hear.
    const told = readCrewMessage(line().sent.at(-1)!);
    expect(told?.kind === 'run' && told.share.events).toHaveLength(2);
  });

  it('knows that it is cut when the radio is off, and links again when it is on', async () => {
    const { crew, job, lines, line } = await desk();
    await crew.open(job.job()!);
    line().open();
    window.dispatchEvent(new Event('offline'));
    expect(crew.state()).toBe('cut');
    window.dispatchEvent(new Event('online'));
    expect(lines).toHaveLength(2);
    expect(crew.state()).toBe('linking');
  });

  it('takes back what another takes back, and stops where the relay says no', async () => {
    const { crew, job, line, settle } = await desk();
    await crew.open(job.job()!);
    line().open();
    job.edit('begun', (one) => noteEvent(startRun(one, 1000), tick(1, 2000)));
    await settle();
    const mine = job.job()!;
    const { followed } = await import('@esmero/core');
    line().hear(crewRun(followed(shareOf(deck.id, mine.run!), mine.run!, takeBackEvent(mine).run!)));
    await settle();
    expect(job.job()!.run!.events).toEqual([]);
    line().cut(4403);
    expect(crew.state()).toBe('turned-away');
    crew.leave();
    expect(crew.state()).toBe('off');
  });

  it('is joined by its link, and goes on after the page was loaded anew', async () => {
    const { crew, line, store, settle } = await desk();
    const joining = crew.join('ABC234', 'k'.repeat(20));
    await settle();
    line().open();
    line().hear(crewJob({ ...deck, id: 'theirs', name: 'Theirs' }));
    expect(await joining).toBe('theirs');
    expect((await store.job('theirs'))!.job.name).toBe('Theirs');
    expect(JSON.parse(sessionStorage.getItem('esmero.crew')!)).toMatchObject({ room: { code: 'ABC234', jobId: 'theirs' } });
  });

  it('passes as a file where there is no network', async () => {
    const { crew, job, settle } = await desk();
    expect(await crew.file(job.job()!)).toBeNull();
    const theirs = noteEvent(startRun(job.job()!, 1000), tick(2, 2000));
    const text = (await crew.file(theirs))!;
    expect(await crew.takeIn('{}', job.job()!)).toBe(false);
    expect(await crew.takeIn(text, job.job()!)).toBe(true);
    await settle();
    expect(job.job()!.run!.events).toHaveLength(1);
    expect(finish(studies['usage-account'](job.job()!))).not.toBeNull();
    expect(planRun(job.job()!).method).not.toBe('decline');
  });
});
