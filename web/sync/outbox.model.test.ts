import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Change, Conflict } from '@contract';
import type { Thing } from './history';
import { keyOf, Outbox } from './outbox';

const KEY = keyOf('shot', 'x');

/** A server of one thing, as strict about versions as the real one, and as sure of what it has taken already. */
class OneThing {
  version = 1;
  value: Thing = { id: 'x', a: 0, b: 0, c: 0 };
  private readonly known = new Map<string, number>();

  /** @returns the version the batch made, or null for a conflict */
  take(batch: string, { version, value }: Change): number | null {
    if (this.version !== version) return this.known.get(batch) ?? null;
    this.version += 1;
    this.value = value as Thing;
    this.known.set(batch, this.version);
    return this.version;
  }

  conflict(yours: Change): Conflict {
    return {
      kind: 'shot',
      id: 'x',
      yours,
      theirs: {
        kind: 'shot',
        version: this.version,
        createdAt: '',
        updatedAt: '',
        value: this.value as never,
      },
    };
  }
}

type Field = 'a' | 'b' | 'c';

/** A tab that edits one field and sends whenever it can; requests and answers may be lost on the way. */
class Tab {
  readonly box = new Outbox();
  shown: Thing;
  edited = 0;
  private stored: { version: number; value: Thing };

  constructor(
    private readonly server: OneThing,
    private readonly field: Field,
  ) {
    this.shown = server.value;
    this.stored = { version: server.version, value: server.value };
  }

  edit(n: number): void {
    this.edited = n;
    this.shown = { ...this.shown, [this.field]: n };
    this.box.put('shot', 'x', this.shown, this.stored);
  }

  send(lost: 'nothing' | 'request' | 'answer'): void {
    const sending = this.box.take();
    const change = sending?.changes[0];
    if (!sending || !change) return;
    if (lost === 'request') {
      this.box.returned(true);
      return;
    }
    const made = this.server.take(sending.batch, change);
    if (lost === 'answer') {
      this.box.returned(true);
      return;
    }
    if (made !== null) {
      this.stored = { version: made, value: change.value as Thing };
      this.box.acknowledge(new Map([[KEY, made]]));
      return;
    }
    this.box.returned(false);
    this.stored = { version: this.server.version, value: this.server.value };
    for (const merged of this.box.conflict([this.server.conflict(change)])) this.shown = merged.value;
  }
}

const act = fc.record({
  tab: fc.constantFrom(0, 1),
  does: fc.constantFrom('edit', 'send', 'lose request', 'lose answer'),
  n: fc.integer({ min: 1, max: 99 }),
});

/** Plays acts on two tabs, then lets both send until nothing moves. */
const play = (
  acts: readonly { tab: number; does: string; n: number }[],
  fields: readonly [Field, Field],
  number: (tab: number, n: number) => number,
) => {
  const server = new OneThing();
  const tabs = [new Tab(server, fields[0]), new Tab(server, fields[1])] as const;
  for (const { tab, does, n } of acts) {
    const who = tabs[tab]!;
    if (does === 'edit') who.edit(number(tab, n));
    else who.send(does === 'send' ? 'nothing' : does === 'lose request' ? 'request' : 'answer');
  }
  for (let i = 0; i < 8; i += 1) for (const tab of tabs) tab.send('nothing');
  return { server, tabs };
};

describe('two tabs and a lossy line', () => {
  it('on different fields never lose an edit and never ask', () => {
    fc.assert(
      fc.property(fc.array(act, { maxLength: 40 }), (acts) => {
        const { server, tabs } = play(acts, ['a', 'b'], (_, n) => n);
        expect(server.value).toMatchObject({ a: tabs[0].edited, b: tabs[1].edited });
        for (const tab of tabs) {
          expect(tab.box.conflicts).toEqual([]);
          expect(tab.box.size).toBe(0);
        }
      }),
      { numRuns: 500 },
    );
  });

  it('on the same field lose nothing in silence: what is not stored is asked about', () => {
    fc.assert(
      fc.property(fc.array(act, { maxLength: 40 }), (acts) => {
        // Each tab writes numbers of its own, so that whose edit is stored can be told.
        const { server, tabs } = play(acts, ['c', 'c'], (tab, n) => n * 2 + tab);
        for (const tab of tabs) {
          if (tab.edited === 0 || server.value['c'] === tab.edited) continue;
          const asked = tab.box.conflicts[0]?.mine?.['c'] !== undefined;
          const overwritten = tabs.some((other) => other !== tab && other.edited === server.value['c']);
          expect(asked || overwritten).toBe(true);
        }
        if (tabs.every((t) => t.edited !== 0) && tabs.every((t) => t.box.conflicts.length === 0)) {
          // Nobody was asked: then one tab had sent before the other ever edited, or the same tab wrote last.
          expect(tabs.map((t) => t.edited)).toContain(server.value['c']);
        }
      }),
      { numRuns: 500 },
    );
  });

  it('two edits of the same field made apart always ask, whatever was lost', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom<'request' | 'answer'>('request', 'answer'), { maxLength: 6 }),
        fc.array(fc.constantFrom<'request' | 'answer'>('request', 'answer'), { maxLength: 6 }),
        (first, second) => {
          const server = new OneThing();
          const tabs = [new Tab(server, 'c'), new Tab(server, 'c')] as const;
          tabs[0].edit(10);
          tabs[1].edit(11);
          for (const lost of first) tabs[0].send(lost);
          for (const lost of second) tabs[1].send(lost);
          for (let i = 0; i < 4; i += 1) for (const tab of tabs) tab.send('nothing');
          expect(tabs.filter((t) => t.box.conflicts.length === 1)).toHaveLength(1);
          const [asked] = tabs.filter((t) => t.box.conflicts.length === 1);
          expect(asked!.box.conflicts[0]).toMatchObject({ fields: ['c'], mine: { c: asked!.edited } });
          expect(server.value['c']).toBe(tabs.find((t) => t !== asked)!.edited);
        },
      ),
    );
  });
});
