import { newRow, type Entity, DEFAULT_PREFERENCES } from '@core/model';
import { inOrder } from '@core/units';
import { initialValues, moveOf, NOTHING_ADDED } from '@core/moves';
import { generateKeyBetween } from 'fractional-indexing';
import { v4 as uuid } from 'uuid';
import type { useFilm } from '../stores/film';

type Shot = Entity<'shot'>;

/** A key between two neighbours; equal keys (two tabs adding at once) are stepped over. */
export const keyBetween = (before: string | undefined, after: string | undefined): string =>
  generateKeyBetween(
    before ?? null,
    after !== undefined && (before === undefined || before < after) ? after : null,
  );

/** Aircraft, lens and mode of the shot before, as long as they are in use. */
const lensLike = (
  film: ReturnType<typeof useFilm>,
  last: Shot | undefined,
): Pick<Shot, 'aircraftId' | 'cameraId' | 'modeId'> => {
  const usable = film.list('aircraft').filter((a) => !a.retired);
  const aircraft = usable.find((a) => a.id === last?.aircraftId) ?? usable[0];
  if (!aircraft) return { aircraftId: null, cameraId: '', modeId: '' };
  const camera = aircraft.cameras.find((c) => c.id === last?.cameraId) ?? aircraft.cameras[0];
  const mode = camera?.modes.find((m) => m.id === last?.modeId) ?? camera?.modes[0];
  return { aircraftId: aircraft.id, cameraId: camera?.id ?? '', modeId: mode?.id ?? '' };
};

/** A move with its initial numbers, some of them given, and nothing on top. */
export const plainMove = (kind: string, values: Readonly<Record<string, number>> = {}): Shot['move'] => ({
  kind,
  values: { ...initialValues(moveOf(kind)?.parameters ?? []), ...values },
  reversed: false,
  added: { ...NOTHING_ADDED },
  points: [],
  locked: [],
});

/** A new shot: a push in to the first subject of the place, flown as the film prefers. */
export const newShot = (film: ReturnType<typeof useFilm>, locationId: string, position: string): Shot => {
  const preferences = film.film?.preferences ?? DEFAULT_PREFERENCES;
  const last =
    inOrder(film.list('shot').filter((s) => s.locationId === locationId)).at(-1) ?? film.list('shot').at(-1);
  return newRow('shot', {
    id: uuid(),
    locationId,
    position,
    subjectId: film.list('subject').find((s) => s.locationId === locationId)?.id ?? null,
    move: plainMove('push-in'),
    ...lensLike(film, last),
    cutStyle: preferences.cutStyle,
    takeStyle: preferences.takeStyle,
    launchId: last?.locationId === locationId ? last.launchId : null,
  });
};
