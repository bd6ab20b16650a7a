import { PACK_STATES } from './pack';
import {
  above,
  between,
  clockTime,
  flag,
  instant,
  listOf,
  notes,
  nullable,
  oneOf,
  position,
  strict,
  uuid,
  type Stored,
} from './schema';

/** A flight as a person decided it. Which card and which filter it has follows from the shots and the light. */
export const FlightSchema = strict({
  id: uuid(),
  locationId: uuid(),
  position: position(),
  aircraftId: uuid(),
  launchId: nullable(uuid(), { title: 'Launch point', initial: null }),
  packId: nullable(uuid(), {
    title: 'Pack',
    initial: null,
    description: 'Empty takes the first pack that fits.',
  }),
  stops: listOf(
    strict({
      shotId: uuid(),
      pinned: flag({
        title: 'Pinned',
        description: 'Stays in this flight whatever the planner would rather do.',
      }),
    }),
    500,
    { title: 'Shots', initial: [] },
  ),
  locked: flag({ title: 'Locked', initial: false, description: 'The planner leaves it as it is.' }),
  notBefore: nullable(clockTime(), { title: 'Not before', initial: null }),
});
export type FlightPlan = Stored<typeof FlightSchema>;

export const FLIGHT_OUTCOMES = ['as-planned', 'cut-short', 'longer', 'incident'] as const;

/** A flight that happened. A correction is another entry. */
export const FlightLogEntrySchema = strict({
  id: uuid(),
  filmId: nullable(uuid(), { title: 'Film', initial: null }),
  flightId: nullable(uuid(), { title: 'Flight', initial: null }),
  aircraftId: uuid(),
  packId: uuid(),
  utcMs: instant({ title: 'Take-off time' }),
  minutes: above(0, 300, { title: 'Minutes in the air', unit: 'min' }),
  startShare: between(0, 1, { title: 'Charge at take-off', unit: 'share' }),
  endShare: between(0, 1, { title: 'Charge at landing', unit: 'share' }),
  plannedWh: nullable(above(0, 10_000), {
    title: 'Planned energy',
    unit: 'Wh',
    initial: null,
    description: 'Before it was corrected by earlier flights; empty where it was flown without a plan.',
  }),
  plannedMinutes: nullable(above(0, 300), {
    title: 'Planned minutes',
    unit: 'min',
    initial: null,
    default: null,
    description: 'Before it was corrected by earlier flights; empty where it was flown without a plan.',
  }),
  plannedSetUpMin: nullable(between(0, 300), {
    title: 'Planned set-up',
    unit: 'min',
    initial: null,
    default: null,
    description: 'Minutes of the plan for framing and settling, before earlier flights corrected them.',
  }),
  windMs: nullable(between(0, 60), {
    title: 'Wind met',
    unit: 'm/s',
    initial: null,
    default: null,
    description: 'Mean wind at 10 m as it was on location; empty where nobody said.',
  }),
  temperatureC: between(-50, 60, { title: 'Temperature', unit: '°C', initial: 15 }),
  outcome: oneOf(FLIGHT_OUTCOMES, { title: 'Outcome', initial: 'as-planned' }),
  condition: oneOf(PACK_STATES, { title: 'Condition of the pack', initial: 'sound' }),
  shotIds: listOf(uuid(), 500, { title: 'Shots done', initial: [] }),
  simulated: flag({
    title: 'Simulated',
    initial: false,
    default: false,
    description: 'Flown by the simulated aircraft: it teaches nothing about kit and pilots.',
  }),
  notes: notes(),
});
export type FlightLogEntry = Stored<typeof FlightLogEntrySchema>;
