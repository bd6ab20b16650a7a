/** Every kind of row that can be stored. Apart from the schemas, so that who only asks for a name does not load them. */
export const ENTITY_KINDS = [
  'film',
  'location',
  'subject',
  'shot',
  'reading',
  'feature',
  'ground',
  'picture',
  'aircraft',
  'pack',
  'card',
  'filter',
  'pilot',
  'practice',
  'flight',
  'charger',
  'device',
  'flightLogEntry',
  'gear',
  'cardMove',
  'check',
  'answer',
  'take',
  'groundShot',
  'voiceNote',
] as const;
export type EntityKind = (typeof ENTITY_KINDS)[number];

/** What belongs to the owner across films. */
export const KIT_KINDS = [
  'aircraft',
  'pack',
  'card',
  'filter',
  'pilot',
  'practice',
  'charger',
  'device',
  'flightLogEntry',
  'gear',
  'cardMove',
  'check',
] as const;
export type KitKind = (typeof KIT_KINDS)[number];
/** What belongs to a place, and goes with it. */
export const LOCATION_KINDS = [
  'subject',
  'shot',
  'reading',
  'feature',
  'ground',
  'picture',
  'flight',
  'answer',
  'take',
  'groundShot',
  'voiceNote',
] as const;
export const isKit = (kind: EntityKind): kind is KitKind => (KIT_KINDS as readonly string[]).includes(kind);

/** Name and version of the film file. */
export const EXCHANGE_FORMAT = 'dusk-slate-film';
export const EXCHANGE_VERSION = 3;
/** Largest film or kit file that is taken in, bytes. */
export const EXCHANGE_LIMIT = 250_000_000;
/** Name of the file that holds kit and checks alone. */
export const KIT_FORMAT = 'dusk-slate-kit';
