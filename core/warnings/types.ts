import type { Message } from '../messages';

/** How much a warning asks: stop – it cannot or must not be flown so; care – it will cost; note – worth knowing. */
export type Severity = 'stop' | 'care' | 'note';

export type WarningSubject =
  | { readonly kind: 'film' }
  | { readonly kind: 'location' | 'shot' | 'pack' | 'card' | 'aircraft'; readonly id: string };

/** Something that would help. With `set`, one key applies it: the fields and their new values. */
export interface Cure {
  readonly say: Message;
  readonly set?: {
    readonly entity: 'shot' | 'location' | 'film' | 'pack' | 'flight';
    readonly id: string;
    readonly fields: Readonly<Record<string, unknown>>;
  };
}

/** A warning is data; the interface renders it and never writes its own. */
export interface Warning {
  readonly code: string;
  readonly severity: Severity;
  readonly subject: WarningSubject;
  readonly say: Message;
  readonly why: Message;
  readonly cures: readonly Cure[];
}

const RANK: Readonly<Record<Severity, number>> = { stop: 0, care: 1, note: 2 };

/** Gravest first; order within a severity is kept. */
export const bySeverity = (warnings: readonly Warning[]): Warning[] =>
  [...warnings].sort((a, b) => RANK[a.severity] - RANK[b.severity]);

export const worst = (warnings: readonly Warning[]): Severity | null =>
  bySeverity(warnings)[0]?.severity ?? null;
