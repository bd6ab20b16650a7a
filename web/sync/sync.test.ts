import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Conflict, LoggedChange } from '@contract';
import { History, type Thing } from './history';
import { changedFields, merge, patched } from './merge';
import { keyOf, Outbox, type PendingChange } from './outbox';
import { RowCollection } from './row-collection';
import { computed } from 'vue';

const thing = (fields: object): Thing => ({ id: 'x', ...fields });
const values = fc.record({
  a: fc.integer({ max: 3, min: 0 }),
  b: fc.integer({ max: 3, min: 0 }),
  c: fc.integer({ max: 3, min: 0 }),
});

describe('merge by fields', () => {
  it('keeps every change that only one side made, and names the rest', () => {
    fc.assert(
      fc.property(values, values, values, (base, mine, theirs) => {
        const merged = merge(base, mine, theirs);
        for (const key of ['a', 'b', 'c'] as const) {
          if (mine[key] === base[key]) expect(merged.value[key]).toBe(theirs[key]);
          else expect(merged.value[key]).toBe(mine[key]);
          expect(merged.clashing.includes(key)).toBe(
            mine[key] !== base[key] && theirs[key] !== base[key] && mine[key] !== theirs[key],
          );
        }
      }),
    );
  });
  it('an undo puts back only what the step changed', () => {
    expect(patched({ a: 9, b: 2, c: 7 }, { a: 1, b: 2 }, { a: 0, b: 2 })).toEqual({ a: 0, b: 2, c: 7 });
    expect(changedFields({ a: [1] }, { a: [1], b: 2 })).toEqual(['b']);
  });
});

