import type { DerivedFilm, DerivedShot } from '../film';
import type { FilmInput, Take, TakeReason } from '../model';
import { takesOf } from '../shot';
import { groupBy } from '../units';
import { locationAt } from '../weather';

/** A shot as planned beside what was flown of it. */
export interface ShotFlown {
  readonly shot: DerivedShot;
  readonly plannedTakes: number;
  readonly takes: readonly Take[];
  readonly good: number;
  /** Reasons of takes that were not good, the commonest first. */
  readonly reasons: readonly { readonly reason: TakeReason; readonly takes: number }[];
  readonly status: 'kept' | 'tried' | 'missing';
}

/** What tries are told apart by. */
export type TryBy = 'move' | 'pilot' | 'wind' | 'height';

/** Tries that share something, and how many of them were good. */
export interface TryGroup {
  /** Kind of move, id of the pilot, or the lower edge of a band of wind in m/s or height in m. */
  readonly key: string;
  readonly tries: number;
  readonly good: number;
}

/** Bands of wind, m/s at 10 m, and of height above launch, m: lower edges. */
export const WIND_BANDS = [0, 3, 6, 9] as const;
export const HEIGHT_BANDS = [0, 10, 30, 60] as const;

const bandOf = (value: number, edges: readonly number[]): string =>
  String(edges.filter((e) => value >= e).at(-1) ?? edges[0] ?? 0);

const reasonsOf = (takes: readonly Take[]): ShotFlown['reasons'] =>
  [
    ...groupBy(
      takes.flatMap((t) => (t.rating !== 'good' && t.reason ? [t.reason] : [])),
      (r) => r,
    ),
  ]
    .map(([reason, list]) => ({ reason, takes: list.length }))
    .sort((a, b) => b.takes - a.takes || a.reason.localeCompare(b.reason));

/** Every shot of a film beside what was flown of it, in the order of the list. */
export const shotsFlown = (
  input: Pick<FilmInput, 'takes'>,
  derived: Pick<DerivedFilm, 'shots'>,
): readonly ShotFlown[] => {
  const byShot = groupBy(input.takes, (t) => t.shotId);
  return [...derived.shots.values()]
    .sort((a, b) => a.number - b.number)
    .map((shot) => {
      const takes = [...(byShot.get(shot.facts.shot.id) ?? [])].sort((a, b) => a.utcMs - b.utcMs);
      const good = takes.filter((t) => t.rating === 'good').length;
      return {
        shot,
        plannedTakes: takesOf(shot.facts.shot),
        takes,
        good,
        reasons: reasonsOf(takes),
        status: shot.done ? 'kept' : takes.length > 0 ? 'tried' : 'missing',
      };
    });
};

const keyOf = (input: FilmInput, shot: DerivedShot, take: Take, by: TryBy): string => {
  switch (by) {
    case 'move':
      return shot.facts.shot.move.kind;
    case 'pilot':
      return input.film.pilotId ?? '';
    case 'wind':
      return bandOf(locationAt(shot.facts.location, take.utcMs).windMs, WIND_BANDS);
    case 'height':
      return bandOf(
        Math.max(...(shot.facts.trajectory?.samples.map((s) => s.pose.at.z) ?? [0])),
        HEIGHT_BANDS,
      );
  }
};

/** Good ones per try, by move, pilot, wind or height; most tries first, bands in their order. */
export const triesBy = (input: FilmInput, flown: readonly ShotFlown[], by: TryBy): readonly TryGroup[] => {
  const tries = flown.flatMap(({ shot, takes }) =>
    takes.map((take) => ({ key: keyOf(input, shot, take, by), good: take.rating === 'good' })),
  );
  const groups = [...groupBy(tries, (t) => t.key)].map(([key, list]) => ({
    key,
    tries: list.length,
    good: list.filter((t) => t.good).length,
  }));
  return by === 'wind' || by === 'height'
    ? groups.sort((a, b) => Number(a.key) - Number(b.key))
    : groups.sort((a, b) => b.tries - a.tries || a.key.localeCompare(b.key));
};

/** Fewer tries than this say nothing about a move. */
const TRIES_TO_SAY = 2;
/** Kept less often than this, a move is practised before the next day. Own choice. */
const PRACTISE_BELOW = 0.5;

/** Moves that failed more often than not, worst first: what to practise before the next day. */
export const movesToPractise = (groups: readonly TryGroup[]): readonly TryGroup[] =>
  groups
    .filter((g) => g.tries >= TRIES_TO_SAY && g.good / g.tries < PRACTISE_BELOW)
    .sort((a, b) => a.good / a.tries - b.good / b.tries || b.tries - a.tries);

/** What a second day would have to bring: the shots that are not kept, by location. */
export interface SecondDay {
  readonly locationId: string;
  readonly shotIds: readonly string[];
  /** Minutes in the air they need, without the way there. */
  readonly minutes: number;
  readonly musts: number;
}

/** What is still missing, by location in the order of the plan; empty when everything is kept. */
export const secondDay = (
  input: Pick<FilmInput, 'locations'>,
  flown: readonly ShotFlown[],
): readonly SecondDay[] => {
  const open = flown.filter((f) => f.status !== 'kept');
  return input.locations.flatMap((l) => {
    const own = open.filter((f) => f.shot.facts.location.id === l.id);
    return own.length === 0
      ? []
      : [
          {
            locationId: l.id,
            shotIds: own.map((f) => f.shot.facts.shot.id),
            minutes: own.reduce((sum, f) => sum + f.shot.facts.seconds.airS, 0) / 60,
            musts: own.filter((f) => f.shot.facts.shot.priority === 'must').length,
          },
        ];
  });
};
