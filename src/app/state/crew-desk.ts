import { DOCUMENT, Injectable, InjectionToken, computed, effect, inject, signal, untracked } from '@angular/core';
import { type SharedRun, followed, isSameShare, joined, shareOf, withShared } from '@esmero/core';
import type { Job, Run } from '@esmero/model';
import { freshId } from '@esmero/records';
// Rules of messages are fetched with the first link.
import type * as Exchange from '@esmero/exchange';
import { JobDesk } from './job-desk';
import { STORE } from './ports';

/** What a link to the relay is to this page: tests put a stand-in here. */
export type Socket = Pick<WebSocket, 'send' | 'close' | 'readyState' | 'onopen' | 'onmessage' | 'onclose'>;
export const SOCKET = new InjectionToken<(url: string) => Socket>('socket', { factory: () => (url) => new WebSocket(url) });

/** A car that several phones work on. */
interface Room {
  readonly code: string;
  readonly key: string;
  /** null until whoever is there has said which it is. */
  readonly jobId: string | null;
}

/** Off; being linked; linked with nobody or somebody there; cut, and tried again; or turned away. */
export type CrewState = 'off' | 'linking' | 'alone' | 'linked' | 'cut' | 'turned-away';

const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const CODE_LETTERS = 6;
const OPEN = 1;
/** After so long a link that was cut is tried again, longer each time, ms. */
const RETRY_MS = 500;
const MOST_RETRY_MS = 10_000;
/** The relay is heard at least every ten seconds; after so long without a word the link is cut, ms. */
const SILENCE_MS = 25_000;
/** From here on the relay has a reason, and trying again would not help. */
const REASONED = 4400;
const TOO_MUCH = 4429;
const KEPT = 'esmero.crew';

const newCode = (): string => [...crypto.getRandomValues(new Uint8Array(CODE_LETTERS))].map((byte) => LETTERS[byte % LETTERS.length]).join('');

/**
 * A run on several phones: what is done on one comes to the others, through the relay or as a file, and is put together whatever came when.
 * Without a link each goes on alone, and nothing is lost.
 */
@Injectable({ providedIn: 'root' })
export class CrewDesk {
  private readonly desk = inject(JobDesk);
  private readonly store = inject(STORE);
  private readonly connect = inject(SOCKET);
  private readonly window = inject(DOCUMENT).defaultView!;

  private readonly room = signal<Room | null>(null);
  private readonly link = signal<'linking' | 'open' | 'cut' | 'turned-away'>('cut');
  private readonly peers = signal(1);
  readonly jobId = computed(() => this.room()?.jobId ?? null);
  readonly code = computed(() => this.room()?.code ?? '');
  readonly state = computed((): CrewState => {
    if (!this.room()) return 'off';
    const link = this.link();
    return link === 'open' ? (this.peers() > 1 ? 'linked' : 'alone') : link;
  });
  /** For the other phone: whoever has it is in. The key stays behind the #, so that no address that is asked for has it. */
  readonly address = computed(() => {
    const room = this.room();
    return room ? `${this.window.location.origin}/crew/${room.code}#${room.key}` : '';
  });

  private exchange: typeof Exchange | null = null;
  private socket: Socket | null = null;
  private retryMs = RETRY_MS;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private silence: ReturnType<typeof setTimeout> | undefined;
  /** What is known of the run, and the run of the job as it was when that was last told. */
  private known: SharedRun | null = null;
  private seen: Run | null = null;
  private arrived: ((jobId: string) => void) | null = null;

  constructor() {
    this.resume();
    effect(() => {
      const [job, jobId] = [this.desk.job(), this.jobId()];
      if (job && job.id === jobId) untracked(() => this.follow(job));
    });
    this.window.addEventListener('online', () => this.again());
    // A radio that is off does not close what was open.
    this.window.addEventListener('offline', () => this.cut());
  }

  /** Opens a car for others, or goes on with it. */
  async open(job: Job): Promise<void> {
    if (this.room()?.jobId === job.id) return;
    this.leave();
    await this.enter({ code: newCode(), key: freshId('key').slice('key-'.length), jobId: job.id });
  }

  /**
   * Joins a car that another phone has opened.
   * @returns the job, once whoever is there has said it
   */
  async join(code: string, key: string): Promise<string> {
    const room = this.room();
    if (room?.code === code && room.jobId !== null) return room.jobId;
    this.leave();
    const arrived = new Promise<string>((resolve) => (this.arrived = resolve));
    await this.enter({ code, key, jobId: null });
    return arrived;
  }

  leave(): void {
    clearTimeout(this.timer);
    clearTimeout(this.silence);
    this.room.set(null);
    this.socket?.close();
    this.socket = null;
    this.known = null;
    this.seen = null;
    this.window.sessionStorage.removeItem(KEPT);
  }

  /** What this phone knows of the run, as a file for another one; null before it is begun. */
  async file(job: Job): Promise<string | null> {
    const exchange = await this.rules();
    if (!job.run) return null;
    return exchange.writeSharedRun(this.known && this.jobId() === job.id ? this.known : shareOf(job.id, job.run));
  }

  /** Takes in what another phone has passed on as a file. @returns false where it is no run of this job */
  async takeIn(text: string, job: Job): Promise<boolean> {
    const read = (await this.rules()).readSharedRun(text);
    if (!read.ok || read.value.jobId !== job.id) return false;
    if (this.jobId() === job.id) {
      this.learn(read.value);
      // Whoever is linked has not seen the file.
      this.send(this.exchange!.crewRun(this.known!));
      return true;
    }
    const now = job.run ? joined(shareOf(job.id, job.run), read.value) : read.value;
    this.desk.edit('From the other phone', (one) => withShared(one, now));
    return true;
  }

