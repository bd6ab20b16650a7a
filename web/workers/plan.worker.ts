import { solveDay, type DayJob, type DayAnswer } from '@core/scheduler';
import { withPackMore, withTakeLess, simulate, type RiskAnswer, type RiskDay } from '@core/risk';
import { expose } from 'comlink';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** The same question gives the same answer. */
const SEED = 20_270_514;
const RUNS = 2000;
const TELL_MS = 200;

const seeded = (): (() => number) => {
  const rng = xoroshiro128plus(SEED);
  return () => (rng.next() >>> 0) / 2 ** 32;
};

/** Chances of a day, and what one pack more or one take less would make of them. */
export interface Chances {
  readonly plain: RiskAnswer;
  readonly packMore: RiskAnswer;
  readonly takeLess: { readonly id: string; readonly answer: RiskAnswer } | null;
}

/** Plans days and throws their dice, beside the page. */
const plan = {
  /**
   * @param forMs how long it may look where nothing is proven
   * @param tell hears the best so far now and then
   */
  day(job: DayJob, forMs: number, tell: (answer: DayAnswer) => void): DayAnswer {
    const until = performance.now() + forMs;
    let told = -Infinity;
    return solveDay(job, seeded(), (answer) => {
      const now = performance.now();
      if (now - told > TELL_MS) {
        told = now;
        tell(answer);
      }
      return now < until;
    });
  },
  /** @param tell hears now and then what share of the days is thrown */
  chances(day: RiskDay, tell: (share: number) => void): Chances {
    const less = withTakeLess(day);
    const questions = less ? 3 : 2;
    const part = (nth: number) => (share: number) => {
      tell((nth + share) / questions);
    };
    const plain = simulate(day, RUNS, seeded(), part(0));
    return {
      plain,
      packMore: simulate(withPackMore(day, plain.missing), RUNS, seeded(), part(1)),
      takeLess: less && { id: less.id, answer: simulate(less.day, RUNS, seeded(), part(2)) },
    };
  },
};

export type PlanWorker = typeof plan;
expose(plan);
