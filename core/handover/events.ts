import { message, plainText, yesNo, type Message } from '../messages';
import { MINUTE_MS } from '../time';
import { shotLines, type Handover } from './lines';

/** Something to be at, for a calendar. Instants are UTC ms. */
export interface CalendarEvent {
  /** Stays when the plan changes, so that bringing it in again updates. */
  readonly uid: string;
  readonly startMs: number;
  readonly endMs: number;
  readonly title: Message;
  readonly text: string;
  readonly place: string;
  readonly at: { readonly latitude: number; readonly longitude: number } | null;
  readonly zone: string;
  /** Minutes before its start at which one is reminded, and of what. */
  readonly reminders: readonly { readonly minutes: number; readonly say: Message }[];
}

/** The evening before, minutes before a window opens. */
const CHARGE_MIN = 12 * 60;
/** Time on location before the first flight: unpack, checks. */
const READY_MIN = 30;

/** One event a location with its window, and one a flight. */
export const calendarEvents = (whole: Handover): readonly CalendarEvent[] => {
  const { derived, input } = whole;
  const lines = shotLines(whole);
  return [...derived.places.values()].flatMap((place): CalendarEvent[] => {
    const { location } = place;
    const at = location.placed ? { latitude: location.latitude, longitude: location.longitude } : null;
    const common = { place: location.name, at, zone: location.zone };
    const here = lines.filter((l) => l.shot.facts.location.id === location.id);
    const leaveMin = location.travelMin + READY_MIN;
    return [
      {
        ...common,
        uid: `${location.id}@dusk-slate`,
        startMs: place.windowFromMs,
        endMs: place.windowToMs,
        title: plainText(`${input.film.name}: ${location.name}`),
        text: here.map((l) => `${l.number} ${l.title}`).join('\n'),
        reminders: [
          { minutes: CHARGE_MIN, say: message('calendar.charge') },
          { minutes: leaveMin, say: message('calendar.leave', { name: location.name }) },
          { minutes: 10, say: message('calendar.window') },
        ],
      },
      ...place.flights.map((flight, i): CalendarEvent => {
        const own = here.filter((l) => flight.stops.some((s) => s.shotId === l.id));
        return {
          ...common,
          uid: `${flight.id}@dusk-slate`,
          startMs: flight.startMs,
          endMs: Math.max(flight.endMs, flight.startMs + MINUTE_MS),
          title: message('calendar.flight', {
            n: i + 1,
            name: location.name,
            known: yesNo(Boolean(own[0]?.pack)),
            pack: own[0]?.pack ?? '',
          }),
          text: own.map((l) => `${l.number} ${l.title}`).join('\n'),
          reminders: [],
        };
      }),
    ];
  });
};
