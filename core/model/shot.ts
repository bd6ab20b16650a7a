import { Literal, Number as Num, Record, String as Str, Union } from '@sinclair/typebox';
import { HANDLING_NAMES } from './aircraft';
import { PROFILE_SCHOOLS } from './camera';
import { ASPECTS } from './film';
import { LOSS_ACTIONS } from './location';
import { CUT_STYLES, TAKE_STYLES } from './preferences';
import {
  above,
  between,
  clockTime,
  flag,
  listOf,
  longText,
  nullable,
  nullableId,
  oneOf,
  position,
  shortText,
  strict,
  text,
  uuid,
  whole,
  type Stored,
} from './schema';

export const STORY_ROLES = [
  'open',
  'develop',
  'detail',
  'reveal',
  'excite',
  'calm',
  'close',
  'bridge',
] as const;
export type StoryRole = (typeof STORY_ROLES)[number];
export const PRIORITIES = ['must', 'should', 'could'] as const;
export type Priority = (typeof PRIORITIES)[number];
/** Light a shot may be wanted in. */
export const WISH_KINDS = [
  'any',
  'sunrise',
  'sunset',
  'golden',
  'blue',
  'day',
  'night',
  'before-lamps',
  'lamps',
  'flat',
  'hard',
  'backlit',
  'sidelit',
  'frontlit',
] as const;
export type LightWish = (typeof WISH_KINDS)[number];
/** What fills the picture. */
export const SURFACES = ['mixed', 'snow', 'water', 'sand', 'foliage'] as const;
export type Surface = (typeof SURFACES)[number];
/** How light falls on the subject. */
export const LIT = ['open', 'shaded', 'backlit'] as const;
export type Lit = (typeof LIT)[number];
export const CUT_MEASURES = ['seconds', 'beats', 'counts'] as const;
export const RECORDS = ['video', 'stills', 'both'] as const;
export const STILL_FORMATS = ['compressed', 'raw', 'both'] as const;
export const PEOPLE_USES = ['none', 'unrecognisable', 'release-wanted', 'release-signed'] as const;
export const PROPERTY_USES = ['wide', 'single', 'single-released'] as const;
export const TURNS = ['any', 'first', 'last'] as const;
/** Filter id that a person chooses for the bare lens. */
export const BARE_LENS = 'bare';

/** Inputs flown on top of a move: what makes a combined move. */
const AddedSchema = strict(
  {
    riseM: between(-300, 300, { unit: 'm' }),
    awayM: between(-1000, 1000, { unit: 'm' }),
    aroundDeg: between(-1080, 1080, { unit: 'deg' }),
    yawDeg: between(-720, 720, { unit: 'deg' }),
    tiltDeg: between(-120, 120, { unit: 'deg' }),
  },
  {
    title: 'Added inputs',
    default: { riseM: 0, awayM: 0, aroundDeg: 0, yawDeg: 0, tiltDeg: 0 },
  },
);
export type Added = Stored<typeof AddedSchema>;

/** A point of a free route, local metres from the launch point. */
const RoutePointSchema = strict({
  xM: between(-5000, 5000, { unit: 'm' }),
  yM: between(-5000, 5000, { unit: 'm' }),
  zM: between(-500, 1000, { unit: 'm' }),
  speedMs: between(0.1, 40, { unit: 'm/s' }),
});
export type RoutePoint = Stored<typeof RoutePointSchema>;

/** Numbers of a move by the id of its parameter; which there are follows from the kind. */
export type MoveValues = Readonly<globalThis.Record<string, number>>;

/** A move and its numbers. The kinds there are and the limits of their numbers are the moves' own. */
export const MoveSchema = strict({
  kind: text(60, { title: 'Move', initial: 'push-in' }),
  values: Record(Str(), Num(), { initial: {} }),
  reversed: flag({ title: 'Reversed', default: false }),
  added: AddedSchema,
  points: listOf(RoutePointSchema, 100, { title: 'Route points', default: [] }),
  locked: listOf(text(60), 20, {
    title: 'Locked numbers',
    default: [],
    description: 'Numbers that stay as given when another is solved for.',
  }),
});

const SegmentSchema = strict({
  timelineS: between(0, 3600, { title: 'Seconds on the timeline', unit: 's', initial: 6 }),
  speedFactor: above(0, 100, {
    title: 'Speed factor',
    unit: '×',
    initial: 1,
    description: 'Against real time: 2 plays twice as fast, 0.5 at half speed.',
  }),
  endFactor: nullable(above(0, 100), {
    title: 'Speed factor at the end',
    unit: '×',
    default: null,
    description: 'For a speed ramp; empty keeps the speed even.',
  }),
});
export type CutSegment = Stored<typeof SegmentSchema>;

const LayersSchema = strict(
  {
    foreground: shortText({ title: 'Foreground' }),
    middle: shortText({ title: 'Middle ground' }),
    background: shortText({ title: 'Background' }),
  },
  { title: 'Layers', default: { foreground: '', middle: '', background: '' } },
);

const UsageSchema = strict(
  {
    people: oneOf(PEOPLE_USES, { title: 'People' }),
    property: oneOf(PROPERTY_USES, { title: 'Property' }),
  },
  { title: 'Usage and releases', default: { people: 'none', property: 'wide' } },
);
export type Usage = Stored<typeof UsageSchema>;

/** What the aircraft does when it senses an obstacle. */
export const SENSING = ['stop', 'around', 'off'] as const;
export type Sensing = (typeof SENSING)[number];

