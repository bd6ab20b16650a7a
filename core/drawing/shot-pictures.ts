import { horizonInFrame, projectLine } from '../lens';
import type { ShotFacts } from '../shot';
import { footprint } from '../shot';
import { fromShown, toShown, unitOf, type UnitSystem } from '../units';
import { arrowHead, fit, line, roundStep, type Spot } from './drawing';

/** A drawing in lines, in points of its own box, y down. */
export interface LineDrawing {
  readonly width: number;
  readonly height: number;
  /** Paths in strong and in weak ink, and one that is filled. */
  readonly strong: string;
  readonly weak: string;
  readonly filled: string;
  /** Words and where they stand. */
  readonly words: readonly { readonly at: Spot; readonly text: string }[];
}

const EDGES = [
  [0, 1],
  [1, 2],
  [2, 3],
  [3, 0],
] as const;

/** What stands in a drawing, in the units and language of who reads it. */
export interface DrawingWords {
  readonly launch: string;
  /** A round length to draw as a scale for a drawing this wide, m. */
  readonly bar: (spanM: number) => { readonly lengthM: number; readonly text: string };
}

/** A round length for a scale, in the units it is written in. @param spanM width of what is drawn */
export const roundBar = (
  spanM: number,
  units: UnitSystem,
): { readonly lengthM: number; readonly shown: number; readonly unit: string } => {
  const shown = roundStep(toShown(spanM, 'metres', units), 5);
  return { lengthM: fromShown(shown, 'metres', units), shown, unit: unitOf('metres', units) };
};

/** English and metres. */
export const PLAIN_WORDS: DrawingWords = {
  launch: 'launch',
  bar: (spanM) => {
    const { lengthM, shown, unit } = roundBar(spanM, 'metric');
    return { lengthM, text: `${shown} ${unit}` };
  },
};

/**
 * The frame at a share of a shot's move: horizon and the edges of the subject, as the camera sees them.
 * @param share 0 at the first frame, 1 at the last
 */
export const frameDrawing = (facts: ShotFacts, share: number, width: number): LineDrawing | null => {
  const { trajectory, aim, subject, frame } = facts;
  const sample = trajectory?.samples[Math.round(share * (trajectory.samples.length - 1))];
  if (!sample) return null;
  const { fov, shape } = frame;
  const height = (width * shape[1]) / shape[0];
  const at = (p: Spot): Spot => ({ x: (width * (1 + p.x)) / 2, y: (height * (1 - p.y)) / 2 });
  const foot = aim.aim.z - aim.heightM / 2;
  const corners = subject ? footprint(subject, aim.aim) : [aim.aim];
  const post = (i: number, z: number) => ({ ...(corners[i] ?? aim.aim), z });
  const edges = EDGES.flatMap(([a, b]) => [
    [post(a, foot), post(b, foot)] as const,
    [post(a, foot + aim.heightM), post(b, foot + aim.heightM)] as const,
    [post(a, foot), post(a, foot + aim.heightM)] as const,
  ]);
  const seen = edges.flatMap(([a, b]) => {
    const drawn = projectLine(sample.pose, fov.horizontalDeg, fov.verticalDeg, a, b);
    return drawn ? [line(drawn.map(at))] : [];
  });
  const horizon = at({ x: 0, y: horizonInFrame(sample.pose.tiltDeg, fov.verticalDeg) }).y;
  const edge = `M0 0H${width}V${height.toFixed(1)}H0Z`;
  const sky = horizon > 0 && horizon < height ? `M0 ${horizon.toFixed(1)}H${width}` : '';
  return { width, height, strong: seen.join('') + edge, weak: sky, filled: '', words: [] };
};

/** A shot from above with north up: its path with an arrow at the end, the subject, the launch point, and a scale. */
export const aboveDrawing = (
  facts: ShotFacts,
  launch: Spot,
  width: number,
  height: number,
  words: DrawingWords = PLAIN_WORDS,
): LineDrawing | null => {
  const { trajectory, subject } = facts;
  if (!trajectory) return null;
  const path = trajectory.samples.map((s): Spot => ({ x: s.pose.at.x, y: s.pose.at.y }));
  const block = subject ? footprint(subject) : [];
  const { at, scale } = fit([...path, ...block, launch], width, height - 12, 12);
  const drawn = path.map(at);
  const home = at(launch);
  const bar = words.bar(width / scale);
  const foot = height - 3;
  const cross = `M${home.x - 4} ${home.y}h8M${home.x} ${home.y - 4}v8`;
  const north = `M${width - 8} 14V3M${width - 11} 7l3 -4l3 4`;
  return {
    width,
    height,
    strong: line(drawn) + cross + north,
    weak:
      (block.length > 0 ? line(block.map(at), true) : '') + `M4 ${foot}h${(bar.lengthM * scale).toFixed(1)}`,
    filled: arrowHead(drawn, 7),
    words: [
      { at: { x: 6, y: foot - 3 }, text: bar.text },
      { at: { x: width - 11, y: 23 }, text: 'N' },
      { at: { x: home.x + 5, y: home.y - 4 }, text: words.launch },
    ],
  };
};
