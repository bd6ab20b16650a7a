import type { MoveValues, StoryRole } from '../model';

/** Measures a set is sized by. */
export interface CoverageSubject {
  readonly heightM: number;
  readonly widthM: number;
  readonly verticalFovDeg: number;
  /** Bearing from the subject to where the pilot stands: moves start on the near side. */
  readonly fromBearingDeg: number;
  readonly moves: boolean;
}

/** One shot of a set that covers a subject. */
export interface CoverageShot {
  readonly title: string;
  readonly kind: string;
  readonly values: MoveValues;
  readonly role: StoryRole;
  readonly optional: boolean;
  readonly seconds: number;
}

const round = (m: number): number => Math.round(m * 2) / 2;

/** Distance at which the larger side fills a share of the frame's height. */
const distanceFor = ({ heightM, widthM, verticalFovDeg }: CoverageSubject, fill: number): number => {
  const size = Math.max(heightM, Math.min(widthM, 2.2 * heightM), 1);
  return size / (2 * fill * Math.tan((verticalFovDeg * Math.PI) / 360));
};

/**
 * A sensible set for one subject, in the order it is flown: the small optional ones first, while the pack is full and they
 * are not forgotten over the big ones; then establish, around, straight down, low and close, and leave.
 */
export const coverageSet = (s: CoverageSubject): CoverageShot[] => {
  const fromBearingDeg = Math.round(s.fromBearingDeg) % 360;
  const clear = Math.max(s.widthM, s.heightM) / 2 + 4;
  const at = (fill: number): number => round(Math.min(400, Math.max(clear, distanceFor(s, fill))));
  const eye = round(Math.max(2, s.heightM * 0.6));
  const near = at(0.75);
  const set: CoverageShot[] = [
    {
      title: 'Detail',
      kind: 'slide',
      values: {
        distanceM: near,
        heightM: eye,
        lengthM: round(Math.max(6, near * 0.5)),
        speedMs: 1.2,
        fromBearingDeg,
      },
      role: 'detail',
      optional: true,
      seconds: 5,
    },
    {
      title: 'Still',
      kind: 'hold',
      values: { distanceM: at(0.35), heightM: eye, fromBearingDeg },
      role: 'calm',
      optional: true,
      seconds: 6,
    },
    {
      title: 'Establish',
      kind: 'low-to-high',
      values: {
        startM: Math.max(at(0.12), at(0.3) + 20),
        endM: at(0.3),
        startHeightM: 3,
        endHeightM: round(Math.min(80, s.heightM + 15)),
        speedMs: 3.5,
        fromBearingDeg,
      },
      role: 'open',
      optional: false,
      seconds: 8,
    },
    {
      title: 'Around',
      kind: 'part-orbit',
      values: {
        radiusM: at(0.4),
        heightM: round(s.heightM * 0.8 + 6),
        arcDeg: 90,
        speedMs: 3,
        fromBearingDeg,
      },
      role: 'develop',
      optional: false,
      seconds: 8,
    },
    {
      title: 'Straight down',
      kind: 'top-down-turn',
      values: {
        heightM: round(
          Math.min(
            110,
            Math.max(s.heightM + 12, distanceFor({ ...s, heightM: Math.max(s.widthM, s.heightM) }, 0.6)),
          ),
        ),
        turnDeg: 60,
        rateDegS: 6,
        fromBearingDeg,
      },
      role: 'bridge',
      optional: false,
      seconds: 6,
    },
    {
      title: 'Low and close',
      kind: 'push-in',
      values: {
        startM: round(near + 15),
        endM: near,
        heightM: round(Math.max(1.5, Math.min(4, s.heightM * 0.4))),
        speedMs: 1.8,
        fromBearingDeg,
      },
      role: 'detail',
      optional: false,
      seconds: 5,
    },
    {
      title: 'Leave',
      kind: 'up-and-away',
      values: {
        startM: at(0.4),
        endM: Math.max(at(0.1), at(0.4) + 40),
        startHeightM: round(s.heightM * 0.5 + 4),
        endHeightM: round(Math.min(100, s.heightM + 35)),
        speedMs: 4,
        fromBearingDeg,
      },
      role: 'close',
      optional: false,
      seconds: 9,
    },
  ];
  const along: CoverageShot = {
    title: 'Alongside',
    kind: 'track',
    values: { lengthM: 60, startM: near, endM: near, startHeightM: eye, endHeightM: eye, speedMs: 4 },
    role: 'excite',
    optional: true,
    seconds: 6,
  };
  return s.moves ? [...set.slice(0, 2), along, ...set.slice(2)] : set;
};
