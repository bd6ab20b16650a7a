import type { AnyRow, Batch, Conflict, FieldFault, LoggedChange, Problem } from '@contract';
import { MODEL_VERSION, type EntityKind } from '@core/model';
import { noteServerTime } from './device-health';
import { shallowRef } from 'vue';
import { tr } from './messages';
import { inLanguageOf, kindOf } from './problems';

/** The server answered with a problem document. */
export class ApiProblem extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
  get conflicts(): readonly Conflict[] {
    return this.problem.conflicts ?? [];
  }
  get fields(): readonly FieldFault[] {
    return this.problem.fields ?? [];
  }
}

/** No answer came: no network, or the application is not running. */
export class Unreachable extends Error {
  /** @param kind of the trouble where the application answers and takes nothing now, such as `storage-full` or `page-older` */
  constructor(
    message: string,
    readonly kind = '',
  ) {
    super(message);
  }
}

/** Whether the computer has said that this device is not paired with it, or no longer. */
export const notPaired = shallowRef(false);

/** Page and application are of two versions: nothing is sent until they are the same. */
const otherVersion = (kind: 'page-older' | 'page-newer'): Unreachable =>
  new Unreachable(tr(kind === 'page-older' ? 'theApplicationIsNewer' : 'theApplicationIsOlder'), kind);

const ask = async (path: string, init?: RequestInit): Promise<Response> => {
  const sentMs = Date.now();
  const response = await fetch(path, init).catch(() => {
    throw new Unreachable(tr('noAnswerFromTheApplication'));
  });
  noteServerTime(response.headers.get('date'), sentMs, Date.now());
  if (response.ok) {
    notPaired.value = false;
    return response;
  }
  const sent = (await response.json().catch(() => null)) as Problem | null;
  const problem = sent?.type ? await inLanguageOf(sent) : sent;
  if (response.status === 401) {
    // What is changed meanwhile waits on the device, as without a network.
    notPaired.value = true;
    throw new Unreachable(tr('notPaired'));
  }
  if (!problem || response.status >= 500)
    throw new Unreachable(
      problem?.detail ?? tr('theApplicationAnsweredStatus', { status: response.status }),
      problem ? kindOf(problem) : '',
    );
  const kind = kindOf(problem);
  if (kind === 'page-older' || kind === 'page-newer') throw otherVersion(kind);
  throw new ApiProblem(problem);
};

const json = async <T>(path: string, init?: RequestInit): Promise<T> =>
  (await ask(path, init)).json() as Promise<T>;

/** A small body goes out even while the page is being closed. */
const KEEPALIVE_LIMIT = 60_000;
const posting = (body: unknown): RequestInit => {
  const text = JSON.stringify(body);
  return {
    method: 'POST',
    body: text,
    keepalive: text.length < KEEPALIVE_LIMIT,
    headers: { 'content-type': 'application/json' },
  };
};

export interface FilmSummary {
  readonly id: string;
  readonly name: string;
  readonly locations: number;
  readonly shots: number;
  readonly updatedAt: string;
}

/** A copy of everything, as the server lists it. */
export interface BackupSummary {
  readonly name: string;
  readonly at: string;
  readonly bytes: number;
  readonly sound: boolean;
  readonly films: readonly { readonly id: string; readonly name: string; readonly shots: number }[];
}

/** A device that may use this computer's films. */
export interface PairedDevice {
  readonly id: string;
  readonly name: string;
  readonly pairedAt: string;
  readonly seenAt: string;
}

/** The local network, as the computer's own page sees it. */
export type LanState =
  | { readonly on: false }
  | {
      readonly on: true;
      readonly addresses: readonly string[];
      readonly fingerprint: string;
      readonly devices: readonly PairedDevice[];
    };

/** A code for one device, and where it goes with it. */
export interface Invitation {
  readonly code: string;
  readonly untilMs: number;
  readonly links: readonly string[];
}

export const api = {
  lan: () => json<LanState>('/api/pairing'),
  invite: () => json<Invitation>('/api/pairing/codes', { method: 'POST' }),
  removeDevice: async (id: string): Promise<void> => {
    await ask(`/api/pairing/devices/${id}`, { method: 'DELETE' });
  },
  backups: () => json<{ backups: BackupSummary[] }>('/api/backups'),
  makeBackup: () => json<{ name: string }>('/api/backups', { method: 'POST' }),
  restoreFilm: (backup: string, film: string) =>
    json<{ id: string }>(`/api/backups/${backup}/films/${film}`, { method: 'POST' }),
  restoreAll: (backup: string) =>
    json<{ before: string }>(`/api/backups/${backup}/restore`, { method: 'POST' }),
  films: () => json<{ films: FilmSummary[] }>('/api/films'),
  kit: () => json<{ rows: AnyRow[] }>('/api/kit'),
  film: async (id: string) => {
    const film = await json<{ rows: AnyRow[]; sequence: number; model: number }>(`/api/films/${id}`);
    if (film.model !== MODEL_VERSION)
      throw otherVersion(film.model > MODEL_VERSION ? 'page-older' : 'page-newer');
    return film;
  },
  changes: (id: string) => json<{ changes: LoggedChange[] }>(`/api/films/${id}/changes`),
  apply: (batch: Batch) =>
    json<{ rows: AnyRow[]; gone: { kind: EntityKind; id: string }[] }>(
      '/api/changes',
      posting({ ...batch, model: MODEL_VERSION }),
    ),
  /** @param file what a film file says, or its bytes with their type: JSON, or the ZIP it is saved as */
  importFilm: (file: unknown, signal?: AbortSignal) =>
    json<{ id: string }>('/api/films/import', {
      ...(file instanceof Blob
        ? { method: 'POST', headers: { 'content-type': file.type }, body: file }
        : posting(file)),
      ...(signal ? { signal } : {}),
    }),
  openDemo: () => json<{ id: string }>('/api/films/demo', { method: 'POST' }),
  removeFilm: async (id: string): Promise<void> => {
    await ask(`/api/films/${id}`, { method: 'DELETE' });
  },
};
