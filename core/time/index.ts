export {
  addDays,
  clockText,
  dateIn,
  DAY_MS,
  daysBetween,
  isZone,
  localDay,
  localToUtc,
  MINUTE_MS,
  minutesOf,
  zoneOffsetMinutes,
} from './clock';