export const ShotSchema = strict({
  id: uuid(),
  locationId: uuid(),
  position: position(),
  title: longText({ title: 'Title', initial: '' }),
  subjectId: nullable(uuid(), { title: 'Subject', initial: null }),
  role: oneOf(STORY_ROLES, { title: 'Role in the story', initial: 'develop' }),
  priority: oneOf(PRIORITIES, { title: 'Priority', initial: 'should' }),
  wants: oneOf(WISH_KINDS, { title: 'Light wanted', initial: 'any' }),
  move: MoveSchema,
  aircraftId: nullable(uuid(), { title: 'Aircraft', initial: null }),
  cameraId: text(60, { title: 'Camera', initial: '' }),
  modeId: text(60, { title: 'Recording mode', initial: '' }),
  zoom: between(1, 30, {
    title: 'Zoom',
    unit: '×',
    initial: 1,
    description: 'Digital zoom; divides the resolution.',
  }),
  cut: strict({
    by: oneOf(CUT_MEASURES, { title: 'Measured in', initial: 'seconds' }),
    beats: between(0, 1000, { title: 'Beats', initial: 8 }),
    segments: listOf(SegmentSchema, 40, {
      minItems: 1,
      title: 'Cut',
      initial: [{ timelineS: 6, speedFactor: 1, endFactor: null }],
    }),
  }),
  cutStyle: oneOf(CUT_STYLES, { title: 'Used in the cut', initial: 'in-motion' }),
  takes: whole(1, 50, { title: 'Takes', initial: 2 }),
  takeStyle: oneOf(TAKE_STYLES, { title: 'Direction of takes', initial: 'there-and-back' }),
  setupS: between(0, 3600, {
    title: 'Set-up',
    unit: 's',
    initial: 30,
    description: 'Hovering to frame before the first take.',
  }),
  subjectMarginS: between(0, 300, {
    title: 'Subject margin',
    unit: 's',
    initial: 0,
    description: 'Recorded before and after when somebody moves through the frame.',
  }),
  exposure: strict({
    aperture: nullable(above(0, 64), { title: 'Aperture', unit: 'f/', initial: null }),
    shutterS: nullable(above(0, 60), { title: 'Shutter', unit: 's', initial: null }),
    iso: nullable(above(0, 1_000_000), { title: 'ISO', initial: null }),
    filterId: nullable(Union([uuid(), Literal(BARE_LENS)]), {
      title: 'Filter',
      initial: null,
      description: 'Empty is chosen by the solver; bare is no filter.',
    }),
  }),
  offsetStops: between(-10, 10, {
    title: 'Scene offset',
    unit: 'stops',
    initial: 0,
    description: 'Subject darker (−) or brighter (+) than the open scene.',
  }),
  surface: oneOf(SURFACES, { title: 'Surface', default: 'mixed', description: 'What fills the picture.' }),
  lit: oneOf(LIT, { title: 'Light on the subject', default: 'open' }),
  litShare: between(0, 1, {
    title: 'Lit by lamps',
    unit: 'share',
    default: 0.3,
    description: 'Share of the frame that lamps light: 0 none, 1 a lit street that fills it.',
  }),
  profile: nullable(oneOf(PROFILE_SCHOOLS), {
    title: 'Picture profile',
    default: null,
    description: 'Empty takes the film’s.',
  }),
  kelvin: nullable(between(1000, 20_000), {
    title: 'White balance',
    unit: 'K',
    default: null,
    description: 'Empty takes the suggestion.',
  }),
  focusM: nullable(above(0, 10_000), {
    title: 'Focus distance',
    unit: 'm',
    default: null,
    description: 'Empty focuses far.',
  }),
  notBefore: nullable(clockTime(), {
    title: 'Not before',
    default: null,
    description: 'Not flown before this time of the location’s date.',
  }),
  alsoAspect: nullable(oneOf(ASPECTS), {
    title: 'Also cut in',
    default: null,
    description: 'A second aspect the shot must work in.',
  }),
  notAfter: nullable(clockTime(), {
    title: 'Not after',
    default: null,
    description: 'Flown before this time of the location’s date.',
  }),
  chance: flag({
    title: 'Unplanned',
    default: false,
    description: 'Begun on location as the chance came, not planned before.',
  }),
  records: oneOf(RECORDS, { title: 'Records', default: 'video' }),
  stills: whole(0, 500, { title: 'Stills', default: 3 }),
  stillAs: oneOf(STILL_FORMATS, { title: 'Still format', default: 'compressed' }),
  handling: oneOf(HANDLING_NAMES, { title: 'Stick profile', default: 'normal' }),
  walkS: nullable(between(0, 600), {
    title: 'Walk to the mark',
    unit: 's',
    default: null,
    description: 'One way, when the pilot is in the shot; empty when not.',
  }),
  layers: LayersSchema,
  usage: UsageSchema,
  cutPosition: text(200, {
    pattern: '^[0-9A-Za-z]*$',
    title: 'Order in the cut',
    default: '',
    description: 'Where it differs from the list; empty follows it.',
  }),
  launchId: nullableId({ title: 'Launch point' }),
  lossAction: nullable(oneOf(LOSS_ACTIONS), {
    title: 'Lost-link action',
    default: null,
    description: 'Empty takes the location’s.',
  }),
  sensing: nullable(oneOf(SENSING), {
    title: 'Obstacle sensing',
    default: null,
    description: 'What it does at an obstacle; empty leaves it as it is set in the aircraft.',
  }),
  overGround: flag({
    title: 'Hold height over ground',
    default: false,
    description: 'Flown with the aid that keeps the height over ground, which only climbs.',
  }),
  turn: oneOf(TURNS, {
    title: 'Order of flying',
    default: 'any',
    description: 'First or last of its location.',
  }),
  afterId: nullableId({ title: 'Flown after' }),
  notes: longText({ title: 'Notes', initial: '' }),
});

export type Shot = Stored<typeof ShotSchema>;
