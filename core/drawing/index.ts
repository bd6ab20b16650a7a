export { arrowHead, fit, line, roundStep, type Spot, thumb } from './drawing';
export { aboveDrawing, type DrawingWords, frameDrawing, type LineDrawing } from './shot-pictures';
export { siteDrawing } from './site-picture';
