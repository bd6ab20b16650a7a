/** A shot as the dice see it: what each part takes, and by when. Seconds from the start of the day, Wh. */
export interface RiskShot {
  readonly id: string;
  readonly must: boolean;
  readonly takes: number;
  /** Chance that a take is kept. */
  readonly keeperRate: number;
  readonly legS: number;
  readonly legWh: number;
  readonly setupS: number;
  readonly setupWh: number;
  /** Share of the planned set-up that is left after rehearsing: in both of them. */
  readonly setUpShare: number;
  readonly takeS: number;
  readonly takeWh: number;
  readonly betweenS: number;
  readonly betweenWh: number;
  readonly homeS: number;
  readonly homeWh: number;
  readonly latestS: number;
}

export interface RiskFlight {
  /** Who flies it: flights of one follow each other. */
  readonly crew: string;
  readonly kind: string;
  /** What may be used of its pack until the reserve, and the part of it a failing pack would lack. */
  readonly usableWh: number;
  readonly heldWh: number;
  readonly launchS: number;
  readonly takeoffS: number;
  readonly takeoffWh: number;
  readonly stops: readonly RiskShot[];
}

/** A pack nothing is planned for. */
export interface RiskSpare {
  readonly kind: string;
  readonly usableWh: number;
  readonly heldWh: number;
  readonly takeoffS: number;
  readonly takeoffWh: number;
}

export interface RiskDay {
  readonly flights: readonly RiskFlight[];
  readonly spares: readonly RiskSpare[];
  /** Musts no flight has: they are missing in every run. */
  readonly unplanned: readonly { readonly id: string; readonly must: boolean }[];
  readonly swapS: number;
  /** Standard deviations, as shares: how a pack holds, how the air takes, how long set-ups last. */
  readonly packSpread: number;
  readonly airSpread: number;
  readonly setupSpread: number;
  /** Mean power of its flights, by which energy left over is told in minutes, W. */
  readonly meanW: number;
}

export interface Percentiles {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

export interface RiskAnswer {
  readonly runs: number;
  /** Chance that every must is in the can. */
  readonly allMusts: number;
  /** Chance that everything is. */
  readonly all: number;
  readonly minutes: Percentiles;
  /** Minutes of hover left on packs that were to be used and on spares. */
  readonly minutesLeft: Percentiles;
  /** Flights flown, those for what was missed among them. */
  readonly flights: Percentiles;
  /** Chance of each shot to be missing, likeliest first, musts before others. */
  readonly missing: readonly { readonly id: string; readonly must: boolean; readonly chance: number }[];
  /** Minutes in the air by runs. */
  readonly histogram: readonly { readonly fromMin: number; readonly toMin: number; readonly runs: number }[];
}
