export { sceneOf, eyeOf, solidsFor, type Scene } from './scene';
export { siteShot } from './shot';
export { siteWarnings, SITE_RULES } from './rules';
export { siteOfPlace } from './place';
export { suggestLaunches, type LaunchIdea } from './launch';
export { lossOf } from './loss';
export { sideOf, homeWay, type SidePoint } from './profile';
export type { LossAction, SiteShot, ZoneMeet, Spotted } from './types';
