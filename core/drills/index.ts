export { DRILL_LEVELS, drillFacts, drillHandling, type DrillLevel } from './fly';
export { type Drill, DRILL_IDS, type DrillId, DRILLS } from './registry';
export { drillRecord, type DrillRecord, drillsForToday, TRIES_A_LEVEL } from './today';
