import { Type } from '@sinclair/typebox';
import {
  Above,
  Between,
  ClockTime,
  filled,
  LocalDate,
  Name,
  Nullable,
  OneOf,
  Position,
  ShortText,
  strict,
  Text,
  Uuid,
  Whole,
} from './parts';
import { CHECK_MOMENTS, PROFILE_SCHOOLS } from '../core/kit';
import { LIT, SURFACES, WISH_KINDS } from '../core/light';
import { MoveSchema } from './moves';

const Takes = OneOf('same-way', 'there-and-back');
const Cut = OneOf('in-motion', 'whole');

export const PreferencesSchema = strict({
  reserveShare: Between(0.2, 0.4),
  packUse: OneOf('several', 'one-shot'),
  holdBackSpare: Type.Boolean(),
  takeStyle: Takes,
  cutStyle: Cut,
  cardPolicy: OneOf('one', 'fresh', 'fresh-away'),
  minimumHoldS: Between(0, 60),
  preRollS: Between(0, 30),
  postRollS: Between(0, 30),
  settleS: Between(0, 60),
  easeAccelMs2: Between(0.1, 6),
  repositionMs: Between(1, 30),
  swapMinutes: Between(0, 60),
  shutterLowDeg: Between(10, 360),
  shutterHighDeg: Between(10, 360),
  highlightBiasStops: Between(-2, 1),
  practisedInputs: Whole(1, 6),
  /** Extra at both ends of what the cut uses, each, s. */
  handleS: filled(Between(0, 10), 0),
  /** Free air kept from what stands there, and from the ground, m. */
  clearanceM: filled(Between(0, 100), 5),
  groundM: filled(Between(0, 100), 1.5),
  /** Seconds until a gust is held against. */
  reactionS: filled(Between(0, 10), 1.5),
  /** Half the width of a way home that is looked at, and what is added to the tallest thing in it, m. */
  corridorM: filled(Between(0, 200), 10),
  returnMarginM: filled(Between(0, 200), 20),
  /** Sun heights that bound golden light, and where blue light ends, deg. */
  goldenTopDeg: filled(Between(0, 20), 6),
  goldenBottomDeg: filled(Between(-8, 0), -4),
  civilDeg: filled(Between(-12, -4), -6),
  /** Minutes after sunset at which lamps come on. */
  lampsDelayMin: filled(Between(0, 90), 20),
  /** Stops the ISO may be raised by day before a filter counts as used up. */
  cleanIsoStops: filled(Between(0, 8), 2),
  profile: filled(OneOf(...PROFILE_SCHOOLS), 'standard'),
  /** Flat at night, where shadows matter. */
  flatAtNight: filled(Type.Boolean(), false),
  whiteBalance: filled(OneOf('locked', 'automatic'), 'locked'),
  /** Take-off masses at which rules tend to change, kg. */
  weightLinesKg: filled(
    Type.Unsafe<readonly number[]>(Type.Array(Above(0, 100), { maxItems: 10 })),
    [0.249, 0.899, 3.999],
  ),
  /** Two people fly at the same time, each aircraft with its own packs. */
  flyAtOnce: filled(Type.Boolean(), false),
  /** Logged flights correct the plan. */
  learn: filled(Type.Boolean(), true),
  /** Packs are charged again during the day, on the chargers that come along. */
  chargeBetween: filled(Type.Boolean(), true),
  /** Minutes a pack cools after landing before it is charged. */
  coolMinutes: filled(Between(0, 240), 20),
  /** Copies footage has before its card may be formatted. */
  copiesWanted: filled(Whole(1, 9), 2),
  /** Distance from the launch point from which a flight is far from help, m. */
  awayM: filled(Between(20, 20_000), 400),
  /** Minutes of an evening there are for copying. */
  eveningMinutes: filled(Between(0, 1440), 120),
  /** How clips are named; words in braces are filled in. */
  clipTemplate: filled(Type.String({ minLength: 1, maxLength: 200 }), '{film}_{place}_{shot}_t{take}'),
});

