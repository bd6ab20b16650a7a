import type { DistanceClass } from '../lens';
import type { MoveDirection } from '../moves';

/** How high a shot is flown, by the middle of its path. */
export type HeightClass = 'low' | 'middle' | 'high';

/** Heights over ground that part low from middle from high, m. */
export const HEIGHT_LIMITS = { low: 6, middle: 30 } as const;

export const heightClass = (heightM: number): HeightClass =>
  heightM < HEIGHT_LIMITS.low ? 'low' : heightM < HEIGHT_LIMITS.middle ? 'middle' : 'high';

export type LensClass = 'wide' | 'normal' | 'long';

/** Equivalent focal lengths that part wide from normal from long, mm. */
export const LENS_LIMITS = { wide: 35, normal: 60 } as const;

export const lensClass = (equivalentMm: number): LensClass =>
  equivalentMm < LENS_LIMITS.wide ? 'wide' : equivalentMm <= LENS_LIMITS.normal ? 'normal' : 'long';

/** A shot as the reading for variety sees it. */
export interface VarietyShot {
  readonly lens: LensClass;
  readonly distance: DistanceClass;
  readonly height: HeightClass;
  readonly direction: MoveDirection;
}

export type VarietyAspect = 'distance' | 'height' | 'direction' | 'lens';

/** Something a list lacks, why it would help, and a move that would bring it. */
export interface Lack {
  readonly aspect: VarietyAspect;
  readonly missing: string;
  readonly say: string;
  readonly why: string;
  readonly move: { readonly kind: string; readonly values: Readonly<Record<string, number>> };
}

export interface VarietyReading {
  readonly distance: Readonly<Record<DistanceClass, number>>;
  readonly height: Readonly<Record<HeightClass, number>>;
  readonly direction: Readonly<Record<MoveDirection, number>>;
  readonly lens: Readonly<Record<LensClass, number>>;
  /** Gravest first; empty for a list too short to judge or one that has everything. */
  readonly lacks: readonly Lack[];
}

/** Fewer shots than this are not judged. */
export const JUDGED_FROM = 3;

const DISTANCES: readonly DistanceClass[] = ['near', 'medium', 'far'];
const HEIGHTS: readonly HeightClass[] = ['low', 'middle', 'high'];
const LENSES: readonly LensClass[] = ['wide', 'normal', 'long'];
const DIRECTIONS: readonly MoveDirection[] = [
  'still',
  'toward',
  'away',
  'across',
  'around',
  'up',
  'down',
  'with',
];

const lack = (
  aspect: VarietyAspect,
  missing: string,
  say: string,
  why: string,
  kind: string,
  values: Record<string, number> = {},
): Lack => ({ aspect, missing, say, why, move: { kind, values } });

/** What helps when it is missing, the gravest lack first. */
const REMEDIES: readonly Lack[] = [
  lack(
    'height',
    'low',
    'Nothing is flown low.',
    'From a low line the near things rush and the place gets depth; all from above looks like a map.',
    'slide',
    { heightM: 3, distanceM: 20 },
  ),
  lack(
    'distance',
    'near',
    'Nothing comes near.',
    'A near shot shows who or what it is about; the cut needs a face between the wide ones.',
    'push-in',
    { startM: 30, endM: 9, heightM: 4, speedMs: 1.5 },
  ),
  lack(
    'direction',
    'still',
    'No shot stands still.',
    'After much movement a still frame lets the place breathe, and cuts with anything.',
    'hold',
  ),
  lack(
    'distance',
    'far',
    'No shot shows the whole.',
    'Once, the viewer must see where everything lies.',
    'hold',
    { distanceM: 180, heightM: 45 },
  ),
  lack(
    'direction',
    'across',
    'Nothing passes by.',
    'Sideways, near things cross far ones: the strongest sense of depth.',
    'slide',
  ),
  lack('direction', 'toward', 'Nothing goes in.', 'Going toward the subject invites the viewer.', 'push-in'),
  lack('direction', 'away', 'Nothing lets go.', 'Going away gives the cut its ending.', 'pull-back'),
  lack(
    'direction',
    'around',
    'Nothing goes round.',
    'A part of a circle turns the subject in the light.',
    'part-orbit',
  ),
  lack(
    'direction',
    'down',
    'Nothing looks straight down.',
    'From straight above the place becomes a drawing: a good bridge between scenes.',
    'top-down-turn',
  ),
  lack(
    'direction',
    'up',
    'Nothing rises.',
    'Rising opens the view from the small thing to all of it.',
    'rise',
  ),
  lack(
    'lens',
    'long',
    'The long lens stays in the bag.',
    'From far away it brings the background close and lifts the subject off it.',
    'long-lens',
  ),
  lack('height', 'high', 'Nothing is flown high.', 'One high shot sets the place in its land.', 'rise', {
    startM: 8,
    endM: 60,
  }),
];

const tally = <T extends string>(names: readonly T[], values: readonly T[]): Record<T, number> =>
  Object.fromEntries(names.map((name) => [name, values.filter((v) => v === name).length])) as Record<
    T,
    number
  >;

/**
 * Reads a list for variety: near, medium, far; low, middle, high; and which way the moves go. What is missing is a remark,
 * never a rule.
 * @param shots the shots of one place, or of a film
 * @param lenses kinds of lens at hand; what is not there is not missed
 */
export const readVariety = (
  shots: readonly VarietyShot[],
  lenses: readonly LensClass[] = [],
): VarietyReading => {
  const distance = tally(
    DISTANCES,
    shots.map((s) => s.distance),
  );
  const height = tally(
    HEIGHTS,
    shots.map((s) => s.height),
  );
  const direction = tally(
    DIRECTIONS,
    shots.map((s) => s.direction),
  );
  const lens = tally(
    LENSES,
    shots.map((s) => s.lens),
  );
  const count = { distance, height, direction, lens } as Readonly<
    Record<VarietyAspect, Readonly<Record<string, number>>>
  >;
  const lacks =
    shots.length < JUDGED_FROM
      ? []
      : REMEDIES.filter(
          (r) =>
            (count[r.aspect][r.missing] ?? 0) === 0 &&
            (r.aspect !== 'lens' || lenses.includes(r.missing as LensClass)),
        );
  return { distance, height, direction, lens, lacks };
};
