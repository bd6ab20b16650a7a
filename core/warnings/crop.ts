import { projectPoint, type FieldOfView } from '../lens';
import { measured, message } from '../messages';
import { footprint, subjectAt, type ShotFacts } from '../shot';
import type { Pose } from '../moves';
import { onShot, type ShotRule } from './context';

/** Whether the whole subject is inside a frame at a moment. */
const whollyIn = (facts: ShotFacts, pose: Pose, timeS: number, fov: FieldOfView): boolean => {
  if (!facts.subject) return true;
  const at = subjectAt(facts, timeS);
  const low = at.z - facts.aim.heightM / 2;
  return footprint(facts.subject, at).every((corner) =>
    [low, low + facts.aim.heightM].every((z) => {
      const seen = projectPoint(pose, fov.horizontalDeg, fov.verticalDeg, { x: corner.x, y: corner.y, z });
      return seen !== null && Math.abs(seen.x) <= 1 && Math.abs(seen.y) <= 1;
    }),
  );
};

/** The second aspect cuts off a subject that is whole in the first. */
export const secondAspect: ShotRule = (c) => {
  const { facts } = c;
  const { frame, trajectory, shot, fov } = facts;
  if (!frame.also || !trajectory || !facts.subject || shot.alsoAspect === null) return null;
  const { also } = frame;
  const whole = trajectory.samples.filter((s) => whollyIn(facts, s.pose, s.timeS, fov));
  const cut = whole.filter((s) => !whollyIn(facts, s.pose, s.timeS, also.fov));
  if (cut.length === 0) return null;
  return {
    code: 'frame.second-aspect',
    severity: 'care',
    subject: onShot(c),
    say: message('frame.second-aspect.say', {
      aspect: shot.alsoAspect,
      share: measured((cut.length / trajectory.samples.length) * 100, 'percent', 0),
      pixels: measured(also.pixelShare * 100, 'percent', 0),
    }),
    why: message('frame.second-aspect.why'),
    cures: [{ say: message('frame.second-aspect.cure') }],
  };
};
