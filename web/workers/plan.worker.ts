import { solveOrder, type OrderFound, type OrderJob } from '@core/film';
import { expose } from 'comlink';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** The same question gives the same order. */
const SEED = 20_270_514;

/** Orders places, beside the page. */
const plan = {
  /** @param forMs how long a search may take where there are too many slates for a proof */
  order(jobs: readonly OrderJob[], forMs: number): OrderFound {
    const rng = xoroshiro128plus(SEED);
    const until = performance.now() + forMs;
    return solveOrder(jobs, () => (rng.next() >>> 0) / 2 ** 32, () => performance.now() < until);
  },
};

export type PlanWorker = typeof plan;
expose(plan);
