import { message, yesNo, type Message } from '../messages';
export { directionFlown } from '../moves';
import type { MoveDirection } from '../moves';
import type { StoryRole } from '../model';

/** What a direction does to whoever watches, in a word or two. */
export const feelsOf = (direction: MoveDirection): Message => message('feels', { direction });

export interface BoardShot {
  readonly id: string;
  /** null for what is filmed from the ground: nothing is known of its movement, and it breaks a row. */
  readonly direction: MoveDirection | null;
  readonly role: StoryRole;
  readonly timelineS: number;
}

/** Something worth a thought about the order of a cut; never a rule. */
export interface Remark {
  readonly code: string;
  /** Shots it is about, in the order of the cut. */
  readonly shots: readonly string[];
  readonly say: Message;
  readonly why: Message;
}

const SAME_IN_A_ROW = 3;

const runs = (shots: readonly BoardShot[]): Remark[] => {
  const found: Remark[] = [];
  let from = 0;
  for (let i = 1; i <= shots.length; i += 1) {
    const same = shots[i]?.direction === shots[from]?.direction;
    if (same) continue;
    const first = shots[from];
    if (first && first.direction !== null && i - from >= SAME_IN_A_ROW)
      found.push({
        code: 'board.run',
        shots: shots.slice(from, i).map((s) => s.id),
        say: message('board.run.say', {
          from: i - from,
          isDirection: yesNo(first.direction === 'still'),
          feel: feelsOf(first.direction),
        }),
        why: message('board.run.why'),
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
      say: message('board.opens-away.say'),
      why: message('board.opens-away.why'),
    });
  if (last && last !== first && last.direction === 'toward')
    found.push({
      code: 'board.ends-toward',
      shots: [last.id],
      say: message('board.ends-toward.say'),
      why: message('board.ends-toward.why'),
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
      say: message('board.no-open.say'),
      why: message('board.no-open.why'),
    });
  if (!has('close'))
    found.push({
      code: 'board.no-close',
      shots: [],
      say: message('board.no-close.say'),
      why: message('board.no-close.why'),
    });
  const exciting = shots.findIndex((s) => s.role === 'excite');
  const calm = shots.findIndex((s) => s.role === 'calm');
  if (exciting >= 0 && calm < 0 && shots.length >= 6)
    found.push({
      code: 'board.no-calm',
      shots: [],
      say: message('board.no-calm.say'),
      why: message('board.no-calm.why'),
    });
  return found;
};

/** Reads a cut in its order. Fewer than three shots are not judged. */
export const readBoard = (shots: readonly BoardShot[]): Remark[] =>
  shots.length < 3 ? [] : [...ends(shots), ...roles(shots), ...runs(shots)];
