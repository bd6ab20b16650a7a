export { clockText, dateIn, isZone, localDay, localToUtc, minutesOf, zoneOffsetMinutes } from './clock';
