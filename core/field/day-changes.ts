import { plannedShares } from '../day';
import type { DerivedFilm } from '../film';
import type { FilmInput, Location, Sky } from '../model';
import { addDays, minutesOf } from '../time';

/** Something that turns out differently on the day. */
export type DayChange =
  | { readonly kind: 'wind'; readonly byMs: number }
  | { readonly kind: 'gusts'; readonly byMs: number }
  | { readonly kind: 'location-closed'; readonly locationId: string }
  | { readonly kind: 'minutes'; readonly lost: number }
  | { readonly kind: 'sky'; readonly sky: Sky }
  | { readonly kind: 'pack-charge'; readonly packId: string; readonly share: number }
  | { readonly kind: 'pack-out'; readonly packId: string }
  | { readonly kind: 'card-out'; readonly cardId: string }
  | { readonly kind: 'aircraft-out'; readonly aircraftId: string }
  | { readonly kind: 'shot-out'; readonly shotId: string };

/** Fields of a row that change; null takes the row away. */
export interface RowEdit {
  readonly kind: 'film' | 'location' | 'pack' | 'shot';
  readonly id: string;
  readonly fields: Readonly<Record<string, unknown>> | null;
}

const DAY_MIN = 1440;
const clockOf = (minutes: number): string => {
  const m = ((minutes % DAY_MIN) + DAY_MIN) % DAY_MIN;
  return `${String(Math.floor(m / 60)).padStart(2, '0')}:${String(m % 60).padStart(2, '0')}`;
};
const atLeast0 = (ms: number): number => Math.max(0, Math.round(ms * 10) / 10);

const windier = (l: Location, byMs: number) => ({
  windMs: atLeast0(l.windMs + byMs),
  gustMs: atLeast0(l.gustMs + byMs),
  hours: l.hours.map((h) => ({ ...h, windMs: atLeast0(h.windMs + byMs), gustMs: atLeast0(h.gustMs + byMs) })),
});

/**
 * A window that opens later by minutes that were lost, or earlier by those that were gained; it never opens after it closes.
 * One that opens before midnight and loses its evening opens on the next day.
 */
const later = (l: Location, lost: number) => {
  const [from, to] = [minutesOf(l.windowStart), minutesOf(l.windowEnd)];
  const length = to > from ? to - from : to + DAY_MIN - from;
  const opens = from + Math.min(lost, length - 1);
  return {
    windowStart: clockOf(opens),
    ...(opens >= DAY_MIN ? { date: addDays(l.date, 1) } : opens < 0 ? { date: addDays(l.date, -1) } : {}),
  };
};

/**
 * The rows a change of the day alters.
 * @param locationIds locations of the day that are still to come, the one at hand among them
 */
export const dayEdits = (
  input: FilmInput,
  change: DayChange,
  locationIds: ReadonlySet<string>,
): readonly RowEdit[] => {
  const here = input.locations.filter((l) => locationIds.has(l.id));
  const each = (fields: (l: Location) => object): RowEdit[] =>
    here.map((l) => ({ kind: 'location', id: l.id, fields: fields(l) as RowEdit['fields'] }));
  const leaveOut = (ids: readonly string[]): RowEdit[] => [
    {
      kind: 'film',
      id: input.film.id,
      fields: { leftHome: [...new Set([...input.film.leftHome, ...ids])] },
    },
  ];
  switch (change.kind) {
    case 'wind':
      return each((l) => windier(l, change.byMs));
    case 'gusts':
      return each((l) => ({
        gustMs: Math.max(l.windMs, atLeast0(l.gustMs + change.byMs)),
        hours: l.hours.map((h) => ({ ...h, gustMs: Math.max(h.windMs, atLeast0(h.gustMs + change.byMs)) })),
      }));
    case 'location-closed':
      // It goes on to the day after: nothing that was entered is lost.
      return here
        .filter((l) => l.id === change.locationId)
        .map((l) => ({
          kind: 'location',
          id: l.id,
          fields: { date: addDays(l.date, 1) },
        }));
    case 'minutes':
      return each((l) => later(l, change.lost));
    case 'sky':
      return each((l) => ({ sky: change.sky, hours: l.hours.map((h) => ({ ...h, sky: change.sky })) }));
    case 'pack-charge':
      return [
        {
          kind: 'pack',
          id: change.packId,
          fields: { charge: change.share, chargedOn: here[0]?.date ?? null },
        },
      ];
    case 'pack-out':
      return leaveOut([change.packId]);
    case 'card-out':
      return leaveOut([change.cardId]);
    case 'aircraft-out':
      // Its packs fly nothing else: without them nothing is planned for it.
      return leaveOut(
        input.kit.packs.filter((p) => p.aircraftIds.every((id) => id === change.aircraftId)).map((p) => p.id),
      );
    case 'shot-out':
      return [{ kind: 'shot', id: change.shotId, fields: null }];
  }
};