  private async rules(): Promise<typeof Exchange> {
    this.exchange ??= await import('@esmero/exchange');
    return this.exchange;
  }

  private async enter(room: Room): Promise<void> {
    this.room.set(room);
    this.keep();
    await this.rules();
    this.dial();
  }

  /** A page that was loaded anew goes on where it was. */
  private resume(): void {
    try {
      const kept = JSON.parse(this.window.sessionStorage.getItem(KEPT) ?? 'null') as { readonly room: Room; readonly known: SharedRun | null } | null;
      if (!kept || typeof kept.room.code !== 'string' || typeof kept.room.key !== 'string') return;
      this.known = kept.known;
      void this.enter(kept.room);
    } catch {
      // Whatever was kept is of no use; the run itself is in its job.
      this.window.sessionStorage.removeItem(KEPT);
    }
  }

  private keep(): void {
    const room = this.room();
    if (room) this.window.sessionStorage.setItem(KEPT, JSON.stringify({ room, known: this.known }));
  }

  private dial(): void {
    const room = this.room();
    if (!room) return;
    clearTimeout(this.timer);
    if (!this.window.navigator.onLine) return this.link.set('cut');
    this.link.set('linking');
    this.peers.set(1);
    const socket = this.connect(`${this.window.location.origin.replace(/^http/, 'ws')}/crew`);
    this.socket = socket;
    socket.onopen = () => {
      this.link.set('open');
      this.retryMs = RETRY_MS;
      socket.send(JSON.stringify({ join: room.code, key: room.key }));
    };
    socket.onmessage = ({ data }: MessageEvent) => {
      this.listen();
      void this.hear(String(data));
    };
    socket.onclose = ({ code }: CloseEvent) => {
      if (this.socket !== socket) return;
      this.socket = null;
      if (code >= REASONED && code !== TOO_MUCH) return this.link.set('turned-away');
      this.link.set('cut');
      this.timer = setTimeout(() => this.dial(), this.retryMs);
      this.retryMs = Math.min(MOST_RETRY_MS, this.retryMs * 2);
    };
  }

  /** Whoever hears nothing any more is not linked, whatever the socket says. */
  private listen(): void {
    clearTimeout(this.silence);
    this.silence = setTimeout(() => this.cut(), SILENCE_MS);
  }

  private cut(): void {
    const { socket } = this;
    if (!socket) return;
    // Closing takes as long as the other end takes to hear of it.
    this.socket = null;
    socket.close();
    this.link.set('cut');
    this.timer = setTimeout(() => this.dial(), this.retryMs);
  }

  private again(): void {
    if (this.room() && !this.socket) this.dial();
  }

  private send(text: string): void {
    if (this.socket?.readyState === OPEN) this.socket.send(text);
  }

  private async hear(text: string): Promise<void> {
    const said = this.exchange?.readCrewMessage(text) ?? null;
    if (!said) return;
    if (said.kind === 'peers') {
      const isMore = said.count > this.peers();
      this.peers.set(said.count);
      if (isMore) await this.tellAll();
    } else if (said.kind === 'job') await this.take(said.job);
    else if (said.share.jobId === this.jobId()) this.learn(said.share);
  }

  /** Whoever has come anew hears of the job and all of the run. */
  private async tellAll(): Promise<void> {
    const [jobId, exchange] = [this.jobId(), this.exchange];
    if (jobId === null || !exchange) return;
    const open = this.desk.job();
    const job = open?.id === jobId ? open : (await (await this.store).job(jobId))?.job;
    if (!job) return;
    this.send(exchange.crewJob(job));
    if (this.known) this.send(exchange.crewRun(this.known));
  }

  /** A job that is here already stays as it is here; only its run is shared. */
  private async take(job: Job): Promise<void> {
    const room = this.room();
    if (!room || room.jobId !== null) return;
    const store = await this.store;
    if (!(await store.job(job.id))) await store.saveJob(job, null);
    this.room.set({ ...room, jobId: job.id });
    this.keep();
    this.arrived?.(job.id);
    this.arrived = null;
  }

  private learn(share: SharedRun): void {
    const now = this.known ? joined(this.known, share) : share;
    const isNews = !this.known || !isSameShare(now, this.known);
    this.known = now;
    this.keep();
    if (isNews) this.apply();
    // What they do not know yet.
    if (!isSameShare(now, share)) this.send(this.exchange!.crewRun(now));
  }

  /** The job on the desk has what is known; one that is not open gets it when it is. */
  private apply(): void {
    const [job, known] = [this.desk.job(), this.known];
    if (!job || !known || job.id !== this.jobId()) return;
    const next = withShared(job, known);
    this.seen = next.run;
    if (JSON.stringify(next.run) !== JSON.stringify(job.run)) this.desk.edit('From the other phone', () => next);
  }

  /** What was done on this phone is known, and told. */
  private follow(job: Job): void {
    const { run } = job;
    // Whoever forgets the run works alone again.
    if (!run) return this.seen ? this.leave() : this.apply();
    if (run === this.seen || JSON.stringify(run) === JSON.stringify(this.seen)) return;
    const before = this.seen;
    const now = this.known ? (before ? followed(this.known, before, run) : joined(this.known, shareOf(job.id, run))) : shareOf(job.id, run);
    const isNews = !this.known || !isSameShare(now, this.known);
    this.known = now;
    this.seen = run;
    this.keep();
    if (isNews && this.exchange) this.send(this.exchange.crewRun(now));
    this.apply();
  }
}
