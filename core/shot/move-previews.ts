import { changeMoveKind, MOVES, type CameraMove, type Trajectory } from '../moves';
import type { ShotFacts } from './facts';
import { flyLayout, layoutOf } from './layout';

/** A kind of move as a shot would fly it. */
export interface MovePreview {
  readonly move: CameraMove;
  /** Its path about the shot's subject; null where the numbers describe none. */
  readonly trajectory: Trajectory | null;
  /** The most inputs held at one moment. */
  readonly inputs: number;
  /** Why the aircraft cannot fly it: faster than it flies, or a tilt its fixed camera does not have. */
  readonly beyond: 'speed' | 'tilt' | null;
}

const beyondOf = (t: Trajectory, { aircraft, camera }: ShotFacts): MovePreview['beyond'] => {
  if (aircraft && t.peakSpeedMs > aircraft.maxSpeedMs) return 'speed';
  return camera?.fixedTiltDeg != null && t.inputs.includes('tilt') ? 'tilt' : null;
};

/** Every kind of move laid out about a shot's subject, with as many of the shot's own numbers as the kind can use. */
export const movePreviews = (facts: ShotFacts): readonly MovePreview[] =>
  MOVES.map((move) => {
    const changed = changeMoveKind(facts.shot.move, move.kind, facts.aim);
    const parts = changed && { ...facts, shot: { ...facts.shot, move: changed } };
    const flown = parts && flyLayout(layoutOf(parts), parts);
    const trajectory = flown?.ok ? flown.value : null;
    return {
      move,
      trajectory,
      inputs: trajectory?.simultaneous ?? 0,
      beyond: trajectory && beyondOf(trajectory, facts),
    };
  });
