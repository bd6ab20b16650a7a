import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { AnyRow, Batch, Conflict, LoggedChange, Problem } from '@contract';
import { ApiProblem, Unreachable } from './api';
import type { ChangeHandlers } from './change-feed';
import { openFilm } from './open-film';
import { storePending } from './pending-storage';
import { storeSnapshot, type Snapshot } from './snapshots';
import { RowCollection } from './row-collection';
import { SyncSession, type WantedChange } from './sync-session';
import type { EntityKind } from '@core/model';
import type { PendingChange } from './outbox';

const FILM = 'f0';
const RUNS = Number(process.env['DUSK_RUNS'] ?? 120);
type Value = Record<string, unknown> & { id: string };
type Loss = 'request' | 'answer' | 'late';

/** A server in memory, as strict about versions as the real one, and as sure of what it has taken already. */
class Memory {
  readonly rows = new Map<string, AnyRow>();
  readonly log: LoggedChange[] = [];
  /** What becomes of the next requests of a tab. */
  readonly losses = new Map<string, Loss[]>();
  /** Tabs that have no network. */
  readonly down = new Set<string>();
  /** Batches still on their way when their page was gone. */
  readonly late: Batch[] = [];

  constructor() {
    this.take({
      batch: 'b0',
      device: 'nobody',
      changes: [
        { kind: 'film', id: FILM, version: 0, value: { id: FILM, name: 'A film' } },
        { kind: 'location', id: 'l0', version: 0, value: { id: 'l0', filmId: FILM } },
        ...['s0', 's1', 's2', 's3'].map((id) => ({
          kind: 'shot' as const,
          id,
          version: 0,
          value: { id, locationId: 'l0', title: 'x', notes: 'x' },
        })),
      ],
    });
  }

  take(batch: Batch): { rows: AnyRow[]; gone: { kind: AnyRow['kind']; id: string }[] } {
    const conflicts = batch.changes.flatMap((c): Conflict[] => {
      const theirs = this.rows.get(c.id) ?? null;
      return (theirs?.version ?? 0) === c.version ? [] : [{ kind: c.kind, id: c.id, yours: c, theirs }];
    });
    const gone = batch.changes.filter((c) => c.value === null).map(({ kind, id }) => ({ kind, id }));
    if (conflicts.length > 0) {
      const known = this.log.filter((l) => l.batch === batch.batch);
      if (known.length > 0)
        return {
          rows: known.flatMap((l) =>
            l.after
              ? [{ kind: l.kind, version: l.version, createdAt: '', updatedAt: '', value: l.after } as AnyRow]
              : [],
          ),
          gone,
        };
      throw new ApiProblem({ detail: 'conflict', conflicts } as unknown as Problem);
    }
    if (batch.changes.some((c) => c.value?.['locationId'] === 'nowhere'))
      throw new ApiProblem({ detail: 'The place is not there any more.' } as unknown as Problem);
    const rows = batch.changes.flatMap((c): AnyRow[] => {
      const old = this.rows.get(c.id) ?? null;
      const last = Math.max(0, ...this.log.filter((l) => l.id === c.id).map((l) => l.version));
      const version = (old?.version ?? last) + 1;
      if (!old && !c.value) return [];
      this.log.push({
        sequence: this.log.length + 1,
        batch: batch.batch,
        undoes: batch.undoes ?? null,
        step: batch.step ?? null,
        device: batch.device,
        filmId: FILM,
        kind: c.kind,
        id: c.id,
        at: '',
        version,
        before: old?.value ?? null,
        after: c.value,
      } as LoggedChange);
      if (!c.value) {
        this.rows.delete(c.id);
        return [];
      }
      const row = {
        kind: c.kind,
        version,
        createdAt: '',
        updatedAt: '',
        value: structuredClone(c.value),
      } as unknown as AnyRow;
      this.rows.set(c.id, row);
      return [row];
    });
    return structuredClone({ rows, gone });
  }

  /** A request over a line that may lose it, or its answer. */
  answer(batch: Batch): ReturnType<Memory['take']> {
    if (this.down.has(batch.device)) throw new Unreachable('no network');
    const loss = this.losses.get(batch.device)?.shift();
    if (loss === 'late') this.late.push(structuredClone(batch));
    if (loss === 'request' || loss === 'late') throw new Unreachable('lost');
    const taken = this.take(structuredClone(batch));
    if (loss === 'answer') throw new Unreachable('lost');
    return taken;
  }
}