const edited = <T extends { readonly id: string }>(
  rows: readonly T[],
  kind: RowEdit['kind'],
  edits: readonly RowEdit[],
): readonly T[] =>
  rows.flatMap((row) => {
    const own = edits.filter((e) => e.kind === kind && e.id === row.id);
    if (own.some((e) => e.fields === null)) return [];
    return [own.reduce<T>((now, e) => ({ ...now, ...e.fields }), row)];
  });

/** A film as it is with some rows changed. */
export const withEdits = (input: FilmInput, edits: readonly RowEdit[]): FilmInput => ({
  ...input,
  film: edited([input.film], 'film', edits)[0] ?? input.film,
  locations: edited(input.locations, 'location', edits),
  shots: edited(input.shots, 'shot', edits),
  kit: { ...input.kit, packs: edited(input.kit.packs, 'pack', edits) },
});

/** What a change does to the shots that are still to be flown. */
export interface DayDifference {
  /** Shots that fly no more, and those that fly now and did not. */
  readonly dropped: readonly string[];
  readonly gained: readonly string[];
  /** Shots flown at another minute, with the minutes they moved by. */
  readonly moved: readonly { readonly id: string; readonly minutes: number }[];
  /** Shots that land with less, or more, in the pack: percent points of its rated energy. */
  readonly charge: readonly { readonly id: string; readonly points: number }[];
}

/** Moves and charges smaller than this are not worth a word. */
const LEAST_MINUTES = 2;
const LEAST_POINTS = 3;

const flown = (derived: DerivedFilm) =>
  new Map(
    [...derived.places.values()].flatMap((p) =>
      p.flights.flatMap((f) =>
        f.stops.map(
          ({ shotId }) =>
            [shotId, { atMs: f.shotMs[shotId] ?? f.startMs, share: plannedShares(f).endShare }] as const,
        ),
      ),
    ),
  );

/** How two plans of a film differ, shot by shot. */
export const dayDifference = (before: DerivedFilm, after: DerivedFilm): DayDifference => {
  const [was, is] = [flown(before), flown(after)];
  const both = [...was.keys()].filter((id) => is.has(id));
  const step = (id: string): number => ((is.get(id)?.atMs ?? 0) - (was.get(id)?.atMs ?? 0)) / 60_000;
  const points = (id: string): number => 100 * ((is.get(id)?.share ?? 0) - (was.get(id)?.share ?? 0));
  return {
    dropped: [...was.keys()].filter((id) => !is.has(id) && !after.done.has(id)),
    gained: [...is.keys()].filter((id) => !was.has(id)),
    moved: both
      .filter((id) => Math.abs(step(id)) >= LEAST_MINUTES)
      .map((id) => ({ id, minutes: Math.round(step(id)) })),
    charge: both
      .filter((id) => Math.abs(points(id)) >= LEAST_POINTS)
      .map((id) => ({ id, points: Math.round(points(id)) })),
  };
};
