import { sayFaults, type EntityKind } from '@contract';
import { isZone } from '@core/light';
import * as checks from 'virtual:validators';

export interface Fault { readonly path: string; readonly say: string }

/** Faults of a thing before it is saved: the same schemas the server uses, compiled at build time. */
export const faultsOf = (kind: EntityKind, value: unknown): Fault[] => {
  const check = checks[kind];
  if (!check(value)) return sayFaults(check.errors);
  const zone = kind === 'location' ? (value as { zone: string }).zone : null;
  return zone !== null && !isZone(zone) ? [{ path: '/zone', say: `“${zone.slice(0, 60)}” is not a time zone known here; try one such as Europe/Madrid.` }] : [];
};