/** A page as long as it lives: what it began comes to nothing once it is gone. */
interface Page {
  gone: boolean;
}

const SLOW = 'f-slow';
/** A film that is read only once its gate is opened. */
const slow = { opened: Promise.resolve(), open: (): void => undefined };

let server = new Memory();
let device = '';
/** Whose turn it is: timers and what follows them belong to the page that set them. */
let page: Page = { gone: false };
const kept = new Map<string, PendingChange[]>();

vi.mock('./api', async (original) => ({
  ...(await original<object>()),
  api: {
    film: async (id: string) => {
      if (id === SLOW) await slow.opened;
      if (server.down.has(device)) throw new Unreachable('no network');
      return structuredClone({
        rows: [...server.rows.values()].map((r) =>
          r.kind === 'film' ? { ...r, value: { ...r.value, id } } : r,
        ),
        sequence: server.log.length,
      });
    },
    kit: async () => ({ rows: [] }),
    changes: async () => structuredClone({ changes: server.log }),
    apply: async (batch: Batch) => server.answer(batch),
  },
}));
vi.mock('./pending-storage', () => ({
  storePending: async (who: string, _film: string, pending: PendingChange[]) => {
    if (!page.gone) kept.set(who, structuredClone(pending));
  },
  pendingOfClosedTabs: async (who: string) => {
    const left = kept.get(who) ?? [];
    kept.delete(who);
    return left;
  },
}));

const onDevice = new Map<string, Snapshot>();
vi.mock('./snapshots', () => ({
  storeSnapshot: async (snapshot: Snapshot) => {
    if (!page.gone) onDevice.set(device, structuredClone(snapshot));
  },
  forgetSnapshot: async () => {
    onDevice.delete(device);
  },
  snapshotOf: async () => structuredClone(onDevice.get(device)),
}));

/** The line on which changes are told, read as far as the test lets it. */
class Line extends EventTarget {
  static readonly open = new Set<Line>();
  private at: number;
  readonly device = device;
  constructor(url: string) {
    super();
    this.at = Number(new URL(url, 'http://x').searchParams.get('since'));
    Line.open.add(this);
  }
  close(): void {
    Line.open.delete(this);
  }
  reset(): void {
    this.dispatchEvent(new Event('reset'));
  }
  tell(): void {
    if (server.down.has(this.device)) return;
    for (const change of server.log.slice(this.at))
      this.dispatchEvent(new MessageEvent('change', { data: JSON.stringify(change) }));
    this.at = server.log.length;
  }
}

/** What the feed does with a line that neither sleeps nor refuses. */
const listening = (since: number, handlers: ChangeHandlers): Line => {
  const line = new Line(`/api/events?since=${since}`);
  line.addEventListener('change', (event) => {
    handlers.change(JSON.parse((event as MessageEvent<string>).data) as LoggedChange);
  });
  line.addEventListener('reset', handlers.reset);
  line.addEventListener('open', handlers.open);
  return line;
};

const pageTimers = (): void => {
  const later = globalThis.setTimeout;
  vi.stubGlobal('setTimeout', (act: () => void, ms?: number) => {
    const mine = page;
    return later(() => {
      if (mine.gone) return;
      page = mine;
      act();
    }, ms);
  });
};

