import type { Change, Conflict as ServerConflict } from '@contract';
import type { EntityKind } from '@core/model';
import { v4 as uuid } from 'uuid';
import { changedFields, merge } from './merge';

type Thing = Readonly<Record<string, unknown>> & { readonly id: string };

/** A thing changed here and not yet taken by the server. */
export interface PendingChange {
  readonly kind: EntityKind;
  readonly id: string;
  /** Version and state the change was made on; 0 and null for something new. */
  readonly version: number;
  readonly base: Thing | null;
  /** State wanted now; null deletes. */
  readonly value: Thing | null;
  /** State on its way when this was kept aside; it may have been taken. */
  readonly sent?: Thing | null;
  /** Act that has been sent in part: what is left belongs to it. */
  readonly step?: string;
}

/** Two versions of a row that a person must choose between. */
export interface Conflict {
  readonly kind: EntityKind;
  readonly id: string;
  readonly mine: Thing | null;
  readonly theirs: Thing | null;
  readonly theirVersion: number;
  readonly base: Thing | null;
  readonly fields: readonly string[];
}

export const keyOf = (kind: EntityKind, id: string): string => `${kind}:${id}`;

const alike = (a: Thing | null, b: Thing | null): boolean =>
  a === b || (a !== null && b !== null && changedFields(a, b).length === 0);

/** What waits to be saved, one entry a thing, in the order of first change. */
export class Outbox {
  private entries = new Map<string, PendingChange>();
  private inFlight = new Map<string, PendingChange>();
  private readonly open = new Map<string, Conflict>();
  /** Name of the batch that flies, and whether its answer was lost. */
  private batch = '';
  private lost = false;
  /** Name of the act the last batch was part of, and whether more of it waits. */
  private step = '';
  private more = false;
  /** Things to be sent one at a time, since the server refused them together, and those it refused alone so far. */
  private alone: string[] = [];
  private stuck: string[] = [];

  /** Notes a wanted state; several changes of one thing become one. */
  put(
    kind: EntityKind,
    id: string,
    value: Thing | null,
    stored: { version: number; value: Thing } | null,
  ): void {
    const key = keyOf(kind, id);
    const before = this.entries.get(key);
    const version = before?.version ?? stored?.version ?? 0;
    const base = before ? before.base : (stored?.value ?? null);
    if (alike(value, base) && !this.inFlight.has(key)) {
      this.entries.delete(key);
      this.open.delete(key);
      return;
    }
    this.entries.set(key, { kind, id, version, base, value });
  }

  has(key: string): boolean {
    return this.entries.has(key) || this.inFlight.has(key);
  }
  isInFlight(key: string): boolean {
    return this.inFlight.has(key);
  }
  /** State wanted by a change that was made since the last sending. */
  waitingValue(key: string): Thing | null | undefined {
    return this.entries.get(key)?.value;
  }
  get size(): number {
    return this.entries.size + this.inFlight.size;
  }
  get waiting(): number {
    return (
      [...this.entries.keys()].filter((k) => !this.open.has(k)).length + (this.lost ? this.inFlight.size : 0)
    );
  }
  get conflicts(): Conflict[] {
    return [...this.open.values()];
  }

  /**
   * Takes what can be sent now; null while something flies. A batch whose answer was lost is sent again just as it was,
   * under its own name, before anything newer: only so can the server say whether it had taken it.
   */
  take(limit = 800): { batch: string; step?: string; changes: Change[] } | null {
    if (this.inFlight.size > 0 && !this.lost) return null;
    if (!this.lost) {
      const ready = this.ready(limit);
      if (ready.length === 0) return null;
      this.nameStep(ready.length);
      for (const [key, entry] of ready) {
        this.inFlight.set(key, entry);
        this.entries.delete(key);
      }
      this.batch = uuid();
    }
    this.lost = false;
    return {
      batch: this.batch,
      ...(this.step === '' ? {} : { step: this.step }),
      changes: [...this.inFlight.values()].map(({ kind, id, version, value }) => ({
        kind,
        id,
        version,
        value: value as Record<string, unknown> | null,
      })),
    };
  }

  /** An act larger than a batch has a name that all its batches carry; one that fits into a batch needs none. */
  private nameStep(taken: number): void {
    const rest = this.alone.length === 0 && this.waiting > taken;
    if (!this.more) this.step = rest ? uuid() : '';
    this.more = rest;
  }

  private ready(limit: number): [string, PendingChange][] {
    const all = [...this.entries].filter(([key]) => !this.open.has(key));
    this.alone = this.alone.filter((key) => all.some(([k]) => k === key));
    return this.alone.length > 0 ? all.filter(([key]) => key === this.alone[0]) : all.slice(0, limit);
  }

  /** The server took what was flying; entries made meanwhile now stand on the new versions. */
  acknowledge(versions: ReadonlyMap<string, number>): void {
    for (const [key, sent] of this.inFlight) {
      const later = this.entries.get(key);
      if (later) this.entries.set(key, { ...later, version: versions.get(key) ?? 0, base: sent.value });
    }
    // What was refused before may have waited for just this.
    this.alone = [...this.alone.filter((key) => !this.inFlight.has(key)), ...this.stuck];
    this.stuck = [];
    this.inFlight.clear();
  }

