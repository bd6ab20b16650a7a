import { isIP } from 'node:net';
import type { Request, RequestHandler } from 'express';
import { ASSET_MIMES } from '@core/model';
import helmet from 'helmet';
import { HttpProblem } from './problem';

const hostName = (header: string): string =>
  header
    .replace(/:\d+$/, '')
    .replace(/^\[(.*)\]$/, '$1')
    .toLowerCase();

/** Files come as they are, a whole film also as a folder, everything else as JSON. */
const checkBody = (request: Request): void => {
  const file = request.path === '/api/assets';
  const film = request.path === '/api/films/import' ? ['application/zip'] : [];
  if (request.is(file ? [...ASSET_MIMES] : ['application/json', ...film])) return;
  throw new HttpProblem(
    415,
    file ? 'asset-kind' : 'not-json',
    file ? 'Only pictures (PNG, JPEG, WebP) and rasters of heights are kept.' : 'Send JSON.',
  );
};

/**
 * Refuses calls under foreign host names (DNS rebinding needs one; a bare address cannot be rebound) and writes from other sites.
 */
export const guard = (names: readonly string[]): RequestHandler => {
  const allowed = new Set(['localhost', ...names]);
  return (request, _response, next) => {
    // No name has one, and the database would end a text there.
    if (/%00/.test(request.url)) throw new HttpProblem(404, 'not-found', 'There is nothing at that address.');
    const header = request.headers.host ?? '';
    const name = hostName(header);
    if (!allowed.has(name) && isIP(name) === 0)
      throw new HttpProblem(403, 'host', 'This application does not answer under that host name.');
    if (request.method !== 'GET' && request.method !== 'HEAD') {
      const { origin } = request.headers;
      const site = request.headers['sec-fetch-site'];
      if (origin !== undefined && URL.parse(origin)?.host !== header)
        throw new HttpProblem(403, 'origin', 'Writes are only taken from the application itself.');
      if (site !== undefined && site !== 'same-origin' && site !== 'none')
        throw new HttpProblem(403, 'origin', 'Writes are only taken from the application itself.');
      const hasBody =
        Number(request.headers['content-length'] ?? 0) > 0 ||
        request.headers['transfer-encoding'] !== undefined;
      if (hasBody) checkBody(request);
    }
    next();
  };
};

/** The one style sheet the chart library writes into the page, by its content; nothing else written in is let through. */
const CHART_STYLE = "'sha256-aSysLrDECVdJ6L+jLf8CC5QKLmwRuk/OZiZk9mYky8A='";

/** Script that unpacks rasters of heights by WebAssembly it carries as a data address: the only one that may. */
const UNPACKER = /^\/assets\/heights\.worker-[\w-]+\.js$/;

const policy = (tiles: string, unpacks: boolean): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'", ...(unpacks ? ["'wasm-unsafe-eval'"] : [])],
        styleSrc: ["'self'", CHART_STYLE],
        fontSrc: ["'self'"],
        imgSrc: [
          "'self'",
          'data:',
          'blob:',
          ...(tiles ? [new URL(tiles.replaceAll(/[{}]/g, '')).origin] : []),
        ],
        // Voice notes are played from the device.
        mediaSrc: ["'self'", 'blob:'],
        connectSrc: ["'self'", ...(unpacks ? ['data:'] : [])],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'none'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: false,
    crossOriginEmbedderPolicy: false,
  });

/** Headers that keep the page to itself: nothing inline, nothing from elsewhere but map tiles from an address the owner set. */
export const headers = (tiles: string): RequestHandler => {
  const [page, unpacker] = [policy(tiles, false), policy(tiles, true)];
  return (request, response, next) => {
    (UNPACKER.test(request.path) ? unpacker : page)(request, response, next);
  };
};
