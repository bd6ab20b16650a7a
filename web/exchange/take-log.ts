import { newRow, type Take, type TakeRating, TAKE_RATINGS } from '@core/model';
import { found, none, type Result } from '@core/units';
import { tr } from './messages';

/** A take as the page that was taken along wrote it. */
interface Noted {
  readonly id: string;
  readonly shotId: string;
  readonly locationId: string;
  readonly utcMs: number;
  readonly rating: TakeRating;
}

const ID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

const isNoted = (value: unknown): value is Noted => {
  const t = value as Partial<Noted> | null;
  return (
    typeof t === 'object' &&
    t !== null &&
    [t.id, t.shotId, t.locationId].every((x) => typeof x === 'string' && ID.test(x)) &&
    typeof t.utcMs === 'number' &&
    Number.isFinite(t.utcMs) &&
    TAKE_RATINGS.some((r) => r === t.rating)
  );
};

/** What a log of takes comes to. */
export interface TakeLog {
  readonly takes: readonly Take[];
  /** Takes that are there already, and those whose shot is not in the film. */
  readonly known: number;
  readonly strange: number;
}

/**
 * Reads the log of a page that was taken along.
 * @param filmId the film it must belong to
 * @returns the takes that are new to the film, or why it cannot be read
 */
export const readTakeLog = (
  text: string,
  filmId: string,
  shots: readonly { readonly id: string; readonly locationId: string }[],
  there: readonly { readonly id: string }[],
): Result<TakeLog> => {
  let file: { format?: unknown; formatVersion?: unknown; filmId?: unknown; takes?: unknown };
  try {
    file = JSON.parse(text) as typeof file;
  } catch {
    return none(tr('itHoldsNoReadableJSON'));
  }
  if (typeof file !== 'object' || file === null || file.format !== 'dusk-slate-takes')
    return none(tr('itIsNoLogOf'));
  if (file.formatVersion !== 1) return none(tr('itWasWrittenByA'));
  if (file.filmId !== filmId) return none(tr('itBelongsToAnotherFilm'));
  if (!Array.isArray(file.takes) || !file.takes.every(isNoted)) return none(tr('itsTakesCannotBeRead'));
  const placeOf = new Map(shots.map((s) => [s.id, s.locationId]));
  const have = new Set(there.map((t) => t.id));
  const own = file.takes.filter((t) => placeOf.has(t.shotId));
  const fresh = own.filter((t) => !have.has(t.id));
  return found({
    takes: fresh.map((t) =>
      newRow('take', {
        id: t.id,
        locationId: placeOf.get(t.shotId) ?? t.locationId,
        shotId: t.shotId,
        utcMs: t.utcMs,
        rating: t.rating,
      }),
    ),
    known: own.length - fresh.length,
    strange: file.takes.length - own.length,
  });
};
