import { GRAVITY, SEA_LEVEL_DENSITY } from '../air';
import { degrees, radians } from '../geometry';
import { measured, message, yesNo, type Message } from '../messages';
import type { AirframeFigures } from '../model';
import { dragFit, POWER, usualDragArea } from './power';

/** A figure of an aircraft that cannot be, with the limit it breaks. */
export interface AirframeFault {
  readonly field: 'hoverMinutes' | 'maxSpeedMs';
  readonly say: Message;
}

/**
 * Power no rotor hovers with less of, W: m g v_i, v_i = √(m g / (2 ρ A)) (momentum theory, an ideal rotor without losses).
 */
export const idealHoverW = ({ massKg, rotors, rotorDiameterM }: AirframeFigures): number => {
  const weight = massKg * GRAVITY;
  const area = (rotors * Math.PI * rotorDiameterM * rotorDiameterM) / 4;
  return weight * Math.sqrt(weight / (2 * SEA_LEVEL_DENSITY * area));
};

/** Lean of a craft in level flight at a speed, deg: atan(drag / weight). */
export const leanAt = (craft: AirframeFigures, speedMs: number): number => {
  const hoverW = craft.packWh / (craft.hoverMinutes / 60);
  const drag = POWER.climbEfficiency * dragFit(craft).k * hoverW * speedMs * speedMs;
  return degrees(Math.atan2(drag, craft.massKg * GRAVITY));
};

/** More lean than this no camera aircraft holds level. Own estimate. */
const MOST_LEAN_DEG = 60;

/** Top speed at that lean, m/s. */
const speedAtLean = (craft: AirframeFigures): number =>
  Math.sqrt(Math.tan(radians(MOST_LEAN_DEG)) / Math.tan(radians(leanAt(craft, 1))));

/** Figures of an aircraft that physics does not allow: a hover on less than an ideal rotor takes, a speed no lean gives. */
export const airframeFaults = (craft: AirframeFigures): AirframeFault[] => {
  const faults: AirframeFault[] = [];
  const mostMinutes = (craft.packWh / idealHoverW(craft)) * 60;
  if (craft.hoverMinutes > mostMinutes)
    faults.push({
      field: 'hoverMinutes',
      say: message('airframe.hover', { most: measured(mostMinutes, 'minutes', 0) }),
    });
  if (leanAt(craft, craft.maxSpeedMs) > MOST_LEAN_DEG)
    faults.push({
      field: 'maxSpeedMs',
      say: message('airframe.speed', {
        lean: measured(leanAt(craft, craft.maxSpeedMs), 'degrees', 0),
        most: measured(speedAtLean(craft), 'speed', 0),
      }),
    });
  return faults;
};

/** A drag this many times the usual for its mass, or this small a part of it, is worth a second look. Own estimate. */
const FAR_OFF = 2;

/** What to say of a drag that is far from the usual for the aircraft's mass; null where there is nothing to say. */
export const dragNote = (craft: AirframeFigures): Message | null => {
  const { areaM2, lowM2, highM2 } = dragFit(craft);
  const usualM2 = usualDragArea(craft.massKg);
  const times = areaM2 / usualM2;
  if (areaM2 === 0 || (times < FAR_OFF && times > 1 / FAR_OFF)) return null;
  return message('airframe.drag', {
    area: measured(areaM2, 'area', 3),
    low: measured(lowM2, 'area', 3),
    high: measured(highM2, 'area', 3),
    usual: measured(usualM2, 'area', 3),
    isMore: yesNo(times > 1),
    times: measured(times > 1 ? times : 1 / times, 'factor', 1),
  });
};
