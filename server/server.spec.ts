import { mkdtempSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Server } from 'node:http';
import { afterEach, describe, expect, it } from 'vitest';
import { readWeather } from '@esmero/exchange';
import { esmeroServer } from './app';
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

  it('lets no foreign script in and does not name its maker', async () => {
    const { headers } = await fetch(await serve());
    expect(headers.get('content-security-policy')).toContain("script-src 'self'");
    expect(headers.get('x-powered-by')).toBeNull();
  });

  it('says what to do when nothing has been built', async () => {
    const url = await serve(mkdtempSync(join(tmpdir(), 'esmero-')));
    const response = await fetch(url);
    expect(response.status).toBe(503);
    expect(await response.text()).toContain('npm start');
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
  ])('reads %j as %j', (text, port) => expect(portFrom(text)).toBe(port));
});
