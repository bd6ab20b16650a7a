export {
  angleToSun,
  axesOf,
  DOWN_DEG,
  FLARE_MARGIN_DEG,
  flares,
  type Look,
  sunAlong,
  type SunAlong,
  sunSide,
  type SunSide,
} from './against';
export { kelvinFor } from './kelvin';
export { moonAt, moonPhase, type MoonPhase } from './moon';
export {
  lightCurve,
  type LightPoint,
  LIT_STOPS,
  type SceneConditions,
  sceneLight,
  type SceneLight,
  type SkySeen,
  SURFACE_STOPS,
} from './scene';
export { skyColour } from './sky';
export { SKY_LUMINANCE_SPREAD } from './sky-luminance';
export { sunAt, type SunPosition } from './sun';
export {
  lampsBelow,
  lampsBurn,
  LIGHT_DEFINITIONS,
  lightDay,
  type LightDay,
  type LightWindow,
} from './windows';
export { BLACK_SKY_DEG, type LightMoment, type Stretch, WISHES, wishMet } from './wishes';
