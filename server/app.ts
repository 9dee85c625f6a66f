import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { weatherQuestion, writeWeather } from '@esmero/exchange';
import { isOurHost } from './hosts';
import { simulatedWeather } from './weather';

/** Hashed files never change; the page that names them is asked for every time. */
const cacheFor = (path: string): string =>
  /-[A-Z0-9]{8}\.\w+$/.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache';

/** What the router and the file server throw. */
type HttpError = Error & { readonly status?: number };

const NOT_BUILT = 'Esmero has not been built yet. Run npm start, which builds it.';

/**
 * Serves the built application and the simulated services. All computation and all data stay in the
 * browser; every address of the application gets its one page.
 * @param root folder of the built application
 */
export function esmeroServer(root: string): Express {
  const app = express();
  app.disable('x-powered-by');
  // What goes wrong is told in words of ours, never with a path of this machine.
  app.set('env', 'production');
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (isOurHost(request.headers.host)) return next();
    response
      .status(421)
      .type('text')
      .send('This machine is not served under that name. Use its address, or name it in ESMERO_HOSTS.');
  });
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          // Components bring their styles along at run time. A nonce would have to differ in each answer, and the page has to be the same
          // each time: the service worker holds it against its checksum.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          workerSrc: ["'self'", 'blob:'],
          connectSrc: ["'self'"],
          upgradeInsecureRequests: null,
          requireTrustedTypesFor: ["'script'"],
          // The framework’s own, and ours for workers.
          trustedTypes: ['angular', 'default'],
        },
      },
      // Served on plain http beside the car: there is no certificate to insist on.
      strictTransportSecurity: false,
    }),
  );
  app.use((_request: Request, response: Response, next: NextFunction) => {
    response.setHeader(
      'Permissions-Policy',
      'camera=(self), screen-wake-lock=(self), accelerometer=(self), gyroscope=(self), magnetometer=(self), geolocation=(), microphone=(), payment=(), usb=()',
    );
    next();
  });
  app.use(compression());
  app.get('/health', (_request: Request, response: Response) => void response.json({ ok: true }));
  app.get('/api/weather', (request: Request, response: Response) => {
    const question = weatherQuestion(request.query);
    if ('date' in question) return void response.type('json').send(writeWeather(simulatedWeather(question)));
    response.status(400).json({ faults: question });
  });
  app.use(
    '/api',
    (_request: Request, response: Response) =>
      void response.status(404).json({ error: 'There is nothing at this address.' }),
  );
  app.use(
    express.static(root, {
      index: false,
      setHeaders: (response, path) => void response.setHeader('Cache-Control', cacheFor(path)),
    }),
  );
  app.get('/{*path}', (request: Request, response: Response) => {
    const page = join(root, 'index.html');
    // A file that is missing is said to be; what somebody opens is the application’s, dots or no dots.
    if (/\.\w+$/.test(request.path) && !request.headers.accept?.includes('text/html'))
      return void response.status(404).type('text').send('No such file.');
    if (!existsSync(page)) return void response.status(503).type('text').send(NOT_BUILT);
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(page);
  });
  app.use((error: HttpError, request: Request, response: Response, next: NextFunction) => {
    if (response.headersSent) return next(error);
    const status = error.status && error.status >= 400 && error.status < 500 ? error.status : 500;
    const text = status === 500 ? 'Something went wrong on the server.' : 'This address cannot be read.';
    if (request.path.startsWith('/api/')) return void response.status(status).json({ error: text });
    response.status(status).type('text').send(text);
  });
  return app;
}
