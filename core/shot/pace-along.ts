import { movePace, NO_PACE, type MovePace, type PaceScene } from '../pace';
import type { PathSample } from '../moves';
import type { ShotFacts } from './facts';
import { subjectAt } from './subject-at';

/** Step over which the speed of a moving subject is taken, s. */
const STEP_S = 0.1;

const subjectOf = (facts: Parameters<typeof subjectAt>[0]): PaceScene['subjectAt'] => {
  if (!facts.subject || facts.direction === 'with') return null;
  if (facts.aim.speedMs <= 0) {
    const still = { at: facts.aim.aim, velocity: { x: 0, y: 0, z: 0 } };
    return () => still;
  }
  return (timeS) => {
    const [at, next] = [subjectAt(facts, timeS), subjectAt(facts, timeS + STEP_S)];
    return {
      at,
      velocity: { x: (next.x - at.x) / STEP_S, y: (next.y - at.y) / STEP_S, z: (next.z - at.z) / STEP_S },
    };
  };
};

/** Pace of a path over the ground and past the subject; single stills have none. */
export const paceAlong = (
  facts: Pick<ShotFacts, 'trajectory' | 'fov' | 'aim' | 'direction' | 'subject' | 'surfaceAt'>,
  samples: readonly PathSample[] = facts.trajectory?.samples ?? [],
): MovePace =>
  facts.trajectory?.frames?.by === 'stills'
    ? NO_PACE
    : movePace(samples, facts.fov, {
        surfaceAt: facts.surfaceAt ?? (() => 0),
        subjectAt: subjectOf(facts),
        subjectHeightM: facts.aim.heightM,
      });
