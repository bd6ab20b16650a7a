export { geoJsonOf, gpxOf, kmlOf } from './map-files';
export { type CalendarEvent, calendarEvents } from './events';
export { type CutClip, type EditTimeline, editTimeline } from './edit-timeline';
export { type PreviewFrame, previewFrames } from './preview-frames';
export { edlOf, otioOf, subtitlesOf, timecode } from './timeline-files';
export {
  type FootageLine,
  footageLines,
  type Handover,
  inCutOrder,
  inFlyingOrder,
  type ShotLine,
  shotLines,
  type ShotStatus,
} from './lines';
export { HANDOVER_TABLES, type HandoverTable, type TableCell } from './tables';
export { COVERAGES, type Coverage, type CoveredPlace, type CutCoverage, cutCoverage } from './coverage';
