import express, { type RequestHandler, type Router } from 'express';
import { HttpProblem } from '../http/problem';
import type { Lan } from '../pairing/lan';

/** Who may come in is decided at the computer, never by a device that was let in. */
const onlyHere: RequestHandler = (_request, response, next) => {
  if (response.locals['device'])
    throw new HttpProblem(403, 'not-here', 'Devices are paired and removed on the computer itself.');
  next();
};

/** Pairing, as the computer's own page shows it. @param lan none where it does not listen on the network */
export const pairing = (lan: () => Lan | null): Router => {
  const router = express.Router();
  const opened = (): Lan => {
    const on = lan();
    if (!on) throw new HttpProblem(409, 'no-lan', 'Start with --lan to reach it from other devices.');
    return on;
  };
  router.use('/pairing', onlyHere);
  router.get('/pairing', (_request, response) => {
    const on = lan();
    response.json(on ? { on: true, ...on.state() } : { on: false });
  });
  router.post('/pairing/codes', async (_request, response) => {
    response.status(201).json(await opened().invite());
  });
  router.delete('/pairing/devices/:id', async (request, response) => {
    if (!(await opened().revoke(request.params.id)))
      throw new HttpProblem(404, 'no-device', 'This device is not paired.');
    response.status(204).end();
  });
  return router;
};
