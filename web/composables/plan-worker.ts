import { wrap, type Remote } from 'comlink';
import type { PlanWorker as PlanTasks } from '../workers/plan.worker';

/** A worker with the planner in it, and how to end it. */
export interface PlanWorker {
  readonly remote: Remote<PlanTasks>;
  readonly end: () => void;
}

/** Starts a worker for one question: what it is in the midst of ends with it. */
export const planWorker = (): PlanWorker => {
  const worker = new Worker(new URL('../workers/plan.worker.ts', import.meta.url), {
    type: 'module',
    name: 'plan',
  });
  return { remote: wrap<PlanTasks>(worker), end: () => worker.terminate() };
};
