import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import express from 'express';
import pino from 'pino';
import { describe, expect, it } from 'vitest';
import { isOwn, limited } from './limited';
import { problems } from './problem';

const statuses = async (counts: Parameters<typeof limited>[2], requests: number): Promise<number[]> => {
  const app = express();
  app.use(limited(3, 'requests', counts), (_request, response) => {
    response.json({});
  });
  app.use(problems(pino({ level: 'silent' })));
  const server = app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  const got: number[] = [];
  for (let i = 0; i < requests; i += 1) {
    const answer = await fetch(`http://127.0.0.1:${port}/`);
    got.push(answer.status);
    if (answer.status === 429)
      expect(await answer.json()).toMatchObject({
        type: 'urn:dusk-slate:too-many',
        title: 'Too many requests',
        detail: 'Too many requests from this address. Wait a minute.',
      });
  }
  server.close();
  return got;
};

describe('what an address may ask for', () => {
  it('is counted by the minute, and refused beyond it with its reason', async () => {
    expect(await statuses(undefined, 5)).toEqual([200, 200, 200, 429, 429]);
  });
  it('is not counted where it does not have to be', async () => {
    expect(await statuses((address) => !isOwn(address), 6)).toEqual(Array(6).fill(200));
  });
  it('is one’s own on this machine alone', () => {
    for (const address of ['127.0.0.1', '127.8.0.2', '::1', '::ffff:127.0.0.1'])
      expect(isOwn(address)).toBe(true);
    for (const address of [
      '10.0.0.1',
      '192.168.1.127',
      '::ffff:10.1.2.3',
      'fe80::1',
      '1127.0.0.1',
      undefined,
    ])
      expect(isOwn(address)).toBe(false);
  });
});
