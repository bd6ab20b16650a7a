export { drawsOf } from './draws';
export { type Quantity } from './figure';
export {
  counted,
  digitsOf,
  fromShown,
  toShown,
  UNIT_SYSTEMS,
  unitOf,
  type UnitSystem,
  write,
  writeClock,
  writeFixed,
  writeShutter,
  writeText,
} from './format';
export { groupBy, inOrder, mean } from './group';
export { normal } from './normal';
export { KeyedMemo } from './memo';
export { found, none, type Result } from './result';
export { type Steps, toEnd } from './steps';
