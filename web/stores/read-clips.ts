import type { ClipFile } from '@core/card-match';
import { del, get, set } from 'idb-keyval';
import { defineStore } from 'pinia';
import { shallowRef, watch } from 'vue';
import { durableStore } from '../sync/device-store';
import { useFilm } from './film';

/** A clip that was read on this device, with a picture of it where the browser could decode one. */
export interface ReadClip extends ClipFile {
  readonly picture: string | null;
}

const kept = durableStore('dusk-clips', 'films');

/** What was read of a film goes with it. */
export const forgetClips = (filmId: string): Promise<void> => del(filmId, kept).catch(() => undefined);

/** Clips of the film's takes as this device has read them, by take. They stay on the device: footage is nobody's row. */
export const useReadClips = defineStore('read-clips', () => {
  const film = useFilm();
  const byTake = shallowRef<ReadonlyMap<string, ReadClip>>(new Map());
  watch(
    () => film.filmId,
    async (id) => {
      byTake.value = new Map();
      const own = await get<ReadonlyMap<string, ReadClip>>(id, kept).catch(() => undefined);
      if (film.filmId !== id) return;
      byTake.value = new Map([...(own ?? []), ...byTake.value]);
    },
    { immediate: true },
  );
  /** Keeps what was read of a take's clip; clips of takes that are gone are forgotten with it. */
  const keep = (clips: ReadonlyMap<string, ReadClip>): void => {
    const alive = new Set(film.list('take').map((t) => t.id));
    byTake.value = new Map([...byTake.value, ...clips].filter(([id]) => alive.has(id)));
    // A device without room for it shows the board without pictures the next time.
    void set(film.filmId, byTake.value, kept).catch(() => undefined);
  };
  return { byTake, keep };
});
