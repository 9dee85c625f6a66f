import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { esmeroServer } from './app';
import { certificateIn } from './certificate';
import { listen } from './listen';
import { Relay } from './relay';

const at = (path: string): string => fileURLToPath(new URL(path, import.meta.url));
/** Another build than the one beside it. */
const root = resolve(process.env['ESMERO_ROOT'] ?? at('../dist/app/browser'));
const isSecure = process.argv.includes('--https');

/** Longest that connections are waited for at the end, ms. */
const DRAIN_MS = 5000;

const TRUST = `The certificate is this machine’s own, so the browser warns once: choose to go on.
To be rid of the warning, and to use Esmero without a network, trust .cache/https/esmero.crt on each device:
  Debian:  copy it to /usr/local/share/ca-certificates/ and run update-ca-certificates
  Phone:   open the file there, install it as a certificate, and trust it in the settings for certificates`;

const certificate = isSecure ? await certificateIn(at('../.cache/https')) : null;
const listening = await listen(esmeroServer(root), process.env, certificate);
if (listening.ok) {
  const { server, url, others } = listening;
  const relay = new Relay();
  relay.attach(server);
  const end = (): void => {
    relay.close();
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), DRAIN_MS).unref();
  };
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, end);
  process.stdout.write(
    `Esmero is at ${url}\n${others.map((other) => `On this network: ${other}\n`).join('')}${isSecure ? `${TRUST}\n` : ''}`,
  );
} else {
  process.stderr.write(`${listening.message}\n`);
  process.exit(1);
}
