export { filmWarnings } from './film';
export { overWeightLine, placeLightWarnings } from './light-location';
export { lightWarnings } from './light-over-time';
export { placeWarnings, shotWarnings } from './registry';
export { siteOfPlace } from './site-location';
export { siteWarnings } from './site';
export { bySeverity, type Cure, type Severity, type Warning, worst } from './types';
