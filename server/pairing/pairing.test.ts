import { mkdtemp, readFile, rm, stat } from 'node:fs/promises';
import { request as ask } from 'node:https';
import type { IncomingMessage } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoFilm } from '@demo';
import pino from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { start, type Running } from '../start';
import { certificateFor } from './authority';
import { CODE_LIFE_MS, PairingCodes } from './codes';
import { Devices } from './devices';

let running: Running;
let dataDir: string;
let authority: string;
let base: string;
beforeAll(async () => {
  dataDir = await mkdtemp(join(tmpdir(), 'dusk-lan-'));
  const config = {
    host: '127.0.0.1',
    port: 0,
    dataDir,
    names: [],
    demo: false,
    webDir: join(dataDir, 'none'),
    lan: true,
  };
  running = await start(config, pino({ level: 'silent' }), async (films) => {
    await films.importFile(demoFilm(), 'test');
  });
  authority = await readFile(join(dataDir, 'lan/authority.crt'), 'utf8');
  const [address = ''] = running.lan?.state().addresses ?? [];
  base = `https://127.0.0.1:${URL.parse(address)?.port ?? ''}`;
});
afterAll(async () => {
  await running.stop();
  await rm(dataDir, { recursive: true, force: true });
});

interface Answer {
  readonly status: number;
  readonly headers: IncomingMessage['headers'];
  readonly text: string;
}
/** Asks as a phone does that trusts this authority and no other. */
const phone = (
  path: string,
  options: { method?: string; headers?: Record<string, string>; body?: string } = {},
) =>
  new Promise<Answer>((resolve, reject) => {
    const request = ask(`${base}${path}`, {
      ca: authority,
      method: options.method ?? 'GET',
      headers: options.headers ?? {},
    });
    request.on('error', reject);
    request.on('response', (response) => {
      let text = '';
      response.on('data', (part: Buffer) => {
        text += part.toString();
      });
      response.on('end', () =>
        resolve({ status: response.statusCode ?? 0, headers: response.headers, text }),
      );
      response.on('error', reject);
    });
    request.end(options.body);
  });
const enter = (code: string, name = 'Field phone', headers: Record<string, string> = {}) =>
  phone('/pair', {
    method: 'POST',
    headers: { 'content-type': 'application/x-www-form-urlencoded', origin: base, ...headers },
    body: new URLSearchParams({ code, name }).toString(),
  });
