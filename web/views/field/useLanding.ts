import { beforeNextFlight, flightSetup, practiceFrom, type FlightSetup, type GroundStep } from '@core/field';
import { logFlight, plannedFigures, plannedShares, type TimedFlight } from '@core/day';
import type { FlightLogEntry, Location, Pack } from '@core/model';
import { clockText, dateIn } from '@core/time';
import { computed, ref, shallowRef, type Ref } from 'vue';
import { v4 as uuid } from 'uuid';
import { logCard, recordedBy } from '../../composables/card-log';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import type { Day } from '../flights/useDay';
import type { Aloft } from './useAir';
import type { ExposureOf } from './useFlightExposures';
import { tr } from './messages';

/** What is entered after landing. */
export interface Landing extends Pick<FlightLogEntry, 'endShare' | 'outcome' | 'condition' | 'windMs'> {
  /** The card is taken out of the aircraft. */
  readonly cardOut: boolean;
}

const SETUP_KEY = (filmId: string): string => `dusk-landed:${filmId}`;
const readSetup = (filmId: string): FlightSetup | null => {
  try {
    return JSON.parse(localStorage.getItem(SETUP_KEY(filmId)) ?? 'null') as FlightSetup | null;
  } catch {
    return null;
  }
};

/** Logging a flight that landed, and what has to be done before the next one. */
export const useLanding = (
  day: Day,
  flying: Ref<Aloft | null>,
  elapsedS: Ref<number>,
  exposureOf: ExposureOf,
  ended: () => void,
) => {
  const store = useFilm();
  const selection = useSelection();
  const derivedFilm = useDerivedFilm();
  const landing = ref(false);
  /** The flight that landed last as it was set up; kept on this device for a page that closes between flights. */
  const landed = shallowRef<FlightSetup | null>(readSetup(store.filmId));
  const keep = (setup: FlightSetup | null): void => {
    landed.value = setup;
    if (setup) localStorage.setItem(SETUP_KEY(store.filmId), JSON.stringify(setup));
    else localStorage.removeItem(SETUP_KEY(store.filmId));
  };

  const setupOf = (flight: TimedFlight): FlightSetup => {
    const place = day.places.value.find((p) => p.location.id === flight.locationId);
    const loads = derivedFilm.derived?.budget.cards.byFlight ?? [];
    return flightSetup(flight, loads, place ? exposureOf(place, flight) : null);
  };

  const next = computed<TimedFlight | null>(
    () =>
      day.places.value
        .flatMap((p) => [...p.flights])
        .filter((f) => f.id !== landed.value?.flight.id)
        .sort((a, b) => a.startMs - b.startMs)
        .find((f) => f.stops.some((s) => derivedFilm.derived?.shots.get(s.shotId)?.done === false)) ?? null,
  );
  const groundSteps = computed<readonly GroundStep[]>(() =>
    landed.value && next.value && store.input
      ? beforeNextFlight(store.input, landed.value, setupOf(next.value))
      : [],
  );

  /** The log entry, what it did to its pack and card, and what it taught about the pilot, as one step. */
  const changesOf = (a: Aloft, pack: Pack, location: Location, report: Omit<Landing, 'cardOut'>) => {
    const { derived } = derivedFilm;
    if (!derived) return [];
    const kept = a.flight.stops
      .map((s) => s.shotId)
      .filter((id) => derived.shots.get(id)?.done ?? derived.done.has(id));
    const takes = store.list('take').filter((t) => t.utcMs >= a.tookOffMs);
    const pilotId = store.film?.pilotId ?? null;
    const practice = pilotId === null ? [] : practiceFrom(takes, store.list('shot'), pilotId, uuid);
    return [
      ...practice.map((p) => ({ kind: 'practice' as const, id: p.id, after: p })),
      ...logFlight(
        {
          ...report,
          minutes: Math.max(0.1, Math.round(elapsedS.value / 6) / 10),
          startShare: plannedShares(a.flight).startShare,
          ...plannedFigures(a.flight, derivedFilm.along.aircraft, derivedFilm.derived?.shots),
          temperatureC: location.temperatureC,
          notes: '',
          takeOff: clockText(a.tookOffMs, location.zone),
          filmId: store.filmId,
          flightId: a.flight.id,
          aircraftId: a.flight.aircraftId,
          shotIds: kept,
        },
        pack,
        { date: dateIn(a.tookOffMs, location.zone), zone: location.zone },
        recordedBy(store, derived, a.flight, new Set(kept), Date.now()),
        uuid(),
      ),
    ];
  };

  const log = ({ cardOut, ...report }: Landing): void => {
    const a = flying.value;
    const pack = store.get('pack', a?.flight.packId ?? '');
    const location = a && derivedFilm.derived?.places.get(a.flight.locationId)?.location;
    if (!a || !location) return;
    if (!pack) {
      selection.say(tr('thePackOfThisFlight'));
      return;
    }
    const setup = setupOf(a.flight);
    const [fault] = store.commit(tr('logFlightLower'), changesOf(a, pack, location, report));
    if (fault) {
      selection.say(fault.say);
      return;
    }
    const out =
      cardOut && setup.load?.cardId ? logCard(store, setup.load.cardId, 'put', { spot: 'case' }) : '';
    selection.say(
      out ||
        tr('loggedNameLandedWithEndShare', { name: pack.name, endShare: Math.round(report.endShare * 100) }),
    );
    keep(setup);
    landing.value = false;
    ended();
  };
  /** Card the flight in the air records to, where one is planned. */
  const cardName = computed(() => {
    const id = flying.value && setupOf(flying.value.flight).load?.cardId;
    return id ? (store.get('card', id)?.name ?? '') : '';
  });
  return {
    landing,
    landedId: computed(() => landed.value?.flight.id ?? ''),
    groundSteps,
    cardName,
    log,
    forget: () => {
      keep(null);
    },
  };
};