  /**
   * The server will never take what was flying as it is. Of several things it may be one, so each is sent alone, in turn for as
   * long as any of them goes through: an hour of work must not be lost over one shot.
   * @returns what is given up; nothing while there is still something to try
   */
  refused(): PendingChange[] {
    const keys = [...this.inFlight.keys()];
    this.returned(false);
    if (keys.length > 1) {
      this.alone = keys;
      this.stuck = [];
      return [];
    }
    this.stuck.push(...keys);
    this.alone = this.alone.filter((key) => !keys.includes(key));
    if (this.alone.length > 0) return [];
    const given = this.stuck.flatMap((key) => this.entries.get(key) ?? []);
    for (const key of this.stuck) this.drop(key);
    this.stuck = [];
    return given;
  }

  /**
   * What was flying did not come through.
   * @param unknown no answer came, so it may have been taken all the same: it stays as it was and is sent again
   */
  returned(unknown: boolean): void {
    this.lost = unknown && this.inFlight.size > 0;
    if (this.lost) return;
    this.entries = this.joined();
    this.inFlight.clear();
  }

  /** Everything not taken yet: newer states over those that fly, on the ground of the older. */
  private joined(): Map<string, PendingChange> {
    const all = new Map<string, PendingChange>(this.inFlight);
    for (const [key, entry] of this.entries) {
      const sent = this.inFlight.get(key);
      all.set(key, sent ? { ...entry, version: sent.version, base: sent.base } : entry);
    }
    return all;
  }

  /**
   * Somebody else was first. What goes together by fields is merged and waits again; the rest is held for the person.
   * @returns merged states to show
   */
  conflict(conflicts: readonly ServerConflict[]): { kind: EntityKind; id: string; value: Thing }[] {
    return conflicts.flatMap((conflict) => {
      const key = keyOf(conflict.kind, conflict.id);
      const entry = this.entries.get(key);
      if (!entry) return [];
      const value = this.settle(
        key,
        entry,
        (conflict.theirs?.value ?? null) as Thing | null,
        conflict.theirs?.version ?? 0,
      );
      return value ? [{ kind: entry.kind, id: entry.id, value }] : [];
    });
  }

  /**
   * Theirs changed again while a conflict was held for the person.
   * @returns the merged state to show when the two go together now; null when nothing was held, or it still is
   */
  rebase(kind: EntityKind, id: string, theirs: Thing | null, theirVersion: number): Thing | null {
    const key = keyOf(kind, id);
    const entry = this.entries.get(key);
    if (!entry || !this.open.delete(key)) return null;
    return this.settle(key, entry, theirs, theirVersion);
  }

  /** Settles one conflict: nothing to do, merged (its state is returned), or held. */
  private settle(
    key: string,
    entry: PendingChange,
    theirs: Thing | null,
    theirVersion: number,
  ): Thing | null {
    const { kind, id, base, value: mine } = entry;
    if (mine === null && theirs === null) {
      this.entries.delete(key);
      return null;
    }
    if (mine === null || theirs === null) {
      this.open.set(key, { kind, id, mine, theirs, theirVersion, base, fields: [] });
      return null;
    }
    // Taken already: only the answer was lost.
    if (changedFields(mine, theirs).length === 0) {
      this.entries.delete(key);
      return null;
    }
    const joined = base ? merge(base, mine, theirs) : null;
    if (joined?.clashing.length === 0) {
      const value = joined.value as Thing;
      this.entries.set(key, { kind, id, version: theirVersion, base: theirs, value });
      return value;
    }
    this.open.set(key, { kind, id, mine, theirs, theirVersion, base, fields: joined?.clashing ?? [] });
    return null;
  }

  /** The person chose. @returns the state to show, null when the thing is gone */
  resolve(key: string, keep: 'mine' | 'theirs'): Thing | null {
    const conflict = this.open.get(key);
    this.open.delete(key);
    const entry = this.entries.get(key);
    if (!conflict || !entry) return conflict?.theirs ?? null;
    if (keep === 'theirs') {
      this.entries.delete(key);
      return conflict.theirs;
    }
    const value =
      entry.value && conflict.theirs && conflict.base
        ? (merge(conflict.base, entry.value, conflict.theirs).value as Thing)
        : entry.value;
    this.entries.set(key, {
      kind: entry.kind,
      id: entry.id,
      version: conflict.theirVersion,
      base: conflict.theirs,
      value,
    });
    return value;
  }

  /** Lets go of an entry the server will never take. */
  drop(key: string): void {
    this.entries.delete(key);
    this.inFlight.delete(key);
    this.open.delete(key);
  }

  /** All that waits, for keeping over a crash. */
  toJSON(): PendingChange[] {
    return [...this.joined()].map(([key, entry]) => {
      const sent = this.inFlight.get(key);
      const act = this.step !== '' && (this.more || sent) ? { step: this.step } : {};
      return sent && this.entries.has(key) ? { ...entry, ...act, sent: sent.value } : { ...entry, ...act };
    });
  }

  /**
   * Takes in what an earlier page left behind. What had been taken, only the page was gone before the answer, is no change any
   * more; what was changed after it stands on what was taken.
   * @param now a thing as it is stored, null when it is not there
   */
  adopt(
    left: readonly PendingChange[],
    now: (key: string) => { readonly version: number; readonly value: Thing } | null,
  ): void {
    for (const { sent, step, ...entry } of left) {
      if (step !== undefined) {
        this.step = step;
        this.more = true;
      }
      const key = keyOf(entry.kind, entry.id);
      const stored = now(key);
      if (this.entries.has(key) || alike(entry.value, stored?.value ?? null)) continue;
      this.entries.set(
        key,
        sent && stored && alike(sent, stored.value)
          ? { ...entry, version: stored.version, base: stored.value }
          : entry,
      );
    }
  }
}
