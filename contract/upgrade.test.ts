import { beforeAll, describe, expect, it } from 'vitest';
import { withDefaults } from '../core/model';
import { FilmFileSchema, KitFileSchema, upgradeFile, type FilmFile } from '.';
import { newValidator } from './validator';

type Row = Record<string, unknown>;
const check = newValidator().compile(FilmFileSchema);
let film: FilmFile;
beforeAll(async () => {
  film = (await import('../demo')).demoFilm();
}, 30_000);

/** The made-up film as version 1 wrote it. */
const version1 = (file: FilmFile): Row => {
  const { flightLog, ...kit } = file.kit;
  const flown = flightLog.map(({ outcome, ...entry }, i) => ({
    ...entry,
    verdict: i === 0 ? 'trouble' : outcome,
  }));
  const answers = file.answers.map((answer) =>
    Object.fromEntries(Object.entries(answer).filter(([key]) => key !== 'flightId')),
  );
  // Twice the frames a second counted twice: a factor was frame for frame.
  const shots = file.shots.map((shot) => ({
    ...shot,
    cut: {
      ...shot.cut,
      segments: shot.cut.segments.map((s) => ({
        ...s,
        speedFactor: shot.modeId === '50' ? s.speedFactor * 2 : s.speedFactor,
      })),
    },
  }));
  return { ...file, formatVersion: 1, answers, shots, kit: { ...kit, flown } };
};

describe('a file of an earlier version', () => {
  it('opens as one of today, with everything in it', () => {
    const old = version1(film);
    const before = JSON.stringify(old);
    expect(check(old)).toBe(false);
    const file = withDefaults(FilmFileSchema, upgradeFile(old)) as FilmFile;
    expect(check(file), JSON.stringify(check.errors?.slice(0, 2))).toBe(true);
    expect(JSON.stringify(old)).toBe(before);
    expect(file.kit.flightLog[0]?.outcome).toBe('incident');
    expect(file.kit.flightLog.slice(1)).toEqual(film.kit.flightLog.slice(1));
    expect(file.shots).toEqual(film.shots);
  });

  it('of version 2 keeps the seconds of every cut, whatever its frame rate', () => {
    const slow = film.shots.find((s) => s.modeId === '50')!;
    const doubled = {
      ...film,
      formatVersion: 2,
      shots: film.shots.map((s) => ({
        ...s,
        cut: { ...s.cut, segments: s.cut.segments.map((g) => ({ ...g, speedFactor: 1, endFactor: 2 })) },
      })),
    };
    const file = upgradeFile(doubled) as FilmFile;
    const cutOf = (id: string) => file.shots.find((s) => s.id === id)!.cut.segments[0];
    expect(cutOf(slow.id)).toMatchObject({ speedFactor: 0.5, endFactor: 1 });
    for (const { id } of film.shots.filter((s) => s.modeId === '25'))
      expect(cutOf(id)).toMatchObject({ speedFactor: 1, endFactor: 2 });
  });

  it('of the kit opens too, and what is no file of ours stays as it is', () => {
    const old = { format: 'dusk-slate-kit', formatVersion: 1, kit: version1(film)['kit'] };
    const kit = withDefaults(KitFileSchema, upgradeFile(old));
    expect(newValidator().compile(KitFileSchema)(kit)).toBe(true);
    for (const other of [null, 7, [], { formatVersion: 3, kit: {} }, film])
      expect(upgradeFile(other)).toBe(other);
    expect(upgradeFile({ formatVersion: 1, kit: 'none' })).toMatchObject({ kit: 'none' });
  });
});
