import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compareCopy, type ListedFile } from './copies';

const listed = (path: string, content: Uint8Array): ListedFile => {
  const blob = new Blob([content as Uint8Array<ArrayBuffer>]);
  return {
    name: path.split('/').at(-1) ?? '',
    webkitRelativePath: path,
    size: blob.size,
    slice: (from?: number, to?: number) => blob.slice(from, to),
  };
};
const bytes = (length: number, seed = 1): Uint8Array =>
  Uint8Array.from({ length }, (_, i) => (i * 31 + seed * 17 + (i >> 8)) & 255);
const GIVEN = { aborted: false };
const compare = (card: readonly ListedFile[], copy: readonly ListedFile[], known = new Set<string>()) =>
  compareCopy(card, copy, known, () => undefined, GIVEN);

describe('a copy of a card', () => {
  const card = [
    listed('CARD/DCIM/A001.MP4', bytes(100_003)),
    listed('CARD/DCIM/A002.MP4', bytes(5)),
    listed('CARD/.Trashes/501', bytes(9)),
  ];
  it('is proved where every file is there byte by byte, in whatever folder it lies', async () => {
    const moved = [
      listed('2027-05-14/viaduct/a002.mp4', bytes(5)),
      listed('2027-05-14/A001.MP4', bytes(100_003)),
      listed('2027-05-14/notes.txt', bytes(2)),
    ];
    expect(await compare(card, moved)).toMatchObject({ proved: true, bytes: 100_008 });
    expect((await compare(card, moved)).files).toHaveLength(2);
  });
  it('names what is missing, cut short, or other', async () => {
    const other = bytes(100_003);
    other[100_002] = (other[100_002] ?? 0) ^ 1;
    const verdicts = async (...copy: ListedFile[]) => (await compare(card, copy)).files.map((f) => f.verdict);
    expect(await verdicts(listed('X/A001.MP4', other))).toEqual(['differs', 'missing']);
    expect(await verdicts(listed('X/A001.MP4', bytes(100_000)), listed('X/A002.MP4', bytes(5, 2)))).toEqual([
      'other-size',
      'differs',
    ]);
    expect((await compare(card, [])).proved).toBe(false);
    expect((await compare([], card)).proved).toBe(false);
  });
  it('is not proved when any one byte of any file is another', async () => {
    let reached = 0;
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.integer({ min: 1, max: 400 }), { minLength: 1, maxLength: 5 }),
        fc.nat(),
        fc.nat(),
        async (lengths, which, where) => {
          const files = lengths.map((n, i) => ({ path: `C/${i}.MP4`, content: bytes(n, i) }));
          const original = files.map((f) => listed(f.path, f.content));
          expect(
            (
              await compare(
                original,
                files.map((f) => listed(f.path, f.content)),
              )
            ).proved,
          ).toBe(true);
          const { path, content } = files[which % files.length]!;
          const hurt = content.slice();
          hurt[where % hurt.length] = (hurt[where % hurt.length] ?? 0) ^ 0x40;
          const copy = files.map((f) => listed(f.path, f.path === path ? hurt : f.content));
          const { proved, files: compared } = await compare(original, copy);
          expect(proved).toBe(false);
          expect(compared.filter((f) => f.verdict === 'differs')).toHaveLength(1);
          if (lengths.length > 2) reached += 1;
        },
      ),
      { numRuns: 60 },
    );
    expect(reached).toBeGreaterThan(15);
  });
  it('goes on after a stop, and counts every byte once', async () => {
    const same: string[] = [];
    await compareCopy(card, card, new Set(), (_done, _all, path) => path && same.push(path), GIVEN);
    expect(same).toEqual(['DCIM/A001.MP4', 'DCIM/A002.MP4']);
    const seen: number[] = [];
    await compareCopy(card, card, new Set(['DCIM/A001.MP4']), (done) => seen.push(done), GIVEN);
    expect(seen.at(-1)).toBe(100_008);
    expect([...seen].sort((a, b) => a - b)).toEqual(seen);
    await expect(compareCopy(card, card, new Set(), () => undefined, { aborted: true })).rejects.toThrow(
      'aborted',
    );
  });
});
