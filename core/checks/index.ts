export { newAnswer, sensingOffAnswer, sensingOffBecause } from './answers';
export { BAG_GROUPS, type BagItem, bagOf } from './bag';
export { type Go, type GoFigure, goOfFlight, goOfPlace } from './go';
export { livingCards, readerMBs, toCopy } from './lines/cards';
export { checksOff, moveCheck, switchCheck } from './order';
export { type Asked, contextOf } from './context';
export { CHECKS } from './registry';
export { answerKey, checksOf, foundKey, SCOPE_OF, type SheetLine, sheetsOf } from './sheet';
export type { Context } from './types';
