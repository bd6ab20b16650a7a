import { drawsOf } from '../units';
import type { Nature } from './simulate';

/**
 * An aircraft and a pilot made up from a text, the same for the same text: hungrier or thriftier than reckoned, slower or quicker,
 * better or worse at keeping a take, on a day whose wind is not quite the forecast's. Ranges are own estimates of what one plan and
 * one day differ by.
 */
export const natureOf = (seed: string): Nature => {
  const draw = drawsOf(`nature of ${seed}`);
  const within = (low: number, high: number): number => low + (high - low) * draw();
  return {
    appetite: within(0.95, 1.2),
    pace: within(0.95, 1.25),
    spread: within(0.03, 0.08),
    wanderM: within(0.2, 0.9),
    keeperRate: within(0.4, 0.8),
    windShare: within(0.6, 1.4),
    windTurnDeg: within(-40, 40),
  };
};
