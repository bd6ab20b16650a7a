import { messageKey, plainText, type Message } from '../messages';
import { type Answer, CHECK_MOMENTS, type CheckMoment, type OwnCheck } from '../model';
import { CHECKS } from './registry';
import type { Check, CheckScope, Context, CheckResult } from './types';

/** How a check stands: what it found, what a person said, or nothing yet. */
export type CheckStatus = 'passed' | 'care' | 'failed' | 'waived' | 'open';

/** A line of a sheet. */
export interface SheetLine {
  /** Code of one that comes along, or id of one's own. */
  readonly id: string;
  readonly scope: CheckScope;
  readonly prompt: Message;
  readonly protects: Message;
  readonly safety: boolean;
  readonly own: boolean;
  /** What it found by itself; null where a person is asked. */
  readonly result: CheckResult | null;
  readonly status: CheckStatus;
  /** The newest answer; null where nobody has given one, or it was taken back. */
  readonly answer: Answer | null;
}

export interface Sheet {
  readonly moment: CheckMoment;
  readonly lines: readonly SheetLine[];
  readonly open: number;
  readonly failed: number;
}

/** What a moment is about. */
export const SCOPE_OF: Readonly<Record<CheckMoment, CheckScope>> = {
  'days-before': 'day',
  'evening-before': 'day',
  'leaving-home': 'day',
  'launch-point': 'place',
  'before-take': 'take',
  'after-landing': 'flight',
  'leaving-place': 'place',
  'at-home': 'day',
};

/** What an answer is given about. */
export type AnswerKey = Pick<Answer, 'locationId' | 'shotId' | 'flightId'>;

/** What a new answer of a scope hangs on: those of the day on its first location, those of a flight on the flight. */
export const answerKey = (c: Context, scope: CheckScope): AnswerKey => ({
  locationId: scope === 'day' ? (c.places[0]?.location.id ?? c.place.location.id) : c.place.location.id,
  shotId: scope === 'take' ? (c.shot?.facts.shot.id ?? null) : null,
  flightId: scope === 'flight' ? (c.flight?.id ?? null) : null,
});

const isAbout = (answer: Answer, key: AnswerKey, c: Context): boolean => {
  if (answer.locationId !== key.locationId) return false;
  // Answers given before flights had an identity hang on a shot of the flight.
  if (key.flightId !== null && answer.flightId === null && answer.shotId !== null)
    return c.flight?.stops.some((s) => s.shotId === answer.shotId) ?? false;
  return answer.shotId === key.shotId && answer.flightId === key.flightId;
};

const newest = (answers: readonly Answer[], c: Context, scope: CheckScope, id: string): Answer | null => {
  const key = answerKey(c, scope);
  const mine = answers.filter((a) => a.checkId === id && isAbout(a, key, c));
  const last = mine.reduce<Answer | null>(
    (best, a) => (!best || a.utcMs > best.utcMs || (a.utcMs === best.utcMs && a.id > best.id) ? a : best),
    null,
  );
  return last?.verdict === 'open' ? null : last;
};

/**
 * What a check found decides, unless it is waived with a reason; what a person is asked, the person decides. What was waived or
 * seen counts while the check finds the same: a waiver of one fault says nothing of the next.
 */
export const statusOf = (look: CheckResult | null, given: Answer | null): CheckStatus =>
  look ? statusFound(look, given) : given && given.verdict !== 'open' ? given.verdict : 'open';

const FOUND: Readonly<Record<CheckResult['verdict'], CheckStatus>> = {
  pass: 'passed',
  care: 'care',
  fail: 'failed',
};

/** What a check found, apart from any wording: an answer counts while this stays the same. */
export const foundKey = (look: CheckResult): string => messageKey(look.say).slice(0, 1000);

const statusFound = (look: CheckResult, answer: Answer | null): CheckStatus => {
  if (answer?.verdict === 'failed') return 'failed';
  const same = answer?.found === foundKey(look);
  if (look.verdict === 'fail' && same && answer?.verdict === 'waived') return 'waived';
  if (look.verdict === 'care' && same) return answer?.verdict === 'waived' ? 'waived' : 'passed';
  return FOUND[look.verdict];
};

const asOwn = (own: OwnCheck): Check => ({
  code: own.id,
  moment: own.moment,
  scope: SCOPE_OF[own.moment],
  prompt: plainText(own.name),
  protects: plainText(own.protects),
  safety: false,
});

interface Listed {
  readonly check: Check;
  readonly scope: CheckScope;
  readonly position: string;
  readonly own: boolean;
}

/** Checks of a moment in the order a person gave them; those without a place of their own keep the order they come in, before the others. */
export const checksOf = (moment: CheckMoment, own: readonly OwnCheck[]): Listed[] => {
  const changed = new Map(own.filter((o) => o.builtIn !== '').map((o) => [o.builtIn, o]));
  const builtIn = CHECKS.filter((k) => k.moment === moment && !(changed.get(k.code)?.off ?? false)).map(
    (check) => ({ check, scope: check.scope, position: changed.get(check.code)?.position ?? '', own: false }),
  );
  const mine = own
    .filter((o) => o.builtIn === '' && o.moment === moment && !o.off && !o.retired)
    .map((o) => ({ check: asOwn(o), scope: SCOPE_OF[moment], position: o.position, own: true }));
  return [...builtIn, ...mine]
    .map((x, i) => ({ x, i }))
    .sort((a, b) => (a.x.position < b.x.position ? -1 : a.x.position > b.x.position ? 1 : a.i - b.i))
    .map(({ x }) => x);
};

const lineOf = (whole: Context, { check, scope, own }: Listed, ofFlight: boolean): SheetLine | null => {
  // What is asked about a day or a place is asked about all that flies there, unless it is asked for one flight.
  const c = scope === 'day' || (scope === 'place' && !ofFlight) ? { ...whole, flight: null } : whole;
  const look = check.evaluate ? check.evaluate(c) : null;
  if (check.evaluate ? look === null : !(check.applies?.(c) ?? true)) return null;
  if ((scope === 'flight' && !c.flight) || (scope === 'take' && !c.shot)) return null;
  const answer = newest(c.input.answers, c, scope, check.code);
  return {
    id: check.code,
    scope,
    prompt: typeof check.prompt === 'function' ? check.prompt(c) : check.prompt,
    protects: check.protects,
    safety: check.safety,
    own,
    result: look,
    status: statusOf(look, answer),
    answer,
  };
};

/**
 * The sheet of a moment: every check that has something to look at, with how it stands.
 * @param ofFlight what is asked of the place is asked of the flight in hand alone: its aircraft, not all of them
 */
export const sheetOf = (moment: CheckMoment, c: Context, ofFlight = false): Sheet => {
  const lines = checksOf(moment, c.input.kit.checks).flatMap((k) => lineOf(c, k, ofFlight) ?? []);
  return {
    moment,
    lines,
    open: lines.filter((l) => l.status === 'open').length,
    failed: lines.filter((l) => l.status === 'failed').length,
  };
};

/** All sheets of a day at a place, in the order of the day. */
export const sheetsOf = (c: Context): Sheet[] => CHECK_MOMENTS.map((m) => sheetOf(m, c));
