export { simulateCard, type SimulatedCard, type SimulatedClip } from './card';
export { rowsOfFlight, simulateDay, type SimulatedDay, type SimulatedRows } from './day';
export { natureOf } from './nature';
export { ownAir, type OwnAir } from './own-air';
export {
  type FlightSample,
  metresFlown,
  type Nature,
  simulateFlight,
  type SimulatedFlight,
  type SimulatedTake,
} from './simulate';
