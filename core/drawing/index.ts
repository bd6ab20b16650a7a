export { arrowHead, fit, line, roundStep, type Spot, thumb } from './drawing';
export { aboveDrawing, frameDrawing, type LineDrawing } from './shot-pictures';
