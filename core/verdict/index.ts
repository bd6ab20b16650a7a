export { type JudgedShot, type Verdict, type VerdictReason, verdictOf, verdictText } from './verdict';
