export { fullMinutes } from './curve';
export { ChargeDay, type ChargeRun } from './day';
export { daysBetween, eveningBefore, PACK_CAUTIONS, shareOn, STORAGE_DAYS, STORAGE_SHARES } from './evening';
