import { parse, serialize } from 'cookie';
import express, { type Request, type RequestHandler, type Response, type Router } from 'express';
import { limited, MOST_A_MINUTE } from '../http/limited';
import { HttpProblem } from '../http/problem';
import type { PairingCodes } from './codes';
import type { Devices } from './devices';
import { pairingPage, STYLE_HASH } from './page';

/** Only over a secure connection, only for this host: the prefix makes browsers insist. */
const COOKIE = '__Host-dusk';
const COOKIE_DAYS = 180;
/** Tries at a code of one address in a minute. */
const MOST_TRIES = 6;

export interface GateParts {
  readonly codes: PairingCodes;
  readonly devices: Devices;
  readonly authority: () => { readonly authority: string; readonly fingerprint: string };
}

const languageOf = (request: Request): 'en' | 'de' =>
  request.acceptsLanguages('en', 'de') === 'de' ? 'de' : 'en';

const textOf = (value: unknown): string => (typeof value === 'string' ? value.slice(0, 100) : '');

const sameSite: RequestHandler = (request, _response, next) => {
  const { origin, host } = request.headers;
  if (origin !== undefined && URL.parse(origin)?.host !== host)
    throw new HttpProblem(403, 'origin', 'A device is only paired from its own page.');
  next();
};

/**
 * What stands before the application on the local network: a device without a session sees the page it pairs on, the
 * certificate to trust, and nothing else.
 */
export const gate = ({ codes, devices, authority }: GateParts): Router => {
  const router = express.Router();
  const show = (
    request: Request,
    response: Response,
    status: number,
    fault: 'wrong' | 'used' | 'expired' | null,
    code: string,
  ): void => {
    response
      .status(status)
      .set({
        'content-security-policy': `default-src 'none'; style-src ${STYLE_HASH}; form-action 'self'; frame-ancestors 'none'; base-uri 'none'`,
        'cache-control': 'no-store',
        // Without a referrer a browser sends no origin with the form.
        'referrer-policy': 'same-origin',
        'x-content-type-options': 'nosniff',
      })
      .type('html')
      .send(pairingPage(languageOf(request), { code, fault, fingerprint: authority().fingerprint }));
  };
  router.use(limited(MOST_A_MINUTE, 'requests'));
  router.get('/authority.crt', (_request, response) => {
    response.type('application/x-x509-ca-cert').send(authority().authority);
  });
  router.get('/pair', (request, response) => {
    show(request, response, 200, null, textOf(request.query['code']));
  });
  router.post(
    '/pair',
    limited(MOST_TRIES, 'tries'),
    sameSite,
    express.urlencoded({ extended: false, limit: '2kb', parameterLimit: 5 }),
    async (request, response) => {
      const body = (request.body ?? {}) as { code?: unknown; name?: unknown };
      const entered = codes.enter(textOf(body.code));
      if (entered !== 'right') {
        show(request, response, 403, entered, '');
        return;
      }
      const token = await devices.add(textOf(body.name));
      response
        .set('cache-control', 'no-store')
        .append(
          'set-cookie',
          serialize(COOKIE, token, {
            httpOnly: true,
            secure: true,
            sameSite: 'strict',
            path: '/',
            maxAge: COOKIE_DAYS * 86_400,
          }),
        )
        .redirect(303, '/');
    },
  );
  router.use((request, response, next) => {
    const token = parse(request.headers.cookie ?? '')[COOKIE];
    const device = token === undefined ? null : devices.of(token);
    if (device) {
      response.locals['device'] = device;
      devices.answer(device.id, response);
      next();
    } else if (request.method === 'GET' && request.accepts(['json', 'html']) === 'html')
      response.redirect(303, '/pair');
    else
      throw new HttpProblem(
        401,
        'not-paired',
        'This device is not paired with the computer, or was removed there.',
      );
  });
  return router;
};
