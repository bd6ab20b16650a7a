import { validateSemantics, type EntityKind, type FilmInput } from '@core/model';
import { ENTITIES, type FilmFile } from '@contract';
import { adopt, dayJob, proposalOf, solveDay, withChanges } from '@core/scheduler';
import { boardOf } from '@core/story';
import { compareFlights } from '../core/proposals/weigh';
import { dayProblem } from '../core/scheduler/solve-day';
import { deriveFilm } from '../core/film/derive';
import { explain, locationLight } from '@core/shot';
import { explainFlight, kitOnLocation, type LocationPlan } from '@core/day';
import { FIGURES } from '../core/shot/figures';
import { lightJob, shotWindow, sunMinutes } from '@core/light-timeline';
import { lightWarnings, locationLightWarnings } from '@core/warnings';
import { riskDay, simulate } from '@core/risk';
import { weighFlights } from '@core/proposals';
import type { DerivedFilm } from '@core/film';
import { faultsOfDay } from '../core/scheduler/check';
import { bagOf, sheetsOf } from '@core/checks';
import { Ajv } from 'ajv';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoFilm } from '.';
import { numberIn, said } from '../core/testing';

/** As much of a JSON schema as the entities use. */
interface Schema {
  type?: string;
  enum?: string[];
  const?: unknown;
  anyOf?: Schema[];
  properties?: Record<string, Schema>;
  items?: Schema;
  pattern?: string;
  minimum?: number;
  exclusiveMinimum?: number;
  maximum?: number;
  minItems?: number;
  maxItems?: number;
}
interface Step {
  kind: number;
  row: number;
  leaf: number;
  how: number;
  share: number;
}
interface Leaf {
  path: readonly (string | number)[];
  schema: Schema;
}

/** Every value of a row that may become another, with what it may become. */
const leavesOf = (schema: Schema, value: unknown, path: readonly (string | number)[] = []): Leaf[] => {
  const own: Leaf[] =
    schema.type === 'object' || (schema.type === 'array' && (schema.minItems ?? 0) > 0)
      ? []
      : [{ path, schema }];
  if (schema.anyOf) {
    const inner =
      value === null
        ? []
        : schema.anyOf
            .filter((s) => s.type === (Array.isArray(value) ? 'array' : typeof value))
            .slice(0, 1)
            .flatMap((s) => leavesOf(s, value, path).filter((l) => l.path.length > path.length));
    return [...own, ...inner];
  }
  if (schema.type === 'object')
    return Object.entries(schema.properties ?? {}).flatMap(([key, s]) =>
      key in (value as object) ? leavesOf(s, (value as Record<string, unknown>)[key], [...path, key]) : [],
    );
  if (schema.type === 'array')
    return [
      ...own,
      ...(value as unknown[]).flatMap((v, i) =>
        schema.items ? leavesOf(schema.items, v, [...path, i]) : [],
      ),
    ];
  return own;
};

const numberFrom = (s: Schema, was: unknown, { how, share }: Step): number => {
  const low = s.minimum ?? (s.exclusiveMinimum ?? 0) + 1e-3;
  const high = s.maximum ?? low + 1e4;
  const near = typeof was === 'number' ? was * (0.4 + 1.4 * share) : low;
  const value = [low, high, low + (high - low) * share, near, near][how % 5] ?? low;
  const held = Math.min(high, Math.max(low, value));
  return s.type === 'integer' ? Math.round(held) : held;
};
/** Another value that a leaf may take; undefined where words are free or refer to something. */
const otherFor = ({ schema: s }: Leaf, was: unknown, step: Step): unknown => {
  if (s.anyOf) {
    const one = s.anyOf[step.how % s.anyOf.length] ?? {};
    return one.type === 'null'
      ? null
      : otherFor({ path: [], schema: one }, was, { ...step, how: Math.floor(step.how / s.anyOf.length) });
  }
  if (s.enum) return s.enum[Math.floor(step.share * s.enum.length)];
  if (s.type === 'boolean') return !was;
  if (s.type === 'number' || s.type === 'integer') return numberFrom(s, was, step);
  if (s.type === 'array') return [];
  if (s.pattern?.includes('[0-5]'))
    return `${String(Math.floor(step.share * 24)).padStart(2, '0')}:${String(step.how % 60).padStart(2, '0')}`;
  return s.pattern?.includes('0[1-9]')
    ? ['2027-05-14', '2027-06-21', '2027-12-21', '2028-02-29', '2027-03-28', '1999-12-31'][step.how % 6]
    : undefined;
};

