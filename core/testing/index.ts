export { numberIn, Reached } from './numbers';
