import type { EntityKind } from '@core/model';
import type { UnitSystem } from '@core/units';
import { phrase } from '../format';
import type * as Checks from './validators';

export interface Fault {
  readonly path: string;
  readonly say: string;
}

let checks: typeof Checks | null = null;

/**
 * Loads the checks: the same schemas the server uses, compiled at build time. They come after the first view, which needs none.
 * Without a connection they stay away, and are asked for again when it is back.
 */
export const loadChecks = async (): Promise<void> => {
  checks ??= await import('./validators').catch(() => null);
  if (checks) performance.mark('checks');
};

/** Faults of a thing before it is saved. Until the checks are there the server, which checks everything, has the word. */
export const validateRow = (kind: EntityKind, value: unknown, units: UnitSystem = 'metric'): Fault[] => {
  if (!checks) return [];
  const check = checks.schemas[kind];
  if (!check(value)) return checks.sayFaults(check.errors, checks.formatterFor(units).text);
  return checks.validateSemantics(kind, value).map((fault) => ({ ...fault, say: phrase(fault.say) }));
};
