import type { Camera } from './camera';
import type { CardMove, Gear, OwnCheck } from './gear';

/** What the power model needs of an aircraft, as its maker states it. */
export interface AirframeFigures {
  readonly massKg: number;
  readonly rotors: number;
  readonly rotorDiameterM: number;
  readonly packWh: number;
  readonly hoverMinutes: number;
  readonly cruiseMinutes: number;
  readonly cruiseSpeedMs: number;
  readonly maxSpeedMs: number;
  readonly windLimitMs: number;
  readonly dragAreaM2?: number;
}

/** What an aircraft may be able to fly by itself. */
export const AID_KINDS = [
  'orbit',
  'track-behind',
  'track-beside',
  'track-in-place',
  'line',
  'route',
  'terrain',
  'slow-sticks',
] as const;
export type AidKind = (typeof AID_KINDS)[number];

/** One such ability with its limits, as its maker states or its pilot found them. */
export interface Ability {
  readonly kind: AidKind;
  readonly maxSpeedMs: number;
  readonly minDistanceM: number;
  readonly maxDistanceM: number;
}

/** From the calmest on. */
export const HANDLING_NAMES = ['slow', 'normal', 'fast'] as const;
export type HandlingName = (typeof HANDLING_NAMES)[number];

/** What the sticks are set to: rates at full stick, how softly they start (0 hard, 1 soft), how flat their middle is (0 straight). */
export interface Handling {
  readonly maxSpeedMs: number;
  readonly maxYawDegS: number;
  readonly maxTiltDegS: number;
  /** How softly turning starts and ends; that of the camera's tilt beside it. */
  readonly smoothing: number;
  readonly tiltSmoothing: number;
  readonly expo: number;
}

/** What a thing with a program inside runs, and the day somebody looked for a newer one; null where nobody did. */
export interface Firmware {
  readonly firmware: string;
  readonly firmwareOn: string | null;
}

export const SENSE_SIDES = ['front', 'back', 'left', 'right', 'up', 'down'] as const;
export type SenseSide = (typeof SENSE_SIDES)[number];

export interface Aircraft extends AirframeFigures, Firmware {
  readonly id: string;
  readonly name: string;
  readonly maxClimbMs: number;
  readonly maxDescentMs: number;
  readonly maxYawDegS: number;
  readonly maxTiltDegS: number;
  /** Largest width tip to tip with propellers, and height, m. */
  readonly spanM: number;
  readonly heightM: number;
  readonly handling: Readonly<Record<HandlingName, Handling>>;
  readonly abilities: readonly Ability[];
  readonly cameras: readonly Camera[];
  /** Sides on which it senses what is there. */
  readonly senses: readonly SenseSide[];
  /** Most the camera tilts up, and tilt from which the propellers stand in the picture; deg. */
  readonly tiltUpDeg: number;
  readonly propsFromDeg: number;
  /** Mark it carries, insurance and its last day; empty and null where there is none. */
  readonly registration: string;
  readonly insurance: string;
  readonly insuredUntil: string | null;
  /** Mass of the pack its own mass is stated with, g; 0 where nobody weighed it. */
  readonly usualPackG: number;
  /** Memory inside it, GB; 0 for none. */
  readonly internalGB: number;
  readonly retired: boolean;
  /** Energy it really takes for a watt-hour reckoned, by logged flights; worked out, not stored. */
  readonly energyFactor?: number;
}

/** What a pack looked and felt like when it was last in the hand. */
export const PACK_STATES = ['sound', 'hot', 'swollen', 'damaged'] as const;
export type PackState = (typeof PACK_STATES)[number];

export interface Pack extends Firmware {
  readonly id: string;
  readonly name: string;
  /** Aircraft it fits. */
  readonly aircraftIds: readonly string[];
  readonly ratedWh: number;
  /** Charge now, 0–1. */
  readonly charge: number;
  /** Share of the rated energy it still holds when full, 0–1. */
  readonly health: number;
  readonly cycles: number;
  /** Day it was last charged, local; null where nobody knows. */
  readonly chargedOn: string | null;
  /** Days a full pack holds before it drains itself for storage. */
  readonly drainDelayDays: number;
  /** Minutes from empty to full on its own charger. */
  readonly chargeMinutes: number;
  /** Cycles it is trusted for. */
  readonly mostCycles: number;
  readonly condition: PackState;
  /** g; 0 where nobody weighed it. */
  readonly massG: number;
  readonly retired: boolean;
  /** Energy it really needs for a watt-hour its sisters give, by logged flights; worked out, not stored. */
  readonly drawFactor?: number;
}

