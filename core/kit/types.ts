/** A way a camera records. */
export interface RecordingMode {
  readonly id: string;
  readonly name: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly fps: number;
  readonly megabitsPerS: number;
}

/** A camera on an aircraft. */
export interface Camera {
  readonly id: string;
  readonly name: string;
  readonly equivalentMm: number;
  /** f-numbers it can be set to; one means a fixed aperture. */
  readonly apertures: readonly number[];
  readonly isoBase: number;
  readonly isoCeiling: number;
  readonly maxZoom: number;
  readonly modes: readonly RecordingMode[];
}

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

export interface Aircraft extends AirframeFigures {
  readonly id: string;
  readonly name: string;
  readonly maxClimbMs: number;
  readonly maxDescentMs: number;
  readonly maxYawDegS: number;
  readonly cameras: readonly Camera[];
  readonly retired: boolean;
}

export interface Pack {
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
  readonly retired: boolean;
}

export interface Card {
  readonly id: string;
  readonly name: string;
  readonly nominalGB: number;
  readonly usedGB: number;
  /** Rated minimum sustained write, MB/s. */
  readonly writeMBs: number;
  readonly retired: boolean;
}

export interface Filter {
  readonly id: string;
  readonly name: string;
  /** Light is divided by this: 2, 4, 8 … */
  readonly factor: number;
  readonly aircraftIds: readonly string[];
  readonly retired: boolean;
}

export interface Kit {
  readonly aircraft: readonly Aircraft[];
  readonly packs: readonly Pack[];
  readonly cards: readonly Card[];
  readonly filters: readonly Filter[];
}
