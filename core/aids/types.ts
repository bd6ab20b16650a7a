import type { Ability, AidKind } from '../model';
import type { Message } from '../messages';
import type { CameraMove, Trajectory, MoveSubject } from '../moves';

/** A flown move as an aid sees it. */
export interface AidTask {
  readonly move: CameraMove;
  readonly trajectory: Trajectory;
  readonly subject: MoveSubject;
  /** Nearest and farthest from the subject's middle over the ground, m. */
  readonly nearM: number;
  readonly farM: number;
}

/** Something an aircraft may fly by itself. One module each, registered in one list. */
export interface Aid {
  readonly kind: AidKind;
  readonly name: string;
  /** What it does and what it does not. */
  readonly says: string;
  readonly caution: string;
  /** Why it cannot fly a move; null when it could. The general limits of the ability are looked at besides. */
  readonly unable: (task: AidTask, ability: Ability) => string | null;
}

/** What an aid could do for a shot. */
export interface AidAnswer {
  readonly aid: Aid;
  readonly could: boolean;
  /** Why not, or what to be careful about. */
  readonly say: string;
  /** Which of the aircraft's own limits it meets; null where it meets none. */
  readonly limit: Message | null;
}
