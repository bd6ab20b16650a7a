import { energyCurve, type PlaceFacts } from '@core/day';
import { flyable } from '@core/energy';
import { computed, ref } from 'vue';
import { useFilm } from '../../stores/film';
import { useLooking } from '../../stores/selection';
import { useReckoning } from '../../stores/derived-film';
import { railRows, shareOnRow, type RailRow, type Scale } from './rail';

/** The day in view: its places, its flights as rows, and the flight in hand. */
export const useDay = () => {
  const film = useFilm();
  const looking = useLooking();
  const reckoning = useReckoning();
  const scale = ref<Scale>('energy');
  const date = computed(() => looking.place?.location.date ?? '');
  const dates = computed(() => [...new Set(reckoning.locations.map((l) => l.date))].sort());
  const places = computed<PlaceFacts[]>(() =>
    reckoning.locations
      .filter((l) => l.date === date.value)
      .flatMap((l) => {
        const p = reckoning.derived?.places.get(l.id);
        return p ? [p] : [];
      }),
  );
  const rows = computed<RailRow[]>(() =>
    reckoning.derived ? railRows(reckoning.derived, reckoning.along, places.value, scale.value) : [],
  );
  const chosen = ref('');
  /** The flight of the slate in hand, else the one chosen, else the first. */
  const row = computed(
    () =>
      rows.value.find((r) => r.key === chosen.value) ??
      rows.value.find((r) => r.flight.stops.some((s) => s.shotId === looking.shotId)) ??
      rows.value[0] ??
      null,
  );
  /** Energy along the flight in hand; null where its pack is not along. */
  const curve = computed(() => {
    const flight = row.value?.flight;
    const place = places.value.find((p) => p.location.id === row.value?.locationId);
    if (!flight || !place || !reckoning.derived || !film.film || flight.supply.fullWh <= 0) return null;
    return energyCurve(
      reckoning.derived,
      film.film,
      reckoning.along,
      place,
      flight,
      film.get('pack', flight.packId ?? '')?.ratedWh ?? flight.supply.fullWh,
    );
  });
  /** Where on its row the flight in hand has to turn back, or cannot come home any more. */
  const mark = computed(() => {
    const at =
      curve.value?.noReturn ?? curve.value?.steps.find((s) => s.tS === curve.value?.turnBackS) ?? null;
    if (!at || !row.value || !curve.value) return null;
    return {
      share: shareOnRow(row.value, scale.value, at),
      text: curve.value.noReturn ? 'point of no return' : 'turn back',
    };
  });
  /** Sound packs no flight of the day is on. */
  const spares = computed(() => {
    const used = new Set(places.value.flatMap((p) => p.flights.map((f) => f.packId)));
    return flyable(reckoning.along.packs).filter((p) => !used.has(p.id));
  });
  const unfit = computed(() =>
    places.value.flatMap((p) =>
      p.fill.unfit.map((u) => ({ ...u, place: p, shot: reckoning.derived?.shots.get(u.shotId) ?? null })),
    ),
  );
  const go = (to: string): void => {
    const first = reckoning.locations.find((l) => l.date === to);
    if (first) looking.pickPlace(first.id);
  };
  const choose = (key: string, shotId?: string): void => {
    chosen.value = key;
    if (shotId) looking.pick(shotId);
  };
  return { scale, date, dates, places, rows, row, curve, mark, chosen, spares, unfit, go, choose };
};

export type Day = ReturnType<typeof useDay>;