export const CHARGE_SOURCES = ['wall', 'vehicle', 'bank'] as const;

export interface Charger {
  readonly id: string;
  readonly name: string;
  readonly source: (typeof CHARGE_SOURCES)[number];
  /** What the source can give in all, Wh; 0 where it does not run dry. */
  readonly sourceWh: number;
  readonly slots: number;
  readonly manner: 'in-turn' | 'side-by-side';
  /** What one slot gives, W. */
  readonly slotW: number;
  /** Aircraft whose packs it takes; none named stands for all. */
  readonly aircraftIds: readonly string[];
  readonly massG: number;
  readonly retired: boolean;
}

export const DEVICE_ROLES = ['controller', 'phone', 'goggles', 'other'] as const;

/** What has to be charged besides packs. */
export interface Device extends Firmware {
  readonly id: string;
  readonly name: string;
  readonly role: (typeof DEVICE_ROLES)[number];
  readonly charge: number;
  /** Hours a full charge lasts in use. */
  readonly hours: number;
  readonly chargeMinutes: number;
  readonly massG: number;
  readonly retired: boolean;
}

export const FLIGHT_VERDICTS = ['as-planned', 'cut-short', 'longer', 'trouble'] as const;

/** A flight that happened. */
export interface FlownFlight {
  readonly id: string;
  readonly filmId: string | null;
  readonly flightId: string | null;
  readonly aircraftId: string;
  readonly packId: string;
  readonly utcMs: number;
  readonly minutes: number;
  /** Charge shown at take-off and landing, 0–1. */
  readonly startShare: number;
  readonly endShare: number;
  /** What the plan said before it was corrected by earlier flights, Wh. */
  readonly plannedWh: number | null;
  readonly temperatureC: number;
  readonly verdict: (typeof FLIGHT_VERDICTS)[number];
  readonly condition: PackState;
  /** Shots that are in the can by it. */
  readonly shotIds: readonly string[];
}

export interface Card {
  readonly id: string;
  readonly name: string;
  readonly nominalGB: number;
  readonly usedGB: number;
  /** Rated minimum sustained write, MB/s. */
  readonly writeMBs: number;
  readonly retired: boolean;
  /** What its record says was on it before anything was told of it, where `usedGB` is what is on it now; worked out, not stored. */
  readonly recordedGB?: number;
}

export interface Filter {
  readonly id: string;
  readonly name: string;
  readonly kind: 'nd' | 'variable' | 'polariser';
  /** Light is divided by this: 2, 4, 8 …; a variable one at its weakest. */
  readonly factor: number;
  /** A variable one at its strongest; 0 for the others. */
  readonly strongest: number;
  readonly massG: number;
  readonly aircraftIds: readonly string[];
  readonly retired: boolean;
}

export interface Pilot {
  readonly id: string;
  readonly name: string;
  /** Practised level per kind of move as the pilot states it, 0 never flown to 4 sure of it. */
  readonly levels: Readonly<Record<string, number>>;
  readonly retired: boolean;
}

/** One practice of a move. */
export interface Practice {
  readonly id: string;
  readonly pilotId: string;
  readonly moveKind: string;
  readonly utcMs: number;
  readonly handling: 'simulator' | HandlingName;
  readonly tries: number;
  readonly keepers: number;
}

export interface Kit {
  readonly aircraft: readonly Aircraft[];
  readonly packs: readonly Pack[];
  readonly cards: readonly Card[];
  readonly filters: readonly Filter[];
  readonly pilots: readonly Pilot[];
  readonly practice: readonly Practice[];
  readonly chargers: readonly Charger[];
  readonly devices: readonly Device[];
  readonly flown: readonly FlownFlight[];
  readonly gear: readonly Gear[];
  readonly cardMoves: readonly CardMove[];
  readonly checks: readonly OwnCheck[];
}
