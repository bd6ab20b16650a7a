export { arrowHead, fit, line, roundStep, type Spot, thumb } from './drawing';
export { aboveDrawing, type DrawingWords, frameDrawing, type LineDrawing, roundBar } from './shot-pictures';
export { siteDrawing } from './site-picture';
