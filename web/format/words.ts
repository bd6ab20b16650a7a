import { tr } from './messages';
import type { EN } from './messages/en';

/** Words by what they stand for, in the language of the interface: read where they are shown, never kept. */
const words = <P extends string, K extends string>(
  prefix: P,
  kinds: readonly (`${P}.${K}` extends keyof typeof EN ? K : never)[],
): Readonly<Record<K, string>> => {
  const table = {};
  for (const kind of kinds)
    Object.defineProperty(table, kind, {
      enumerable: true,
      get: () => tr(`${prefix}.${kind}` as keyof typeof EN),
    });
  return table as Readonly<Record<K, string>>;
};

export const ROLE_WORDS = words('role', [
  'open',
  'develop',
  'detail',
  'reveal',
  'excite',
  'calm',
  'close',
  'bridge',
]);
export const RATING_WORDS = words('rating', ['good', 'maybe', 'no-good']);
export const REASON_WORDS = words('reason', [
  'drifted',
  'corrected',
  'exposure',
  'people',
  'focus',
  'not-recording',
]);
export const OUTCOME_WORDS = words('outcome', ['as-planned', 'cut-short', 'longer', 'incident']);
export const PACK_STATE_WORDS = words('packState', ['sound', 'hot', 'swollen', 'damaged']);
export const MOMENT_WORDS = words('moment', [
  'days-before',
  'evening-before',
  'leaving-home',
  'launch-point',
  'before-take',
  'after-landing',
  'leaving-place',
  'at-home',
]);
export const LOSS_WORDS = words('loss', ['return', 'hover', 'land']);
export const PRIORITY_WORDS = words('priority', ['must', 'should', 'could']);
export const EXPERIENCE_WORDS = words('experience', ['new', 'practised', 'expert']);
export const FOOTING_WORDS = words('footing', ['ground', 'vehicle', 'boat']);
export const SURFACE_WORDS = words('surface', ['mixed', 'snow', 'water', 'sand', 'foliage']);
export const LIT_WORDS = words('lit', ['open', 'shaded', 'backlit']);
export const MARK_WORDS = words('mark', ['clips', 'dark', 'strobes', 'smears', 'flickers']);
export const PROFILE_WORDS = words('profile', ['standard', 'flat', 'high-dynamic']);
export const HANDLING_WORDS = words('handling', ['slow', 'normal', 'fast']);
export const RECORD_WORDS = words('record', ['video', 'stills', 'both']);
export const PEOPLE_WORDS = words('people', ['none', 'unrecognisable', 'release-wanted', 'release-signed']);
export const PROPERTY_WORDS = words('property', ['wide', 'single', 'single-released']);
export const SUBJECT_WORDS = words('subject', [
  'person',
  'vehicle',
  'train',
  'boat',
  'trees',
  'house',
  'tower',
  'bridge',
  'field',
  'other',
]);
export const SKY_WORDS = words('sky', ['clear', 'thin-cloud', 'overcast', 'heavy']);
export const LAMP_WORDS = words('lamp', ['none', 'lit-street', 'floodlit-building', 'signs', 'stage']);
export const INPUT_WORDS = words('input', ['throttle', 'forward', 'sideways', 'yaw', 'tilt', 'zoom']);
export const WISH_WORDS = words('wish', [
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
]);

export const SIDE_WORDS = words('side', ['front', 'back', 'left', 'right', 'up', 'down']);
export const BAND_WORDS = words('band', ['still', 'calm', 'gentle', 'lively', 'fast', 'frantic']);
export const FRAMING_WORDS = words('framing', ['near', 'medium', 'far']);
export const WINDOW_WORDS = words('window', ['golden', 'blue', 'sunrise', 'sunset']);

/** What the aircraft does at an obstacle; what stands for nothing is what it is set to. */
export const sensingChoices = () => [
  { value: null, label: tr('sensing.set') },
  { value: 'stop' as const, label: tr('sensing.stop') },
  { value: 'around' as const, label: tr('sensing.around') },
  { value: 'off' as const, label: tr('sensing.off') },
];

/** A list of choices from a table of words. */
export const choices = <T extends string>(
  table: Readonly<Record<T, string>>,
): { value: T; label: string }[] =>
  (Object.entries(table) as [T, string][]).map(([value, label]) => ({ value, label }));

/** Things that are counted in sentences. */
type Counted = keyof typeof EN extends infer K ? (K extends `count.${infer Noun}` ? Noun : never) : never;

/** So many of a thing: “1 shot”, “3 shots”. */
export const counted = (n: number, noun: Counted): string => tr(`count.${noun}`, { n });
