import {
  DOCUMENT,
  ErrorHandler,
  Injectable,
  InjectionToken,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { type SharedRun, followed, isSameShare, joined, putBack, shareOf, takenFrom, withShared } from '@esmero/core';
import type { Job, Run, RunEvent } from '@esmero/model';
import { freshId } from '@esmero/records';
// Rules of messages are fetched with the first link.
import type * as Exchange from '@esmero/exchange';
import type { CrewLine } from '@esmero/exchange';
import { JobDesk } from './job-desk';
import { STORE } from './ports';

/** What a link to the relay is to this page: tests put a stand-in here. */
export type Socket = Pick<
  WebSocket,
  'send' | 'close' | 'readyState' | 'binaryType' | 'onopen' | 'onmessage' | 'onclose'
>;
export const SOCKET = new InjectionToken<(url: string) => Socket>('socket', {
  factory: () => (url) => new WebSocket(url),
});

/** A car that several phones work on. */
interface Room {
  readonly code: string;
  readonly key: string;
  /** null until whoever is there has said which it is. */
  readonly jobId: string | null;
}

/** A job that another phone would share, and what it has told of its run: apart from one’s own until it is taken. */
export interface CrewOffer {
  readonly job: Job;
  readonly share: SharedRun | null;
  /** It is here already, and stays as it is here; its run becomes shared. */
  readonly isHere: boolean;
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

const newCode = (): string =>
  [...crypto.getRandomValues(new Uint8Array(CODE_LETTERS))].map((byte) => LETTERS[byte % LETTERS.length]).join('');

/**
 * A run on several phones: what is done on one comes to the others, through the relay or as a file, and is put together whatever came when.
 * Without a link each goes on alone, and nothing is lost.
 */
@Injectable({ providedIn: 'root' })
export class CrewDesk {
  private readonly desk = inject(JobDesk);
  private readonly store = inject(STORE);
  private readonly connect = inject(SOCKET);
  private readonly errors = inject(ErrorHandler);
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

  /** What the other phone would share, until somebody says whether to take it. */
  private readonly offered = signal<CrewOffer | null>(null);
  readonly offer = this.offered.asReadonly();
  /** What somebody else took back of what was done here. */
  private readonly taken = signal<readonly RunEvent[]>([]);
  readonly takenBack = this.taken.asReadonly();

  private exchange: typeof Exchange | null = null;
  private line: CrewLine | null = null;
  /** One after the other, as they came: sealing and opening take their time. */
  private speaking: Promise<void> = Promise.resolve();
  private hearing: Promise<void> = Promise.resolve();
  private socket: Socket | null = null;
  private retryMs = RETRY_MS;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private silence: ReturnType<typeof setTimeout> | undefined;
  /** What is known of the run, and the run of the job as it was when that was last told. */
  private known: SharedRun | null = null;
  private seen: Run | null = null;

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

  /** Joins a car that another phone has opened: as soon as whoever is there has said which, it is on offer. */
  async join(code: string, key: string): Promise<void> {
    if (this.room()?.code === code && this.room()?.key === key) return;
    this.leave();
    await this.enter({ code, key, jobId: null });
  }

  /** Takes what is on offer: the job is kept, where it is not here already, and its run is shared. */
  async take(): Promise<void> {
    const [room, offer] = [this.room(), this.offered()];
    if (!room || !offer) return;
    const { job, share, isHere } = offer;
    if (!isHere) await (await this.store).saveJob(job, null);
    this.offered.set(null);
    this.room.set({ ...room, jobId: job.id });
    this.keep();
    if (share) this.learn(share);
  }

  /** Does again what somebody else took back; they hear of it. */
  putBack(): void {
    const events = this.taken();
    this.taken.set([]);
    this.desk.edit('Put back', (job) => putBack(job, events));
  }

  /** It is right that it was taken back. */
  letBe(): void {
    this.taken.set([]);
  }

  leave(): void {
    clearTimeout(this.timer);
    clearTimeout(this.silence);
    this.room.set(null);
    this.offered.set(null);
    this.taken.set([]);
    this.line = null;
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
      this.say(this.exchange!.crewRun(this.known!));
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
    const { crewLine } = await this.rules();
    const line = await crewLine(room.code, room.key);
    if (this.room()?.code !== room.code) return;
    this.line = line;
    this.dial();
  }

  /** A page that was loaded anew goes on where it was. */
  private resume(): void {
    try {
      const kept = JSON.parse(this.window.sessionStorage.getItem(KEPT) ?? 'null') as {
        readonly room: Room;
        readonly known: SharedRun | null;
      } | null;
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
    const [room, line] = [this.room(), this.line];
    if (!room || !line) return;
    clearTimeout(this.timer);
    if (!this.window.navigator.onLine) return this.link.set('cut');
    this.link.set('linking');
    this.peers.set(1);
    const socket = this.connect(`${this.window.location.origin.replace(/^http/, 'ws')}/crew`);
    this.socket = socket;
    socket.binaryType = 'arraybuffer';
    socket.onopen = () => {
      this.link.set('open');
      this.retryMs = RETRY_MS;
      socket.send(JSON.stringify({ join: room.code, token: line.token }));
    };
    socket.onmessage = ({ data }: MessageEvent) => {
      this.listen();
      this.hearing = this.hearing
        .then(() => this.hear(data as string | ArrayBuffer))
        .catch((error: unknown) => this.errors.handleError(error));
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

  /** Says it to the other phones, so that only they can read it. */
  private say(text: string): void {
    const [line, socket] = [this.line, this.socket];
    if (!line || socket?.readyState !== OPEN) return;
    this.speaking = this.speaking
      .then(async () => {
        const sealed = await line.seal(text);
        if (socket.readyState === OPEN) socket.send(sealed);
      })
      .catch((error: unknown) => this.errors.handleError(error));
  }

  /** Text is the relay’s, bytes are another phone’s. */
  private async hear(data: string | ArrayBuffer): Promise<void> {
    const { exchange, line } = this;
    if (!exchange || !line) return;
    if (typeof data === 'string') return this.count(exchange.readPeers(data));
    const text = await line.open(new Uint8Array(data));
    const said = text === null ? null : exchange.readCrewMessage(text);
    if (!said || line !== this.line) return;
    if (said.kind === 'job') await this.consider(said.job);
    else if (said.share.jobId === this.jobId()) this.learn(said.share);
    else this.offered.update((offer) => (offer?.job.id === said.share.jobId ? { ...offer, share: said.share } : offer));
  }

  private async count(peers: number | null): Promise<void> {
    if (peers === null) return;
    const isMore = peers > this.peers();
    this.peers.set(peers);
    if (isMore) await this.tellAll();
  }

  /** Whoever has come anew hears of the job and all of the run. */
  private async tellAll(): Promise<void> {
    const [jobId, exchange] = [this.jobId(), this.exchange];
    if (jobId === null || !exchange) return;
    const open = this.desk.job();
    const job = open?.id === jobId ? open : (await (await this.store).job(jobId))?.job;
    if (!job) return;
    this.say(exchange.crewJob(job));
    if (this.known) this.say(exchange.crewRun(this.known));
  }

  /** What another phone would share is laid beside what is here, and asked about. */
  private async consider(job: Job): Promise<void> {
    if (this.room()?.jobId !== null || this.offered()) return;
    const isHere = (await (await this.store).job(job.id)) !== undefined;
    this.offered.set({ job, share: null, isHere });
  }

  private learn(share: SharedRun): void {
    const now = this.known ? joined(this.known, share) : share;
    const isNews = !this.known || !isSameShare(now, this.known);
    this.known = now;
    this.keep();
    if (isNews) this.apply();
    // What they do not know yet.
    if (!isSameShare(now, share)) this.say(this.exchange!.crewRun(now));
  }

  /** The job on the desk has what is known; one that is not open gets it when it is. */
  private apply(): void {
    const [job, known] = [this.desk.job(), this.known];
    if (!job || !known || job.id !== this.jobId()) return;
    const next = withShared(job, known);
    this.seen = next.run;
    if (JSON.stringify(next.run) === JSON.stringify(job.run)) return;
    if (job.run) this.taken.set(this.stillTaken(job.run, next.run!));
    this.desk.edit('From the other phone', () => next);
  }

  /** What was taken back before, as far as nobody has done it again, and what is now. */
  private stillTaken(before: Run, now: Run): readonly RunEvent[] {
    const earlier = takenFrom({ ...now, events: this.taken() }, now);
    return [...earlier, ...takenFrom(before, now)];
  }

  /** What was done on this phone is known, and told. */
  private follow(job: Job): void {
    const { run } = job;
    // Whoever forgets the run works alone again.
    if (!run) return this.seen ? this.leave() : this.apply();
    if (run === this.seen || JSON.stringify(run) === JSON.stringify(this.seen)) return;
    const before = this.seen;
    const now = this.known
      ? before
        ? followed(this.known, before, run)
        : joined(this.known, shareOf(job.id, run))
      : shareOf(job.id, run);
    const isNews = !this.known || !isSameShare(now, this.known);
    this.known = now;
    this.seen = run;
    this.keep();
    if (isNews && this.exchange) this.say(this.exchange.crewRun(now));
    this.apply();
  }
}
