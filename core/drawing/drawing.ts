import type { Trajectory, MoveSubject } from '../moves';
import type { Vec3 } from '../geometry';

export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Maps drawing coordinates (y up) into a box, keeping their scale. */
export const fit = (spots: readonly Spot[], width: number, height: number, margin: number) => {
  const xs = spots.map((s) => s.x);
  const ys = spots.map((s) => s.y);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (width - 2 * margin) / Math.max(x1 - x0, 1e-6),
    (height - 2 * margin) / Math.max(y1 - y0, 1e-6),
  );
  const dx = (width - scale * (x1 - x0)) / 2;
  const dy = (height - scale * (y1 - y0)) / 2;
  return {
    scale,
    at: (s: Spot): Spot => ({ x: dx + scale * (s.x - x0), y: height - dy - scale * (s.y - y0) }),
  };
};

export const line = (spots: readonly Spot[], close = false): string =>
  spots.map((s, i) => `${i === 0 ? 'M' : 'L'}${s.x.toFixed(1)} ${s.y.toFixed(1)}`).join('') +
  (close ? 'Z' : '');

/** Arrow head at the end of a run of spots. */
export const arrowHead = (spots: readonly Spot[], size: number): string => {
  const tip = spots.at(-1);
  const tail = spots.findLast((s) => tip && Math.hypot(s.x - tip.x, s.y - tip.y) > size * 0.8);
  if (!tip || !tail) return '';
  const angle = Math.atan2(tip.y - tail.y, tip.x - tail.x);
  const side = (turn: number): Spot => ({
    x: tip.x - size * Math.cos(angle + turn),
    y: tip.y - size * Math.sin(angle + turn),
  });
  return line([tip, side(0.45), side(-0.45)], true);
};

/** The oblique view a shot's small drawing is made in: from the south-west and above, heights upright. */
const oblique = (p: Vec3): Spot => ({ x: p.x + 0.38 * p.y, y: 0.42 * p.y + p.z });

/** A shot's drawing: the real path over its shadow on the ground, stems at both ends, the subject as a block. */
export const thumb = (flown: Trajectory, subject: MoveSubject, width: number, height: number) => {
  const points = flown.samples.map((s) => s.pose.at);
  const base = subject.aim.z - subject.heightM / 2;
  const half = Math.min(subject.widthM, 40) / 2;
  const block = [-half, half].flatMap((dx) =>
    [base, base + subject.heightM].map((z) => oblique({ x: subject.aim.x + dx, y: subject.aim.y, z })),
  );
  const ground = points.map((p) => oblique({ ...p, z: 0 }));
  const { at } = fit([...points.map(oblique), ...block, ...ground], width, height, 4);
  const path = points.map((p) => at(oblique(p)));
  const shadow = ground.map(at);
  const [a, b, c, d] = block.map(at) as [Spot, Spot, Spot, Spot];
  const stem = (i: number) => ({
    x1: path.at(i)?.x,
    y1: path.at(i)?.y,
    x2: shadow.at(i)?.x,
    y2: shadow.at(i)?.y,
  });
  return {
    path: line(path),
    shadow: line(shadow),
    subject: line([a, b, d, c], true),
    stems: [stem(0), stem(-1)],
    start: path[0] ?? { x: 0, y: 0 },
    head: arrowHead(path, 6),
  };
};

/** A round step for a scale of about some marks over a span: 1, 2 or 5 times a power of ten. */
export const roundStep = (span: number, marks: number): number => {
  const raw = span / marks;
  const power = 10 ** Math.floor(Math.log10(raw));
  return ([1, 2, 5, 10].find((m) => m * power >= raw) ?? 10) * power;
};