export const FilmSchema = strict({
  id: Uuid,
  name: Name,
  purpose: Text,
  audience: ShortText,
  cutLengthS: Between(0, 36_000),
  timelineFps: Between(1, 240),
  tempoBpm: Between(0, 400),
  /** Beats in one count, for cuts counted in eights or bars. */
  beatsPerCount: filled(Whole(1, 64), 8),
  aspect: OneOf('16:9', '9:16', '4:3', '1:1', '2.39:1'),
  stillsWanted: Type.Boolean(),
  units: OneOf('metric', 'imperial'),
  preferences: PreferencesSchema,
  /** Packs, cards and filters that do not come along on this film. */
  leftHome: Type.Array(Uuid, { maxItems: 1000 }),
  pilotId: filled(Nullable(Uuid), null),
});

export const LocationSchema = strict({
  id: Uuid,
  filmId: Uuid,
  position: Position,
  name: Name,
  latitude: Between(-90, 90),
  longitude: Between(-180, 180),
  zone: Type.String({ minLength: 1, maxLength: 100 }),
  elevationM: Between(-500, 9000),
  date: LocalDate,
  windowStart: ClockTime,
  windowEnd: ClockTime,
  windMs: Between(0, 60),
  gustMs: Between(0, 80),
  windFromDeg: Between(0, 360),
  terrain: OneOf('open', 'rough'),
  temperatureC: Between(-50, 60),
  visibilityM: Between(0, 100_000),
  sky: OneOf('clear', 'thin-cloud', 'overcast', 'heavy'),
  lamps: OneOf('none', 'lit-street', 'floodlit-building', 'signs', 'stage'),
  mainsHz: Type.Unsafe<50 | 60>(Type.Number({ enum: [50, 60] })),
  ceilingM: Between(1, 1000),
  returnHeightM: Between(2, 1000),
  /** Launch point flown from where a shot names none; null is the origin. */
  launchId: filled(Nullable(Uuid), null),
  lossAction: filled(OneOf('return', 'hover', 'land'), 'return'),
  /** Minutes from the place before on the same day until ready to fly here. */
  travelMin: filled(Between(0, 1440), 0),
  /** A wall socket is there, or on the way there. */
  wallPower: filled(Type.Boolean(), false),
  /** Times of the day at which nobody flies. */
  breaks: filled(Type.Array(strict({ from: ClockTime, minutes: Between(1, 720) }), { maxItems: 10 }), []),
  notes: Text,
});

export const SubjectSchema = strict({
  id: Uuid,
  locationId: Uuid,
  name: Name,
  kind: OneOf('person', 'vehicle', 'train', 'boat', 'trees', 'house', 'tower', 'bridge', 'field', 'other'),
  xM: Between(-5000, 5000),
  yM: Between(-5000, 5000),
  baseM: Between(-500, 500),
  heightM: Above(0, 500),
  /** Along its heading when it moves, else along its long side. */
  widthM: Above(0, 2000),
  /** Across the long side; 0 takes what is usual for its kind. */
  depthM: filled(Between(0, 2000), 0),
  /** Bearing it moves on, or of its long side when it stands. */
  headingDeg: filled(Between(0, 360), 90),
  speedMs: filled(Between(0, 60), 0),
  /** Where it goes, if not straight along its heading. */
  path: filled(
    Type.Array(strict({ xM: Between(-5000, 5000), yM: Between(-5000, 5000) }), { maxItems: 200 }),
    [],
  ),
});

