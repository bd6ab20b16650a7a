export const GEAR_ROLES = [
  'reader',
  'cable',
  'landing-pad',
  'propellers',
  'guards',
  'case',
  'tool',
  'other',
] as const;
export type GearRole = (typeof GEAR_ROLES)[number];

/** What else is carried: counted, not charged. */
export interface Gear {
  readonly id: string;
  readonly name: string;
  readonly role: GearRole;
  readonly count: number;
  /** Of one of them, g. */
  readonly massG: number;
  /** It flies with the aircraft it is for: guards, a strobe. */
  readonly fitted: boolean;
  /** What a reader copies, MB/s; 0 for what reads nothing. */
  readonly readMBs: number;
  /** Aircraft it is for; none named stands for all. */
  readonly aircraftIds: readonly string[];
  readonly retired: boolean;
}

export const CARD_SPOTS = ['bag', 'aircraft', 'case', 'reader', 'computer'] as const;
export type CardSpot = (typeof CARD_SPOTS)[number];
export const CARD_ACTS = ['put', 'record', 'copy', 'format', 'correct'] as const;
export type CardAct = (typeof CARD_ACTS)[number];

/** Something that happened to a card. A correction is another entry. */
export interface CardMove {
  readonly id: string;
  readonly cardId: string;
  readonly utcMs: number;
  readonly act: CardAct;
  /** Where it is from then on; null where that does not change. */
  readonly spot: CardSpot | null;
  readonly aircraftId: string | null;
  /** Recorded by 'record'; on it from then on by 'correct'; GB. */
  readonly gb: number;
  /** Copies that footage must have before it may be formatted, as the film asked then. */
  readonly copiesWanted: number;
  /** Why it was formatted with fewer copies all the same; empty where it was not. */
  readonly waiver: string;
}

/** Moments of a day at which something is looked at. */
export const CHECK_MOMENTS = [
  'days-before',
  'evening-before',
  'leaving-home',
  'launch-point',
  'before-take',
  'after-landing',
  'leaving-place',
  'at-home',
] as const;
export type CheckMoment = (typeof CHECK_MOMENTS)[number];

/** A check of a person's own, or a change to one that comes along. */
export interface OwnCheck {
  readonly id: string;
  /** Code of the one it changes; empty for one of its own. */
  readonly builtIn: string;
  readonly name: string;
  readonly moment: CheckMoment;
  readonly protects: string;
  /** Key it is ordered by within its moment. */
  readonly position: string;
  readonly off: boolean;
  readonly retired: boolean;
}
