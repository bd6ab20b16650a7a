import {
  flag,
  instant,
  name,
  notes,
  nullable,
  oneOf,
  shortText,
  strict,
  text,
  uuid,
  type Stored,
} from './schema';

/** Moments of a day at which something is looked at. */
export const CHECK_MOMENTS = [
  'days-before',
  'evening-before',
  'leaving-home',
  'launch-point',
  'before-take',
  'after-landing',
  'leaving-place',
  'at-home',
] as const;
export type CheckMoment = (typeof CHECK_MOMENTS)[number];
export const ANSWER_VERDICTS = ['passed', 'failed', 'waived', 'open'] as const;

/** A check of a person's own, or a change to one that ships with the application. */
export const CheckSchema = strict({
  id: uuid(),
  builtIn: text(60, { title: 'Changes the check', initial: '' }),
  name: name(),
  moment: oneOf(CHECK_MOMENTS, { title: 'When' }),
  protects: shortText({ title: 'What it protects', initial: '' }),
  position: text(200, { pattern: '^[0-9A-Za-z]*$', title: 'Order', initial: '' }),
  off: flag({ title: 'Off', initial: false }),
  notes: notes(),
  retired: flag({ title: 'Retired', initial: false }),
});
export type OwnCheck = Stored<typeof CheckSchema>;

/** What somebody found when something was checked. Only added to: the newest answer counts. */
export const AnswerSchema = strict({
  id: uuid(),
  locationId: uuid(),
  checkId: text(60, { minLength: 1, title: 'Check' }),
  moment: oneOf(CHECK_MOMENTS, { title: 'When' }),
  shotId: nullable(uuid(), { title: 'Shot', initial: null }),
  flightId: nullable(uuid(), {
    title: 'Flight',
    default: null,
    description: 'Flight it was asked about; empty for a location, a day or a take.',
  }),
  verdict: oneOf(ANSWER_VERDICTS, { title: 'Result' }),
  reason: shortText({ title: 'Reason', initial: '' }),
  found: text(1000, {
    title: 'Found',
    default: '',
    description: 'What the check had found when it was answered; the answer holds while it finds the same.',
  }),
  who: text(200, { title: 'Who', initial: '' }),
  utcMs: instant({ title: 'Time' }),
});
export type Answer = Stored<typeof AnswerSchema>;
