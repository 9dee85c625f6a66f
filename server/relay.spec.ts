import { type AddressInfo, connect } from 'node:net';
import { type Server, createServer } from 'node:http';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { WebSocket } from 'ws';
import { runs } from '@esmero/testing';
import { Relay, closings } from './relay';
import { networkOf } from './tally';

const TOKEN = 't'.repeat(43);
let server: Server;
let relay: Relay;
let host: string;

beforeEach(async () => {
  server = createServer((_request, response) => response.end('page'));
  relay = new Relay();
  relay.attach(server);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  host = `127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterEach(async () => {
  relay.close();
  await new Promise((resolve) => server.close(resolve));
});

/** A phone that remembers what it heard. */
interface Phone {
  readonly socket: WebSocket;
  readonly heard: string[];
  readonly closed: Promise<number>;
}
async function phone(first: unknown, origin = `http://${host}`): Promise<Phone> {
  const socket = new WebSocket(`ws://${host}/crew`, { origin });
  const heard: string[] = [];
  socket.on('message', (data: Buffer, isBinary: boolean) =>
    heard.push(isBinary ? `bytes ${data.toString()}` : data.toString()),
  );
  const closed = new Promise<number>((resolve) => socket.on('close', resolve));
  socket.on('error', () => undefined);
  await new Promise<void>((resolve, reject) => socket.on('open', resolve).on('error', reject));
  if (first !== undefined) socket.send(typeof first === 'string' ? first : JSON.stringify(first));
  return { socket, heard, closed };
}
const joining = (room = 'ABC234', token = TOKEN) => ({ join: room, token });
const bytes = (text: string): Buffer => Buffer.from(text);
const until = async (holds: () => boolean): Promise<void> => {
  for (let i = 0; i < 400 && !holds(); i++) await new Promise((resolve) => setTimeout(resolve, 5));
  expect(holds()).toBe(true);
};

describe('the relay', () => {
  it('passes on what one phone says to the others of its room, in order, and to nobody else', async () => {
    const [one, two] = [await phone(joining()), await phone(joining())];
    const stranger = await phone(joining('XYZ234'));
    await until(() => two.heard.length > 0 && stranger.heard.length > 0);
    for (const text of ['first', 'second', 'third']) one.socket.send(bytes(text));
    await until(() => two.heard.length >= 4);
    expect(two.heard.slice(-3)).toEqual(['bytes first', 'bytes second', 'bytes third']);
    expect(one.heard.every((text) => text.startsWith('{"peers"'))).toBe(true);
    expect(stranger.heard).toEqual(['{"peers":1}']);
  });

  it('tells who is there how many they are, and keeps nothing once all have gone', async () => {
    const one = await phone(joining());
    const two = await phone(joining());
    await until(() => one.heard.includes('{"peers":2}'));
    two.socket.close();
    await until(() => one.heard.at(-1) === '{"peers":1}');
    one.socket.close();
    await until(() => relay.roomCount === 0);
    const later = await phone(joining('ABC234', 'u'.repeat(43)));
    await until(() => later.heard.length > 0);
    expect(later.heard).toEqual(['{"peers":1}']);
  });

  it('sends away who has another key, comes too many, or asks for nothing', async () => {
    const one = await phone(joining());
    await until(() => one.heard.length > 0);
    expect(await (await phone(joining('ABC234', `${TOKEN.slice(1)}x`))).closed).toBe(closings.wrongKey);
    for (let i = 0; i < 3; i++) await phone(joining());
    await until(() => one.heard.includes('{"peers":4}'));
    expect(await (await phone(joining())).closed).toBe(closings.full);
    for (const bad of ['hello', '{}', { join: 'abc', token: TOKEN }, { join: 'ABC234', token: 'short' }, '[1', 'null'])
      expect(await (await phone(bad)).closed).toBe(closings.bad);
  });

  it('is for pages of its own server only, at its own address', async () => {
    await expect(phone(joining(), 'http://elsewhere.example')).rejects.toThrow(/403/);
    const other = new WebSocket(`ws://${host}/other`, { origin: `http://${host}` });
    await expect(new Promise((_resolve, reject) => other.on('error', reject))).rejects.toThrow(/403/);
  });

  it('slows nobody down who presses, and closes who floods it', async () => {
    const [one, two] = [await phone(joining()), await phone(joining())];
    await until(() => two.heard.length > 0);
    for (let i = 0; i < 200; i++) one.socket.send(bytes(`${i}`));
    expect(await one.closed).toBe(closings.tooMuch);
    expect(two.heard.filter((text) => /^bytes \d+$/.test(text)).length).toBeLessThanOrEqual(41);
  });

  it('stands whatever is sent to it', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.oneof(fc.string({ maxLength: 200 }), fc.uint8Array({ maxLength: 200 }), fc.json()), {
          minLength: 1,
          maxLength: 6,
        }),
        async (all) => {
          const mad = await phone(undefined);
          for (const one of all) if (mad.socket.readyState === WebSocket.OPEN) mad.socket.send(one);
          mad.socket.terminate();
        },
      ),
      { numRuns: runs(60) },
    );
    const huge = await phone(joining('ZZZ234'));
    huge.socket.send('x'.repeat(3_000_000));
    expect(await huge.closed).toBe(1009);
    const [one, two] = [await phone(joining('QQQ234')), await phone(joining('QQQ234'))];
    await until(() => two.heard.length > 0);
    one.socket.send(bytes('still here'));
    await until(() => two.heard.includes('bytes still here'));
  });

  it('takes no second guess from whoever was sent away, and cuts off who does not answer the close', async () => {
    const one = await phone(joining());
    await until(() => one.heard.length > 0);
    const guessing = await phone(joining('ABC234', 'x'.repeat(43)));
    guessing.socket.send(JSON.stringify(joining()));
    guessing.socket.send(bytes('in?'));
    expect(await guessing.closed).toBe(closings.wrongKey);
    expect(one.heard).toEqual(['{"peers":1}']);
    // A bare socket that says something wrong, and then nothing: the end is not its to choose.
    const [at, port] = host.split(':');
    const deaf = connect({ host: at!, port: Number(port), allowHalfOpen: true });
    const ended = new Promise((resolve) => deaf.on('end', resolve));
    deaf.on('error', () => undefined);
    deaf.write(
      `GET /crew HTTP/1.1\r\nHost: ${host}\r\nOrigin: http://${host}\r\nConnection: Upgrade\r\nUpgrade: websocket\r\nSec-WebSocket-Key: AAAAAAAAAAAAAAAAAAAAAA==\r\nSec-WebSocket-Version: 13\r\n\r\n`,
    );
    await new Promise((resolve) => deaf.once('data', resolve));
    deaf.write(Buffer.from([0x82, 0x81, 0, 0, 0, 0, 1]));
    deaf.resume();
    await ended;
    deaf.destroy();
  });

  it('leaves rooms for others, whatever one address opens', async () => {
    const opened = await Promise.all(
      Array.from({ length: 14 }, (_, i) => phone(joining(`ROOM${String.fromCharCode(65 + i)}A`))),
    );
    await until(() => opened.filter(({ heard }) => heard.length > 0).length === 12);
    expect(await Promise.race(opened.map(({ closed }) => closed))).toBe(closings.full);
    opened[0]!.socket.close();
    await until(() => relay.roomCount === 11);
    const later = await phone(joining('LATERA'));
    await until(() => later.heard.length > 0);
  });

  it('cuts off a phone that does not read, and goes on for the others', async () => {
    const [one, two, deaf] = [await phone(joining()), await phone(joining()), await phone(joining())];
    await until(() => one.heard.includes('{"peers":3}'));
    deaf.socket.pause();
    const large = Buffer.alloc(1_900_000, 7);
    for (let i = 0; i < 12; i++) one.socket.send(large);
    await until(
      () => two.heard.filter((text) => text.startsWith('bytes')).length === 12 && one.heard.at(-1) === '{"peers":2}',
    );
  });

  it('is for names of this machine only', async () => {
    const foreign = new WebSocket(`ws://${host}/crew`, {
      origin: 'http://elsewhere.example',
      headers: { host: 'elsewhere.example' },
    });
    await expect(new Promise((_resolve, reject) => foreign.on('error', reject))).rejects.toThrow(/403/);
  });
});

describe('a network', () => {
  it('is an IPv4 address, or the prefix of an IPv6 subscriber', () => {
    expect(
      ['192.168.1.4', '::ffff:192.168.1.4', '2001:db8:1:2:3:4:5:6', '2001:db8:1:2::9', 'fe80::1', undefined].map(
        networkOf,
      ),
    ).toEqual(['192.168.1.4', '192.168.1.4', '2001:db8:1:2', '2001:db8:1:2', 'fe80:0:0:0', '']);
  });
});
