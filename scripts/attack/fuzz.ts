import type { AnyRow } from '@contract';
import { v4 as uuid } from 'uuid';
import { milliseconds, pick, quantile, seeded, type Outcome } from './outcome';

type Random = () => number;
/** Longest an answer may take, ms. */
const SLOW_MS = 2000;

const ODD: readonly unknown[] = [
  null,
  true,
  '',
  ' ',
  '0',
  'NaN',
  '\u0000',
  '\ud800',
  '../../etc/passwd',
  "'; DROP TABLE shots; --",
  '<img src=x onerror=alert(1)>',
  '=cmd|x!A1',
  'é'.repeat(5000),
  -1,
  0,
  0.1,
  1e308,
  -1e-308,
  2 ** 53,
  [],
  [[]],
  {},
  { id: {} },
  { __proto__: null, constructor: { prototype: { admin: true } } },
];

/** Names of things that are none, as an address has them. */
const ODD_NAMES = [
  '',
  '%20',
  'NaN',
  '%00',
  '%ED%A0%80',
  '..%2F..%2Fetc%2Fpasswd',
  '%27%3B--',
  'constructor',
  '-1',
  '%C3%A9'.repeat(50),
];

/** A value with one thing in it changed, dropped, added or repeated. */
const mutated = (random: Random, value: unknown): unknown => {
  if (value === null || typeof value !== 'object' || random() < 0.15) return pick(random, ODD);
  if (Array.isArray(value)) {
    const list: unknown[] = [...(value as unknown[])];
    const at = Math.floor(random() * (list.length + 1));
    const roll = random();
    if (roll < 0.3) list.splice(at, 1);
    else if (roll < 0.5) list.push(...(list.slice(0, 1) as unknown[]));
    else list[at] = mutated(random, list[at]);
    return list;
  }
  const entries = Object.entries(value);
  const [key, held] = pick(random, [...entries, ['constructor', 0], ['__proto__', 0], ['toString', 0]]);
  const others = entries.filter(([name]) => name !== key);
  // Built as JSON is: a key named __proto__ is a key like any other.
  return Object.fromEntries(random() < 0.2 ? others : [...others, [key, mutated(random, held)]]);
};

interface Sent {
  readonly method: string;
  readonly path: string;
  readonly headers: Record<string, string>;
  readonly body: string | null;
}

const PATHS = [
  '/api/films',
  '/api/films/{id}',
  '/api/films/{id}/file',
  '/api/films/{id}/changes',
  '/api/kit',
  '/api/kit/file',
  '/api/health',
  '/api/settings',
  '/api/pairing',
  '/api/backups',
  '/api/projections/4326',
  '/api/schemas/film-file',
  '/api/openapi.json',
  '/api/assets/{id}',
  '/api/nothing',
];
const TAILS = [
  '',
  '',
  '',
  '',
  '/',
  '/..',
  '/%2e%2e%2f',
  '%00',
  '/constructor',
  '/__proto__',
  '?since=-1',
  '?paper=%ff',
  '/%E0%A4%A',
];
const METHODS = ['GET', 'GET', 'GET', 'HEAD', 'PUT', 'PATCH', 'DELETE', 'OPTIONS', 'POST'];

const requestOf = (random: Random, film: string, rows: readonly AnyRow[]): Sent => {
  const json = { 'content-type': 'application/json' };
  const roll = random();
  if (roll < 0.55) {
    const row = pick(random, rows);
    const change = { kind: row.kind, id: row.value.id, version: row.version, value: row.value };
    const fresh = { ...change, id: uuid(), version: 0 };
    const batch: unknown = { batch: uuid(), device: 'attack', changes: [pick(random, [change, fresh])] };
    let body = batch;
    for (let i = 0; i <= random() * 3; i += 1) body = mutated(random, body);
    const text = JSON.stringify(body) ?? '';
    const cut = random() < 0.05 ? text.slice(0, Math.floor(text.length * random())) : text;
    return { method: 'POST', path: '/api/changes', headers: json, body: cut };
  }
  if (roll < 0.6) {
    const files = rows.filter((r) => r.kind === 'shot').map((r) => r.value);
    const body = JSON.stringify(mutated(random, { format: 'x', film: rows[0]?.value, shots: files }));
    return { method: 'POST', path: '/api/films/import', headers: json, body: body ?? '' };
  }
  const path = pick(random, PATHS).replace('{id}', random() < 0.5 ? film : pick(random, ODD_NAMES));
  // Deleting the film itself would leave nothing to attack.
  const method = pick(
    random,
    METHODS.filter((m) => m !== 'DELETE' || !path.includes(film)),
  );
  const headers = random() < 0.2 ? { accept: 'text/html', range: 'bytes=5-1', 'x-odd': '%00' } : {};
  return {
    method,
    path: `${path}${pick(random, TAILS)}`,
    headers,
    body: method === 'POST' || method === 'PUT' ? '{' : null,
  };
};

/** Sends requests of every sort; none may break the server or keep it. */
export const fuzz = async (address: string, tries: number, seed = 1): Promise<Outcome> => {
  const random = seeded(seed);
  const { films } = (await (await fetch(`${address}/api/films`)).json()) as { films: { id: string }[] };
  const film = films[0]?.id ?? '';
  const read = async (): Promise<readonly AnyRow[]> =>
    ((await (await fetch(`${address}/api/films/${film}`)).json()) as { rows: AnyRow[] }).rows;
  const kit = ((await (await fetch(`${address}/api/kit`)).json()) as { rows: AnyRow[] }).rows;
  let rows = [...(await read()), ...kit];
  const faults: string[] = [];
  const times: number[] = [];
  const statuses = new Map<number, number>();
  const one = async (): Promise<void> => {
    const { method, path, headers, body } = requestOf(random, film, rows);
    const began = performance.now();
    try {
      const response = await fetch(`${address}${path}`, {
        method,
        headers,
        body,
        signal: AbortSignal.timeout(30_000),
      });
      const text = await response.text();
      statuses.set(response.status, (statuses.get(response.status) ?? 0) + 1);
      if (response.status >= 500)
        faults.push(
          `${method} ${path.slice(0, 80)}: ${response.status} ${text.slice(0, 120)} ${body?.slice(0, 300) ?? ''}`,
        );
      if (response.status >= 400 && method !== 'HEAD' && !text.includes('urn:dusk-slate:'))
        faults.push(
          `${method} ${path.slice(0, 80)}: ${response.status} is no problem document: ${text.slice(0, 80)}`,
        );
    } catch (error) {
      // A path the client itself refuses to send is no fault of the server.
      if (!(error instanceof TypeError)) faults.push(`${method} ${path.slice(0, 80)}: ${String(error)}`);
    }
    times.push(performance.now() - began);
  };
  for (let sent = 0; sent < tries; sent += 8) {
    await Promise.all(Array.from({ length: Math.min(8, tries - sent) }, one));
    if (sent % 800 === 0) rows = [...(await read()), ...kit];
  }
  const slow = times.filter((t) => t > SLOW_MS).length;
  if (slow > 0) faults.push(`${slow} answers took more than ${SLOW_MS} ms`);
  const said = [...statuses].sort(([a], [b]) => a - b).map(([s, n]) => `${s}: ${n}`);
  return {
    name: 'requests',
    tries,
    faults,
    figures: {
      slowest: milliseconds(Math.max(...times)),
      p99: milliseconds(quantile(times, 0.99)),
      answers: said.join(', '),
    },
  };
};
