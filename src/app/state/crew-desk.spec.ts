import { afterEach, describe, expect, it, vi } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { finish, followed, joined, noteEvent, planRun, shareOf, startRun, studies, takeBackEvent } from '@esmero/core';
import { type CrewLine, type CrewMessage, crewJob, crewLine, crewRun, readCrewMessage } from '@esmero/exchange';
import { deck, deskWith } from '../testing/desk';
import { CrewDesk, SOCKET, type Socket } from './crew-desk';
import { JobDesk } from './job-desk';

/** A link whose other end is in the hands of the test: text is the relay’s, the rest is sealed for the phones of the car. */
class Line implements Socket {
  readyState = 1;
  binaryType: BinaryType = 'blob';
  onopen: Socket['onopen'] = null;
  onmessage: Socket['onmessage'] = null;
  onclose: Socket['onclose'] = null;
  readonly crossed: (string | Uint8Array)[] = [];
  readonly said: string[] = [];
  private reading: Promise<void> = Promise.resolve();

  constructor(private readonly cipher: () => Promise<CrewLine>) {}

  send(data: string | ArrayBufferLike | Blob | ArrayBufferView): void {
    this.crossed.push(data as string | Uint8Array);
    if (typeof data === 'string') return;
    this.reading = this.reading.then(async () => {
      const text = await (await this.cipher()).open(data as Uint8Array);
      if (text !== null) this.said.push(text);
    });
  }
  close(): void {
    this.cut(1000);
  }
  open(): void {
    this.onopen?.call(this as never, new Event('open'));
  }
  relay(text: string): void {
    this.onmessage?.call(this as never, new MessageEvent('message', { data: text }));
  }
  async hear(text: string): Promise<void> {
    const { buffer } = await (await this.cipher()).seal(text);
    this.onmessage?.call(this as never, new MessageEvent('message', { data: buffer }));
  }
  cut(code = 1006): void {
    this.readyState = 3;
    this.onclose?.call(this as never, new CloseEvent('close', { code }));
  }
  messages(): readonly (CrewMessage | null)[] {
    return this.said.map(readCrewMessage);
  }
}

const tick = (section: number, at: number) => ({ kind: 'wipe', zone: 'roof', section, of: 9, by: 1, at }) as const;

async function desk() {
  sessionStorage.clear();
  const lines: Line[] = [];
  const cipher = (): Promise<CrewLine> => {
    const [, code, key] = /crew\/(\w+)#(.+)$/.exec(TestBed.inject(CrewDesk).address())!;
    return crewLine(code!, key!);
  };
  const all = await deskWith(undefined, [
    { provide: SOCKET, useValue: () => (lines.push(new Line(cipher)), lines.at(-1)!) },
  ]);
  const [crew, job] = [TestBed.inject(CrewDesk), TestBed.inject(JobDesk)];
  const runs = (): readonly string[] => lines.at(-1)!.said.filter((text) => text.startsWith('{"run"'));
  const opened = async (): Promise<void> => {
    await crew.open(job.job()!);
    await vi.waitFor(() => expect(lines).toHaveLength(1));
    lines[0]!.open();
  };
  return { ...all, crew, job, lines, line: () => lines.at(-1)!, runs, opened };
}
afterEach(() => sessionStorage.clear());

