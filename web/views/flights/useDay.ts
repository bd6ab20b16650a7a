import type { PlaceFacts } from '@core/film';
import { computed, ref } from 'vue';
import { useFilm } from '../../stores/film';
import { useLooking } from '../../stores/looking';
import { useReckoning } from '../../stores/reckoning';
import { railRows, type RailRow, type Scale } from './rail';

/** The day in view: its places, its flights as rows, and the flight in hand. */
export const useDay = () => {
  const film = useFilm();
  const looking = useLooking();
  const reckoning = useReckoning();
  const scale = ref<Scale>('energy');
  const date = computed(() => looking.place?.location.date ?? '');
  const dates = computed(() => [...new Set(reckoning.locations.map((l) => l.date))].sort());
  const places = computed<PlaceFacts[]>(() => reckoning.locations.filter((l) => l.date === date.value).flatMap((l) => { const p = reckoning.derived?.places.get(l.id); return p ? [p] : []; }));
  const rows = computed<RailRow[]>(() => (reckoning.derived && film.film ? railRows(reckoning.derived, reckoning.along, film.film, places.value, scale.value) : []));
  const chosen = ref('');
  /** The flight of the slate in hand, else the one chosen, else the first. */
  const row = computed(() => rows.value.find((r) => r.key === chosen.value) ?? rows.value.find((r) => r.flight.stops.some((s) => s.shotId === looking.shotId)) ?? rows.value[0] ?? null);
  const unfit = computed(() => places.value.flatMap((p) => p.fill.unfit.map((u) => ({ ...u, place: p, shot: reckoning.derived?.shots.get(u.shotId) ?? null }))));
  const go = (to: string): void => { const first = reckoning.locations.find((l) => l.date === to); if (first) looking.pickPlace(first.id); };
  const choose = (key: string, shotId?: string): void => { chosen.value = key; if (shotId) looking.pick(shotId); };
  return { scale, date, dates, places, rows, row, chosen, unfit, go, choose };
};

export type Day = ReturnType<typeof useDay>;