/** A session with the rows it shows, as a page would hold them. */
class OpenFilm {
  private readonly rows = new RowCollection();
  private readonly session = new SyncSession({
    rows: this.rows,
    claimDevice: async () => device,
    openFilm,
    apply: async (batch) => server.answer(batch),
    storePending,
    storeSnapshot: async (snapshot) => storeSnapshot({ ...snapshot, atMs: 0 }),
    subscribe: listening,
    validate: () => [],
    heldPress: () => 0,
    changed: () => undefined,
  });
  readonly open = (id: string) => this.session.open(id);
  readonly close = () => {
    this.session.close();
  };
  readonly undo = () => this.session.undo();
  readonly redo = () => this.session.redo();
  readonly resolve: SyncSession['resolve'] = (conflict, keep) => {
    this.session.resolve(conflict, keep);
  };
  readonly commit = (label: string, changes: readonly WantedChange[]) => this.session.commit(label, changes);
  readonly remove = (label: string, gone: readonly { kind: EntityKind; id: string }[]) =>
    this.commit(
      label,
      gone.map((g) => ({ ...g, after: null })),
    );
  readonly edit = (kind: EntityKind, id: string, fields: object) => {
    const now = this.rows.at(kind, id);
    return now
      ? this.session.commit('edit', [{ kind, id, after: { ...now, ...fields } }], `${kind}:${id}`)
      : [];
  };
  list(kind: EntityKind): readonly Value[] {
    return this.rows.list(kind) as unknown as readonly Value[];
  }
  get(kind: EntityKind, id: string): Value | undefined {
    return (this.rows.at(kind, id) ?? undefined) as Value | undefined;
  }
  get filmId(): string {
    return this.session.filmId;
  }
  get film(): Value | undefined {
    return this.get('film', this.filmId);
  }
  get loading(): boolean {
    return this.session.state.loading;
  }
  get saveState(): string {
    return this.session.state.saving;
  }
  get conflicts() {
    return this.session.state.conflicts;
  }
  get rejected() {
    return this.session.state.rejected;
  }
}

class Tab {
  private page: Page = { gone: true };
  film = new OpenFilm();
  constructor(readonly name: string) {}

  /**
   * Opens the film in a new page; one that was open sends what it has while it goes, and never hears what became of it.
   * @param late it arrives only after the new page has read the film, and nothing of it was kept aside
   */
  async open(late = false): Promise<void> {
    for (const line of [...Line.open]) if (line.device === this.name) line.close();
    if (!this.page.gone) {
      this.turn();
      server.losses.set(this.name, [late ? 'late' : 'answer']);
      if (late) this.page.gone = true;
      this.film.close();
      server.losses.delete(this.name);
      this.page.gone = true;
      await vi.advanceTimersByTimeAsync(0);
    }
    this.page = page = { gone: false };
    device = this.name;
    this.film = new OpenFilm();
    await this.film.open(FILM);
    for (const batch of server.late.splice(0))
      try {
        server.take(batch);
      } catch {
        /* somebody was first, and nobody is there to be told */
      }
  }
  turn(): void {
    page = this.page;
  }
  hear(): void {
    this.turn();
    for (const line of Line.open) if (line.device === this.name) line.tell();
  }
  /** The network goes, or comes back. */
  network(there: boolean): void {
    this.turn();
    if (!there) server.down.add(this.name);
    else if (server.down.delete(this.name))
      for (const line of Line.open) if (line.device === this.name) line.dispatchEvent(new Event('open'));
  }
  /** The server asks to read everything anew. */
  async afresh(): Promise<void> {
    for (const line of [...Line.open])
      if (line.device === this.name) {
        device = this.name;
        line.reset();
      }
    await vi.advanceTimersByTimeAsync(0);
  }
  get shots(): Record<string, Value> {
    return Object.fromEntries(this.film.list('shot').map((s) => [s.id, s as unknown as Value]));
  }
}

const stored = (): Record<string, Value> =>
  Object.fromEntries(
    [...server.rows.values()]
      .filter((r) => r.kind === 'shot')
      .map((r) => [r.value.id, r.value as unknown as Value]),
  );

const tabN = fc.constantFrom(0, 1);
const shotN = fc.constantFrom('s0', 's1', 's2');
const act = fc.oneof(
  { weight: 5, arbitrary: fc.record({ does: fc.constant('edit' as const), tab: tabN, shot: shotN }) },
  {
    weight: 3,
    arbitrary: fc.record({ does: fc.constant('wait' as const), ms: fc.constantFrom(50, 400, 1200) }),
  },
  { weight: 2, arbitrary: fc.record({ does: fc.constant('hear' as const), tab: tabN }) },
  {
    weight: 1,
    arbitrary: fc.record({
      does: fc.constantFrom(
        'undo' as const,
        'redo' as const,
        'reload' as const,
        'reload late' as const,
        'network goes' as const,
        'network goes' as const,
        'network comes' as const,
        'afresh' as const,
      ),
      tab: tabN,
    }),
  },
  { weight: 1, arbitrary: fc.record({ does: fc.constant('misplace' as const), tab: tabN }) },
  {
    weight: 1,
    arbitrary: fc.record({
      does: fc.constant('lose' as const),
      tab: tabN,
      loss: fc.constantFrom<Loss>('request', 'answer'),
    }),
  },
);
const removal = fc.record({
  does: fc.constantFrom('remove' as const, 'add' as const),
  tab: tabN,
  shot: shotN,
});
interface Act {
  readonly does: string;
  readonly tab?: number;
  readonly shot?: string;
  readonly ms?: number;
  readonly loss?: Loss;
}

