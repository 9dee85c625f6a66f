import { type ChildProcess, spawn } from 'node:child_process';
import { X509Certificate, createPrivateKey } from 'node:crypto';
import { get as getPlain } from 'node:http';
import { get } from 'node:https';
import { mkdtempSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { connect, createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Server } from 'node:http';
import { afterEach, describe, expect, it } from 'vitest';
import { readWeather } from '@esmero/exchange';
import { esmeroServer } from './app';
import { certificateIn } from './certificate';
import { isOurHost } from './hosts';
import { listen, portFrom } from './listen';

const open: { close(): unknown }[] = [];
afterEach(() => open.splice(0).forEach((one) => one.close()));

function built(): string {
  const root = mkdtempSync(join(tmpdir(), 'esmero-'));
  writeFileSync(join(root, 'index.html'), '<!doctype html><title>Esmero</title>');
  writeFileSync(join(root, 'main-ABCDEFGH.js'), 'export const long = 1;\n'.repeat(200));
  return root;
}

async function serve(root = built()): Promise<string> {
  const listening = await listen(esmeroServer(root), { PORT: '0' });
  if (!listening.ok) throw new Error(listening.message);
  open.push(listening.server);
  return listening.url;
}

describe('the server', () => {
  it('gives the page for every address of the application', async () => {
    const url = await serve();
    for (const path of ['', 'jobs', 'job/demo-deck/method', 'job/a.b', 'library/product/5.0']) {
      const response = await fetch(url + path, { headers: { accept: 'text/html,*/*' } });
      expect(response.status).toBe(200);
      expect(await response.text()).toContain('Esmero');
      expect(response.headers.get('cache-control')).toBe('no-cache');
    }
  });

  it('serves hashed files compressed and for good, and misses files plainly', async () => {
    const url = await serve();
    const script = await fetch(`${url}main-ABCDEFGH.js`, { headers: { 'accept-encoding': 'gzip' } });
    expect(script.headers.get('cache-control')).toContain('immutable');
    expect(script.headers.get('content-encoding')).toBe('gzip');
    expect((await fetch(`${url}gone.js`)).status).toBe(404);
  });

  it('answers for the weather, and says what is wrong with a question', async () => {
    const url = await serve();
    const good = await fetch(`${url}api/weather?latitude=43.4&longitude=5.2&utcOffset=1&date=2031-07-14`);
    expect(good.status).toBe(200);
    expect(readWeather(await good.text())).toMatchObject({ ok: true, value: { source: 'simulated weather service' } });
    const bad = await fetch(`${url}api/weather?latitude=north&date=2031-07-14`);
    expect(bad.status).toBe(400);
    expect(((await bad.json()) as { faults: { path: string }[] }).faults.map(({ path }) => path)).toContain('latitude');
  });

  it('says in JSON that there is nothing below /api, and refuses an address that cannot be read without a word about this machine', async () => {
    const url = await serve();
    const none = await fetch(`${url}api/nothing`);
    expect([none.status, none.headers.get('content-type')]).toEqual([404, expect.stringContaining('json')]);
    for (const path of ['%', 'job/%E0%A4%A']) {
      const bad = await fetch(`${url}${path}`);
      expect(bad.status).toBe(400);
      expect(await bad.text()).not.toMatch(/node_modules|server|Error:|\/[a-z]+\//);
    }
  });

  it('gives out what a page may ask the device for, and fonts from itself alone', async () => {
    const { headers } = await fetch(await serve());
    expect(headers.get('permissions-policy')).toContain('camera=(self)');
    expect(headers.get('permissions-policy')).toContain('microphone=()');
    expect(headers.get('content-security-policy')).toContain("font-src 'self'");
    expect(headers.get('content-security-policy')).toContain("require-trusted-types-for 'script'");
  });

  it('lets no foreign script in and does not name its maker', async () => {
    const { headers } = await fetch(await serve());
    expect(headers.get('content-security-policy')).toContain("script-src 'self'");
    expect(headers.get('x-powered-by')).toBeNull();
  });

  it('says what to do when nothing has been built', async () => {
    const url = await serve(mkdtempSync(join(tmpdir(), 'esmero-')));
    const response = await fetch(url);
    expect(response.status).toBe(503);
    const text = await response.text();
    expect(text).toContain('npm start');
    expect(text).not.toContain(tmpdir());
  });
});

describe('a certificate', () => {
  it('is made for this machine, kept, and serves the page over https', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'esmero-'));
    const certificate = await certificateIn(folder);
    expect(await certificateIn(folder)).toEqual(certificate);
    const listening = await listen(esmeroServer(built()), { PORT: '0' }, certificate);
    if (!listening.ok) throw new Error(listening.message);
    open.push(listening.server);
    expect(listening.url).toMatch(/^https:/);
    const text = await new Promise<string>((resolve, reject) =>
      get(listening.url, { ca: certificate.root }, (response) => {
        let all = '';
        response.on('data', (part) => (all += String(part)));
        response.on('end', () => resolve(all));
      }).on('error', reject),
    );
    expect(text).toContain('Esmero');
  });

  it('lets whoever trusts it trust this machine’s addresses, and nothing else', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'esmero-'));
    const certificate = await certificateIn(folder);
    const [leaf, root] = [new X509Certificate(certificate.cert), new X509Certificate(certificate.root)];
    expect([leaf.ca, root.ca]).toEqual([false, true]);
    expect(leaf.verify(root.publicKey)).toBe(true);
    // The one key that is kept is the leaf’s: nobody can sign anything by the root any more.
    const key = createPrivateKey(readFileSync(join(folder, 'esmero.key')));
    expect([leaf.checkPrivateKey(key), root.checkPrivateKey(key)]).toEqual([true, false]);
    expect(
      readdirSync(folder).filter((name) => readFileSync(join(folder, name), 'utf8').includes('PRIVATE KEY')),
    ).toEqual(['esmero.key']);
    // Name constraints: critical, with loopback in them.
    const constraints = Buffer.from('0603551d1e0101ff', 'hex');
    expect(root.raw.includes(constraints)).toBe(true);
    expect(root.raw.includes(Buffer.from([0x87, 8, 127, 0, 0, 1, 255, 255, 255, 255]))).toBe(true);
  });
});

