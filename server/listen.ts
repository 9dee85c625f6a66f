import type { Server } from 'node:http';
import type { Express } from 'express';

export type Listening =
  | { readonly ok: true; readonly server: Server; readonly url: string }
  | { readonly ok: false; readonly message: string };

const DEFAULT_PORT = 4310;
/** Ports tried after the default one; a port that was asked for is taken or refused. */
const TRIES = 20;

const listenOnce = (app: Express, port: number, host: string): Promise<Server | NodeJS.ErrnoException> =>
  new Promise((resolve) => {
    const server = app.listen(port, host, (error?: Error) => resolve(error ?? server));
  });

const isError = (value: Server | NodeJS.ErrnoException): value is NodeJS.ErrnoException => value instanceof Error;

const urlOf = (server: Server, host: string): string => {
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  return `http://${host.includes(':') ? `[${host}]` : host}:${port}/`;
};

/** The port asked for, or undefined for the default and those after it. */
export function portFrom(text: string | undefined): number | undefined | 'bad' {
  if (text === undefined || text.trim() === '') return undefined;
  const port = Number(text);
  return Number.isInteger(port) && port >= 0 && port <= 65535 ? port : 'bad';
}

/** Listens on loopback unless told otherwise, on the port given or the first free one from 4310. */
export async function listen(app: Express, env: { PORT?: string | undefined; HOST?: string | undefined }): Promise<Listening> {
  const wanted = portFrom(env.PORT);
  if (wanted === 'bad') return { ok: false, message: `PORT=${env.PORT} is no port: give a whole number from 0 to 65535.` };
  const host = env.HOST || '127.0.0.1';
  const ports = wanted === undefined ? Array.from({ length: TRIES }, (_, i) => DEFAULT_PORT + i) : [wanted];
  for (const port of ports) {
    const server = await listenOnce(app, port, host);
    if (!isError(server)) return { ok: true, server, url: urlOf(server, host) };
    if (server.code !== 'EADDRINUSE') return { ok: false, message: `Cannot listen on ${host}:${port}: ${server.message}` };
  }
  return { ok: false, message: `Port ${ports.join(', ')} is taken. Give another: PORT=5000 npm start` };
}
