import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express, type Request, type Response } from 'express';
import helmet from 'helmet';
import { weatherQuestion, writeWeather } from '@esmero/exchange';
import { simulatedWeather } from './weather';

/** Hashed files never change; the page that names them is asked for every time. */
const cacheFor = (path: string): string =>
  /-[A-Z0-9]{8}\.\w+$/.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache';

const missing = (root: string): string =>
  `Esmero has not been built: ${join(root, 'index.html')} is missing. Run npm start, which builds it.`;

/**
 * Serves the built application and the simulated services. All computation and all data stay in the
 * browser; every address of the application gets its one page.
 * @param root folder of the built application
 */
export function esmeroServer(root: string): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          // Components bring their styles along at run time.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          workerSrc: ["'self'", 'blob:'],
          connectSrc: ["'self'"],
          upgradeInsecureRequests: null,
        },
      },
      // Served on plain http beside the car: there is no certificate to insist on.
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.get('/health', (_request: Request, response: Response) => void response.json({ ok: true }));
  app.get('/api/weather', (request: Request, response: Response) => {
    const question = weatherQuestion(request.query);
    if ('date' in question) return void response.type('json').send(writeWeather(simulatedWeather(question)));
    response.status(400).json({ faults: question });
  });
  app.use(
    express.static(root, {
      index: false,
      setHeaders: (response, path) => void response.setHeader('Cache-Control', cacheFor(path)),
    }),
  );
  app.get('/{*path}', (request: Request, response: Response) => {
    const page = join(root, 'index.html');
    if (/\.\w+$/.test(request.path)) return void response.status(404).type('text').send('No such file.');
    if (!existsSync(page)) return void response.status(503).type('text').send(missing(root));
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(page);
  });
  return app;
}
