import type { LocationPlan } from '@core/day';
import { flyable } from '@core/energy';
import { computed, ref } from 'vue';
import { flightCurve } from '../../composables/flight-curve';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import { railRows, shareOnRow, type RailRow, type Scale } from './rail';
import { tr } from './messages';

/** The day in view: its places, its flights as rows, and the flight in hand. */
export const useDay = () => {
  const film = useFilm();
  const selection = useSelection();
  const derivedFilm = useDerivedFilm();
  const scale = ref<Scale>('energy');
  const date = computed(() => selection.place?.location.date ?? '');
  const dates = computed(() => [...new Set(derivedFilm.locations.map((l) => l.date))].sort());
  const places = computed<LocationPlan[]>(() =>
    derivedFilm.locations
      .filter((l) => l.date === date.value)
      .flatMap((l) => {
        const p = derivedFilm.derived?.places.get(l.id);
        return p ? [p] : [];
      }),
  );
  const rows = computed<RailRow[]>(() =>
    derivedFilm.derived ? railRows(derivedFilm.derived, derivedFilm.along, places.value, scale.value) : [],
  );
  const chosen = ref('');
  /** The flight of the shot in hand, else the one chosen, else the first. */
  const row = computed(
    () =>
      rows.value.find((r) => r.key === chosen.value) ??
      rows.value.find((r) => r.flight.stops.some((s) => s.shotId === selection.shotId)) ??
      rows.value[0] ??
      null,
  );
  /** Energy along the flight in hand; null where its pack is not along. */
  const curve = computed(() => {
    const flight = row.value?.flight;
    const place = places.value.find((p) => p.location.id === row.value?.locationId);
    return flight && place ? flightCurve(film, derivedFilm, place, flight) : null;
  });
  /** Where on its row the flight in hand has to turn back, or cannot come home any more. */
  const mark = computed(() => {
    const at =
      curve.value?.noReturn ?? curve.value?.steps.find((s) => s.tS === curve.value?.turnBackS) ?? null;
    if (!at || !row.value || !curve.value) return null;
    return {
      share: shareOnRow(row.value, scale.value, at),
      text: curve.value.noReturn ? tr('pointOfNoReturn') : tr('turnBack'),
    };
  });
  /** Sound packs no flight of the day is on. */
  const spares = computed(() => {
    const used = new Set(places.value.flatMap((p) => p.flights.map((f) => f.packId)));
    // What each holds by the plan, topped up the evening before where that is planned.
    const held = new Map(
      places.value.flatMap((p) =>
        p.fill.remainingPacks.map((s) => [s.packId, s.fullWh > 0 ? s.availableWh / s.fullWh : 0] as const),
      ),
    );
    return flyable(derivedFilm.along.packs)
      .filter((p) => !used.has(p.id))
      .map((p) => ({ ...p, charge: held.get(p.id) ?? p.charge }));
  });
  const unfit = computed(() =>
    places.value.flatMap((p) =>
      p.fill.unfit.map((u) => ({ ...u, place: p, shot: derivedFilm.derived?.shots.get(u.shotId) ?? null })),
    ),
  );
  const go = (to: string): void => {
    const first = derivedFilm.locations.find((l) => l.date === to);
    if (first) selection.pickPlace(first.id);
  };
  const choose = (key: string, shotId?: string): void => {
    chosen.value = key;
    if (shotId) selection.pick(shotId);
  };
  return { scale, date, dates, places, rows, row, curve, mark, chosen, spares, unfit, go, choose };
};

export type Day = ReturnType<typeof useDay>;
