export { simulateDay, type SimulatedDay } from './day';
export {
  type FlightSample,
  metresFlown,
  type Nature,
  simulateFlight,
  type SimulatedFlight,
  type SimulatedTake,
} from './simulate';
