import { flyLayout, layoutOf, type ShotFacts } from '@core/shot';
import type { DerivedShot } from '@core/film';

const FINE = 96;
const known = new WeakMap<ShotFacts, number[][]>();

/** A shot's path as a smooth line, east and north in metres; worked out once for as long as the shot stays as it is. */
export const lineOf = ({ facts }: DerivedShot): number[][] => {
  const held = known.get(facts);
  if (held) return held;
  const fine = facts.trajectory ? flyLayout(layoutOf(facts), facts, facts.shot.move.values, FINE) : null;
  const line = (fine?.ok ? fine.value.samples : (facts.trajectory?.samples ?? [])).map((s) => [
    s.pose.at.x,
    s.pose.at.y,
  ]);
  known.set(facts, line);
  return line;
};
