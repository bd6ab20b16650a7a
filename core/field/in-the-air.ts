import type { EnergyCurve, EnergyStep } from '../day';

/** What the aircraft's display showed at a second of the flight. */
export interface ShownCharge {
  readonly atS: number;
  /** 0 to 1. */
  readonly share: number;
}

/** Battery of a flight that is in the air, by the plan. */
export interface AirState {
  readonly leftWh: number;
  readonly share: number;
  /** What the way home takes from where the plan has it now, Wh. */
  readonly homeWh: number;
  /**
   * Seconds until one has to turn back to land with the reserve; 0 when that is past. Longer out than planned, the pack is taken to
   * fall on as it does on the whole; null where it does not fall at all.
   */
  readonly turnBackInS: number | null;
  readonly phase: 'fly' | 'turn-back' | 'reserve';
}

const mix = (a: number, b: number, share: number): number =>
  Number.isFinite(a) && Number.isFinite(b) ? a + (b - a) * share : b;

/** A quantity of the curve at a second, straight between its steps; after the last it goes on as it fell on the whole. */
const at = (steps: readonly EnergyStep[], tS: number, of: (s: EnergyStep) => number): number => {
  const i = steps.findIndex((s) => s.tS >= tS);
  const [first, last] = [steps[0], steps.at(-1)];
  if (!first || !last) return NaN;
  if (i === 0) return of(first);
  if (i < 0) {
    const fallPerS = (of(first) - of(last)) / Math.max(1, last.tS - first.tS);
    return of(last) - Math.max(0, fallPerS) * (tS - last.tS);
  }
  const [a, b] = [steps[i - 1] ?? first, steps[i] ?? last];
  return mix(of(a), of(b), b.tS > a.tS ? (tS - a.tS) / (b.tS - a.tS) : 1);
};

/** Steps before the planned way home: after them the aircraft is expected where the last take ends. */
const abroad = (steps: readonly EnergyStep[]): readonly EnergyStep[] => {
  const out = steps.filter((s) => s.phase !== 'home');
  return out.length > 0 ? out : steps;
};

/** Far enough past the plan to see how the pack falls on, s. */
const BEYOND_S = 60;

/**
 * The second at which nothing is left to spare, later than one at which there is: straight between the steps of the curve, and
 * on past its end as it falls there.
 */
const turnAt = (
  steps: readonly EnergyStep[],
  fromS: number,
  spare: (tS: number) => number,
): number | null => {
  const endS = Math.max(fromS, steps.at(-1)?.tS ?? 0);
  let a = fromS;
  for (const b of [...steps.map((s) => s.tS).filter((tS) => tS > fromS), endS, endS + BEYOND_S]) {
    const [had, has] = [spare(a), spare(b)];
    const crossing = a + ((b - a) * had) / (had - has);
    if (has < 0) return Number.isFinite(crossing) ? crossing : a;
    if (b > endS) return had > has ? crossing : null;
    a = b;
  }
  return null;
};

/**
 * Charge, way home and time to turn back at a second of a flight, as planned; shifted by what the display showed where somebody
 * entered it. The display of the aircraft itself counts.
 * @param fullWh energy of the full pack, which 100 % stands for
 */
export const inTheAir = (
  curve: EnergyCurve,
  fullWh: number,
  elapsedS: number,
  shown: ShownCharge | null,
): AirState => {
  const { steps, reserveWh } = curve;
  const left = (tS: number): number => at(steps, tS, (s) => s.leftWh);
  const home = (tS: number): number => {
    const out = abroad(steps);
    return at(out, Math.min(tS, out.at(-1)?.tS ?? 0), (s) => s.homeWh);
  };
  const offWh = shown ? shown.share * fullWh - left(shown.atS) : 0;
  const leftWh = left(elapsedS) + offWh;
  const spare = (tS: number): number => left(tS) + offWh - home(tS) - reserveWh;
  const turnS = spare(elapsedS) < 0 ? elapsedS : turnAt(steps, elapsedS, spare);
  return {
    leftWh: Math.max(0, leftWh),
    share: Math.max(0, Math.min(1, leftWh / Math.max(1e-9, fullWh))),
    homeWh: home(elapsedS),
    turnBackInS: turnS === null ? null : Math.max(0, turnS - elapsedS),
    phase: leftWh < reserveWh ? 'reserve' : spare(elapsedS) < 0 ? 'turn-back' : 'fly',
  };
};