const FIELD = ['title', 'notes'] as const;

/** What is done to a tab besides editing. */
const DO: Readonly<Record<string, (tab: Tab, act: Act) => unknown>> = {
  remove: (tab, { shot = '' }) => tab.film.remove('delete', [{ kind: 'shot', id: shot }]),
  add: (tab, { shot = '' }) =>
    tab.film.get('shot', shot)
      ? null
      : tab.film.commit('add', [
          { kind: 'shot', id: shot, after: { id: shot, locationId: 'l0', title: 'x', notes: 'x' } },
        ]),
  misplace: (tab) => tab.film.edit('shot', 's3', { locationId: 'nowhere' }),
  wait: (_tab, { ms = 0 }) => vi.advanceTimersByTimeAsync(ms),
  hear: (tab) => {
    tab.hear();
  },
  undo: (tab) => tab.film.undo(),
  redo: (tab) => tab.film.redo(),
  reload: (tab) => tab.open(),
  'network goes': (tab) => {
    tab.network(false);
  },
  'network comes': (tab) => {
    tab.network(true);
  },
  afresh: (tab) => tab.afresh(),
  'reload late': (tab) => tab.open(true),
  lose: (tab, { loss }) =>
    server.losses.set(tab.name, [...(server.losses.get(tab.name) ?? []), ...(loss ? [loss] : [])]),
};

/** Lets everything come to rest, held clashes decided one way. @returns how often each tab asked */
const rest = async (tabs: readonly Tab[], keep: 'mine' | 'theirs'): Promise<number[]> => {
  server.losses.clear();
  for (const tab of tabs) tab.network(true);
  const asked = tabs.map(() => 0);
  for (let round = 0; round < 8; round += 1) {
    await vi.advanceTimersByTimeAsync(40_000);
    for (const [k, tab] of tabs.entries()) {
      tab.hear();
      for (const clash of [...tab.film.conflicts]) {
        asked[k] = (asked[k] ?? 0) + 1;
        tab.film.resolve(clash, keep);
      }
    }
  }
  return asked;
};

/** Two tabs on one film; each act in turn, then everything comes to rest. */
const play = async (
  acts: readonly Act[],
  fieldOf: (tab: number) => 'title' | 'notes',
  keep: 'mine' | 'theirs',
) => {
  server = new Memory();
  kept.clear();
  onDevice.clear();
  Line.open.clear();
  const tabs = [new Tab('t0'), new Tab('t1')] as const;
  for (const tab of tabs) await tab.open();
  const written = new Set(['x']);
  const last: Record<string, string>[] = [{}, {}];
  for (const [n, act] of acts.entries()) {
    const { tab: k = 0, shot = '' } = act;
    const tab = tabs[k as 0 | 1];
    tab.turn();
    if (act.does !== 'edit') {
      await DO[act.does]!(tab, act);
      continue;
    }
    if (!tab.film.get('shot', shot)) continue;
    const text = `${k}-${n}`;
    written.add(text);
    last[k]![shot] = text;
    tab.film.edit('shot', shot, { [fieldOf(k)]: text });
  }
  return { tabs, written, last, asked: await rest(tabs, keep) };
};