/** The server as a process of its own, and the port that it says it listens at. */
async function started(): Promise<{ readonly child: ChildProcess; readonly port: number }> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], { env: { ...process.env, PORT: '0' } });
  open.push({ close: () => child.kill('SIGKILL') });
  const port = await new Promise<number>((resolve) =>
    child.stdout.on('data', (text) => {
      const [, found] = /Esmero is at .*:(\d+)/.exec(String(text)) ?? [];
      if (found) resolve(Number(found));
    }),
  );
  return { child, port };
}

describe('the process', () => {
  it.each(['SIGTERM', 'SIGINT'] as const)('ends with 0 on %s', async (signal) => {
    const { child } = await started();
    const ended = new Promise<number | null>((resolve) => child.on('exit', resolve));
    child.kill(signal);
    expect(await ended).toBe(0);
  });

  it('stands a thousand upgrades that are refused to somebody who has gone, or broken off', async () => {
    const { child, port } = await started();
    let exited = false;
    child.on('exit', () => (exited = true));
    const brokenOff = (i: number): Promise<void> =>
      new Promise((resolve) => {
        const socket = connect(port, '127.0.0.1');
        const origin = i % 3 === 0 ? `http://127.0.0.1:${port}` : 'http://elsewhere.example';
        const key = i % 2 === 0 ? 'Sec-WebSocket-Key: AAAAAAAAAAAAAAAAAAAAAA==\r\nSec-WebSocket-Version: 13\r\n' : '';
        socket.on('error', () => undefined).on('close', () => resolve());
        socket.write(
          `GET /${i % 5 === 0 ? 'other' : 'crew'} HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nConnection: Upgrade\r\nUpgrade: websocket\r\nOrigin: ${origin}\r\n${key}\r\n`,
          () => {
            if (i % 7 === 0) socket.write(Buffer.alloc(4096, 0xff));
            socket.resetAndDestroy();
          },
        );
      });
    for (let i = 0; i < 1000; i += 50) await Promise.all(Array.from({ length: 50 }, (_, j) => brokenOff(i + j)));
    expect(await (await fetch(`http://127.0.0.1:${port}/health`)).json()).toEqual({ ok: true });
    expect(exited).toBe(false);
  });
});

describe('names that lead here', () => {
  const own = new Set(['localhost', 'van', 'van.local']);
  it.each([
    'localhost',
    'localhost:4310',
    'LOCALHOST.:80',
    '127.0.0.1:4310',
    '[::1]:4310',
    '192.168.1.20',
    'van.local:4310',
  ])('%s is ours', (host) => expect(isOurHost(host, own)).toBe(true));
  it.each([
    undefined,
    '',
    'elsewhere.example',
    'localhost.elsewhere.example:4310',
    '127.0.0.1.elsewhere.example',
    '[::1',
    'van.local.'.repeat(2),
  ])('%s is not', (host) => expect(isOurHost(host, own)).toBe(false));

  it('are all that is served', async () => {
    const url = new URL(await serve());
    const status = (host: string): Promise<number | undefined> =>
      new Promise((resolve, reject) =>
        getPlain({ host: url.hostname, port: url.port, path: '/', headers: { host } }, ({ statusCode }) =>
          resolve(statusCode),
        ).on('error', reject),
      );
    expect([await status(url.host), await status('elsewhere.example')]).toEqual([200, 421]);
  });
});

describe('listening', () => {
  const takenPort = async (): Promise<number> => {
    const other = createServer();
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
    open.push(other);
    return (other.address() as AddressInfo).port;
  };

  it('keeps to loopback unless told otherwise', async () => {
    const listening = await listen(esmeroServer(built()), { PORT: '0' });
    if (!listening.ok) throw new Error(listening.message);
    open.push(listening.server);
    expect(((listening.server as Server).address() as AddressInfo).address).toBe('127.0.0.1');
  });

  it('says that a port is taken, and which to give', async () => {
    const port = await takenPort();
    const listening = await listen(esmeroServer(built()), { PORT: String(port) });
    expect(listening).toMatchObject({ ok: false, message: expect.stringContaining(`${port} is taken`) as string });
  });

  it.each([
    ['', undefined],
    [undefined, undefined],
    ['8080', 8080],
    ['http', 'bad'],
    ['70000', 'bad'],
    ['1.5', 'bad'],
    ['0x50', 'bad'],
    ['1e3', 'bad'],
    [' 80', 'bad'],
    ['-1', 'bad'],
  ])('reads %j as %j', (text, port) => expect(portFrom(text)).toBe(port));
});
