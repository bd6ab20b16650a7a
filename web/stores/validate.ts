import { sayFaults, type EntityKind } from '@contract';
import { isZone } from '@core/light';
import type * as Checks from 'virtual:validators';

export interface Fault { readonly path: string; readonly say: string }

let checks: typeof Checks | null = null;

/** Loads the checks: the same schemas the server uses, compiled at build time. They come after the first view, which needs none. */
export const loadChecks = async (): Promise<void> => { checks ??= await import('virtual:validators'); };

/** Faults of a thing before it is saved. Until the checks are there the server, which checks everything, has the word. */
export const faultsOf = (kind: EntityKind, value: unknown): Fault[] => {
  const check = checks?.[kind];
  if (check && !check(value)) return sayFaults(check.errors);
  const zone = kind === 'location' ? (value as { zone: string }).zone : null;
  return zone !== null && !isZone(zone) ? [{ path: '/zone', say: `“${zone.slice(0, 60)}” is not a time zone known here; try one such as Europe/Madrid.` }] : [];
};
