import { spawn } from 'node:child_process';
import { get } from 'node:https';
import { mkdtempSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Server } from 'node:http';
import { afterEach, describe, expect, it } from 'vitest';
import { readWeather } from '@esmero/exchange';
import { esmeroServer } from './app';
import { certificateIn } from './certificate';
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
    for (const path of ['', 'jobs', 'job/demo-deck/method']) {
      const response = await fetch(url + path);
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
      get(listening.url, { ca: certificate.cert }, (response) => {
        let all = '';
        response.on('data', (part) => (all += String(part)));
        response.on('end', () => resolve(all));
      }).on('error', reject),
    );
    expect(text).toContain('Esmero');
  });
});

describe('the process', () => {
  it.each(['SIGTERM', 'SIGINT'] as const)('ends with 0 on %s', async (signal) => {
    const child = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], { env: { ...process.env, PORT: '0' } });
    await new Promise<void>((resolve) => child.stdout.on('data', (text) => String(text).includes('Esmero is at') && resolve()));
    const ended = new Promise<number | null>((resolve) => child.on('exit', resolve));
    child.kill(signal);
    expect(await ended).toBe(0);
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
