import { measured, message, type Message } from '../messages';
import { found, none, type Result } from '../units';
import { exposureError, settingEv, type Setting } from './equation';
import { SHUTTERS } from './series';

/** Five numbers of which any four give the fifth. */
export interface Exposure extends Setting {
  readonly ev100: number;
}
export type Knob = keyof Exposure;

/**
 * The fifth of light, aperture, shutter, ISO and filter from the other four: N²/t = 2^(EV + log2(ISO/100) − ND).
 * @returns no answer for numbers that are not above zero, or where a filter would have to brighten
 */
export const solveKnob = (known: Exposure, wanted: Knob): Result<number, Message> => {
  const { aperture, shutterS, iso, ndStops, ev100 } = known;
  // What is asked for may be anything yet.
  const given = (numbers: Record<string, number>): number[] =>
    Object.entries(numbers).flatMap(([knob, value]) => (knob === wanted ? [] : [value]));
  const positive = given({ aperture, shutterS, iso }).every((v) => v > 0);
  if (!positive || !given({ ev100, ndStops }).every(Number.isFinite))
    return none(message('exposure.quick.above-zero'));
  if (wanted === 'ev100') return found(settingEv(known));
  // Stops by which what is set lets in less than the scene asks for, all but the wanted one taken into account.
  if (wanted === 'ndStops') {
    const stops = exposureError(ev100, { ...known, ndStops: 0 });
    return stops >= -1e-9
      ? found(Math.max(0, stops))
      : none(message('exposure.quick.too-dark', { stops: measured(-stops, 'stops', 1) }));
  }
  const off = exposureError(ev100, { ...known, [wanted]: 1 });
  if (wanted === 'aperture') return found(2 ** (off / 2));
  return found(2 ** -off);
};

/** Combinations of aperture, shutter and ISO that expose as one does, from the longest shutter to the shortest; same filter. */
export const equivalents = (
  s: Setting,
  apertures: readonly number[],
  isos: readonly number[],
  longestS: number,
): Setting[] => {
  const ev = settingEv(s);
  const third = 1 / 6 + 1e-9;
  return SHUTTERS.filter((t) => t <= longestS * 1.0001).flatMap((shutterS) =>
    apertures.flatMap((aperture) =>
      isos.flatMap((iso) => {
        const like = { aperture, shutterS, iso, ndStops: s.ndStops };
        return Math.abs(settingEv(like) - ev) <= third ? [like] : [];
      }),
    ),
  );
};

/** Shutter of an angle at a frame rate, s: angle/(360·fps). */
export const shutterOfAngle = (angleDeg: number, fps: number): number => angleDeg / (360 * fps);

/** What filters screwed on top of each other take: stops add, factors and transmissions multiply, densities add. */
export const stackOf = (
  factors: readonly number[],
): Result<{ readonly stops: number; readonly factor: number; readonly density: number }, Message> => {
  if (factors.some((f) => !(f >= 1))) return none(message('exposure.quick.factor'));
  const factor = factors.reduce((product, f) => product * f, 1);
  return found({ factor, stops: Math.log2(factor), density: Math.log10(factor) });
};
