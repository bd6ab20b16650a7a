import { onBeforeUnmount, onMounted } from 'vue';
import { useFlights } from '../../stores/flights';
import { useSelection } from '../../stores/selection';
import type { Day } from './useDay';
import type { FlightActs } from './useFlightActs';

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.matches('input, textarea, select, [role="combobox"], [role="tab"]') ||
    target.closest('.el-select') !== null);

/** Keys of the flights page, before the application's own. */
export const useFlightKeys = (
  day: Day,
  acts: FlightActs,
  cure: (n: number) => void,
  plan: () => void,
  active: () => boolean,
): void => {
  const flights = useFlights();
  const selection = useSelection();

  const stepShot = (by: -1 | 1): void => {
    const ids = day.row.value?.flight.stops.map((s) => s.shotId) ?? [];
    const next = ids[Math.max(0, Math.min(ids.length - 1, ids.indexOf(selection.shotId) + by))];
    if (next && day.row.value) day.choose(day.row.value.key, next);
  };
  const stepFlight = (by: -1 | 1): void => {
    const { rows, row } = day;
    const next = rows.value[rows.value.findIndex((r) => r.key === row.value?.key) + by];
    if (next) day.choose(next.key, next.flight.stops[0]?.shotId);
  };
  const onRow = (act: (row: NonNullable<Day['row']['value']>) => void) => (): void => {
    if (day.row.value) act(day.row.value);
  };
  const ACTS: Readonly<Record<string, () => void>> = {
    arrowright: () => stepShot(1),
    arrowleft: () => stepShot(-1),
    arrowdown: () => stepFlight(1),
    arrowup: () => stepFlight(-1),
    'alt+arrowright': () => acts.along(1),
    'alt+arrowleft': () => acts.along(-1),
    'alt+arrowdown': () => acts.across(1),
    'alt+arrowup': () => acts.across(-1),
    n: acts.alone,
    delete: acts.toList,
    backspace: acts.toList,
    x: onRow((r) => {
      if (r.flight.stops.some((s) => s.shotId === selection.shotId)) acts.pin(r, selection.shotId);
    }),
    l: onRow(acts.lock),
    '+': onRow((r) => acts.swap(r, -1)),
    '-': onRow((r) => acts.swap(r, 1)),
    r: plan,
    escape: () => {
      if (flights.busy) flights.stop();
      else flights.drop();
    },
  };
  let goes = 0;
  /** Whether the key belongs to a way to another view, which G begins. */
  const going = (key: string): boolean => {
    if (key === 'g') {
      goes = Date.now();
      return true;
    }
    const on = Date.now() - goes < 1500;
    goes = 0;
    return on;
  };
  const actFor = (event: KeyboardEvent, key: string): (() => void) | undefined => {
    if (/^[1-4]$/.test(key)) return () => cure(Number(key) - 1);
    // Enter presses the button it is on.
    const onButton = event.target instanceof HTMLButtonElement;
    if (key === 'enter') return flights.proposal && !flights.busy && !onButton ? flights.take : undefined;
    return ACTS[(event.altKey ? 'alt+' : '') + key];
  };
  const pressed = (event: KeyboardEvent): void => {
    if (event.defaultPrevented || !active() || typing(event.target) || event.ctrlKey || event.metaKey) return;
    const key = event.key.toLowerCase();
    const act = going(key) ? undefined : actFor(event, key);
    if (act) {
      event.preventDefault();
      act();
    }
  };
  // Before the application's own keys, which know nothing of flights.
  onMounted(() => window.addEventListener('keydown', pressed, true));
  onBeforeUnmount(() => window.removeEventListener('keydown', pressed, true));
};
