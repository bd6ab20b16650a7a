import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import type { Logger } from 'pino';
import expressStaticGzip from 'express-static-gzip';
import { pinoHttp } from 'pino-http';
import { leanAtRest } from './http/at-rest';
import { guard, headers } from './http/guard';
import { isOwn, limited, MOST_A_MINUTE } from './http/limited';
import { notFound, problems } from './http/problem';
import { wrongMethod } from './http/wrong-method';
import type { Lan } from './pairing/lan';
import { api } from './routes/api';
import { pairing } from './routes/pairing';
import type { Assets } from './services/assets';
import type { Backups } from './services/backup';
import type { Feed } from './services/feed';
import type { Films } from './services/films';
import type { Store } from './services/store';

export interface Parts {
  readonly store: Store;
  readonly films: Films;
  readonly assets: Assets;
  readonly feed: Feed;
  readonly backups: Backups;
  readonly log: Logger;
  readonly names: readonly string[];
  readonly tiles: string;
  readonly webDir: string;
  readonly dataDir: string;
  readonly version: string;
  /** The local network, once and if it is served. */
  readonly lan: () => Lan | null;
}

const YEAR_S = 31_536_000;
/** Smaller answers, such as that of a save, go out faster as they are. */
const COMPRESS_FROM = '8kb';

const serveWeb = (app: Express, webDir: string): void => {
  // Packed once when built: packing as hard at each request would cost a second.
  const packed = {
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    serveStatic: { immutable: true, maxAge: YEAR_S * 1000, fallthrough: false },
  };
  app.use('/assets', expressStaticGzip(join(webDir, 'assets'), packed));
  app.use(express.static(webDir, { index: false, maxAge: 0 }));
  app.get(/^\/(?!api\/).*/, (_request, response) => {
    response.set('cache-control', 'no-cache').sendFile(join(webDir, 'index.html'));
  });
};

/** Puts the application together: guards, API, built web. */
export const createApp = (parts: Parts): Express => {
  const app = express();
  app.disable('x-powered-by');
  app.use(leanAtRest());
  app.use(
    pinoHttp({ logger: parts.log, autoLogging: { ignore: (r) => r.method === 'GET' }, quietReqLogger: true }),
  );
  // Others reach the plain address only where somebody said `--open`.
  const others = limited(MOST_A_MINUTE, 'requests', (address) => !isOwn(address));
  app.use(headers(parts.tiles), guard(parts.names), others);
  app.use(
    compression({
      threshold: COMPRESS_FROM,
      level: 9,
      filter: (request, response) =>
        !request.path.endsWith('/events') && compression.filter(request, response),
    }),
  );
  app.use('/api', (_request, response, next) => {
    response.set('cache-control', 'no-store');
    next();
  });
  const routes = api(parts.store, parts.films, parts.assets, parts.feed, parts.backups, {
    version: parts.version,
    tiles: parts.tiles,
    dataDir: parts.dataDir,
  });
  const pairingRoutes = pairing(parts.lan);
  app.use('/api', routes, pairingRoutes);
  app.use('/api', wrongMethod(routes), wrongMethod(pairingRoutes), notFound);
  if (existsSync(join(parts.webDir, 'index.html'))) serveWeb(app, parts.webDir);
  app.use(notFound, problems(parts.log));
  return app;
};
