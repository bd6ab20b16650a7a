export { riskDay, withPackMore, withTakeLess } from './chances';
export { simulate } from './simulate';
export type { RiskAnswer, RiskDay } from './types';
