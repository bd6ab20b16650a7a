export { directionFlown } from '../moves';
import type { MoveDirection } from '../moves';
import type { StoryRole } from '../model';

/** What a direction does to the one who watches. */
export const FEELS: Readonly<Record<MoveDirection, string>> = {
  still: 'rests',
  toward: 'draws in',
  away: 'lets go',
  across: 'passes by',
  around: 'considers',
  up: 'opens',
  down: 'gathers',
  with: 'goes along',
};

export interface BoardShot {
  readonly id: string;
  readonly direction: MoveDirection;
  readonly role: StoryRole;
  readonly timelineS: number;
}

/** Something worth a thought about the order of a cut; never a rule. */
export interface Remark {
  readonly code: string;
  /** Shots it is about, in the order of the cut. */
  readonly shots: readonly string[];
  readonly say: string;
  readonly why: string;
}

const SAME_IN_A_ROW = 3;

const runs = (shots: readonly BoardShot[]): Remark[] => {
  const found: Remark[] = [];
  let from = 0;
  for (let i = 1; i <= shots.length; i += 1) {
    const same = shots[i]?.direction === shots[from]?.direction;
    if (same) continue;
    const first = shots[from];
    if (first && i - from >= SAME_IN_A_ROW)
      found.push({
        code: 'board.run',
        shots: shots.slice(from, i).map((s) => s.id),
        say: `${i - from} in a row that ${first.direction === 'still' ? 'stand still' : `go the same way (${FEELS[first.direction]})`}.`,
        why: 'A cut breathes when direction changes; three alike read as one long shot.',
      });
    from = i;
  }
  return found;
};

const ends = (shots: readonly BoardShot[]): Remark[] => {
  const first = shots[0];
  const last = shots.at(-1);
  const found: Remark[] = [];
  if (first?.direction === 'away')
    found.push({
      code: 'board.opens-away',
      shots: [first.id],
      say: 'The film opens on a pull-away.',
      why: 'Going away says goodbye; as a first shot it can be just that, if it is meant.',
    });
  if (last && last !== first && last.direction === 'toward')
    found.push({
      code: 'board.ends-toward',
      shots: [last.id],
      say: 'The film ends on a push-in.',
      why: 'Going in promises that something follows; as a last shot it leaves the viewer waiting.',
    });
  return found;
};

const roles = (shots: readonly BoardShot[]): Remark[] => {
  const has = (role: StoryRole): boolean => shots.some((s) => s.role === role);
  const found: Remark[] = [];
  if (!has('open'))
    found.push({
      code: 'board.no-open',
      shots: [],
      say: 'Nothing opens the film.',
      why: 'One shot that says where we are lets all others be closer.',
    });
  if (!has('close'))
    found.push({
      code: 'board.no-close',
      shots: [],
      say: 'Nothing closes it.',
      why: 'Backwards, or up and away, is how a viewer is let go.',
    });
  const exciting = shots.findIndex((s) => s.role === 'excite');
  const calm = shots.findIndex((s) => s.role === 'calm');
  if (exciting >= 0 && calm < 0 && shots.length >= 6)
    found.push({
      code: 'board.no-calm',
      shots: [],
      say: 'It excites and never calms.',
      why: 'Fast shots look fast beside a slow one.',
    });
  return found;
};

/** Reads a cut in its order. Fewer than three shots are not judged. */
export const readBoard = (shots: readonly BoardShot[]): Remark[] =>
  shots.length < 3 ? [] : [...ends(shots), ...roles(shots), ...runs(shots)];
