import { moveOf, initialValues } from '../moves';
import { coverageSet, type CoverageShot } from '../story';
import { bearingTo, vec } from '../geometry';
import { FilmDeriver, type DerivedFilm, type DerivedShot } from '../film';
import { aimOf } from '../shot';
import type { FilmInput, Shot } from '../model';

/** A proposed shot, with what it costs and whether it fits behind what is planned already. */
export interface Proposal {
  readonly shot: Shot;
  readonly like: CoverageShot;
  readonly derived: DerivedShot | null;
  readonly fits: boolean;
}

/**
 * A set of shots that covers a subject, in flying order behind what is on the list, each marked whether the packs left still
 * carry it.
 * @param template a new shot of the place; lens, mode and habits are taken from it
 * @param idFor ids for the proposed shots; the core makes none of its own
 */
export const proposeCoverage = (
  input: FilmInput,
  subjectId: string,
  template: Shot,
  idFor: (index: number) => string,
): Proposal[] => {
  const subject = input.subjects.find((s) => s.id === subjectId);
  if (!subject) return [];
  const before = new FilmDeriver();
  const trial = (shots: readonly Shot[]): DerivedFilm =>
    before.derive({ ...input, shots: [...input.shots, ...shots] });
  const probe = trial([{ ...template, id: idFor(-1), subjectId }]).shots.get(idFor(-1));
  const aim = aimOf(subject).aim;
  const set = coverageSet({
    heightM: subject.heightM,
    widthM: subject.widthM,
    verticalFovDeg: probe?.facts.fov.verticalDeg ?? 46,
    fromBearingDeg: Math.hypot(aim.x, aim.y) > 1 ? bearingTo(aim, vec(0, 0, 0)) : 180,
    moves: subject.speedMs > 0,
  });
  const shots = set.map((like, i): Shot => ({
    ...template,
    id: idFor(i),
    subjectId,
    title: `${subject.name}: ${like.title.toLowerCase()}`,
    role: like.role,
    priority: like.optional ? 'could' : 'should',
    // Keys behind every other: the list's own order, not its final keys.
    position: `zzzz${String(i).padStart(3, '0')}`,
    cut: {
      ...template.cut,
      by: 'seconds',
      segments: [{ timelineS: like.seconds, speedFactor: 1, endFactor: null }],
    },
    move: {
      ...template.move,
      kind: like.kind,
      values: { ...initialValues(moveOf(like.kind)?.parameters ?? []), ...like.values },
    },
  }));
  const whole = trial(shots);
  return shots.flatMap((shot, i) => {
    const like = set[i];
    const derived = whole.shots.get(shot.id) ?? null;
    return like
      ? [{ shot, like, derived, fits: derived?.unfit === null && derived.facts.trajectory !== null }]
      : [];
  });
};
