export { frameShape, type FrameShape } from './aspect';
export { type Crop, cropTo } from './crop';
export { depthOfField } from './focus';
export { distanceClass, type DistanceClass, frameFill } from './framing';
export { fieldFromMeasured, shareOfWidth } from './gap-mark';
export { heightShared } from './second-camera';
export { type FramePoint, horizonInFrame, projectLine, projectPoint } from './project';
export { type FieldOfView, fieldOfView } from './view';
