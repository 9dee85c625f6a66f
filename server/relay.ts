import { timingSafeEqual } from 'node:crypto';
import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import { type RawData, type WebSocket, WebSocketServer } from 'ws';
import { isOurHost } from './hosts';
import { Tally, networkOf } from './tally';

/** So many phones work on one car, so many cars at a time. */
const MOST_PHONES = 4;
const MOST_ROOMS = 200;
/** One address is a firm’s network at most: it gets its share of the rooms and sockets, and leaves the others theirs. */
const MOST_ROOMS_OF_ADDRESS = 12;
const MOST_SOCKETS_OF_ADDRESS = 60;
/** A job with its run is far smaller. */
const MOST_BYTES = 2_000_000;
/** What a phone has not read yet; one that reads nothing is cut off before it costs memory. */
const MOST_WAITING_BYTES = 2 * MOST_BYTES;
/** Messages at once, and so many more each second; a press is one. */
const BURST = 40;
const PER_SECOND = 10;
/** So often everybody hears that the link stands: whoever hears nothing for longer knows that it is cut. */
const BEAT_MS = 10_000;
/** Whoever does not say at once which room is meant is not ours. */
const JOIN_MS = 5000;
/** Whoever does not answer the close by then is cut off. */
const CLOSE_MS = 2000;

const ROOM = /^[A-Z2-9]{6}$/;
const TOKEN = /^[\w-]{43}$/;

/** Why somebody is sent away, as the code of the WebSocket’s close. */
export const closings = { bad: 4400, wrongKey: 4403, full: 4409, tooMuch: 4429 } as const;

interface Room {
  readonly code: string;
  readonly token: string;
  /** The network of the phone that opened it. */
  readonly network: string;
  readonly phones: Set<WebSocket>;
}

/** Messages of one phone: as many at once as a burst, then as many as come back each second. */
class Allowance {
  private left = BURST;
  private at = Date.now();

  take(): boolean {
    const now = Date.now();
    this.left = Math.min(BURST, this.left + ((now - this.at) / 1000) * PER_SECOND);
    this.at = now;
    if (this.left < 1) return false;
    this.left--;
    return true;
  }
}

const isSame = (p: string, q: string): boolean =>
  p.length === q.length && timingSafeEqual(Buffer.from(p), Buffer.from(q));

/** What a first message asks for; null where it asks for nothing. */
function joinIn(text: string): { readonly code: string; readonly token: string } | null {
  try {
    const { join, token } = JSON.parse(text) as { readonly join?: unknown; readonly token?: unknown };
    return typeof join === 'string' && ROOM.test(join) && typeof token === 'string' && TOKEN.test(token)
      ? { code: join, token }
      : null;
  } catch {
    return null;
  }
}

/**
 * Rooms in which what one phone says is passed on to the others as it is. Text is between a phone and the relay; what phones say to each
 * other comes as bytes that only they can read. Nothing is kept.
 */
export class Relay {
  private readonly rooms = new Map<string, Room>();
  private readonly roomsOf = new Tally(MOST_ROOMS_OF_ADDRESS);
  private readonly socketsOf = new Tally(MOST_SOCKETS_OF_ADDRESS);
  private readonly beat = setInterval(() => this.rooms.forEach(tellPeers), BEAT_MS).unref();
  private readonly sockets = new WebSocketServer({ noServer: true, maxPayload: MOST_BYTES, perMessageDeflate: false });

  /** Takes over what a server is asked for at `/crew`, by pages of its own only. */
  attach(server: Pick<Server, 'on'>): void {
    server.on('upgrade', (request: IncomingMessage, socket: Duplex, head: Buffer) => {
      // The server listens to a socket’s errors until it is upgraded; from then on they would be nobody’s, and would end the process.
      socket.on('error', () => socket.destroy());
      if (socket.destroyed) return;
      if (!isOwn(request)) return refuse(socket, '403 Forbidden');
      const network = networkOf(request.socket.remoteAddress);
      if (!this.socketsOf.take(network)) return refuse(socket, '429 Too Many Requests');
      socket.once('close', () => this.socketsOf.give(network));
      this.sockets.handleUpgrade(request, socket, head, (phone) => this.greet(phone, network));
    });
  }

