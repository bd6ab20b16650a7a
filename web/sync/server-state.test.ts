import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AnyRow, LoggedChange } from '@contract';
import { keyOf } from './outbox';
import { ServerState } from './server-state';

const KEY = keyOf('shot', 's');
const news = (version: number, after: object | null): LoggedChange =>
  ({ kind: 'shot', id: 's', version, after }) as unknown as LoggedChange;
const row = (version: number, title: string): AnyRow =>
  ({ kind: 'shot', version, value: { id: 's', title } }) as unknown as AnyRow;
/** A life of a thing: at each version it is something or deleted. */
const life = fc
  .array(fc.boolean(), { minLength: 1, maxLength: 8 })
  .map((alive) => alive.map((is, i) => news(i + 1, is ? { id: 's', title: `v${i + 1}` } : null)));

describe('rows as the server told them', () => {
  it('are those of the newest news, in whatever order and how often it is heard', () => {
    fc.assert(
      fc.property(
        life.chain((all) =>
          fc.tuple(
            fc.constant(all),
            fc.shuffledSubarray([...all, ...all], { minLength: all.length * 2, maxLength: all.length * 2 }),
          ),
        ),
        ([all, heard]) => {
          const told = new ServerState();
          for (const change of heard) told.receive(change);
          const last = all.at(-1)!;
          expect(told.at(KEY)).toEqual(
            last.after ? { kind: 'shot', version: last.version, value: last.after } : null,
          );
        },
      ),
    );
  });
  it('say whether something was news', () => {
    const told = new ServerState([row(3, 'c')]);
    expect([
      told.receive(news(3, { id: 's' })),
      told.receive(news(2, null)),
      told.receive(news(4, { id: 's', title: 'd' })),
      told.receive(news(4, null)),
    ]).toEqual([false, false, true, false]);
    expect(told.at(KEY)).toMatchObject({ version: 4 });
  });
  it('an answer long on its way gives way to what was heard meanwhile; a deletion buries all before it', () => {
    const told = new ServerState([row(1, 'a')]);
    told.receive(news(5, { id: 's', title: 'e' }));
    expect(told.answer(row(2, 'b'))).toMatchObject({ version: 5 });
    expect(told.answer(row(6, 'f'))).toBeNull();
    told.deleted('shot', 's');
    expect([told.receive(news(6, { id: 's' })), told.receive(news(7, null)), told.at(KEY)]).toEqual([
      false,
      false,
      null,
    ]);
    expect(told.receive(news(8, { id: 's', title: 'back' }))).toBe(true);
  });
});
