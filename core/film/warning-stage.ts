import type { UnfitReason } from '../budget';
import type { LocationPlan } from '../day';
import type { WindTooStrong } from '../energy';
import type { Kit } from '../model';
import { pilotSkillOf, type ShotFacts } from '../shot';
import { KeyedMemo } from '../units';
import { type ShotContext, shotWarnings, type Warning } from '../warnings';
import type { DerivedShot } from './derived';

interface SkillInputs {
  readonly facts: ShotFacts;
  readonly pilots: Kit['pilots'];
  readonly practice: Kit['practice'];
}
type ShotInputs = Omit<DerivedShot, 'unfit'> & {
  readonly unfitReason: UnfitReason | null;
  readonly shortWh: number;
  readonly unfitWind: WindTooStrong | null;
};

const derivedShot = (parts: ShotInputs): DerivedShot => {
  // Field by field: this runs for every shot, and taking three fields out of the rest costs more than all that is put in.
  const {
    number,
    facts,
    light,
    filter,
    flightIndex,
    done,
    hands,
    warnings,
    unfitReason,
    shortWh,
    unfitWind,
  } = parts;
  const wind = unfitWind ? { wind: unfitWind } : {};
  const unfit =
    unfitReason === null ? null : { shotId: facts.shot.id, reason: unfitReason, shortWh, ...wind };
  return { number, facts, light, filter, flightIndex, done, hands, warnings, unfit };
};

/** A shot with who can fly it, whether it fits, and what is wrong with it. The same object as long as nothing of it changes. */
export class WarningStage {
  private readonly warned = new KeyedMemo<ShotContext, readonly Warning[]>(shotWarnings);
  private readonly skills = new KeyedMemo(({ facts, pilots, practice }: SkillInputs) =>
    pilotSkillOf(facts, { pilots, practice }),
  );
  private readonly shots = new KeyedMemo(derivedShot);

  keep(shots: ReadonlySet<string>): void {
    for (const memo of [this.skills, this.warned, this.shots]) memo.keep(shots);
  }

  /** @param place where it is flown, with the flights and light of its day */
  of(kit: Kit, parts: Omit<DerivedShot, 'hands' | 'warnings'>, place: LocationPlan): DerivedShot {
    const { number, facts, light, filter, unfit, flightIndex, done } = parts;
    const { id } = facts.shot;
    const shortWh = unfit?.shortWh ?? 0;
    const unfitReason = unfit?.reason ?? null;
    const unfitWind = unfit?.wind ?? null;
    const hands = this.skills.get(id, { facts, pilots: kit.pilots, practice: kit.practice });
    const { windowToMs, light: dayLight } = place;
    const context = { facts, dayLight, windowToMs, light, filter, unfitReason, shortWh, unfitWind, hands };
    const warnings = this.warned.get(id, context);
    return this.shots.get(id, {
      number,
      facts,
      light,
      filter,
      unfitReason,
      shortWh,
      unfitWind,
      flightIndex,
      done,
      hands,
      warnings,
    });
  }
}