describe('the local network', () => {
  it('answers nothing to a device that is not paired but the page it pairs on and the certificate', async () => {
    for (const path of [
      '/api/films',
      '/api/kit',
      '/api/events',
      '/api/pairing',
      '/api/backups',
      '/assets/x.js',
      '/sw.js',
    ])
      expect((await phone(path)).status, path).toBe(401);
    expect((await phone('/api/changes', { method: 'POST', body: '{}' })).status).toBe(401);
    const sent = await phone('/', { headers: { accept: 'text/html' } });
    expect([sent.status, sent.headers.location]).toEqual([303, '/pair']);
    expect((await phone('/api/films', { headers: { cookie: '__Host-dusk=guessed' } })).status).toBe(401);
    const page = await phone('/pair?code=%3Cscript%3E', { headers: { 'accept-language': 'de' } });
    expect(page.text).toContain('Gerät koppeln');
    expect(page.text).not.toContain('<script>');
    expect((await phone('/authority.crt')).text).toBe(authority);
  });
  it('lets a device in by a code, once, and refuses it after it was removed', async () => {
    const { code } = (await running.lan?.invite()) ?? { code: '' };
    expect((await enter('AAAAAAAA')).text).toContain('not known');
    const answer = await enter(` ${code.slice(0, 4)}-${code.slice(4).toLowerCase()}`);
    expect([answer.status, answer.headers.location]).toEqual([303, '/']);
    const [cookie = ''] = answer.headers['set-cookie'] ?? [];
    expect(cookie).toMatch(/HttpOnly.*Secure.*SameSite=Strict|Secure.*HttpOnly.*SameSite=Strict/);
    expect((await enter(code, 'Somebody else')).text).toContain('used already');
    const [session = ''] = cookie.split(';');
    const films = await phone('/api/films', { headers: { cookie: session } });
    expect(JSON.parse(films.text)).toMatchObject({ films: [{ shots: expect.any(Number) as number }] });
    // Who may come in is decided at the computer.
    for (const [method, path] of [
      ['GET', '/api/pairing'],
      ['POST', '/api/pairing/codes'],
    ] as const)
      expect((await phone(path, { method, headers: { cookie: session } })).status).toBe(403);
    const here = (await (await fetch(`${running.address}/api/pairing`)).json()) as {
      devices: { id: string; name: string }[];
    };
    expect(here.devices.map((d) => d.name)).toEqual(['Field phone']);
    // A stream that is open ends with it.
    const stream = phone('/api/events', { headers: { cookie: session } }).then(
      () => 'ended',
      () => 'cut off',
    );
    await phone('/api/films', { headers: { cookie: session } });
    const removed = await fetch(`${running.address}/api/pairing/devices/${here.devices[0]?.id ?? ''}`, {
      method: 'DELETE',
    });
    expect(removed.status).toBe(204);
    expect(await stream).toBe('cut off');
    expect((await phone('/api/films', { headers: { cookie: session } })).status).toBe(401);
  });
  it('takes no code from another site, and only a few tries from one address', async () => {
    const { code } = (await running.lan?.invite()) ?? { code: '' };
    expect((await enter(code, 'Trap', { origin: 'https://elsewhere.example' })).status).toBe(403);
    const statuses: number[] = [];
    for (let i = 0; i < 8; i += 1) statuses.push((await enter(`WRONG${i}`)).status);
    expect(statuses.filter((s) => s === 429).length).toBeGreaterThan(1);
  });
  it('keeps its key to the owner, and is trusted again after a restart', async () => {
    expect((await stat(join(dataDir, 'lan/authority.key'))).mode & 0o077).toBe(0);
    expect((await stat(join(dataDir, 'lan/devices.json'))).mode & 0o077).toBe(0);
    const kept = await certificateFor(join(dataDir, 'lan'), ['localhost'], 'machine');
    expect(kept.authority).toBe(authority);
    const late = await certificateFor(
      join(dataDir, 'lan'),
      ['localhost'],
      'machine',
      Date.now() + 6 * 365 * 86_400_000,
    );
    expect(late.authority).not.toBe(authority);
  });
});

describe('codes', () => {
  it('run out after five minutes, are void after a new one and after many wrong tries', () => {
    let now = 0;
    const codes = new PairingCodes(() => now);
    const first = codes.issue().code;
    const second = codes.issue().code;
    expect(codes.enter(first)).toBe('expired');
    now = CODE_LIFE_MS - 1;
    expect(codes.current()?.code).toBe(second);
    now = CODE_LIFE_MS;
    expect(codes.enter(second)).toBe('expired');
    const third = codes.issue().code;
    for (let i = 0; i < 20; i += 1) codes.enter(`X${i}`);
    expect(codes.enter(third)).toBe('expired');
  });
});

describe('devices', () => {
  it('are known after a restart by their token, which stands nowhere', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'dusk-devices-'));
    const file = join(folder, 'devices.json');
    const devices = await Devices.in(file);
    const tokens = await Promise.all([devices.add('  Two\n words '), devices.add('')]);
    const read = await Devices.in(file);
    expect(tokens.map((t) => read.of(t)?.name)).toEqual(['Two words', 'Phone']);
    expect(await readFile(file, 'utf8')).not.toContain(tokens[0]);
    expect(await read.revoke('nobody')).toBe(false);
    await rm(folder, { recursive: true, force: true });
  });
});
