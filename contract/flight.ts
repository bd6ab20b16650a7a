import { Type } from '@sinclair/typebox';
import { ClockTime, Nullable, Position, strict, Uuid } from './parts';

/** A shot in a flight that a person laid down or took from the planner. */
const StopSchema = strict({
  shotId: Uuid,
  /** Stays in this flight whatever the planner would rather do. */
  pinned: Type.Boolean(),
});

/** A flight as it was decided. Which card and which filter it has follows from the shots and the light. */
export const FlightSchema = strict({
  id: Uuid,
  locationId: Uuid,
  position: Position,
  aircraftId: Uuid,
  launchId: Nullable(Uuid),
  /** null takes the first pack that fits. */
  packId: Nullable(Uuid),
  stops: Type.Array(StopSchema, { maxItems: 500 }),
  /** The planner leaves it as it is. */
  locked: Type.Boolean(),
  /** Not launched before this minute of the place's date. */
  notBefore: Nullable(ClockTime),
});
