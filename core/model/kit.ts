import type { Aircraft } from './aircraft';
import type { Card, CardMove } from './card';
import type { Charger, Device } from './charger';
import type { OwnCheck } from './check';
import type { Filter } from './filter';
import type { FlightLogEntry } from './flight';
import type { Gear } from './gear';
import type { Pack } from './pack';
import type { Pilot, Practice } from './pilot';

/** Everything an owner has, across films. */
export interface Kit {
  readonly aircraft: readonly Aircraft[];
  readonly packs: readonly Pack[];
  readonly cards: readonly Card[];
  readonly filters: readonly Filter[];
  readonly pilots: readonly Pilot[];
  readonly practice: readonly Practice[];
  readonly chargers: readonly Charger[];
  readonly devices: readonly Device[];
  readonly flightLog: readonly FlightLogEntry[];
  readonly gear: readonly Gear[];
  readonly cardMoves: readonly CardMove[];
  readonly checks: readonly OwnCheck[];
}
