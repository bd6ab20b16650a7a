import { type FlightLoad, plannedShares, type TimedFlight } from '../day';
import type { ExposureChoice } from '../exposure';
import type { FlightExposure } from '../light-timeline';
import { measured, message, yesNo, type Message } from '../messages';
import type { FilmInput, Location } from '../model';
import { filterNameOf } from '../shot';
import { clockText } from '../time';
import { writeShutter } from '../units';

/** What is on and in the aircraft for a flight. */
export interface FlightSetup {
  readonly flight: TimedFlight;
  readonly load: FlightLoad | null;
  /** Filter on the lens at its first and at its last shot; undefined where the light is not known. */
  readonly filters: readonly [first: LensFilter, last: LensFilter] | undefined;
  readonly first: ExposureChoice | null;
  readonly last: ExposureChoice | null;
}

interface LensFilter {
  readonly filterId: string | null;
  readonly stops: number;
}

/** Something to do on the ground before the next take-off. */
export interface GroundStep {
  readonly what: 'time' | 'aircraft' | 'launch' | 'pack' | 'cold' | 'card' | 'filter' | 'setting';
  /** The pack, card, filter or setting it is about: what was ticked stays ticked as long as this is the same. */
  readonly of: string;
  readonly say: Message;
  /** Nothing changes: it is only confirmed. */
  readonly same: boolean;
}

/** Below this the packs that wait are kept from the cold, °C. Own choice, from what packs give by temperature. */
const COLD_C = 10;

/** What is on and in the aircraft for a flight, from the cards and the exposure of the plan. */
export const flightSetup = (
  flight: TimedFlight,
  loads: readonly FlightLoad[],
  exposure: FlightExposure | null,
): FlightSetup => {
  const [first, last] = [exposure?.parts[0], exposure?.parts.at(-1)];
  return {
    flight,
    load: loads.find((l) => l.flight.id === flight.id) ?? null,
    filters: first && last && [first, last],
    first: exposure?.rows[0]?.start.choice ?? null,
    last: exposure?.rows.at(-1)?.end.choice ?? null,
  };
};

const settingText = (c: ExposureChoice): Message =>
  message('field.setting', {
    aperture: String(Math.round(c.aperture * 10) / 10),
    shutter: writeShutter(c.shutterS),
    iso: String(c.iso),
  });

const sameSetting = (a: ExposureChoice | null, b: ExposureChoice): boolean =>
  a !== null && a.aperture === b.aperture && a.shutterS === b.shutterS && a.iso === b.iso;

const sameFilter = (a: LensFilter | undefined, b: LensFilter): boolean =>
  a?.filterId === b.filterId && Math.abs(a.stops - b.stops) < 0.5;

interface Change {
  readonly input: FilmInput;
  readonly before: FlightSetup;
  readonly next: FlightSetup;
  readonly location: Location | undefined;
}
/** One kind of step; null where nothing is to be said. */
type StepOf = (c: Change) => Omit<GroundStep, 'what'> | null;

const named = (
  rows: readonly { readonly id: string; readonly name: string }[],
  id: string | null | undefined,
): string => rows.find((r) => r.id === id)?.name ?? '';

const time: StepOf = ({ next: { flight }, location }) => ({
  same: true,
  of: '',
  say: message('field.next.time', {
    time: clockText(flight.startMs, location?.zone ?? 'UTC'),
    shots: flight.stops.length,
  }),
});

const aircraft: StepOf = ({ input, before, next }) =>
  next.flight.aircraftId === before.flight.aircraftId
    ? null
    : {
        same: false,
        of: next.flight.aircraftId ?? '',
        say: message('field.next.aircraft', {
          aircraft: named(input.kit.aircraft, next.flight.aircraftId),
        }),
      };

const launch: StepOf = ({ input, before, next, location }) =>
  next.flight.launch.id === before.flight.launch.id && next.flight.locationId === before.flight.locationId
    ? null
    : {
        same: false,
        of: next.flight.launch.id ?? '',
        say: message('field.next.launch', {
          location: location?.name ?? '',
          launch: named(input.features, next.flight.launch.id) || 'none',
        }),
      };

const pack: StepOf = ({ input, before, next: { flight } }) => {
  const name = named(input.kit.packs, flight.packId);
  const charge = measured(100 * plannedShares(flight).startShare, 'percent', 0);
  const same = flight.packId === before.flight.packId;
  if (name === '') return { same: false, of: '', say: message('field.next.pack-none') };
  return {
    same,
    of: flight.packId ?? '',
    say: same
      ? message('field.next.pack-stays', { pack: name, charge })
      : message('field.next.pack', { pack: name, charge }),
  };
};

const cold: StepOf = ({ location }) =>
  location && location.temperatureC < COLD_C
    ? {
        same: true,
        of: '',
        say: message('field.next.cold', { temperature: measured(location.temperatureC, 'celsius', 0) }),
      }
    : null;

const card: StepOf = ({ input, before, next }) => {
  const [now, then] = [before.load?.cardId ?? null, next.load?.cardId ?? null];
  const name = named(input.kit.cards, then);
  if (name === '')
    return {
      same: false,
      of: '',
      say: next.load?.internal ? message('field.next.card-memory') : message('field.next.card-none'),
    };
  const of = then ?? '';
  if (now === then) return { same: true, of, say: message('field.next.card-stays', { card: name }) };
  return {
    same: false,
    of,
    say: message('field.next.card', {
      card: name,
      out: named(input.kit.cards, now) || 'none',
      away: next.load?.away ?? 'none',
    }),
  };
};

const filter: StepOf = ({ input, before, next }) => {
  const [on] = next.filters ?? [];
  if (!on) return null;
  const same = sameFilter(before.filters?.[1], on);
  const name = filterNameOf(input.kit.filters, on.filterId, on.stops);
  return { same, of: name, say: message('field.next.filter', { filter: name, same: yesNo(same) }) };
};

const setting: StepOf = ({ before, next: { first } }) => {
  if (!first) return null;
  const same = sameSetting(before.last, first);
  return {
    same,
    of: `${first.aperture} ${first.shutterS} ${first.iso}`,
    say: message('field.next.setting', { setting: settingText(first), same: yesNo(same) }),
  };
};

/** In the order they are done in. */
const STEPS = { time, aircraft, launch, pack, cold, card, filter, setting } as const;

/**
 * What has to be done before the next take-off of a day: minute, aircraft, launch point, pack, card, filter and setting, each against
 * what the flight that landed had.
 * @param before the flight that landed, as it was planned
 * @param next the flight that is planned after it
 */
export const beforeNextFlight = (input: FilmInput, before: FlightSetup, next: FlightSetup): GroundStep[] => {
  const location = input.locations.find((l) => l.id === next.flight.locationId);
  return (Object.keys(STEPS) as GroundStep['what'][]).flatMap((what) => {
    const step = STEPS[what]({ input, before, next, location });
    return step ? [{ what, ...step }] : [];
  });
};