const put = (value: unknown, [head, ...rest]: readonly (string | number)[], other: unknown): unknown => {
  if (head === undefined) return other;
  if (Array.isArray(value)) return value.map((v: unknown, i) => (i === head ? put(v, rest, other) : v));
  return { ...(value as object), [head]: put((value as Record<string, unknown>)[head], rest, other) };
};
const at = (value: unknown, path: readonly (string | number)[]): unknown =>
  path.reduce<unknown>((v, key) => (v as Record<string | number, unknown>)[key], value);

const LISTS = {
  location: ['locations'],
  subject: ['subjects'],
  shot: ['shots'],
  feature: ['features'],
  reading: ['readings'],
  aircraft: ['kit', 'aircraft'],
  pack: ['kit', 'packs'],
  card: ['kit', 'cards'],
  filter: ['kit', 'filters'],
  charger: ['kit', 'chargers'],
  device: ['kit', 'devices'],
  pilot: ['kit', 'pilots'],
  flightLogEntry: ['kit', 'flightLog'],
  cardMove: ['kit', 'cardMoves'],
} as const;
const KINDS = ['film', 'shot', 'shot', 'shot', 'location', 'location', ...Object.keys(LISTS)] as EntityKind[];
const ajv = new Ajv({ strict: false });
const checks = new Map(KINDS.map((k) => [k, ajv.compile(ENTITIES[k])]));

/** A film with one value changed to another that both checks allow; the same film where that cannot be. */
const stepped = (film: FilmFile, step: Step): FilmFile => {
  const kind = KINDS[step.kind % KINDS.length]!;
  const list = kind === 'film' ? ['film'] : [...LISTS[kind as keyof typeof LISTS]];
  const rows = at(film, list);
  if (Array.isArray(rows) && rows.length === 0) return film;
  const path = kind === 'film' ? list : [...list, step.row % (rows as unknown[]).length];
  const row = at(film, path);
  const leaves = leavesOf(ENTITIES[kind] as unknown as Schema, row).filter(
    (l) => !/^(id|position|zone)$|Ids?$/.test(String(l.path.at(-1))),
  );
  const leaf = leaves[step.leaf % leaves.length]!;
  const other = otherFor(leaf, at(row, leaf.path), step);
  if (other === undefined) return film;
  const changed = put(row, leaf.path, other);
  return checks.get(kind)!(changed) && validateSemantics(kind, changed).length === 0
    ? (put(film, path, changed) as FilmFile)
    : film;
};

