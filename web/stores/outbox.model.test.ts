import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Conflict } from '@contract';
import type { Thing } from './history';
import { keyOf, Outbox } from './outbox';

/** A server of one thing, as strict about versions as the real one. */
class OneThing {
  version = 1;
  value: Thing | null = { id: 'x', a: 0, b: 0, c: 0 };

  take(version: number, value: Thing | null): boolean {
    if ((this.value ? this.version : 0) !== version) return false;
    this.version += 1;
    this.value = value;
    return true;
  }

  conflict(yours: Conflict['yours']): Conflict {
    return { kind: 'shot', id: 'x', yours, theirs: this.value ? { kind: 'shot', version: this.version, createdAt: '', updatedAt: '', value: this.value as never } : null };
  }
}

/** A tab that edits one field of its own and sends whenever it can; answers may be lost on the way. */
class Tab {
  readonly box = new Outbox();
  shown: Thing;
  stored: { version: number; value: Thing } | null;

  constructor(private readonly server: OneThing, private readonly field: 'a' | 'b') {
    this.shown = server.value!;
    this.stored = { version: server.version, value: server.value! };
  }

  edit(n: number): void { this.shown = { ...this.shown, [this.field]: n }; this.box.put('shot', 'x', this.shown, this.stored); }

  send(lost: 'nothing' | 'request' | 'answer'): void {
    const [change] = this.box.take();
    if (!change) return;
    if (lost === 'request') { this.box.returned(true); return; }
    const taken = this.server.take(change.version, change.value as Thing | null);
    if (lost === 'answer') { this.box.returned(true); return; }
    if (taken) {
      this.stored = { version: this.server.version, value: change.value as Thing };
      this.box.taken(new Map([[keyOf('shot', 'x'), this.server.version]]));
      return;
    }
    this.box.returned(false);
    this.stored = this.server.value ? { version: this.server.version, value: this.server.value } : null;
    for (const merged of this.box.clash([this.server.conflict(change)])) this.shown = merged.value;
  }
}

const act = fc.record({ tab: fc.constantFrom(0, 1), does: fc.constantFrom('edit', 'send', 'lose request', 'lose answer'), n: fc.integer({ min: 1, max: 99 }) });

describe('two tabs and a lossy line', () => {
  it('never lose an edit: once both have sent, the server has the last of each tab’s own field', () => {
    fc.assert(fc.property(fc.array(act, { maxLength: 40 }), (acts) => {
      const server = new OneThing();
      const tabs = [new Tab(server, 'a'), new Tab(server, 'b')] as const;
      const last: Record<'a' | 'b', number> = { a: 0, b: 0 };
      for (const { tab, does, n } of acts) {
        const who = tabs[tab]!;
        if (does === 'edit') { who.edit(n); last[tab === 0 ? 'a' : 'b'] = n; }
        else who.send(does === 'send' ? 'nothing' : does === 'lose request' ? 'request' : 'answer');
      }
      for (let i = 0; i < 6; i += 1) for (const tab of tabs) tab.send('nothing');
      expect(server.value).toMatchObject(last);
      for (const tab of tabs) { expect(tab.box.clashes).toEqual([]); expect(tab.box.size).toBe(0); }
    }), { numRuns: 400 });
  });
});