describe('outbox', () => {
  it('names an act that takes several batches, also when the page is gone in between, and no other', () => {
    const fill = (box: Outbox, n: number, from = 0) => {
      for (let k = from; k < from + n; k += 1) box.put('pack', `p${k}`, { id: `p${k}`, name: `${k}` }, null);
    };
    const sent = (box: Outbox) => {
      const batch = box.take(800)!;
      box.acknowledge(new Map(batch.changes.map((c) => [`pack:${c.id}`, 1])));
      return batch;
    };
    const box = new Outbox();
    fill(box, 800);
    expect(sent(box).step).toBeUndefined();
    fill(box, 1900);
    const first = sent(box);
    const second = sent(box);
    expect(first.step).toBeDefined();
    expect(second.step).toBe(first.step);
    // The page goes before the last part is sent.
    const after = new Outbox();
    after.adopt(JSON.parse(JSON.stringify(box.toJSON())) as PendingChange[], () => null);
    expect(after.size).toBe(300);
    const third = sent(after);
    expect([third.changes.length, third.step]).toEqual([300, first.step]);
    fill(after, 2, 5000);
    expect(sent(after).step).toBeUndefined();
  });
  const stored = { version: 3, value: thing({ a: 1, b: 1 }) };
  const conflict = (theirs: Thing | null, version = 4): Conflict => ({
    kind: 'shot',
    id: 'x',
    yours: { kind: 'shot', id: 'x', version: 3, value: {} },
    theirs: theirs ? { kind: 'shot', version, createdAt: '', updatedAt: '', value: theirs as never } : null,
  });

  it('makes one change of many and sends it on the version it was made on', () => {
    const box = new Outbox();
    box.put('shot', 'x', thing({ a: 2, b: 1 }), stored);
    box.put('shot', 'x', thing({ a: 3, b: 1 }), stored);
    expect(box.take()?.changes).toEqual([
      { kind: 'shot', id: 'x', version: 3, value: thing({ a: 3, b: 1 }) },
    ]);
    expect(box.take()).toBeNull();
  });
  it('a change made while another flies waits and stands on the new version', () => {
    const box = new Outbox();
    box.put('shot', 'x', thing({ a: 2, b: 1 }), stored);
    box.take();
    box.put('shot', 'x', thing({ a: 5, b: 1 }), stored);
    box.acknowledge(new Map([[keyOf('shot', 'x'), 4]]));
    expect(box.take()?.changes).toEqual([
      { kind: 'shot', id: 'x', version: 4, value: thing({ a: 5, b: 1 }) },
    ]);
  });
  it('what came back is kept under what was changed meanwhile', () => {
    const box = new Outbox();
    box.put('shot', 'x', thing({ a: 2, b: 1 }), stored);
    box.take();
    box.put('shot', 'x', thing({ a: 5, b: 1 }), stored);
    box.returned(false);
    expect(box.toJSON()).toEqual([
      expect.objectContaining({ version: 3, base: stored.value, value: thing({ a: 5, b: 1 }) }),
    ]);
  });
  it('a batch whose answer was lost is sent again just as it was, under its own name, before anything newer', () => {
    const box = new Outbox();
    box.put('shot', 'x', thing({ a: 2, b: 1 }), stored);
    const first = box.take();
    box.returned(true);
    box.put('shot', 'x', thing({ a: 9, b: 1 }), stored);
    expect(box.waiting).toBe(2);
    expect(box.take()).toEqual(first);
    expect(box.toJSON()).toEqual([
      expect.objectContaining({ version: 3, base: stored.value, value: thing({ a: 9, b: 1 }) }),
    ]);
    box.acknowledge(new Map([[keyOf('shot', 'x'), 4]]));
    const second = box.take();
    expect(second?.batch).not.toBe(first?.batch);
    expect(second?.changes[0]).toMatchObject({ version: 4, value: { a: 9 } });
  });
  it('forgets a change that was taken back before it was sent, and a thing made and unmade', () => {
    const box = new Outbox();
    box.put('shot', 'x', thing({ a: 2, b: 1 }), stored);
    box.put('shot', 'x', thing({ a: 1, b: 1 }), stored);
    box.put('shot', 'y', thing({ a: 1 }), null);
    box.put('shot', 'y', null, null);
    expect(box.size).toBe(0);
  });
  it('merges what goes together and holds what does not until the person chose', () => {
    const box = new Outbox();
    box.put('shot', 'x', thing({ a: 2, b: 1 }), stored);
    box.take();
    box.returned(false);
    expect(box.conflict([conflict(thing({ a: 1, b: 7 }))])).toEqual([
      { kind: 'shot', id: 'x', value: thing({ a: 2, b: 7 }) },
    ]);
    expect(box.take()?.changes).toEqual([
      { kind: 'shot', id: 'x', version: 4, value: thing({ a: 2, b: 7 }) },
    ]);
    box.returned(false);
    box.conflict([conflict(thing({ a: 9, b: 7 }), 5)]);
    expect(box.take()).toBeNull();
    expect(box.conflicts[0]).toMatchObject({ fields: ['a'] });
    expect(box.resolve(keyOf('shot', 'x'), 'mine')).toEqual(thing({ a: 2, b: 7 }));
    expect(box.take()?.changes[0]).toMatchObject({ version: 5 });
  });
  it('what was taken although its answer was lost is no clash', () => {
    const box = new Outbox();
    box.put('shot', 'x', thing({ a: 2, b: 1 }), null);
    box.take();
    box.returned(false);
    expect(box.conflict([conflict(thing({ a: 2, b: 1 }), 1)])).toEqual([]);
    expect([box.size, box.conflicts.length]).toEqual([0, 0]);
  });
  it('a thing deleted elsewhere can be brought back or let go', () => {
    for (const keep of ['mine', 'theirs'] as const) {
      const box = new Outbox();
      box.put('shot', 'x', thing({ a: 2, b: 1 }), stored);
      box.conflict([conflict(null)]);
      const shown = box.resolve(keyOf('shot', 'x'), keep);
      expect(shown).toEqual(keep === 'mine' ? thing({ a: 2, b: 1 }) : null);
      expect(box.take()?.changes.map((c) => c.version) ?? []).toEqual(keep === 'mine' ? [0] : []);
    }
  });
});

