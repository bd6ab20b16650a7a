export { numberIn, Reached } from './numbers';
export { said } from './said';
