import type { Conflict, FieldFault, Problem } from '@contract';
import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { storageFault } from './storage-fault';

const TITLES: Readonly<Record<number, string>> = {
  400: 'Something is not right with what was sent',
  403: 'Not allowed from there',
  404: 'Not found',
  405: 'Method not allowed',
  409: 'Changed meanwhile',
  413: 'Too large',
  415: 'Not JSON',
  429: 'Too many requests',
  500: 'Something broke here',
  503: 'Not just now',
  507: 'Nothing can be stored',
};

/** An answer that is a problem: RFC 9457. */
export class HttpProblem extends Error {
  constructor(
    readonly status: number,
    readonly kind: string,
    detail: string,
    readonly more: { fields?: readonly FieldFault[]; conflicts?: readonly Conflict[] } = {},
  ) {
    super(detail);
  }

  document(): Problem {
    return {
      type: `urn:dusk-slate:${this.kind}`,
      title: TITLES[this.status] ?? 'Problem',
      status: this.status,
      detail: this.message,
      ...this.more,
    };
  }
}

const known: Readonly<Record<string, (limit: unknown) => HttpProblem>> = {
  'entity.parse.failed': () => new HttpProblem(400, 'malformed', 'What was sent is not readable JSON.'),
  'entity.too.large': (limit) =>
    new HttpProblem(413, 'too-large', `What was sent is larger than ${Math.round(Number(limit) / 1024)} kB.`),
  'charset.unsupported': () => new HttpProblem(415, 'charset', 'Send UTF-8.'),
  'encoding.unsupported': () => new HttpProblem(415, 'encoding', 'Send it without that content encoding.'),
};

/** An error that says that nothing can be stored, as a problem; null for any other. */
export const storageProblem = (error: unknown): HttpProblem | null => {
  const fault = storageFault(error);
  return fault && new HttpProblem(fault.status, fault.kind, fault.detail);
};

const toProblem = (error: unknown, log: Logger): HttpProblem => {
  if (error instanceof HttpProblem) return error;
  const { type, limit, status } = (error ?? {}) as { type?: string; limit?: number; status?: number };
  const made = type ? known[type]?.(limit) : undefined;
  if (made) return made;
  if (status !== undefined && status >= 400 && status < 500)
    return new HttpProblem(status, 'request', 'The request is not understood.');
  log.error({ err: error }, 'unexpected');
  const unstored = storageProblem(error);
  if (unstored) return unstored;
  return new HttpProblem(
    500,
    'unexpected',
    'The change was not saved. It is kept in the browser and tried again; the log says more.',
  );
};

export const problems =
  (log: Logger): ErrorRequestHandler =>
  (error, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const problem = toProblem(error, log);
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem.document()));
  };

export const notFound: RequestHandler = (request) => {
  throw new HttpProblem(404, 'not-found', `There is nothing at ${request.path}.`);
};
