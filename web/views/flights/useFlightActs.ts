import { editFlight, moveFlight, moveShot, type FlightChange, type Goal } from '@core/day';
import type { FlightPlan } from '@core/model';
import { v4 as uuid } from 'uuid';
import { useFilm } from '../../stores/film';
import { useFlightEdits } from '../../stores/flight-edits';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import type { RailRow } from './rail';
import type { Day } from './useDay';
import { tr } from './messages';

/** What a person does to the flights of a day; each act is one step that can be taken back. */
export const useFlightActs = (day: Day) => {
  const film = useFilm();
  const edits = useFlightEdits();
  const selection = useSelection();
  const derivedFilm = useDerivedFilm();

  const now = () => {
    derivedFilm.settle();
    return { input: film.input, derived: derivedFilm.derived };
  };
  /** Changes a move would make, with ids that do not matter; null where it cannot be. */
  const wouldMove = (shotId: string, goal: Goal, newId: () => string = uuid): FlightChange[] | null => {
    const { input, derived } = now();
    return input && derived ? moveShot(input, derived, shotId, goal, newId) : null;
  };
  const move = (shotId: string, goal: Goal): void => {
    const changes = wouldMove(shotId, goal);
    if (!changes) {
      selection.say(tr('itCannotGoThereAnother'));
      return;
    }
    edits.apply(tr('moveShot'), changes);
    selection.pick(shotId);
    day.chosen.value = '';
  };
  const edit = (row: RailRow, label: string, change: (f: FlightPlan) => FlightPlan): void => {
    const { input, derived } = now();
    if (input && derived) edits.apply(label, editFlight(input, derived, row.locationId, row.index, change));
  };
  const lock = (row: RailRow): void => {
    edit(row, row.flight.locked ? tr('unlockFlight') : tr('lockFlight'), (f) => ({
      ...f,
      locked: !f.locked,
    }));
    selection.say(row.flight.locked ? tr('unlockedThePlannerMayChange') : tr('lockedThePlannerLeavesItAs'));
  };
  const pin = (row: RailRow, shotId: string): void =>
    edit(row, tr('pinShot'), (f) => ({
      ...f,
      stops: f.stops.map((s) => (s.shotId === shotId ? { ...s, pinned: !s.pinned } : s)),
    }));
  const givePack = (row: RailRow, packId: string | null): void =>
    edit(row, tr('giveAPack'), (f) => ({ ...f, packId }));
  const notBefore = (row: RailRow, clock: string | null): void =>
    edit(row, tr('notBeforeLower'), (f) => ({ ...f, notBefore: clock }));
  const swap = (row: RailRow, by: -1 | 1): void => {
    const { input, derived } = now();
    if (
      input &&
      derived &&
      !edits.apply(tr('moveFlight'), moveFlight(input, derived, row.locationId, row.index, by))
    )
      selection.say(tr('thereIsNoFlightBefore'));
  };
  /** Moves the shot in hand along its flight. */
  const along = (by: -1 | 1): void => {
    const row = day.row.value;
    const at = row?.flight.stops.findIndex((s) => s.shotId === selection.shotId) ?? -1;
    if (!row || at < 0) return;
    const goal = by < 0 ? at - 1 : at + 2;
    if (goal >= 0 && goal <= row.flight.stops.length)
      move(selection.shotId, { to: 'flight', index: row.index, at: goal });
  };
  /** Moves the shot in hand to the next or the previous flight of its place and aircraft. */
  const across = (by: -1 | 1): void => {
    const row = day.row.value;
    if (!row?.flight.stops.some((s) => s.shotId === selection.shotId)) return;
    const mates = day.rows.value.filter(
      (r) =>
        r.locationId === row.locationId && r.flight.aircraftId === row.flight.aircraftId && !r.flight.locked,
    );
    const to = mates[mates.findIndex((r) => r.key === row.key) + by];
    if (to)
      move(selection.shotId, { to: 'flight', index: to.index, at: by < 0 ? to.flight.stops.length : 0 });
    else selection.say(tr('thereIsNoFlightOf'));
  };
  /** Gives the shot in hand a flight of its own, on the first pack that is not flown. */
  const alone = (): void => {
    const craft = derivedFilm.derived?.shots.get(selection.shotId)?.facts.aircraft?.id ?? '';
    const pack = day.spares.value.find((p) => p.aircraftIds.includes(craft));
    if (pack) move(selection.shotId, { to: 'pack', packId: pack.id });
    else selection.say(tr('noPackOfThatAircraft'));
  };
  /** Lets the shot in hand fall onto a pack in list order again. */
  const toList = (): void => {
    if (day.row.value?.flight.stops.some((s) => s.shotId === selection.shotId))
      move(selection.shotId, { to: 'list' });
  };
  return { move, alone, toList, wouldMove, lock, pin, givePack, notBefore, swap, along, across };
};

export type FlightActs = ReturnType<typeof useFlightActs>;
