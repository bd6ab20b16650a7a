export { filterNameOf } from './filter-name';
export { gustsOn } from './gusts';
export { flyerOf, recordedMbits, takesOf, windOf } from './costs';
export { exposureTask, filtersFor, mainsIn, type OnLens, profileOf, schoolOf } from './exposure-task';
export { factsInWeather, type ShotFacts, shotFacts } from './facts';
export { explain, type FigureId, framesUsed } from './figures';
export { frameOnGround } from './ground-frame';
export { type PilotSkill, pilotSkillOf, pilotOf, suggestedSticks } from './hands';
export {
  aimOf,
  easingOf,
  flyLayout,
  type Layout,
  layoutOf,
  meanSpeedOf,
  secondsOf,
  type ShotParts,
} from './layout';
export { type MovePreview, movePreviews } from './move-previews';
export { shotName, titleOr } from './names';
export { conditionsOf, locationLight, type LocationLight } from './location-light';
export { isSensingOff } from './sensing';
export { shadowsOf } from './shadow';
export { type KnownScene, knownScene, looksOf, type ShotLight, shotLight } from './shot-light';
export { freeKnobs, solveShot, type Target, type TargetFigure, targetIn, TARGETS } from './solve';
export { clearanceOf, depthOf, footprint } from './subject';
export { subjectAt } from './subject-at';
export { bandsOf, BLUR_SHARE, momentAt, type Track, trackOf } from './track';
