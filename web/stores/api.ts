import type { AnyRow, Batch, Conflict, EntityKind, FieldFault, LoggedChange, Problem } from '@contract';

/** The server answered with a problem document. */
export class ApiProblem extends Error {
  constructor(readonly problem: Problem) { super(problem.detail); }
  get conflicts(): readonly Conflict[] { return this.problem.conflicts ?? []; }
  get fields(): readonly FieldFault[] { return this.problem.fields ?? []; }
}

/** No answer came: no network, or the application is not running. */
export class Unreachable extends Error {}

const ask = async (path: string, init?: RequestInit): Promise<Response> => {
  const response = await fetch(path, init).catch(() => { throw new Unreachable('No answer from the application.'); });
  if (response.ok) return response;
  const problem = await response.json().catch(() => null) as Problem | null;
  if (!problem || response.status >= 500) throw new Unreachable(problem?.detail ?? `The application answered ${response.status}.`);
  throw new ApiProblem(problem);
};

const json = async <T>(path: string, init?: RequestInit): Promise<T> => (await ask(path, init)).json() as Promise<T>;

const sending = (method: string, device: string, body?: unknown): RequestInit => ({
  method, keepalive: body !== undefined && JSON.stringify(body).length < 60_000, headers: { 'x-dusk-device': device, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
  ...(body === undefined ? {} : { body: JSON.stringify(body) }),
});

export interface FilmSummary { readonly id: string; readonly name: string; readonly locations: number; readonly shots: number; readonly updatedAt: string }

export const api = {
  films: () => json<{ films: FilmSummary[] }>('/api/films'),
  kit: () => json<{ rows: AnyRow[] }>('/api/kit'),
  film: (id: string) => json<{ rows: AnyRow[]; sequence: number }>(`/api/films/${id}`),
  changes: (id: string) => json<{ changes: LoggedChange[] }>(`/api/films/${id}/changes`),
  apply: (batch: Batch) => json<{ rows: AnyRow[]; gone: { kind: EntityKind; id: string }[] }>('/api/changes', sending('POST', batch.device, batch)),
  importFilm: (file: unknown, device: string) => json<{ id: string }>('/api/films/import', sending('POST', device, file)),
  removeFilm: async (id: string, device: string): Promise<void> => { await ask(`/api/films/${id}`, sending('DELETE', device)); },
};
