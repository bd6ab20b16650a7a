import type { Handover } from '@core/handover';
import type { Voice } from './voice';

/** A film with everything worked out, and who writes it down. */
export interface Printed extends Handover {
  readonly voice: Voice;
}