describe('two tabs on one film, over a line that loses requests and answers', () => {
  beforeEach(() => {
    vi.useFakeTimers({ now: 1_800_000_000_000 });
    pageTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('come to show what is stored, whatever was changed, taken back, deleted, lost or reloaded', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.oneof({ weight: 12, arbitrary: act }, { weight: 1, arbitrary: removal }), {
          maxLength: 30,
        }),
        fc.constantFrom<'mine' | 'theirs'>('mine', 'theirs'),
        async (acts, keep) => {
          const { tabs, written } = await play(acts, () => 'title', keep);
          for (const tab of tabs) {
            expect(tab.shots).toEqual(stored());
            expect([tab.film.saveState, tab.film.conflicts.length]).toEqual(['saved', 0]);
          }
          for (const shot of Object.values(stored())) {
            expect([...written]).toContain(shot['title']);
            expect(shot['locationId']).toBe('l0');
          }
        },
      ),
      { numRuns: RUNS },
    );
  });

  it('a film opened without a network is the one this device had, with what it could not send', async () => {
    const reached = new Set<string>();
    await fc.assert(
      fc.asyncProperty(
        fc.array(shotN, { minLength: 1, maxLength: 6 }),
        fc.boolean(),
        async (shots, elsewhere) => {
          server = new Memory();
          kept.clear();
          onDevice.clear();
          Line.open.clear();
          const tabs = [new Tab('t0'), new Tab('t1')] as const;
          for (const tab of tabs) await tab.open();
          tabs[0].network(false);
          for (const [n, shot] of shots.entries()) tabs[0].film.edit('shot', shot, { title: `field-${n}` });
          const before = tabs[0].shots;
          if (elsewhere) {
            tabs[1].turn();
            tabs[1].film.edit('shot', shots[0]!, { notes: 'desk' });
            await vi.advanceTimersByTimeAsync(1000);
            reached.add('elsewhere');
          }
          await tabs[0].open();
          expect([tabs[0].film.saveState, tabs[0].shots]).toEqual(['offline', before]);
          await rest(tabs, 'mine');
          for (const [shot, value] of Object.entries(before))
            expect(stored()[shot]!['title']).toBe(value['title']);
          if (elsewhere) expect(stored()[shots[0]!]!['notes']).toBe('desk');
          expect(tabs[0].shots).toEqual(stored());
        },
      ),
      { numRuns: RUNS / 4 },
    );
    expect(reached.size).toBe(1);
  });

  it('a film asked for last is the one that is shown, and what waited of the other waits on', async () => {
    server = new Memory();
    kept.clear();
    slow.opened = new Promise((done) => {
      slow.open = () => {
        done();
      };
    });
    const tab = new Tab('t0');
    await tab.open();
    const pending: PendingChange = {
      kind: 'shot',
      id: 's0',
      version: 1,
      base: { id: 's0', title: 'x' },
      value: { id: 's0', title: 'waits' },
    };
    kept.set('t0', [pending]);
    const first = tab.film.open(SLOW);
    const second = tab.film.open('f-quick');
    await second;
    slow.open();
    await first;
    expect([tab.film.filmId, tab.film.loading, tab.film.film?.id]).toEqual(['f-quick', false, 'f-quick']);
    await vi.advanceTimersByTimeAsync(5000);
    expect(stored()['s0']!['title']).toBe('waits');
  });

  it('a change that is refused takes nothing with it, and is told', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ does: fc.constant('edit' as const), tab: fc.constant(0), shot: shotN }), {
          maxLength: 6,
        }),
        fc.nat(6),
        async (edits, at) => {
          const { tabs, last } = await play(
            [...edits.slice(0, at), { does: 'misplace', tab: 0 }, ...edits.slice(at)],
            () => 'title',
            'mine',
          );
          for (const [shot, text] of Object.entries(last[0]!)) expect(stored()[shot]!['title']).toBe(text);
          expect(tabs[0].film.rejected).toMatchObject([
            { kind: 'shot', id: 's3', base: { title: 'x' }, say: 'The place is not there any more.' },
          ]);
          expect([tabs[0].film.saveState, tabs[0].shots]).toEqual(['saved', stored()]);
        },
      ),
      { numRuns: RUNS / 4 },
    );
  });

  it('on fields of their own keep each other’s last word and never ask', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          act.filter((a) => a.does !== 'undo' && a.does !== 'redo' && a.does !== 'reload late'),
          { maxLength: 30 },
        ),
        async (acts) => {
          const { last, asked } = await play(acts, (k) => FIELD[k as 0 | 1], 'mine');
          expect(asked).toEqual([0, 0]);
          for (const k of [0, 1])
            for (const [shot, text] of Object.entries(last[k]!))
              expect(stored()[shot]![FIELD[k as 0 | 1]], `${FIELD[k as 0 | 1]} of ${shot}`).toBe(text);
        },
      ),
      { numRuns: RUNS },
    );
  });
});
