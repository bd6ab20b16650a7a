import { message, messageKey, type Message } from '../messages';
import { bySeverity, type Warning, type WarningSubject } from '../warnings';

/** What everything that is known comes to. */
export type VerdictState = 'unknown' | 'nothing' | 'done' | 'fits' | 'warnings' | 'not';

export interface VerdictReason {
  readonly subject: WarningSubject;
  readonly say: Message;
}

/** One answer for a shot, a flight, a location or a film; every view shows this one. */
export interface Verdict {
  readonly state: VerdictState;
  /** Shots that are still to be flown, and those of them that do not fit. */
  readonly shots: number;
  readonly failing: number;
  /** Warnings that do not keep anything from being flown. */
  readonly warnings: number;
  /** Why it does not fit: of the film or the place first, then by shot in list order, gravest first. */
  readonly reasons: readonly VerdictReason[];
}

/** A shot with everything that was found about it, by itself and beside the page. */
export interface JudgedShot {
  readonly id: string;
  readonly done: boolean;
  /** It is in no flight. */
  readonly unfit: boolean;
  readonly found: readonly Warning[];
}

const reasonOf = ({ subject, say }: Warning): VerdictReason => ({ subject, say });

/** What keeps a shot from being flown: what stops it, or else why it is in no flight. */
const against = (shot: JudgedShot): Warning[] => {
  const stops = bySeverity(shot.found).filter((w) => w.severity === 'stop');
  return stops.length > 0 || !shot.unfit ? stops : shot.found.filter((w) => w.code.startsWith('budget.'));
};

const cares = (found: readonly Warning[]): number => found.filter((w) => w.severity === 'care').length;

const without = (reasons: readonly VerdictReason[]): VerdictReason[] => {
  const seen = new Set<string>();
  return reasons.filter(({ subject, say }) => {
    const key = `${'id' in subject ? subject.id : subject.kind}|${messageKey(say)}`;
    return !seen.has(key) && seen.add(key);
  });
};

/**
 * The verdict over some shots and what concerns them all.
 * @param shots shots in list order, those already done among them
 * @param common warnings of the location, the day or the film
 * @param known whether everything it depends on has been worked out
 */
export const verdictOf = (
  shots: readonly JudgedShot[],
  common: readonly Warning[] = [],
  known = true,
): Verdict => {
  const left = shots.filter((s) => !s.done);
  const failing = left.filter((s) => s.unfit || against(s).length > 0);
  const stops = bySeverity(common).filter((w) => w.severity === 'stop');
  const warnings = left.reduce((sum, s) => sum + cares(s.found), cares(common));
  const reasons = without([...stops, ...failing.flatMap(against)].map(reasonOf));
  const state = (): VerdictState => {
    if (!known) return 'unknown';
    if (shots.length === 0) return 'nothing';
    if (left.length === 0) return 'done';
    if (failing.length > 0 || stops.length > 0) return 'not';
    return warnings > 0 ? 'warnings' : 'fits';
  };
  return { state: state(), shots: left.length, failing: failing.length, warnings, reasons };
};

/** A verdict as a sentence. */
export const verdictText = ({ state, shots, failing, warnings }: Verdict): Message =>
  message(`verdict.${state}`, { shots, failing, warnings });