describe('a run on several phones', () => {
  it('is told to whoever comes, and each press after that, so that only they can read it', async () => {
    const { crew, job, line, settle, runs, opened } = await desk();
    await opened();
    expect(JSON.parse(line().crossed[0] as string)).toEqual({
      join: crew.code(),
      token: expect.stringMatching(/^[\w-]{43}$/),
    });
    expect(crew.state()).toBe('alone');
    line().relay('{"peers":2}');
    await vi.waitFor(() => expect(line().messages()).toMatchObject([{ kind: 'job', job: { id: deck.id } }]));
    expect(crew.state()).toBe('linked');
    job.edit('begun', (one) => startRun(one, 1000));
    await settle();
    job.edit('ticked', (one) => noteEvent(one, tick(1, 2000)));
    await vi.waitFor(() =>
      expect(readCrewMessage(runs().at(-1)!)).toMatchObject({
        kind: 'run',
        share: { jobId: deck.id, events: [{ section: 1 }] },
      }),
    );
    const crossed = line()
      .crossed.map((data) => (typeof data === 'string' ? data : Buffer.from(data).toString('latin1')))
      .join('\n');
    for (const readable of [deck.name, deck.client, deck.vehicle.name, 'section', crew.address().split('#')[1]!])
      expect(crossed).not.toContain(readable);
  });

  it('takes in what others did, without telling them again', async () => {
    const { job, line, settle, runs, opened } = await desk();
    await opened();
    job.edit('begun', (one) => startRun(one, 1000));
    await settle();
    const theirs = noteEvent(startRun(job.job()!, 1000), tick(4, 3000));
    const before = runs().length;
    await line().hear(crewRun(shareOf(deck.id, theirs.run!)));
    await vi.waitFor(() => expect(job.job()!.run!.events).toMatchObject([{ section: 4 }]));
    await settle();
    expect(runs().length).toBe(before);
    // What is nonsense, of another car, or readable by anybody, changes nothing.
    const now = job.job();
    for (const bad of ['', '{', '{"run":"{}"}', crewRun({ ...shareOf('another', theirs.run!), jobId: 'another' })])
      await line().hear(bad);
    line().relay(crewRun(shareOf(deck.id, noteEvent(theirs, tick(5, 4000)).run!)));
    line().relay('{"peers":-4}');
    line().onmessage?.call(line() as never, new MessageEvent('message', { data: new Uint8Array(40).buffer }));
    await settle();
    expect(job.job()).toBe(now);
  });

  it('goes on alone while the link is cut, and is put together when it is back', async () => {
    const { crew, job, lines, line, settle, opened } = await desk();
    await opened();
    job.edit('begun', (one) => startRun(one, 1000));
    await settle();
    const shared = shareOf(deck.id, job.job()!.run!);
    line().cut();
    expect(crew.state()).toBe('cut');
    job.edit('ticked', (one) => noteEvent(one, tick(1, 2000)));
    await settle();
    await vi.waitFor(() => expect(lines).toHaveLength(2), 2000);
    line().open();
    const theirs = noteEvent(startRun(job.job()!, 1000), tick(7, 2500));
    await line().hear(crewRun(joined(shared, shareOf(deck.id, theirs.run!))));
    await vi.waitFor(() =>
      expect(
        job
          .job()!
          .run!.events.map((event) => ('section' in event ? event.section : 0))
          .sort(),
      ).toEqual([1, 7]),
    );
    // They are told what they could not hear.
    await vi.waitFor(() =>
      expect(line().messages().at(-1)).toMatchObject({
        kind: 'run',
        share: { events: [{ section: 1 }, { section: 7 }] },
      }),
    );
  });

  it('knows that it is cut when the radio is off, and links again when it is on', async () => {
    const { crew, lines, opened } = await desk();
    await opened();
    window.dispatchEvent(new Event('offline'));
    expect(crew.state()).toBe('cut');
    window.dispatchEvent(new Event('online'));
    expect(lines).toHaveLength(2);
    expect(crew.state()).toBe('linking');
  });

  it('shows what another takes back of what was done here, and does it again for everybody if that was wrong', async () => {
    const { crew, job, line, runs, settle, opened } = await desk();
    await opened();
    job.edit('begun', (one) => noteEvent(noteEvent(startRun(one, 1000), tick(1, 2000)), tick(2, 3000)));
    await settle();
    const mine = job.job()!;
    await line().hear(crewRun(followed(shareOf(deck.id, mine.run!), mine.run!, takeBackEvent(mine).run!)));
    await vi.waitFor(() => expect(job.job()!.run!.events).toMatchObject([{ section: 1 }]));
    expect(crew.takenBack()).toMatchObject([{ section: 2 }]);
    crew.putBack();
    await settle();
    expect(job.job()!.run!.events).toEqual(mine.run!.events);
    expect(crew.takenBack()).toEqual([]);
    await vi.waitFor(() =>
      expect(readCrewMessage(runs().at(-1)!)).toMatchObject({
        share: { events: [{ section: 1 }, { section: 2 }], takenBack: [{ value: false }] },
      }),
    );
    // What is taken back here is nobody else’s doing.
    job.edit('taken back', takeBackEvent);
    await settle();
    expect(crew.takenBack()).toEqual([]);
  });

  it('stops where the relay says no', async () => {
    const { crew, line, opened } = await desk();
    await opened();
    line().cut(4403);
    expect(crew.state()).toBe('turned-away');
    crew.leave();
    expect(crew.state()).toBe('off');
  });

  it('is joined by its link only once what is offered was taken, and goes on after the page was loaded anew', async () => {
    const { crew, line, lines, store, job } = await desk();
    await crew.join('ABC234', 'k'.repeat(20));
    await vi.waitFor(() => expect(lines).toHaveLength(1));
    line().open();
    const theirs = noteEvent(startRun({ ...deck, id: 'theirs', name: 'Theirs' }, 1000), tick(3, 2000));
    await line().hear(crewJob({ ...deck, id: 'theirs', name: 'Theirs' }));
    await line().hear(crewRun(shareOf('theirs', theirs.run!)));
    await vi.waitFor(() =>
      expect(crew.offer()).toMatchObject({
        job: { name: 'Theirs' },
        isHere: false,
        share: { events: [{ section: 3 }] },
      }),
    );
    expect([crew.jobId(), await store.job('theirs')]).toEqual([null, undefined]);
    await crew.take();
    expect(crew.jobId()).toBe('theirs');
    expect((await store.job('theirs'))!.job.name).toBe('Theirs');
    expect(JSON.parse(sessionStorage.getItem('esmero.crew')!)).toMatchObject({
      room: { code: 'ABC234', jobId: 'theirs' },
      known: { events: [{ section: 3 }] },
    });
    expect(job.job()!.id).toBe(deck.id);
  });

  it('lays nothing in where the offer is declined, and leaves a job that is here as it is', async () => {
    const { crew, line, lines, store } = await desk();
    await crew.join('ABC234', 'k'.repeat(20));
    await vi.waitFor(() => expect(lines).toHaveLength(1));
    line().open();
    await line().hear(crewJob({ ...deck, name: 'Another name' }));
    await vi.waitFor(() => expect(crew.offer()?.isHere).toBe(true));
    await crew.take();
    expect((await store.job(deck.id))!.job.name).toBe(deck.name);
    crew.leave();
    await crew.join('XYZ234', 'k'.repeat(20));
    await vi.waitFor(() => expect(lines).toHaveLength(2));
    line().open();
    await line().hear(crewJob({ ...deck, id: 'theirs' }));
    await vi.waitFor(() => expect(crew.offer()).not.toBeNull());
    crew.leave();
    expect([crew.offer(), await store.job('theirs')]).toEqual([null, undefined]);
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
