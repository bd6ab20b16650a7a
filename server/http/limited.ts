import type { RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { HttpProblem } from './problem';

/** Requests of one address in a minute: several times what a hand at a slider with ten open tabs asks for. */
export const MOST_A_MINUTE = 3000;

const OWN = /^(::1|(::ffff:)?127(\.\d{1,3}){3})$/;

/** Whether an address is this machine itself. */
export const isOwn = (address: string | undefined): boolean => OWN.test(address ?? '');

/**
 * Refuses an address that asks for more than so many things a minute.
 * @param of what is counted, as the refusal names it @param counts which requests count; all where left out
 */
export const limited = (
  limit: number,
  of: string,
  counts: (address: string | undefined) => boolean = () => true,
): RequestHandler =>
  rateLimit({
    windowMs: 60_000,
    limit,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    skip: (request) => !counts(request.ip),
    handler: (_request, _response, next) => {
      next(new HttpProblem(429, 'too-many', `Too many ${of} from this address. Wait a minute.`));
    },
  });
