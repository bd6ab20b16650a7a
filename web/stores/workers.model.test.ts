import { createPinia, setActivePinia } from 'pinia';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { AnyRow } from '@contract';
import type { EntityKind, FilmInput } from '@core/model';
import { deriveFilm } from '../../core/film/derive';
import { kitOnLocation, locationDay } from '@core/day';
import { lightJob, shotWindow, sunMinutes } from '@core/light-timeline';
import {
  lightWarnings,
  locationLightWarnings,
  locationSiteWarnings,
  siteWarnings,
  type Warning,
} from '@core/warnings';
import { locationLight } from '@core/shot';
import { sceneOf, siteShot } from '@core/location';
import { demoFilm } from '../../demo';
import { useFilm } from './film';
import { useFindings } from './findings';
import { useLight } from './light';
import { useSite } from './site';
import { numberIn } from '../../core/testing';

/** What the workers show to the page, by name. */
const shown = new Map<string, Record<string, (...args: unknown[]) => unknown>>();
const exposed: Record<string, (...args: unknown[]) => unknown>[] = [];
let rows: AnyRow[] = [];

// A worker in the same thread: what goes over is copied, as it is between threads, so that nothing is shared by accident.
vi.mock('comlink', () => ({
  expose: (api: (typeof exposed)[number]) => {
    exposed.push(api);
  },
  transfer: (x: unknown) => x,
  wrap: (worker: { readonly name: string }) =>
    new Proxy(
      {},
      {
        get:
          (_, method: string) =>
          async (...args: unknown[]) =>
            structuredClone(await shown.get(worker.name)![method]!(...structuredClone(args))),
      },
    ),
}));
vi.mock('../sync/api', async (original) => ({
  ...(await original<object>()),
  api: {
    film: async () => ({ rows, sequence: 0 }),
    kit: async () => ({ rows: [] }),
    changes: async () => ({ changes: [] }),
    apply: async ({
      changes,
    }: {
      changes: { kind: EntityKind; id: string; version: number; value: object | null }[];
    }) => ({
      rows: changes.filter((c) => c.value).map((c) => ({ ...c, version: c.version + 1 })),
      gone: changes.filter((c) => !c.value),
    }),
  },
}));
vi.mock('../sync/device', () => ({ claimDevice: async () => 't', tabLock: (d: string) => d }));
vi.mock('../composables/idle', () => ({ whenIdle: () => undefined }));
vi.mock('../sync/pending-storage', () => ({
  storePending: async () => undefined,
  pendingOfClosedTabs: async () => [],
}));

class NamedWorker {
  readonly name: string;
  constructor(_url: URL, { name }: { name: string }) {
    this.name = name;
  }
}

/** The made-up film as rows, on level ground. */
const rowsOf = (): AnyRow[] => {
  const { film, locations, subjects, shots, readings, features, flights, answers, kit } = demoFilm();
  const all: [EntityKind, readonly { readonly id: string }[]][] = [
    ['film', [film]],
    ['location', locations],
    ['subject', subjects],
    ['shot', shots],
    ['reading', readings],
    ['feature', features],
    ['flight', flights],
    ['answer', answers],
    ['aircraft', kit.aircraft],
    ['pack', kit.packs],
    ['card', kit.cards],
    ['filter', kit.filters],
    ['pilot', kit.pilots],
    ['practice', kit.practice],
    ['charger', kit.chargers],
    ['device', kit.devices],
    ['flightLogEntry', kit.flightLog],
    ['gear', kit.gear],
    ['cardMove', kit.cardMoves],
    ['check', kit.checks],
  ];
  return structuredClone(all).flatMap(([kind, list]) =>
    list.map((value) => ({ kind, version: 1, createdAt: '', updatedAt: '', value }) as unknown as AnyRow),
  );
};

type WarningsById = Record<string, readonly Warning[]>;
const RUNS = Number(process.env['DUSK_RUNS'] ?? 14);

/** What a place means to its shots, everything asked at once. */
const siteAfresh = (input: FilmInput): { shots: WarningsById; places: WarningsById } => {
  const shots: WarningsById = {};
  const places: WarningsById = {};
  for (const location of input.locations) {
    const here = <T extends { readonly locationId: string }>(list: readonly T[]): T[] =>
      list.filter((t) => t.locationId === location.id);
    const scene = sceneOf(input.film, location, here(input.subjects), here(input.features), undefined);
    places[location.id] = locationSiteWarnings(scene);
    for (const shot of here(input.shots)) {
      const parts = {
        shot,
        film: input.film,
        location,
        ground: undefined,
        subject: here(input.subjects).find((s) => s.id === shot.subjectId) ?? null,
        aircraft: input.kit.aircraft.find((a) => a.id === shot.aircraftId) ?? null,
      };
      const site = siteShot(parts, scene);
      if (site) shots[shot.id] = siteWarnings({ parts, scene, site });
    }
  }
  return { shots, places };
};

/** The light of all shots, everything asked at once. */
const lightAfresh = (input: FilmInput): { windows: Record<string, unknown>; shots: WarningsById } => {
  const derived = deriveFilm(input);
  const kit = kitOnLocation(input.kit, input.film);
  const windows: Record<string, unknown> = {};
  const told: WarningsById = {};
  for (const place of derived.places.values()) {
    const shots = [...derived.shots.values()].filter((s) => s.facts.location.id === place.location.id);
    const { light } = locationDay(place.location, input.film);
    if (!light || !place.light) continue;
    const toMs = Math.max(place.windowToMs, ...place.flights.map((f) => f.endMs));
    const lit = locationLight(place.location, light, input.readings, input.film.preferences);
    const sky = sunMinutes(lit, place.windowFromMs, toMs);
    const own = locationLightWarnings(
      place,
      shots.map((s) => s.facts.shot),
      input.readings,
    );
    for (const s of shots) {
      const id = s.facts.shot.id;
      const job = lightJob(s, kit);
      const window = job && shotWindow(lit, job, sky);
      if (job && window) windows[id] = { ...window, settings: [] };
      told[id] = [
        ...(job && window ? lightWarnings(lit, job, window, sky) : []),
        ...own.filter((w) => w.subject.kind === 'shot' && w.subject.id === id),
      ];
    }
  }
  return { windows, shots: told };
};

