import { EXACT_SHOTS, planExactly, searchPlan, type PlanAnswer, type PlanProblem } from '../../plan';
import { orderProblem, type OrderJob } from './job';

/** An order for the shots of a place, with how sure it is. */
export interface OrderFound {
  /** Shot ids in the order they are flown; those that find no place come last, as they were listed. */
  readonly order: readonly string[];
  /** Nothing better exists for each aircraft by itself. */
  readonly proven: boolean;
}

const answered = (problem: PlanProblem, random: () => number, more: () => boolean): PlanAnswer => {
  if (problem.shots.length <= EXACT_SHOTS) return planExactly(problem);
  const search = searchPlan(problem, random);
  let answer = search.next().value;
  while (more()) answer = search.next().value;
  return answer;
};

/**
 * Orders a place: aircraft after aircraft, since one person flies them, each begun when the one before has landed.
 * @param more whether a search may go on; asked between its batches
 */
export const solveOrder = (jobs: readonly OrderJob[], random: () => number, more: () => boolean): OrderFound => {
  const order: string[] = [];
  const left: string[] = [];
  const used = new Set<string>();
  let startS = 0;
  let proven = true;
  for (const job of jobs) {
    const { plan, proven: sure } = answered(orderProblem(job, startS, used), random, more);
    proven &&= sure;
    for (const flight of plan.flights) { used.add(flight.packId); order.push(...flight.stops.map((s) => s.shotId)); startS = Math.max(startS, flight.launchS + flight.airborneS + job.film.preferences.swapMinutes * 60); }
    left.push(...plan.left);
  }
  return { order: [...order, ...left], proven };
};
