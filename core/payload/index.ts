export { heaviestFilterKg } from './heaviest-filter';
export { takeOffMass, weightClass } from './weight';
