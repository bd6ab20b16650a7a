export { adopt, type DayProposal, proposalOf, withChanges } from './apply-plan';
export { dayJob, type DayJob } from './day-job';
export type { DayAnswer } from './day';
export { solveDay } from './solve-day';
