import { locationNow, readyNow, type Readiness } from '@core/field';
import type { Entity } from '@core/model';
import { dateIn, MINUTE_MS } from '@core/time';
import { computed, ref, watch, type Ref } from 'vue';
import { useRouter } from 'vue-router';
import { inOrder } from '@core/units';
import { newShot } from '../../composables/new-shot';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import { readCoordinates } from '../../coordinates';
import { newPlace, zoneHere } from '../locations/newPlace';
import { useChanceShot } from './useChanceShot';
import { tr } from './messages';

const KEY = 'dusk-ready';
export const TICKS = ['pack', 'card', 'rule', 'phone'] as const;
export type Tick = (typeof TICKS)[number];

interface Kept {
  readonly date: string;
  readonly ticked: readonly Tick[];
}
const keptTicks = (date: string): readonly Tick[] => {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '') as Partial<Kept>;
    return kept.date === date && Array.isArray(kept.ticked)
      ? TICKS.filter((t) => kept.ticked?.includes(t))
      : [];
  } catch {
    return [];
  }
};

/** What one leaves home with when nothing is planned: worked out for here and now, ticked for today. */
export const useReady = (now: Ref<number>) => {
  const film = useFilm();
  const selection = useSelection();
  const derivedFilm = useDerivedFilm();
  const router = useRouter();
  const minute = computed(() => Math.floor(now.value / MINUTE_MS) * MINUTE_MS);
  /**
   * Where one stands today: a location that was begun here, with nothing planned at it. One that a day is planned at is left
   * alone: neither its place nor its date is changed by leaving home without a plan.
   */
  const location = computed<Entity<'location'> | null>(() => {
    const planned = new Set(film.list('shot').flatMap((s) => (s.chance ? [] : [s.locationId])));
    return (
      film
        .list('location')
        .filter((l) => l.date === dateIn(minute.value, l.zone) && !planned.has(l.id))
        .at(-1) ?? null
    );
  });
  const set = (fields: Partial<Entity<'location'>>) =>
    location.value ? film.edit('location', location.value.id, fields, tr('here')) : [];

  // Tried once a minute with a shot of its own, which is stored nowhere.
  const ready = computed<Readiness | null>(() => {
    const { input } = film;
    if (!input || !derivedFilm.derived) return null;
    const here = location.value ?? unplaced();
    return readyNow(input, here, newShot(film, here.id, 'a0'), minute.value);
  });

  const today = computed(() => dateIn(minute.value, location.value?.zone ?? zoneHere()));
  const ticked = ref<readonly Tick[]>([]);
  watch(today, (date) => (ticked.value = keptTicks(date)), { immediate: true });
  const tick = (what: Tick, on: boolean): void => {
    ticked.value = on ? [...ticked.value, what] : ticked.value.filter((t) => t !== what);
    localStorage.setItem(KEY, JSON.stringify({ date: today.value, ticked: ticked.value } satisfies Kept));
  };

  const fault = ref('');
  const locating = ref(false);
  const standAt = async (latitude: number, longitude: number): Promise<void> => {
    const { default: zoneAt } = await import('tz-lookup');
    const at = { placed: true, latitude, longitude, zone: zoneAt(latitude, longitude) };
    fault.value = (location.value ? set(at) : begin(at))[0]?.say ?? '';
  };
  const row = (fields: Partial<Entity<'location'>>) => ({
    ...newPlace(film.filmId, inOrder(film.list('location')).at(-1)),
    name: tr('here'),
    elevationM: 0,
    ...fields,
  });
  /** A place nobody has named yet: packs and cards are told, light is not. */
  const unplaced = () =>
    row({
      placed: false,
      latitude: 0,
      longitude: 0,
      zone: zoneHere(),
      date: dateIn(minute.value, zoneHere()),
    });
  const begin = (at: Pick<Entity<'location'>, 'placed' | 'latitude' | 'longitude' | 'zone'>) => {
    const made = row({ ...at, date: dateIn(now.value, at.zone) });
    const faults = film.create('location', made, tr('here'));
    if (faults.length === 0) selection.pickPlace(made.id);
    return faults;
  };
  const locate = (): void => {
    const finder = (navigator as Partial<Navigator>).geolocation;
    if (!finder) {
      fault.value = tr('noPositionEnterCoordinates');
      return;
    }
    locating.value = true;
    finder.getCurrentPosition(
      ({ coords }) => {
        locating.value = false;
        void standAt(coords.latitude, coords.longitude);
      },
      () => {
        locating.value = false;
        fault.value = tr('noPositionEnterCoordinates');
      },
      { timeout: 15_000, maximumAge: MINUTE_MS },
    );
  };
  const enter = (text: string) => {
    if (text.trim() === '') return [];
    const read = readCoordinates(text);
    if (!read.ok) return [{ path: '', say: read.reason }];
    void standAt(read.value.latitude, read.value.longitude);
    return [];
  };

  const { begin: begun } = useChanceShot(
    computed(() => derivedFilm.derived?.places.get(location.value?.id ?? '') ?? null),
  );
  /** The place is as it is now, the shot counts from now on, and the flying card shows it. */
  const chance = async (): Promise<void> => {
    const here = location.value;
    if (!here) return;
    const { date, windowStart, windowEnd } = locationNow(here, Date.now());
    set({ date, windowStart, windowEnd });
    derivedFilm.settle();
    begun();
    await router.push({ name: 'field' });
  };
  return { location, ready, ticked, tick, fault, locating, locate, enter, chance, set };
};
