export { AT_REST, calmestSticks, curveAt, held, lagOf, type StickState } from './stick-profile';
