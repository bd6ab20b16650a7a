import { connect, type Socket } from 'node:net';
import type { AnyRow } from '@contract';
import { v4 as uuid } from 'uuid';
import { milliseconds, quantile, type Outcome } from './outcome';

type Shot = Extract<AnyRow, { kind: 'shot' }>;
/** Half of all saves under a flood come back within this, and 95 of 100 within the second, ms. */
const SAVE_P95_MS = 50;

const opened = (port: number, text: string): Promise<Socket> =>
  new Promise((resolve, reject) => {
    const socket = connect(port, '127.0.0.1', () => {
      socket.write(text);
      socket.on('error', () => undefined);
      resolve(socket);
    });
    socket.once('error', reject);
  });

/** Event streams nobody reads and bodies that never end, while somebody saves. */
export const floods = async (address: string, connections: number, saves: number): Promise<Outcome> => {
  const port = Number(new URL(address).port);
  const host = `host: 127.0.0.1:${port}`;
  const sockets = await Promise.all(
    Array.from({ length: connections }, (_, i) =>
      opened(
        port,
        i % 2 === 0
          ? `GET /api/events?since=0 HTTP/1.1\r\n${host}\r\n\r\n`
          : `POST /api/changes HTTP/1.1\r\n${host}\r\ncontent-type: application/json\r\ncontent-length: 100000\r\n\r\n{`,
      ),
    ),
  );
  const dripping = setInterval(() => {
    for (const [i, socket] of sockets.entries()) if (i % 2 === 1) socket.write(' ');
  }, 200);
  const faults: string[] = [];
  const times: number[] = [];
  try {
    const { films } = (await (await fetch(`${address}/api/films`)).json()) as { films: { id: string }[] };
    const { rows } = (await (await fetch(`${address}/api/films/${films[0]?.id ?? ''}`)).json()) as {
      rows: AnyRow[];
    };
    const shot = rows.find((r): r is Shot => r.kind === 'shot');
    for (let i = 0; shot && i < saves; i += 1) {
      const change = {
        kind: 'shot',
        id: shot.value.id,
        version: shot.version + i,
        value: { ...shot.value, notes: `flood ${i}` },
      };
      const began = performance.now();
      const response = await fetch(`${address}/api/changes`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ batch: uuid(), device: 'attack', changes: [change] }),
      });
      times.push(performance.now() - began);
      if (response.status !== 200) faults.push(`save ${i}: ${response.status}`);
    }
  } finally {
    clearInterval(dripping);
    for (const socket of sockets) socket.destroy();
  }
  const p95 = quantile(times, 0.95);
  return {
    name: 'floods',
    tries: connections,
    faults,
    figures: {
      'save p95': `${milliseconds(p95)}${p95 > SAVE_P95_MS ? ` (more than ${SAVE_P95_MS} ms)` : ''}`,
      'slowest save': milliseconds(Math.max(...times)),
    },
  };
};
