import type { Pose } from '@core/moves';
import type { Vec3 } from '@core/geometry';
import {
  BufferGeometry,
  EdgesGeometry,
  Group,
  Line,
  LineBasicMaterial,
  LineSegments,
  OctahedronGeometry,
  PlaneGeometry,
  Vector3,
} from 'three';

const place = ({ x, y, z }: Vec3): Vector3 => new Vector3(x, z, -y);
const radians = (deg: number): number => (deg * Math.PI) / 180;

/** Frames stand along the line about so far apart, m, and no more than so many. */
const FRAME_EACH_M = 6;
const MOST_FRAMES = 40;
const FRAME_M = [3.2, 2.2] as const;
const LINE = 0xb9a2ff;
const GHOST = 0xf2c14e;

/** The planned line as a row of frames to fly through, and the ghost that flies it without an error. */
export class RehearsalLine {
  readonly tunnel = new Group();
  readonly ghost: LineSegments;

  constructor(poses: readonly Pose[]) {
    const material = new LineBasicMaterial({ color: LINE, transparent: true, opacity: 0.55 });
    this.tunnel.add(new Line(new BufferGeometry().setFromPoints(poses.map((p) => place(p.at))), material));
    const frame = new EdgesGeometry(new PlaneGeometry(...FRAME_M));
    const length = poses.reduce(
      (sum, p, i) => sum + (i === 0 ? 0 : place(p.at).distanceTo(place(poses[i - 1]?.at ?? p.at))),
      0,
    );
    const count = Math.min(MOST_FRAMES, Math.max(1, Math.round(length / FRAME_EACH_M)));
    for (let i = 1; i <= count; i += 1) {
      const pose = poses[Math.round((i / count) * (poses.length - 1))];
      if (!pose) continue;
      const edges = new LineSegments(frame, material);
      edges.position.copy(place(pose.at));
      edges.rotation.y = -radians(pose.headingDeg);
      this.tunnel.add(edges);
    }
    this.ghost = new LineSegments(
      new EdgesGeometry(new OctahedronGeometry(0.5)),
      new LineBasicMaterial({ color: GHOST }),
    );
  }

  /** Puts the ghost where the plan is now. */
  show(at: Vec3): void {
    this.ghost.position.copy(place(at));
  }
}
