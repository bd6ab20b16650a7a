import type { ShotFacts } from './facts';

/** Whether a shot is flown with its obstacle sensing switched off; an aircraft that senses nothing has none to switch. */
export const isSensingOff = ({ shot, aircraft }: Pick<ShotFacts, 'shot' | 'aircraft'>): boolean =>
  shot.sensing === 'off' && (aircraft?.senses.length ?? 0) > 0;
