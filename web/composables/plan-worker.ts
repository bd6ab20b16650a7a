import { wrap, type Remote } from 'comlink';
import type { PlanWorker } from '../workers/plan.worker';

export interface PlanBeside {
  readonly remote: Remote<PlanWorker>;
  readonly end: () => void;
}

/** A planner beside the page, for one question: what it is in the midst of ends with it. */
export const planWorker = (): PlanBeside => {
  const worker = new Worker(new URL('../workers/plan.worker.ts', import.meta.url), {
    type: 'module',
    name: 'plan',
  });
  return { remote: wrap<PlanWorker>(worker), end: () => worker.terminate() };
};