const NONSENSE = /NaN|undefined|Infinity|\[object/;
/** Every word in whatever is told. */
const wordsIn = (value: unknown): string[] =>
  typeof value === 'string'
    ? [value]
    : Array.isArray(value)
      ? value.flatMap(wordsIn)
      : value !== null && typeof value === 'object'
        ? Object.values(value).flatMap(wordsIn)
        : [];

/** What the light of a place says of its shots. */
const lightSaid = (film: FilmInput, derived: DerivedFilm, place: LocationPlan): unknown[] => {
  if (!place.light || !Number.isFinite(place.windowFromMs)) return [];
  const lit = locationLight(place.location, place.light, film.readings, film.film.preferences);
  const sky = sunMinutes(
    lit,
    place.windowFromMs,
    Math.max(place.windowToMs, ...place.flights.map((f) => f.endMs)),
  );
  const [shot] = [...derived.shots.values()].filter((s) => s.facts.location.id === place.location.id);
  const job = shot ? lightJob(shot, film.kit) : null;
  return [
    locationLightWarnings(place, film.shots, film.readings),
    job ? lightWarnings(lit, job, shotWindow(lit, job, sky), sky) : [],
  ];
};

const saidBy = (film: FilmInput, derived: DerivedFilm): string[] => {
  const places = [...derived.places.values()];
  const [place] = places;
  const input = { ...film, kit: kitOnLocation(film.kit, film.film) };
  const sheets = place
    ? sheetsOf({
        input,
        derived,
        date: place.location.date,
        place,
        places: [place],
        flight: place.flights[0] ?? null,
        shot: null,
        site: [],
        nowMs: 1_810_000_000_000,
      })
    : [];
  return wordsIn([
    [...derived.shots.values()].map((s) => [s.warnings, FIGURES.map((f) => explain(f, s.facts))]),
    [...derived.locationWarnings.values()],
    derived.budget.warnings,
    sheets.map((s) => s.lines.map((l) => [said(l.prompt), l.result])),
    boardOf(derived, input.groundShots).remarks,
    bagOf(input, film.kit, derived, places).items,
    places.map((p) => [p.flights.map((f) => explainFlight(f, derived)), lightSaid(film, derived, p)]),
  ]);
};

const RUNS = Number(process.env['DUSK_RUNS'] ?? 60);

/** Even numbers in [0, 1), always the same. */
const even = (): (() => number) => {
  let x = 1;
  return () => {
    x = (x * 16807) % 2147483647;
    return x / 2147483647;
  };
};

describe('any film that may be stored', () => {
  const made = demoFilm();
  const step = fc.record({
    kind: fc.nat(KINDS.length - 1),
    row: fc.nat(40),
    leaf: fc.nat(200),
    how: fc.nat(59),
    share: numberIn(0, 0.999),
  });
  it('is worked out, and nothing that is said of it is nonsense', () => {
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 12 }), (steps) => {
        const film = steps.reduce(stepped, made) as FilmInput;
        const derived = deriveFilm(film);
        const { airborneS, usedWh, bytes } = derived.budget;
        for (const figure of [airborneS, usedWh, bytes]) {
          expect(figure).toBeGreaterThanOrEqual(0);
          expect(Number.isFinite(figure)).toBe(true);
        }
        for (const { facts } of derived.shots.values())
          if (facts.trajectory)
            for (const s of [facts.seconds.airS, facts.seconds.takeS, facts.bytes])
              expect(Number.isFinite(s) && s >= 0, facts.shot.title).toBe(true);
        expect(saidBy(film, derived).filter((say) => NONSENSE.test(say))).toEqual([]);
        for (const date of new Set(film.locations.map((l) => l.date))) {
          const day = riskDay(film, derived, date);
          if (!day) continue;
          const risk = simulate(day, 20, even());
          for (const share of [risk.allMusts, risk.all, ...risk.missing.map((m) => m.chance)]) {
            expect(share).toBeGreaterThanOrEqual(0);
            expect(share).toBeLessThanOrEqual(1);
          }
          for (const p of [risk.minutes, risk.minutesLeft, risk.flights]) {
            expect(p.p10).toBeLessThanOrEqual(p.p50);
            expect(p.p50).toBeLessThanOrEqual(p.p90);
            expect(Number.isFinite(p.p90)).toBe(true);
          }
        }
      }),
      { numRuns: RUNS },
    );
  });
  it('has days whose plans break no limit, and that fly no worse by them than by the list', () => {
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 12 }), (steps) => {
        const film = steps.reduce(stepped, made) as FilmInput;
        const derived = deriveFilm(film);
        for (const date of new Set(film.locations.map((l) => l.date))) {
          const job = dayJob(film, derived, date);
          if (!job) continue;
          let [rounds, ids] = [4, 0];
          const answer = solveDay(job, even(), () => {
            rounds -= 1;
            return rounds > 0;
          });
          expect(faultsOfDay(dayProblem(job), answer.plan)).toEqual([]);
          const changes = adopt(film, derived, proposalOf(job, answer).flights, true, -Infinity, () => {
            ids += 1;
            return `00000000-0000-4000-8000-${String(ids).padStart(12, '0')}`;
          });
          const after = deriveFilm(withChanges(film, changes ?? []));
          const places = film.locations.filter((l) => l.date === date).map((l) => l.id);
          const [is, was] = [weighFlights(after, places), weighFlights(derived, places)];
          expect(is.over).toBe(0);
          expect(compareFlights(is, was), JSON.stringify([is, was])).toBeLessThanOrEqual(0);
        }
      }),
      { numRuns: Math.ceil(RUNS / 2) },
    );
  });
});
