export { filmWarnings } from './film';
export { overWeightLine, locationLightWarnings } from './light-location';
export { lightWarnings } from './light-over-time';
export { type ShotContext } from './context';
export { locationWarnings, shotWarnings } from './registry';
export { locationSiteWarnings } from './site-location';
export { siteWarnings } from './site';
export { bySeverity, type Cure, type Severity, type Warning, type WarningSubject, worst } from './types';