describe('history', () => {
  const step = (before: number, after: number, id = 'x') => ({
    label: 's',
    changes: [
      { kind: 'shot' as const, id, before: thing({ id, a: before }), after: thing({ id, a: after }) },
    ],
  });
  it('quick changes of the same thing are one step; slow ones are two', () => {
    const history = new History();
    history.record(step(0, 1), 'g', 0);
    history.record(step(1, 2), 'g', 300);
    history.record(step(2, 3), 'g', 5000);
    expect(history.undo()?.changes[0]).toMatchObject({ before: { a: 2 }, after: { a: 3 } });
    expect(history.undo()?.changes[0]).toMatchObject({ before: { a: 0 }, after: { a: 2 } });
    expect(history.undo()).toBeNull();
    expect(history.redo()?.changes[0]).toMatchObject({ after: { a: 2 } });
  });
  it('a new change ends what could be done again', () => {
    const history = new History();
    history.record(step(0, 1), '', 0);
    history.undo();
    history.record(step(0, 5), '', 1);
    expect(history.canRedo).toBe(false);
  });
  it('is rebuilt from the log: other tabs’ changes and undone steps are left out', () => {
    const logged = (
      batch: string,
      device: string,
      before: number,
      after: number,
      undoes: string | null = null,
      step: string | null = null,
    ): LoggedChange => ({
      sequence: 1,
      batch,
      undoes,
      step,
      device,
      filmId: 'f',
      kind: 'shot',
      id: 'x',
      at: '',
      version: 1,
      before: thing({ a: before }) as never,
      after: thing({ a: after }) as never,
    });
    const history = History.fromLog(
      [
        logged('1', 'me', 0, 1),
        logged('2', 'you', 1, 8),
        logged('3', 'me', 1, 2),
        logged('4', 'me', 2, 1, 'u'),
      ],
      'me',
    );
    expect(history.undo()?.changes[0]).toMatchObject({ before: { a: 0 }, after: { a: 1 } });
    expect(history.canUndo).toBe(false);
    const large = History.fromLog(
      [
        logged('1', 'me', 0, 1),
        { ...logged('2', 'me', 0, 5, null, 'act'), id: 'y' },
        logged('5', 'you', 1, 1),
        { ...logged('3', 'me', 0, 6, null, 'act'), id: 'z' },
      ],
      'me',
    );
    expect(large.undo()?.changes.map((c) => c.id)).toEqual(['y', 'z']);
    expect(large.undo()?.changes.map((c) => c.id)).toEqual(['x']);
  });
});

describe('shelf', () => {
  const pack = (n: number): Thing => ({ id: `p${n}`, name: `P${n}` });
  it('keeps the list of a kind the same object until something of that kind changes', () => {
    const shelf = new RowCollection();
    for (let i = 0; i < 3; i += 1) shelf.put('pack', `p${i}`, pack(i));
    shelf.refresh();
    const packs = shelf.list('pack');
    shelf.put('shot', 's', thing({}));
    shelf.refresh();
    expect(shelf.list('pack')).toBe(packs);
    expect(packs.map((p) => p.id)).toEqual(['p0', 'p1', 'p2']);
    shelf.put('pack', 'p1', null);
    expect(shelf.list('pack')).toBe(packs);
    shelf.refresh();
    expect(shelf.list('pack').map((p) => p.id)).toEqual(['p0', 'p2']);
  });
  it('tells whoever looked at a thing, and nobody else', () => {
    const shelf = new RowCollection();
    let asked = 0;
    const name = computed(() => {
      asked += 1;
      return shelf.get('pack', 'p1')?.name;
    });
    expect(name.value).toBeUndefined();
    shelf.put('pack', 'p1', pack(1));
    shelf.refresh();
    expect(name.value).toBe('P1');
    shelf.put('card', 'c', thing({}));
    shelf.refresh();
    expect(name.value).toBe('P1');
    expect(asked).toBe(2);
    shelf.clear();
    shelf.refresh();
    expect(name.value).toBeUndefined();
    expect(shelf.at('pack', 'p1')).toBeNull();
  });
});

it('what is dragged in one press is one step, however long it lasts; two presses are two', () => {
  const history = new History();
  const step = (title: string) => ({
    label: 'drag',
    changes: [
      {
        kind: 'shot' as const,
        id: 's',
        before: { id: 's', title: `before ${title}` },
        after: { id: 's', title },
      },
    ],
  });
  history.record(step('a'), 'g', 0, 7);
  history.record(step('b'), 'g', 60_000, 7);
  history.record(step('c'), 'g', 120_000, 8);
  expect(history.undo()?.changes[0]?.after).toEqual({ id: 's', title: 'c' });
  expect(history.undo()?.changes[0]).toMatchObject({ before: { title: 'before a' }, after: { title: 'b' } });
  expect(history.canUndo).toBe(false);
});
