import type { Feature } from '../model';
import { featureWords, spotsOf } from '../site';
import { fit, line, type Spot } from './drawing';
import { PLAIN_WORDS, type DrawingWords, type LineDrawing } from './shot-pictures';

/** Signs of points, black and white: a launch point is a filled square, a landing a triangle, what stands a cross, others a ring. */
const signOf = (
  kind: Feature['kind'],
  { x, y }: Spot,
): { readonly strong: string; readonly filled: string } => {
  if (kind === 'launch') return { strong: '', filled: `M${x - 3} ${y - 3}h6v6h-6Z` };
  if (kind === 'plan-b') return { strong: '', filled: `M${x - 4} ${y - 3}h8l-4 7Z` };
  if (featureWords(kind).stands) return { strong: `M${x - 3} ${y - 3}l6 6m0 -6l-6 6`, filled: '' };
  return { strong: `M${x - 3} ${y}a3 3 0 1 0 6 0a3 3 0 1 0 -6 0`, filled: '' };
};

/**
 * The map of a location in lines, north up: what stands there in strong ink, zones and paths in weak, numbered in the order given.
 * @param paths paths of the shots from above, m from the origin
 * @param width of the drawing, points
 */
export const siteDrawing = (
  features: readonly Feature[],
  paths: readonly (readonly Spot[])[],
  width: number,
  height: number,
  words: DrawingWords = PLAIN_WORDS,
): LineDrawing | null => {
  const spots = [...features.flatMap(spotsOf), ...paths.flat()];
  if (spots.length === 0) return null;
  const { at, scale } = fit([...spots, { x: 0, y: 0 }], width, height - 14, 14);
  const strong: string[] = [`M${width - 8} 14V3M${width - 11} 7l3 -4l3 4`];
  const weak: string[] = paths.map((path) => line(path.map(at)));
  const filled: string[] = [];
  const numbers = features.map((feature, i) => {
    const drawn = spotsOf(feature).map(at);
    const first = drawn[0] ?? at({ x: 0, y: 0 });
    if (feature.shape === 'point') {
      const sign = signOf(feature.kind, first);
      strong.push(sign.strong);
      filled.push(sign.filled);
    } else {
      const ink = featureWords(feature.kind).stands ? strong : weak;
      ink.push(line(drawn, feature.shape === 'area'));
    }
    return { at: { x: first.x + 5, y: first.y - 4 }, text: String(i + 1) };
  });
  const bar = words.bar(width / scale);
  const foot = height - 3;
  weak.push(`M4 ${foot}h${(bar.lengthM * scale).toFixed(1)}`);
  return {
    width,
    height,
    strong: strong.join(''),
    weak: weak.join(''),
    filled: filled.join(''),
    words: [
      { at: { x: 6, y: foot - 3 }, text: bar.text },
      { at: { x: width - 11, y: 23 }, text: 'N' },
      ...numbers,
    ],
  };
};
