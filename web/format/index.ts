import { WISHES } from '@core/light';
import type { LightWish } from '@core/model';
import { writeShutter, type Quantity, type UnitSystem } from '@core/units';

export {
  digitsOf,
  fromShown,
  toShown,
  unitOf,
  write,
  writeClock,
  writeShutter,
  writeText,
} from '@core/units';

/** A number for a field: in the person's units, without trailing noughts and without drift. */
export const fieldText = (shown: number): string =>
  Number.isFinite(shown) ? String(Number(shown.toPrecision(7))) : '';

/** Reads what a person typed, comma or point. */
export const readNumber = (text: string): number => {
  const clean = text.trim().replace(',', '.');
  return clean === '' ? NaN : Number(clean);
};

export { dayText as dateText } from '@core/time';

export const shutterText = writeShutter;

export const apertureText = (n: number): string => `f/${n}`;

export type { Quantity, UnitSystem };

export const ROLE_WORDS = {
  open: 'Open',
  develop: 'Develop',
  detail: 'Detail',
  reveal: 'Reveal',
  excite: 'Excite',
  calm: 'Calm',
  close: 'Close',
  bridge: 'Bridge',
} as const;
/** What the aircraft does at an obstacle; what stands for nothing is what it is set to. */
export const SENSING_CHOICES = [
  { value: null, label: 'As set in the aircraft' },
  { value: 'stop' as const, label: 'Stop' },
  { value: 'around' as const, label: 'Go round' },
  { value: 'off' as const, label: 'Off' },
];
export const RATING_WORDS = { good: 'good', maybe: 'maybe', 'no-good': 'no good' } as const;
export const REASON_WORDS = {
  drifted: 'drifted',
  corrected: 'corrected',
  exposure: 'exposure',
  people: 'people',
  focus: 'focus',
  'not-recording': 'not recording',
} as const;
export const OUTCOME_WORDS = {
  'as-planned': 'as planned',
  'cut-short': 'cut short',
  longer: 'longer',
  incident: 'incident',
} as const;
export const PACK_STATE_WORDS = {
  sound: 'sound',
  hot: 'hot',
  swollen: 'swollen',
  damaged: 'damaged',
} as const;
export const PRIORITY_WORDS = { must: 'Must', should: 'Should', could: 'Could' } as const;
export const WISH_WORDS = Object.fromEntries(WISHES.map((w) => [w.kind, w.name])) as Readonly<
  Record<LightWish, string>
>;
export const SURFACE_WORDS = {
  mixed: 'Mixed ground',
  snow: 'Snow',
  water: 'Water',
  sand: 'Sand',
  foliage: 'Foliage',
} as const;
export const LIT_WORDS = {
  open: 'In the open light',
  shaded: 'In shade',
  backlit: 'Against the light',
} as const;
export const MARK_WORDS = {
  clips: 'clips',
  dark: 'too dark',
  strobes: 'strobes',
  smears: 'smears',
  flickers: 'flickers',
} as const;
export const PROFILE_WORDS = { standard: 'Standard', flat: 'Flat', 'high-dynamic': 'High dynamic' } as const;
export const HANDLING_WORDS = { slow: 'Slow', normal: 'Normal', fast: 'Fast' } as const;
export const RECORD_WORDS = { video: 'Video', stills: 'Stills only', both: 'Video and stills' } as const;
export const PEOPLE_WORDS = {
  none: 'Nobody in shot',
  unrecognisable: 'Nobody to be told',
  'release-wanted': 'Release wanted',
  'release-signed': 'Release signed',
} as const;
export const PROPERTY_WORDS = {
  wide: 'Wide, among others',
  single: 'One property fills it',
  'single-released': 'One property, released',
} as const;
export const SUBJECT_WORDS = {
  person: 'Person',
  vehicle: 'Vehicle',
  train: 'Train',
  boat: 'Boat',
  trees: 'Trees',
  house: 'House',
  tower: 'Tower',
  bridge: 'Bridge',
  field: 'Field',
  other: 'Other',
} as const;
export const SKY_WORDS = {
  clear: 'Clear',
  'thin-cloud': 'Thin cloud',
  overcast: 'Overcast',
  heavy: 'Heavy cloud',
} as const;
export const LAMP_WORDS = {
  none: 'No lamps',
  'lit-street': 'Lit street',
  'floodlit-building': 'Floodlit building',
  signs: 'Bright signs',
  stage: 'Stage',
} as const;
export const INPUT_WORDS = {
  throttle: 'throttle',
  forward: 'forward',
  sideways: 'sideways',
  yaw: 'yaw',
  tilt: 'tilt',
  zoom: 'zoom',
} as const;

/** A list of choices from a table of words. */
export const choices = <T extends string>(
  words: Readonly<Record<T, string>>,
): { value: T; label: string }[] =>
  (Object.entries(words) as [T, string][]).map(([value, label]) => ({ value, label }));

const instants = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** An instant on this machine's clock. */
export const whenText = (utcMs: number): string => (Number.isFinite(utcMs) ? instants.format(utcMs) : '');