  get roomCount(): number {
    return this.rooms.size;
  }

  close(): void {
    clearInterval(this.beat);
    for (const phone of this.sockets.clients) phone.terminate();
    this.sockets.close();
  }

  private greet(phone: WebSocket, network: string): void {
    const allowance = new Allowance();
    let room: Room | null = null;
    const timer = setTimeout(() => sentAway(phone, closings.bad), JOIN_MS);
    phone.on('message', (data: RawData, isBinary: boolean) => {
      // Whoever was sent away has nothing more to say, and no second guess.
      if (phone.readyState !== phone.OPEN) return;
      if (!allowance.take()) return sentAway(phone, closings.tooMuch);
      // Bytes are for a room, text is for the relay.
      if (isBinary !== (room !== null)) return sentAway(phone, closings.bad);
      if (room) return pass(room, phone, data);
      clearTimeout(timer);
      room = this.join(phone, data.toString(), network);
    });
    phone.on('close', () => {
      clearTimeout(timer);
      if (room) this.leave(room, phone);
    });
    // Of a phone that sends what no phone should; it is closed by then.
    phone.on('error', () => phone.terminate());
  }

  /** The first one in a room says its token. */
  private join(phone: WebSocket, text: string, network: string): Room | null {
    const asked = joinIn(text);
    const known = asked && this.rooms.get(asked.code);
    const closing = !asked
      ? closings.bad
      : known
        ? refusalOf(known, asked.token)
        : this.isFull(network)
          ? closings.full
          : null;
    if (closing !== null) {
      sentAway(phone, closing);
      return null;
    }
    const room = known ?? this.opened(asked!.code, asked!.token, network);
    room.phones.add(phone);
    tellPeers(room);
    return room;
  }

  /** Counts a room of this network, unless there is no more room. */
  private isFull(network: string): boolean {
    return this.rooms.size >= MOST_ROOMS || !this.roomsOf.take(network);
  }

  private opened(code: string, token: string, network: string): Room {
    const room = { code, token, network, phones: new Set<WebSocket>() };
    this.rooms.set(code, room);
    return room;
  }

  private leave(room: Room, phone: WebSocket): void {
    room.phones.delete(phone);
    if (room.phones.size > 0) return tellPeers(room);
    this.rooms.delete(room.code);
    this.roomsOf.give(room.network);
  }
}

const refusalOf = ({ token, phones }: Room, asked: string): number | null =>
  !isSame(token, asked) ? closings.wrongKey : phones.size >= MOST_PHONES ? closings.full : null;

/** Whoever does not answer is cut off all the same. */
function sentAway(phone: WebSocket, code: number): void {
  phone.close(code);
  setTimeout(() => phone.terminate(), CLOSE_MS).unref();
}

function refuse(socket: Duplex, status: string): void {
  socket.end(`HTTP/1.1 ${status}\r\nConnection: close\r\n\r\n`, () => socket.destroy());
}

/** A phone that lets what it is told pile up is cut off; it links again when it reads again. */
function tell(phone: WebSocket, data: string | RawData): void {
  if (phone.readyState !== phone.OPEN) return;
  if (phone.bufferedAmount > MOST_WAITING_BYTES) return phone.terminate();
  phone.send(data as Parameters<WebSocket['send']>[0], { binary: typeof data !== 'string' });
}

/** How many there are: whoever was there tells what it knows when it hears of somebody more. */
const tellPeers = ({ phones }: Room): void =>
  phones.forEach((phone) => tell(phone, JSON.stringify({ peers: phones.size })));

const pass = ({ phones }: Room, from: WebSocket, data: RawData): void =>
  phones.forEach((phone) => phone !== from && tell(phone, data));

/** From a page that this server served, under a name of this machine, and for the relay. */
function isOwn({ url, headers }: IncomingMessage): boolean {
  if (url?.split('?')[0] !== '/crew' || !isOurHost(headers.host)) return false;
  try {
    return headers.origin !== undefined && new URL(headers.origin).host === headers.host;
  } catch {
    return false;
  }
}
