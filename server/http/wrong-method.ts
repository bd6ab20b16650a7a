import type { RequestHandler, Router } from 'express';
import { HttpProblem } from './problem';

/** A layer of a router; that it can be asked for a path is missing in its types. */
interface Layer {
  readonly match: (path: string) => boolean;
}

/** Methods the routes of a router have for a path; none where it knows no such path. */
const methodsAt = (router: Router, path: string): readonly string[] => [
  ...new Set(
    router.stack.flatMap((layer) =>
      layer.route && (layer as unknown as Layer).match(path)
        ? layer.route.stack.map((l) => l.method.toUpperCase())
        : [],
    ),
  ),
];

/** Answers a path that is known, asked with another method, with 405 and what is allowed (RFC 9110, 15.5.6). */
export const wrongMethod =
  (router: Router): RequestHandler =>
  (request, response, next) => {
    const methods = methodsAt(router, request.path);
    if (methods.length === 0) {
      next();
      return;
    }
    const allowed = methods.includes('GET') ? [...methods, 'HEAD'] : [...methods];
    response.set('allow', allowed.join(', '));
    throw new HttpProblem(405, 'method', `${request.method} does nothing here. Use ${methods.join(' or ')}.`);
  };
