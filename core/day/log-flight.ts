import { minutesOf, localToUtc } from '../time';
import type { TimedFlight } from './location-flights';
import type { Aircraft, CardMove, FlightLogEntry, Location, Pack, RowChange } from '../model';

/** What a person says of a flight after landing. */
export interface FlightReport extends Pick<
  FlightLogEntry,
  | 'filmId'
  | 'flightId'
  | 'minutes'
  | 'startShare'
  | 'endShare'
  | 'plannedWh'
  | 'plannedMinutes'
  | 'plannedSetUpMin'
  | 'windMs'
  | 'temperatureC'
  | 'outcome'
  | 'condition'
  | 'shotIds'
  | 'notes'
> {
  /** Aircraft it was planned for; null takes the first one the pack fits. */
  readonly aircraftId: string | null;
  /** Take-off, clock time at the location. */
  readonly takeOff: string;
}

/** Charge of a pack at take-off and at landing by the plan, 0 to 1. */
export const plannedShares = ({ supply, usedWh }: Pick<TimedFlight, 'supply' | 'usedWh'>) => {
  const full = Math.max(1, supply.fullWh);
  return {
    startShare: Math.min(1, supply.availableWh / full),
    endShare: Math.max(0, supply.availableWh - usedWh) / full,
  };
};

type Taught = readonly Pick<Aircraft, 'id' | 'energyFactor' | 'setUpFactor'>[];

const toTenth = (seconds: number): number => Math.round(seconds / 6) / 10;

/**
 * What a log entry keeps of the plan of its flight: minutes to a tenth and energy, both as they were planned before the log had
 * corrected them, so that the same is not learned twice.
 * @param shots of the film, for their planned set-ups
 */
export const plannedFigures = (
  flight: Pick<TimedFlight, 'usedWh' | 'aircraftId' | 'seconds' | 'stops'>,
  aircraft: Taught,
  shots: ReadonlyMap<string, { readonly facts: { readonly shot: { readonly setupS: number } } }> | undefined,
): Pick<FlightReport, 'plannedMinutes' | 'plannedSetUpMin' | 'plannedWh'> => {
  const { energyFactor = 1, setUpFactor = 1 } = aircraft.find((a) => a.id === flight.aircraftId) ?? {};
  const setUpS = flight.stops.reduce((sum, s) => sum + (shots?.get(s.shotId)?.facts.shot.setupS ?? 0), 0);
  const plainS = flight.seconds - setUpS * (setUpFactor - 1);
  // Framing is hovering, which takes about what flying slowly takes.
  const plainWh = (flight.usedWh / energyFactor) * (flight.seconds > 0 ? plainS / flight.seconds : 1);
  return {
    plannedMinutes: toTenth(plainS),
    plannedSetUpMin: toTenth(setUpS),
    plannedWh: Math.round(plainWh * 100) / 100,
  };
};

/**
 * The log entry of a flight, and what it does to its pack: the charge it landed with, one cycle more, charged last on that day.
 * A pack that came down hot, swollen or damaged is noted; a sound landing does not take such a note back.
 * @param recorded what it recorded onto its card, where that is known
 * @param id of the new entry
 */
export const logFlight = (
  { takeOff, aircraftId, ...report }: FlightReport,
  pack: Pack,
  location: Pick<Location, 'date' | 'zone'>,
  recorded: CardMove | null,
  id: string,
): RowChange<'flightLogEntry' | 'pack' | 'cardMove'>[] => {
  const entry: FlightLogEntry = {
    ...report,
    id,
    aircraftId: aircraftId ?? pack.aircraftIds[0] ?? '',
    packId: pack.id,
    simulated: false,
    utcMs: Math.round(localToUtc(location.date, minutesOf(takeOff), location.zone)),
  };
  const landed: Pack = {
    ...pack,
    charge: report.endShare,
    chargedOn: location.date,
    cycles: pack.cycles + 1,
    condition: report.condition === 'sound' ? pack.condition : report.condition,
  };
  return [
    ...(recorded ? [{ kind: 'cardMove' as const, id: recorded.id, after: recorded }] : []),
    { kind: 'flightLogEntry', id, after: entry },
    { kind: 'pack', id: pack.id, after: landed },
  ];
};

/** Instant a logged flight was down. */
export const landedMs = (
  location: Pick<Location, 'date' | 'zone'>,
  takeOff: string,
  minutes: number,
): number => localToUtc(location.date, minutesOf(takeOff), location.zone) + minutes * 60_000;
