import { timingSafeEqual } from 'node:crypto';
import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import { type RawData, type WebSocket, WebSocketServer } from 'ws';

/** So many phones work on one car, so many cars at a time. */
const MOST_PHONES = 4;
const MOST_ROOMS = 200;
/** A job with its run is far smaller. */
const MOST_BYTES = 2_000_000;
/** Messages at once, and so many more each second; a press is one. */
const BURST = 40;
const PER_SECOND = 10;
/** So often everybody hears that the link stands: whoever hears nothing for longer knows that it is cut. */
const BEAT_MS = 10_000;
/** Whoever does not say at once which room is meant is not ours. */
const JOIN_MS = 5000;

const ROOM = /^[A-Z2-9]{6}$/;
const KEY = /^[\w-]{16,80}$/;

/** Why somebody is sent away, as the code of the WebSocket’s close. */
export const closings = { bad: 4400, wrongKey: 4403, full: 4409, tooMuch: 4429 } as const;

interface Room {
  readonly key: string;
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

const isSameKey = (p: string, q: string): boolean => p.length === q.length && timingSafeEqual(Buffer.from(p), Buffer.from(q));

/** What a first message asks for; null where it asks for nothing. */
function joinIn(text: string): { readonly room: string; readonly key: string } | null {
  try {
    const { join, key } = JSON.parse(text) as { readonly join?: unknown; readonly key?: unknown };
    return typeof join === 'string' && ROOM.test(join) && typeof key === 'string' && KEY.test(key) ? { room: join, key } : null;
  } catch {
    return null;
  }
}

/** Rooms in which what one phone says is passed on to the others as it is: nothing is read, and nothing is kept. */
export class Relay {
  private readonly rooms = new Map<string, Room>();
  private readonly beat = setInterval(() => this.rooms.forEach(tellPeers), BEAT_MS).unref();
  private readonly sockets = new WebSocketServer({ noServer: true, maxPayload: MOST_BYTES, perMessageDeflate: false });

  /** Takes over what a server is asked for at `/crew`, by pages of its own only. */
  attach(server: Pick<Server, 'on'>): void {
    server.on('upgrade', (request: IncomingMessage, socket: Duplex, head: Buffer) => {
      if (!isOwn(request)) return void socket.end('HTTP/1.1 403 Forbidden\r\nConnection: close\r\n\r\n');
      this.sockets.handleUpgrade(request, socket, head, (phone) => this.greet(phone));
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

  private greet(phone: WebSocket): void {
    const allowance = new Allowance();
    let room: Room | null = null;
    const timer = setTimeout(() => phone.close(closings.bad), JOIN_MS);
    phone.on('message', (data: RawData, isBinary: boolean) => {
      if (isBinary) return phone.close(closings.bad);
      if (!allowance.take()) return phone.close(closings.tooMuch);
      const text = data.toString();
      if (room) return pass(room, phone, text);
      clearTimeout(timer);
      room = this.join(phone, text);
    });
    phone.on('close', () => {
      clearTimeout(timer);
      if (room) this.leave(room, phone);
    });
    // Of a phone that sends what no phone should; it is closed by then.
    phone.on('error', () => phone.terminate());
  }

  /** The first one in a room says its key. */
  private join(phone: WebSocket, text: string): Room | null {
    const asked = joinIn(text);
    if (!asked) return sentAway(phone, closings.bad);
    const known = this.rooms.get(asked.room);
    if (known && !isSameKey(known.key, asked.key)) return sentAway(phone, closings.wrongKey);
    if (known ? known.phones.size >= MOST_PHONES : this.rooms.size >= MOST_ROOMS) return sentAway(phone, closings.full);
    const room = known ?? { key: asked.key, phones: new Set() };
    this.rooms.set(asked.room, room);
    room.phones.add(phone);
    tellPeers(room);
    return room;
  }

  private leave(room: Room, phone: WebSocket): void {
    room.phones.delete(phone);
    if (room.phones.size > 0) return tellPeers(room);
    for (const [code, one] of this.rooms) if (one === room) this.rooms.delete(code);
  }
}

function sentAway(phone: WebSocket, code: number): null {
  phone.close(code);
  return null;
}

const tell = (phone: WebSocket, text: string): void => {
  if (phone.readyState === phone.OPEN) phone.send(text);
};

/** How many there are: whoever was there tells what it knows when it hears of somebody more. */
const tellPeers = ({ phones }: Room): void => phones.forEach((phone) => tell(phone, JSON.stringify({ peers: phones.size })));

const pass = ({ phones }: Room, from: WebSocket, text: string): void => phones.forEach((phone) => phone !== from && tell(phone, text));

/** From a page that this server served, and for the relay. */
function isOwn({ url, headers }: IncomingMessage): boolean {
  if (url?.split('?')[0] !== '/crew') return false;
  try {
    return headers.origin !== undefined && new URL(headers.origin).host === headers.host;
  } catch {
    return false;
  }
}
