import type { Answer, Shot } from '../model';
import { SENSING_OFF, sensesWithout } from './lines/take';
import { foundKey } from './sheet';

/**
 * An answer as it is entered now. It counts over every earlier one about the same, whatever clock those were given by.
 * @param given every answer of the film
 */
export const newAnswer = (given: readonly Answer[], fields: Omit<Answer, 'utcMs'>, nowMs: number): Answer => {
  const last = given.reduce(
    (max, a) =>
      a.checkId === fields.checkId &&
      a.locationId === fields.locationId &&
      a.shotId === fields.shotId &&
      a.flightId === fields.flightId
        ? Math.max(max, a.utcMs)
        : max,
    0,
  );
  return { ...fields, utcMs: Math.max(nowMs, last + 1) };
};

/** The answer that gives the reason for flying a shot with its sensing off; null until somebody gives one. */
export const sensingOffAnswer = (
  given: readonly Answer[],
  shot: Pick<Shot, 'id' | 'locationId'>,
): Answer | null => {
  const last = given
    .filter((a) => a.checkId === SENSING_OFF && a.shotId === shot.id && a.locationId === shot.locationId)
    .reduce<Answer | null>((best, a) => (!best || a.utcMs > best.utcMs ? a : best), null);
  return last?.verdict === 'waived' ? last : null;
};

/** That answer, with its reason, as it is entered in the log of checks. */
export const sensingOffBecause = (
  given: readonly Answer[],
  shot: Pick<Shot, 'id' | 'locationId'>,
  said: { readonly id: string; readonly reason: string; readonly who: string },
  nowMs: number,
): Answer =>
  newAnswer(
    given,
    {
      ...said,
      locationId: shot.locationId,
      shotId: shot.id,
      flightId: null,
      checkId: SENSING_OFF,
      moment: 'before-take',
      verdict: 'waived',
      found: foundKey(sensesWithout),
    },
    nowMs,
  );
