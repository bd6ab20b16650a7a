export { chargeCurve, type ChargeCurve, slotMinutes } from './curve';
export { ChargeDay, type ChargeRun } from './day';
export {
  eveningBefore,
  PACK_CAUTIONS,
  shareOn,
  sharesAfterEvening,
  STORAGE_DAYS,
  STORAGE_SHARES,
  WORTH_TOPPING,
} from './evening';