export const ShotSchema = strict({
  id: Uuid,
  locationId: Uuid,
  position: Position,
  title: Type.String({ maxLength: 10_000 }),
  subjectId: Nullable(Uuid),
  role: OneOf('open', 'develop', 'detail', 'reveal', 'excite', 'calm', 'close', 'bridge'),
  priority: OneOf('must', 'should', 'could'),
  wants: OneOf(...WISH_KINDS),
  move: MoveSchema,
  aircraftId: Nullable(Uuid),
  cameraId: Type.String({ maxLength: 60 }),
  modeId: Type.String({ maxLength: 60 }),
  zoom: Between(1, 30),
  cut: strict({
    by: OneOf('seconds', 'beats', 'counts'),
    beats: Between(0, 1000),
    segments: Type.Array(
      strict({
        timelineS: Between(0, 3600),
        speedFactor: Above(0, 100),
        /** Speed at the end of the stretch; null keeps it even. */ endFactor: filled(
          Nullable(Above(0, 100)),
          null,
        ),
      }),
      { minItems: 1, maxItems: 40 },
    ),
  }),
  cutStyle: Cut,
  takes: Whole(1, 50),
  takeStyle: Takes,
  setupS: Between(0, 3600),
  subjectMarginS: Between(0, 300),
  exposure: strict({
    aperture: Nullable(Above(0, 64)),
    shutterS: Nullable(Above(0, 60)),
    iso: Nullable(Above(0, 1_000_000)),
    filterId: Nullable(Type.Union([Uuid, Type.Literal('bare')])),
  }),
  offsetStops: Between(-10, 10),
  /** What fills the picture, and how the light falls on the subject. */
  surface: filled(OneOf(...SURFACES), 'mixed'),
  lit: filled(OneOf(...LIT), 'open'),
  /** null as the film has it. */
  profile: filled(Nullable(OneOf(...PROFILE_SCHOOLS)), null),
  /** White balance fixed by hand, kelvin; null as suggested. */
  kelvin: filled(Nullable(Between(1000, 20_000)), null),
  /** Distance focused by hand, m; null is far. */
  focusM: filled(Nullable(Above(0, 10_000)), null),
  /** Not flown before this minute of the place's date. */
  notBefore: filled(Nullable(ClockTime), null),
  /** Video, stills from the same spot, or both. */
  records: filled(OneOf('video', 'stills', 'both'), 'video'),
  stills: filled(Whole(0, 500), 3),
  /** What is kept of each single frame. */
  stillAs: filled(OneOf('compressed', 'raw', 'both'), 'compressed'),
  handling: filled(OneOf('slow', 'normal', 'fast'), 'normal'),
  /** The pilot is in the shot: walks to the mark and back while the aircraft hovers, s one way; null when not. */
  walkS: filled(Nullable(Between(0, 600)), null),
  layers: filled(strict({ foreground: ShortText, middle: ShortText, background: ShortText }), {
    foreground: '',
    middle: '',
    background: '',
  }),
  usage: filled(
    strict({
      people: OneOf('none', 'unrecognisable', 'release-wanted', 'release-signed'),
      property: OneOf('wide', 'single', 'single-released'),
    }),
    { people: 'none', property: 'wide' },
  ),
  /** Place in the cut, where that differs from the order in the air; empty follows the list. */
  cutPosition: filled(Type.String({ maxLength: 200, pattern: '^[0-9A-Za-z]*$' }), ''),
  launchId: filled(Nullable(Uuid), null),
  /** What it does when the signal is lost; null as the place has it. */
  lossAction: filled(Nullable(OneOf('return', 'hover', 'land')), null),
  /** Flown with the aid that keeps the height over ground, which only climbs. */
  overGround: filled(Type.Boolean(), false),
  /** First or last of its place, or after another shot. */
  turn: filled(OneOf('any', 'first', 'last'), 'any'),
  afterId: filled(Nullable(Uuid), null),
  notes: Text,
});

export const ReadingSchema = strict({
  id: Uuid,
  locationId: Uuid,
  utcMs: Type.Integer({ minimum: 0, maximum: 4_102_444_800_000 }),
  ev100: Between(-10, 20),
});

/** What somebody found when something was checked. Only added to: the newest answer counts. */
export const AnswerSchema = strict({
  id: Uuid,
  locationId: Uuid,
  /** Code of a check that comes along, or id of one's own. */
  checkId: Type.String({ minLength: 1, maxLength: 60 }),
  moment: OneOf(...CHECK_MOMENTS),
  /** Slate before whose take it was asked, or the first of the flight; null for the place or the day. */
  shotId: Nullable(Uuid),
  verdict: OneOf('passed', 'failed', 'waived', 'open'),
  reason: ShortText,
  /** What the check had found when it was answered; the answer holds while it finds the same. */
  found: filled(Type.String({ maxLength: 1000 }), ''),
  who: Type.String({ maxLength: 200 }),
  utcMs: Type.Integer({ minimum: 0, maximum: 4_102_444_800_000 }),
});
