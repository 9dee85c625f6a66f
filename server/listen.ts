import { type Server, createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { networkInterfaces } from 'node:os';
import type { Express } from 'express';

export type Listening =
  | { readonly ok: true; readonly server: Server; readonly url: string; readonly others: readonly string[] }
  | { readonly ok: false; readonly message: string };

const DEFAULT_PORT = 4310;
/** Ports tried after the default one; a port that was asked for is taken or refused. */
const TRIES = 20;

/** A key and its certificate, as PEM. */
export interface Certificate {
  readonly key: string;
  readonly cert: string;
}

const listenOnce = (
  app: Express,
  port: number,
  host: string,
  certificate: Certificate | null,
): Promise<Server | NodeJS.ErrnoException> =>
  new Promise((resolve) => {
    const server: Server = certificate
      ? createSecureServer({ key: certificate.key, cert: certificate.cert }, app)
      : createServer(app);
    server.once('error', resolve);
    server.listen(port, host, () => {
      server.off('error', resolve);
      resolve(server);
    });
  });

const isError = (value: Server | NodeJS.ErrnoException): value is NodeJS.ErrnoException => value instanceof Error;

const urlOf = (server: Server, host: string, scheme: string): string => {
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  return `${scheme}://${host.includes(':') ? `[${host}]` : host}:${port}/`;
};

/** Addresses of this machine that others on its network may use. */
export const ownAddresses = (): readonly string[] =>
  Object.values(networkInterfaces()).flatMap((all) =>
    (all ?? []).filter(({ family, internal }) => family === 'IPv4' && !internal).map(({ address }) => address),
  );

const EVERYWHERE = ['0.0.0.0', '::'];

/** The port asked for, or undefined for the default and those after it. */
export function portFrom(text: string | undefined): number | undefined | 'bad' {
  if (text === undefined || text.trim() === '') return undefined;
  const port = /^\d{1,5}$/.test(text) ? Number(text) : NaN;
  return port <= 65535 ? port : 'bad';
}

/** Listens on loopback unless told otherwise, on the port given or the first free one from 4310. */
export async function listen(
  app: Express,
  env: { PORT?: string | undefined; HOST?: string | undefined },
  certificate: Certificate | null = null,
): Promise<Listening> {
  const wanted = portFrom(env.PORT);
  if (wanted === 'bad')
    return { ok: false, message: `PORT=${env.PORT} is no port: give a whole number from 0 to 65535.` };
  const host = env.HOST || '127.0.0.1';
  const ports = wanted === undefined ? Array.from({ length: TRIES }, (_, i) => DEFAULT_PORT + i) : [wanted];
  for (const port of ports) {
    const server = await listenOnce(app, port, host, certificate);
    const scheme = certificate ? 'https' : 'http';
    if (!isError(server)) {
      const isOpen = EVERYWHERE.includes(host);
      const others = isOpen ? ownAddresses().map((address) => urlOf(server, address, scheme)) : [];
      return { ok: true, server, url: urlOf(server, isOpen ? 'localhost' : host, scheme), others };
    }
    if (server.code !== 'EADDRINUSE')
      return { ok: false, message: `Cannot listen on ${host}:${port}: ${server.message}` };
  }
  return { ok: false, message: `Port ${ports.join(', ')} is taken. Give another: PORT=5000 npm start` };
}
