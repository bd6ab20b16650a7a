import { nearestShare, offset, vec, type Vec3 } from '../geometry';
import type { Subject } from '../model';
import type { ShotFacts } from './facts';

/** Place on a drawn way, metres on from the spot of it that is nearest to where the subject stands; it waits at the ends. */
const alongPath = ({ path, xM, yM }: Subject, z: number, onM: number): Vec3 => {
  let [gone, best, start] = [0, Infinity, 0];
  const parts = path.slice(1).flatMap((b, i) => {
    const a = path[i];
    if (!a) return [];
    const length = Math.hypot(b.xM - a.xM, b.yM - a.yM);
    const u = nearestShare(a.xM, a.yM, b.xM, b.yM, xM, yM);
    const off = Math.hypot(xM - a.xM - (b.xM - a.xM) * u, yM - a.yM - (b.yM - a.yM) * u);
    if (off < best) {
      best = off;
      start = gone + length * u;
    }
    gone += length;
    return [{ a, b, length, from: gone - length }];
  });
  const at = Math.min(gone, Math.max(0, start + onM));
  const part = parts.find((p) => at <= p.from + p.length) ?? parts.at(-1);
  const u = part && part.length > 0 ? (at - part.from) / part.length : 0;
  return part
    ? vec(part.a.xM + (part.b.xM - part.a.xM) * u, part.a.yM + (part.b.yM - part.a.yM) * u, z)
    : vec(xM, yM, z);
};

/** Where a moving subject is at a second of the move: at its own place in the middle of it. */
export const subjectAt = (
  { aim, trajectory, direction, subject }: Pick<ShotFacts, 'aim' | 'trajectory' | 'direction' | 'subject'>,
  timeS: number,
): Vec3 => {
  if (!trajectory || !subject || aim.speedMs <= 0) return aim.aim;
  const middle = timeS - trajectory.totalS / 2;
  if (direction !== 'with' && subject.path.length > 1)
    return alongPath(subject, aim.aim.z, aim.speedMs * middle);
  if (direction !== 'with') return offset(aim.aim, aim.headingDeg, aim.speedMs * middle, aim.aim.z);
  // A move that goes along is flown as if the subject kept pace with it, ramps and all.
  const heading = (aim.headingDeg * Math.PI) / 180;
  const along = (p: Vec3): number => p.x * Math.sin(heading) + p.y * Math.cos(heading);
  const run = along(trajectory.end.at) - along(trajectory.start.at);
  const i = Math.min(
    trajectory.samples.length - 1,
    Math.max(0, Math.round((timeS / trajectory.totalS) * (trajectory.samples.length - 1))),
  );
  const here = trajectory.samples[i];
  return here
    ? offset(aim.aim, aim.headingDeg, along(here.pose.at) - along(trajectory.start.at) - run / 2, aim.aim.z)
    : aim.aim;
};
