export { type DayOverview, daysOf, type LocationOverview } from './days';
export { type NextStep, nextSteps } from './next-steps';
export { type Found, type Part, partStates, type PartState } from './marks';
