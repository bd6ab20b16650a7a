export {
  addDays,
  clockText,
  dateIn,
  DAY_MS,
  dayText,
  daysBetween,
  isZone,
  localDay,
  localToUtc,
  MINUTE_MS,
  minutesOf,
  zoneOffsetMinutes,
} from './clock';
