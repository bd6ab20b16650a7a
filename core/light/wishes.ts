import type { LightWish, Sky } from '../model';
import { sunSide, type SunSide } from './against';
import { lampsBurn, type LightDay, type LightWindow } from './windows';
import type { SunPosition } from './sun';

/** A moment as a wish for light looks at it. */
export interface LightMoment {
  readonly utcMs: number;
  readonly sun: SunPosition;
  readonly day: LightDay;
  readonly sky: Sky;
  /** Lamps stand at the place. */
  readonly hasLamps: boolean;
  /** Which way the camera looks in the middle of the move; null where it looks down. */
  readonly headingDeg: number | null;
}

/** A light a shot may ask for. One entry each, registered in one list. */
export interface Wish {
  readonly kind: string;
  readonly name: string;
  readonly says: string;
  readonly met: (moment: LightMoment) => boolean;
}

const within = (m: LightMoment, kind: LightWindow['kind']): boolean =>
  m.day.windows.some((w) => w.kind === kind && m.utcMs >= w.fromMs && m.utcMs <= w.toMs);
const clearSun = (m: LightMoment, deg: number): boolean =>
  m.sun.altitudeDeg > deg && (m.sky === 'clear' || m.sky === 'thin-cloud');
const sideIs = (m: LightMoment, side: SunSide): boolean =>
  m.headingDeg !== null && clearSun(m, 0) && sunSide(m.headingDeg, m.sun) === side;

/** Sun height above which shadows are short and the light comes from above, deg. */
export const HARD_LIGHT_DEG = 30;
/** Below this the sky has no colour left behind lamps, deg. */
export const BLACK_SKY_DEG = -9;

const WISH_LIST = [
  { kind: 'any', name: 'Any light', says: 'Takes what there is.', met: () => true },
  {
    kind: 'sunrise',
    name: 'Sunrise',
    says: 'The sun comes over the horizon.',
    met: (m) => within(m, 'sunrise'),
  },
  {
    kind: 'sunset',
    name: 'Sunset',
    says: 'The sun goes down behind the horizon.',
    met: (m) => within(m, 'sunset'),
  },
  { kind: 'golden', name: 'Golden', says: 'Low sun, long shadows, warm.', met: (m) => within(m, 'golden') },
  {
    kind: 'blue',
    name: 'Blue',
    says: 'The sky still glows, lamps already count.',
    met: (m) => within(m, 'blue'),
  },
  { kind: 'day', name: 'Daylight', says: 'Sun above the horizon.', met: (m) => m.sun.altitudeDeg > 0 },
  { kind: 'night', name: 'Night', says: 'Sun far down.', met: (m) => m.sun.altitudeDeg < -6 },
  {
    kind: 'before-lamps',
    name: 'Before lamps',
    says: 'The sun is down or low, and no lamp burns yet.',
    met: (m) => !lampsBurn(m.day, m.utcMs) && m.sun.altitudeDeg < 2,
  },
  {
    kind: 'lamps',
    name: 'Lamps on',
    says: 'Lamps burn while the sky still holds light.',
    met: (m) =>
      m.hasLamps && lampsBurn(m.day, m.utcMs) && m.sun.altitudeDeg > BLACK_SKY_DEG && m.sun.altitudeDeg < 2,
  },
  {
    kind: 'flat',
    name: 'Flat',
    says: 'Soft light without shadows: cloud, or before the sun is up.',
    met: (m) =>
      m.sun.altitudeDeg > -4 && (m.sky === 'overcast' || m.sky === 'heavy' || m.sun.altitudeDeg < -0.833),
  },
  {
    kind: 'hard',
    name: 'Hard',
    says: 'High sun, short dark shadows.',
    met: (m) => clearSun(m, HARD_LIGHT_DEG),
  },
  { kind: 'backlit', name: 'Backlit', says: 'The sun behind the subject.', met: (m) => sideIs(m, 'back') },
  {
    kind: 'sidelit',
    name: 'Side light',
    says: 'The sun across the subject: shape and texture.',
    met: (m) => sideIs(m, 'side'),
  },
  {
    kind: 'frontlit',
    name: 'Front light',
    says: 'The sun behind the camera: colour, few shadows.',
    met: (m) => sideIs(m, 'front'),
  },
] as const satisfies readonly Wish[];

/** Every light a shot may ask for. A new one is an entry above. */
export const WISHES: readonly (Wish & { readonly kind: LightWish })[] = WISH_LIST;

const byKind = new Map<LightWish, Wish>(WISHES.map((w) => [w.kind, w]));

/** Whether a moment has the light asked for. */
export const wishMet = (kind: LightWish, moment: LightMoment): boolean =>
  byKind.get(kind)?.met(moment) ?? false;

/** A stretch of time. */
export interface Stretch {
  readonly fromMs: number;
  readonly toMs: number;
}
