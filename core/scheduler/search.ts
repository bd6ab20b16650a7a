import { dayOf, type DayAnswer, type DayProblem } from './day';
import { boundOf, mostWorth } from './day-bound';
import { keyOf, planOf, scored, valid, without } from './draft';
import { filled } from './fill';
import { begun, chained } from './first-plan';
import { ruined, shuffledByWorth } from './ruin';
import { dayTables } from './timeline';
import { comparePlans, type PlanProblem } from './types';

const BATCH = 20;
const BLINK_SHARE = 0.02;
/** How much longer than the best a plan may be to be worked on, at the start. */
const SLACK_S = 45;

/**
 * Looks for a good day: greedy filling first, then group after group with proof where they are small, then taking some shots out
 * and putting them back where they add least, over and over (ruin and recreate, after Schrimpf et al., J. Comput. Phys. 159, 2000).
 * Yields the best so far, the first at once; it never ends by itself. Proven where no group could do better with all packs and
 * the whole day to itself.
 * @param random numbers in [0, 1), seeded by the caller: the same give the same plan
 */
export function* searchDay(problem: DayProblem, random: () => number): Generator<DayAnswer, never> {
  const t = dayTables(problem);
  const start = begun(t);
  let best = filled(t, start.flights, start.waiting, () => false);
  const most = mostWorth(t);
  let answer: DayAnswer = { plan: planOf(t, best), proven: false, weightBound: most };
  yield answer;
  const bound = boundOf(t);
  const tell = (): DayAnswer => {
    const plan = planOf(t, best);
    return {
      plan,
      weightBound: Math.min(bound.weight, most),
      proven:
        bound.sure &&
        plan.weight >= bound.weight - 1e-9 &&
        plan.flights.length <= bound.flights &&
        plan.airborneS <= bound.airborneS + 1e-6,
    };
  };
  const chain = chained(t);
  if (comparePlans(scored(t, chain.flights), scored(t, best.flights)) < 0) best = chain;
  answer = tell();
  yield answer;
  let now = best;
  for (let tries = 1; ; tries += 1) {
    if (answer.proven) {
      yield answer;
      continue;
    }
    const gone = ruined(t, now, random);
    const rest = without(t, now.flights, new Set(gone.map(keyOf)));
    if (valid(t, rest)) {
      const made = filled(
        t,
        rest,
        shuffledByWorth(t, [...gone, ...now.left], random),
        () => random() < BLINK_SHARE,
      );
      const [was, is, top] = [scored(t, now.flights), scored(t, made.flights), scored(t, best.flights)];
      const slack = SLACK_S / (1 + tries / 200);
      if (comparePlans(is, { ...was, airborneS: was.airborneS + slack }) < 0) now = made;
      if (comparePlans(is, top) < -1e-9) {
        best = made;
        answer = tell();
      }
    }
    if (tries % 400 === 0) now = best;
    if (tries % BATCH === 0) yield answer;
  }
}

/** The same for the shots of one launch point. */
export const searchPlan = (problem: PlanProblem, random: () => number): Generator<DayAnswer, never> =>
  searchDay(dayOf(problem), random);
