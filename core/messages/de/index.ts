export { CHOICES_DE } from './choices';
export { PHRASES } from './phrases';
export { DE } from './sentences';
