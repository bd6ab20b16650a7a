export { proposeCoverage } from './coverage-shots';
export { curesFor, cureSteps } from './flight-cures';
export { practiceSheet } from './practice';
export { type FlightsWeighed, weighFlights } from './weigh';
