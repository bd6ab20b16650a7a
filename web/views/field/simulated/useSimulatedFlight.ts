import { flightSpans, type TimedFlight } from '@core/day';
import { inTheAir } from '@core/field';
import {
  natureOf,
  ownAir,
  simulateFlight,
  type FlightSample,
  type OwnAir,
  type SimulatedFlight,
} from '@core/simulated-flight';
import { drawsOf } from '@core/units';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { flightCurve } from '../../../composables/flight-curve';
import { useDerivedFilm } from '../../../stores/derived-film';
import { useFilm } from '../../../stores/film';

/** A flight by the simulated aircraft. */
export interface Flying {
  readonly flight: TimedFlight;
  readonly flown: SimulatedFlight;
  /** The air it is flown in, which is not quite the plan's. */
  readonly air: OwnAir | null;
  /** The way the plan takes, for the line it is drawn against. */
  readonly planned: readonly FlightSample['at'][];
}

/** Simulated seconds for each real one. */
export const PACES = [1, 10, 60] as const;
/** After a pause of the page no more than this is flown at once, real seconds. */
const MOST_STEP_S = 1;

/** The simulated aircraft in the air: a planned flight in real time or faster, with an appetite and a pilot the plan does not know. */
export const useSimulatedFlight = () => {
  const store = useFilm();
  const derivedFilm = useDerivedFilm();
  const pace = ref<(typeof PACES)[number]>(10);
  const flying = shallowRef<Flying | null>(null);
  const tS = ref(0);
  const paused = ref(false);
  /** Flights begun here: each is another day for the same aircraft and pilot. */
  let begun = 0;

  const over = computed(() => flying.value !== null && tS.value >= flying.value.flown.seconds);
  const sample = computed(() => {
    const samples = flying.value?.flown.samples ?? [];
    return (over.value ? samples.at(-1) : samples[Math.floor(tS.value)]) ?? null;
  });
  const curve = computed(() => {
    const flight = flying.value?.flight;
    const place = flight && derivedFilm.derived?.places.get(flight.locationId);
    return place ? flightCurve(store, derivedFilm, place, flight) : null;
  });
  /** Charge by the plan at the same second. */
  const plannedShare = computed(() =>
    curve.value && flying.value
      ? inTheAir(curve.value, flying.value.flight.supply.fullWh, tS.value, null).share
      : null,
  );
  const line = computed(
    () => flying.value?.flown.samples.slice(0, Math.floor(tS.value) + 1).map((s) => s.at) ?? [],
  );
  const takes = computed(() => flying.value?.flown.takes.filter((t) => t.endS <= tS.value) ?? []);

  let [last, frame] = [0, 0];
  const stop = (): void => {
    cancelAnimationFrame(frame);
    [last, frame] = [0, 0];
  };
  const step = (nowMs: number): void => {
    if (!paused.value && last > 0) tS.value += Math.min(MOST_STEP_S, (nowMs - last) / 1000) * pace.value;
    last = nowMs;
    if (!over.value) frame = requestAnimationFrame(step);
  };
  const takeOff = (flight: TimedFlight): void => {
    const { derived } = derivedFilm;
    if (!derived) return;
    stop();
    begun += 1;
    const draws = drawsOf(`${store.filmId} ${flight.startMs} ${begun}`);
    const nature = natureOf(store.filmId);
    const location = derived.places.get(flight.locationId)?.location;
    const air =
      store.film && location ? ownAir(store.film, derivedFilm.along, location, flight, nature) : null;
    flying.value = {
      flight,
      air,
      flown: simulateFlight(derived, flight, nature, draws, air),
      planned: flightSpans(flight, derived).flatMap((s) => s.path ?? [s.from, s.to]),
    };
    [tS.value, paused.value] = [0, false];
    frame = requestAnimationFrame(step);
  };
  const toEnd = (): void => {
    stop();
    tS.value = flying.value?.flown.seconds ?? 0;
  };
  const leave = (): void => {
    stop();
    flying.value = null;
  };
  watch(() => store.filmId, leave);
  onBeforeUnmount(stop);
  return { pace, flying, paused, tS, over, sample, plannedShare, line, takes, takeOff, toEnd, leave };
};
