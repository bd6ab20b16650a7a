import type { Aircraft, Filter, Pack, Gear } from '../model';

export interface TakeOffMass {
  readonly aircraftG: number;
  /** What another pack adds to, or takes from, the one the aircraft's mass is stated with. */
  readonly packG: number;
  readonly filterG: number;
  readonly fittedG: number;
  readonly totalG: number;
  /** A pack or the usual pack was never weighed: the mass stands as stated. */
  readonly unweighed: boolean;
}

/** Mass of an aircraft as it takes off: as stated, with the pack it has, a filter, and what is fitted to it. g */
export const takeOffMass = (
  aircraft: Pick<Aircraft, 'id' | 'massKg' | 'usualPackG'>,
  pack: Pick<Pack, 'massG'> | null,
  filter: Pick<Filter, 'massG'> | null,
  gear: readonly Gear[],
): TakeOffMass => {
  const aircraftG = aircraft.massKg * 1000;
  const weighed = pack !== null && pack.massG > 0 && aircraft.usualPackG > 0;
  const packG = weighed ? pack.massG - aircraft.usualPackG : 0;
  const filterG = filter?.massG ?? 0;
  const fittedG = gear
    .filter(
      (g) => g.fitted && !g.retired && (g.aircraftIds.length === 0 || g.aircraftIds.includes(aircraft.id)),
    )
    .reduce((sum, g) => sum + g.massG * g.count, 0);
  return {
    aircraftG,
    packG,
    filterG,
    fittedG,
    totalG: aircraftG + packG + filterG + fittedG,
    unweighed: pack !== null && !weighed,
  };
};

/** Heaviest line that is kept below, and the lightest that is not; null past the ends. kg in, g out. */
export const weightClass = (
  totalG: number,
  linesKg: readonly number[],
): { readonly underG: number | null; readonly overG: number | null } => {
  const lines = linesKg.map((kg) => kg * 1000).sort((a, b) => a - b);
  return {
    underG: lines.find((g) => totalG <= g + 1e-6) ?? null,
    overG: [...lines].reverse().find((g) => totalG > g + 1e-6) ?? null,
  };
};
