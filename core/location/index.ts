export { type LaunchIdea, suggestLaunches } from './launch-ideas';
export { launchOf } from './launch-point';
export { eyeOf, type Scene, sceneOf, solidsFor } from './scene';
export { siteShot } from './shot-site';
export { homeWay, sideOf, type SidePoint } from './side-view';
export type { SiteShot, ZoneMeet } from './types';
export { travelSide } from './travel-side';
