import { describe, expect, it } from 'vitest';
import { PowerStates, readActs, type FileAct } from '../scripts/attack/power-states';
import { seeded } from '../scripts/attack/outcome';

const act = (kind: FileAct['kind'], at = 0, text = '', path = 'f'): FileAct => ({
  kind,
  path,
  at,
  data: Buffer.from(text),
  end: 0,
});
const left = (acts: FileAct[], loss: 'all' | 'some' | 'none', seed = 1): string => {
  const states = new PowerStates();
  for (const a of acts) states.apply(a);
  return (
    states
      .files(loss, seeded(seed * 99_999_989))
      .get('f')
      ?.toString() ?? 'gone'
  );
};

describe('files as a loss of power leaves them', () => {
  const acts = [act('W', 0, 'safe'), act('S'), act('W', 2, 'LOOSE')];
  it('hold what was synced, and what was not only where it is not lost', () => {
    expect(left(acts, 'all')).toBe('safe');
    expect(left(acts, 'none')).toBe('saLOOSE');
    expect(left([...acts, act('S')], 'all')).toBe('saLOOSE');
  });
  it('are cut, lengthened and deleted in the order of the acts', () => {
    expect(left([...acts, act('T', 3), act('S')], 'all')).toBe('saL');
    expect(left([act('W', 0, 'ab'), act('T', 4), act('S')], 'all')).toBe('ab\0\0');
    expect(left([...acts, act('D')], 'none')).toBe('gone');
  });
  it('lose whole sectors of a torn write, and never what was synced', () => {
    const long = 'n'.repeat(4096);
    const torn = Array.from({ length: 60 }, (_, seed) =>
      left([act('W', 0, 'o'.repeat(4096)), act('S'), act('W', 0, long)], 'some', seed),
    );
    for (const state of torn)
      for (let i = 0; i < 4096; i += 512) expect(new Set(state.slice(i, i + 512)).size).toBe(1);
    expect(torn.filter((s) => s.includes('n') && s.includes('o')).length).toBeGreaterThan(10);
  });
});

it('notes are read back, an unfinished one is left out', () => {
  const head = Buffer.alloc(15);
  head.write('W', 'latin1');
  head.writeUInt16LE(3, 1);
  head.writeBigInt64LE(4096n, 3);
  head.writeUInt32LE(2, 11);
  const note = Buffer.concat([head, Buffer.from('a/bhi')]);
  const acts = readActs(Buffer.concat([note, note, note.subarray(0, 17)]));
  expect(acts).toHaveLength(2);
  expect(acts[1]).toMatchObject({ kind: 'W', path: 'a/b', at: 4096, end: 40 });
  expect(acts[1]!.data.toString()).toBe('hi');
});
