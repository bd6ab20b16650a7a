export {
  type Ability,
  type AidKind,
  type Aircraft,
  type AirframeFigures,
  type Handling,
  HANDLING_NAMES,
  type HandlingName,
  SENSE_SIDES,
} from './aircraft';
export {
  type Camera,
  newCamera,
  type Profile,
  PROFILE_SCHOOLS,
  STILL_ASPECTS,
  type ProfileSchool,
  type RecordingMode,
} from './camera';
export { type Card, CARD_SPOTS, type CardAct, type CardMove, type CardSpot } from './card';
export type { Charger, Device } from './charger';
export { type Answer, CHECK_MOMENTS, type CheckMoment, type OwnCheck } from './check';
export { DEFAULT_PREFERENCES } from './default-preferences';
export { newRow, rowOfToday, withDefaults } from './defaults';
export { MODEL_VERSION } from './version';
export { type Entity, SCHEMAS } from './entities';
export { type Feature, type FeatureKind, type FeatureShape, type Footing, FOOTINGS } from './feature';
export type { FilmInput } from './film-input';
export { type HourWeather, HourWeatherSchema, SKIES, WEATHER_SOURCES } from './location';
export { type Aspect, ASPECTS, type Film, TIMELINE_RATES } from './film';
export { type Filter, filterFits, marksOf } from './filter';
export type { FlightPlan, FlightLogEntry } from './flight';
export type { Gear, GearRole } from './gear';
export type { GroundShot } from './ground-shot';
export { ASSET_LIMIT, ASSET_MIMES, type AssetMime, AssetSchema } from './ground';
export {
  ENTITY_KINDS,
  type EntityKind,
  EXCHANGE_FORMAT,
  EXCHANGE_LIMIT,
  EXCHANGE_VERSION,
  isKit,
  KIT_FORMAT,
  KIT_KINDS,
  type KitKind,
  LOCATION_KINDS,
} from './kinds';
export type { Kit } from './kit';
export type { Lamps, Location, LossAction, Reading, Sky, WindTerrain } from './location';
export type { Pack } from './pack';
export type { Pilot, Practice } from './pilot';
export {
  CARD_POLICIES,
  EXPOSE_FOR,
  type ExposeFor,
  type CardPolicy,
  type CutStyle,
  type Preferences,
  type TakeStyle,
} from './preferences';
export { REFERENCES } from './references';
export { type RecordRow, RecordRowSchema } from './record-row';
export { DESCRIBING_KEYWORDS, listOf, oneOf, type Stored, strict, uuid, whole } from './schema';
export { VOICE_LIMIT_S, VOICE_MIMES, type VoiceMime, type VoiceNote } from './voice-note';
export { type Take, TAKE_RATINGS, TAKE_REASONS, type TakeRating, type TakeReason } from './take';
export { validateSemantics } from './semantic';
export {
  type Added,
  BARE_LENS,
  type CutSegment,
  type LightWish,
  type Lit,
  type MoveValues,
  PRIORITIES,
  type Priority,
  type RoutePoint,
  type Shot,
  STORY_ROLES,
  type StoryRole,
  type Surface,
  type Usage,
  WISH_KINDS,
  type Sensing,
} from './shot';
export type { Subject, SubjectKind } from './subject';
export { changeTo, type RowChange } from './change';
