export { PHRASES } from './phrases';
export { DE } from './sentences';