const plainOf = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value instanceof Map ? Object.fromEntries(value) : value));
const filled = (told: WarningsById): WarningsById =>
  Object.fromEntries(Object.entries(told).filter(([, list]) => list.length > 0));

const edit = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.record({
      does: fc.constant('shot' as const),
      which: fc.nat(17),
      fields: fc.oneof(
        fc.record({ zoom: numberIn(1, 2) }),
        fc.record({ wants: fc.constantFrom('golden', 'blue', 'any', 'backlit') }),
        fc.record({ notBefore: fc.constantFrom(null, '19:00') }),
        fc.record({ offsetStops: fc.integer({ min: -1, max: 1 }) }),
        fc.record({ subjectId: fc.constant(null) }),
        fc.record({ aircraftId: fc.constant(null) }),
      ),
    }),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      does: fc.constant('wind' as const),
      which: fc.nat(2),
      to: numberIn(0, 9),
    }),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      does: fc.constant('higher' as const),
      which: fc.nat(5),
      to: numberIn(1, 40),
    }),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      does: fc.constantFrom('remove' as const, 'other place' as const),
      which: fc.nat(17),
    }),
  },
  { weight: 1, arbitrary: fc.record({ does: fc.constant('undo' as const) }) },
  {
    weight: 3,
    arbitrary: fc.record({ does: fc.constant('wait' as const), ms: fc.constantFrom(20, 100, 320, 700) }),
  },
);
interface Edit {
  readonly does: string;
  readonly which?: number;
  readonly to?: number;
  readonly ms?: number;
  readonly fields?: object;
}

type Store = ReturnType<typeof useFilm>;
const nth = <T>(list: readonly T[], n = 0): T | undefined => list[n % Math.max(1, list.length)];
const DO: Readonly<Record<string, (film: Store, edit: Edit) => unknown>> = {
  shot: (film, { which, fields }) => {
    const s = nth(film.list('shot'), which);
    return s && film.edit('shot', s.id, fields as never);
  },
  wind: (film, { which, to = 0 }) => {
    const l = nth(film.list('location'), which);
    return l && film.edit('location', l.id, { windMs: to });
  },
  higher: (film, { which, to = 1 }) => {
    const s = nth(film.list('subject'), which);
    return s && film.edit('subject', s.id, { heightM: to });
  },
  remove: (film, { which }) => {
    const s = nth(film.list('shot'), which);
    return s && film.remove('delete', [{ kind: 'shot', id: s.id }]);
  },
  'other place': (film, { which }) => {
    const s = nth(film.list('shot'), which);
    const to = film.list('location').find((l) => l.id !== s?.locationId);
    return s && to && film.edit('shot', s.id, { locationId: to.id, subjectId: null });
  },
  undo: (film) => film.undo(),
  wait: (_film, { ms = 0 }) => vi.advanceTimersByTimeAsync(ms),
};

describe('what is worked out beside the page', () => {
  beforeEach(async () => {
    if (shown.size === 0)
      for (const [name, load] of [
        ['site', () => import('../workers/site.worker')],
        ['light', () => import('../workers/light.worker')],
      ] as const) {
        await load();
        shown.set(name, exposed.at(-1)!);
      }
    vi.useFakeTimers({
      now: 1_800_000_000_000,
      toFake: ['setTimeout', 'clearTimeout', 'performance', 'Date'],
    });
    vi.stubGlobal('Worker', NamedWorker);
    vi.stubGlobal(
      'EventSource',
      class extends EventTarget {
        close(): void {
          /* nothing is told here */
        }
      },
    );
    vi.stubGlobal('document', Object.assign(new EventTarget(), { hidden: true }));
    vi.stubGlobal('window', new EventTarget());
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it(
    'comes to what asking for everything at once comes to, whatever was changed while it was being looked at',
    async () => {
      await fc.assert(
        fc.asyncProperty(fc.array(edit, { maxLength: 10 }), async (edits) => {
          rows = rowsOf();
          setActivePinia(createPinia());
          const film = useFilm();
          await film.open(rows[0]!.value.id);
          const site = useSite();
          const light = useLight();
          site.start();
          light.start();
          for (const e of edits) await DO[e.does]!(film, e);
          await vi.advanceTimersByTimeAsync(20_000);
          const findings = useFindings();
          const input = film.input!;
          const expected = siteAfresh(input);
          expect(plainOf(findings.of('site').shots)).toEqual(plainOf(expected.shots));
          expect(plainOf(findings.of('site').places)).toEqual(plainOf(expected.places));
          const lit = lightAfresh(input);
          expect(plainOf(light.windows)).toEqual(plainOf(lit.windows));
          const said = Object.fromEntries(
            [...findings.of('light').shots].map(([id, list]) => [
              id,
              list.filter((w) => w.subject.kind !== 'aircraft'),
            ]),
          );
          expect(filled(said)).toEqual(filled(plainOf(lit.shots) as WarningsById));
        }),
        { numRuns: RUNS },
      );
    },
    Math.max(120_000, RUNS * 2000),
  );
});
