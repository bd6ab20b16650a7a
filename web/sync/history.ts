import type { EntityKind } from '@core/model';
import type { LoggedChange } from '@contract';
import { tr } from './messages';

export type Thing = Readonly<Record<string, unknown>> & { readonly id: string };

export interface StepChange {
  readonly kind: EntityKind;
  readonly id: string;
  readonly before: Thing | null;
  readonly after: Thing | null;
}

/** What one act changed; undone and redone as a whole. */
export interface Step {
  readonly label: string;
  readonly changes: readonly StepChange[];
}

const GESTURE_MS = 900;

/** Steps a person can take back, and those they took back. Quick changes of the same thing are one step. */
export class History {
  private done: (Step & { at: number; gesture: string; press: number })[] = [];
  private undone: Step[] = [];

  /** @param press number of the press that is held down meanwhile, 0 when none is */
  record(step: Step, gesture: string, at: number, press = 0): void {
    const last = this.done.at(-1);
    this.undone = [];
    if (
      last &&
      gesture !== '' &&
      last.gesture === gesture &&
      (at - last.at < GESTURE_MS || (press !== 0 && last.press === press))
    ) {
      const joined = step.changes.map((c) => ({
        ...c,
        before: last.changes.find((l) => l.id === c.id)?.before ?? c.before,
      }));
      this.done[this.done.length - 1] = { ...step, changes: joined, at, gesture, press };
      return;
    }
    this.done.push({ ...step, at, gesture, press });
    if (this.done.length > 300) this.done.shift();
  }

  undo(): Step | null {
    const step = this.done.pop() ?? null;
    if (step) this.undone.push(step);
    return step;
  }
  redo(): Step | null {
    const step = this.undone.pop() ?? null;
    if (step) this.done.push({ ...step, at: 0, gesture: '', press: 0 });
    return step;
  }
  get canUndo(): boolean {
    return this.done.length > 0;
  }
  get canRedo(): boolean {
    return this.undone.length > 0;
  }

  /** Drops the newest steps a logged undo went back over: up to the one it restores. */
  private takeBack(batch: readonly LoggedChange[]): void {
    const restored = new Map(batch.map((c) => [c.id, JSON.stringify(c.after)]));
    const at = this.done.findLastIndex((step) =>
      step.changes.every((c) => restored.get(c.id) === JSON.stringify(c.before)),
    );
    if (at >= 0) this.done.length = at;
  }

  /** Rebuilds the steps this tab made from the change log, so that undo outlives a reload. */
  static fromLog(changes: readonly LoggedChange[], device: string): History {
    const history = new History();
    const batches = new Map<string, LoggedChange[]>();
    for (const change of changes)
      if (change.device === device) {
        // What was too much for one batch is one step all the same.
        const act = change.step ?? change.batch;
        const same = batches.get(act);
        if (same) same.push(change);
        else batches.set(act, [change]);
      }
    for (const batch of batches.values()) {
      if (batch[0]?.undoes) {
        history.takeBack(batch);
        continue;
      }
      const steps = batch.map((c) => ({
        kind: c.kind,
        id: c.id,
        before: c.before as Thing | null,
        after: c.after as Thing | null,
      }));
      history.done.push({ label: tr('change'), changes: steps, at: 0, gesture: '', press: 0 });
    }
    return history;
  }
}
