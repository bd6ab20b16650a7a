import type { Name } from '../messages';
import { topAt } from '../clearance';
import { profileOf } from '../terrain';
import type { Vec3 } from '../geometry';
import type { Scene } from './scene';

/** A place along a way as it is drawn from the side; heights are local z. */
export interface SidePoint {
  readonly distanceM: number;
  readonly xM: number;
  readonly yM: number;
  /** NaN where the ground is not known. */
  readonly groundM: number;
  readonly flownM: number;
  /** Top of what stands there, and its name; null where nothing does. */
  readonly topM: number | null;
  readonly name: Name;
}

/** A way from the side: ground, what stands on it, and the height flown. */
export const sideOf = (scene: Scene, way: readonly Vec3[], solidsOff = ''): SidePoint[] => {
  const solids = [
    ...scene.solids,
    ...[...scene.subjectSolids].filter(([id]) => id !== solidsOff).map(([, s]) => s),
  ];
  let gone = 0;
  const marks = way.map((p, i) => {
    const b = way[i - 1];
    if (b) gone += Math.hypot(p.x - b.x, p.y - b.y);
    return { at: gone, z: p.z };
  });
  const flownAt = (d: number): number => {
    const i = Math.max(
      1,
      marks.findIndex((m) => m.at >= d - 1e-9),
    );
    const [a, b] = [marks[i - 1], marks[i]];
    if (!a || !b) return marks[0]?.z ?? 0;
    return b.at > a.at ? a.z + ((b.z - a.z) * (d - a.at)) / (b.at - a.at) : b.z;
  };
  return profileOf(scene.ground, way, 400).map((p) => {
    let [topM, name]: [number | null, Name] = [null, ''];
    for (const s of solids) {
      const top = topAt(s, p.xM, p.yM);
      if (top > (topM ?? -Infinity)) {
        topM = top;
        ({ name } = s);
      }
    }
    return { ...p, flownM: flownAt(p.distanceM), topM, name };
  });
};

/** The way home of a signal lost at a place: up to the return height if below it, over the launch point, down. */
export const homeWay = (from: Vec3, launch: Vec3, returnHeightM: number): Vec3[] => {
  const top = Math.max(from.z, launch.z + returnHeightM);
  return [from, { ...from, z: top }, { x: launch.x, y: launch.y, z: top }, launch];
};
