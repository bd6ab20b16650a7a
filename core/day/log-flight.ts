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

/** Planned energy as rated, Wh: what the log has taught of the aircraft is learned from it again. */
export const ratedPlanWh = (
  flight: Pick<TimedFlight, 'usedWh' | 'aircraftId'>,
  aircraft: readonly Pick<Aircraft, 'id' | 'energyFactor'>[],
): number => {
  const factor = aircraft.find((a) => a.id === flight.aircraftId)?.energyFactor ?? 1;
  return Math.round((flight.usedWh / factor) * 100) / 100;
};

/** What a log entry keeps of the plan of its flight: minutes to a tenth, energy as rated. */
export const plannedFigures = (
  flight: Pick<TimedFlight, 'usedWh' | 'aircraftId' | 'seconds'>,
  aircraft: readonly Pick<Aircraft, 'id' | 'energyFactor'>[],
): Pick<FlightReport, 'plannedMinutes' | 'plannedWh'> => ({
  plannedMinutes: Math.round(flight.seconds / 6) / 10,
  plannedWh: ratedPlanWh(flight, aircraft),
});

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
