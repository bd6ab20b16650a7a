import { measured, message, type Message } from '../messages';
import { lengthForSeconds, speedForSeconds } from '../footage';
import type { CutStyle, MoveValues } from '../model';
import { found, none, type Result } from '../units';
import type { CameraMove, Easing, MoveShape } from './types';

/** Lays the move out for some numbers, everything else as it is. */
export type LayOut = (values: MoveValues) => Result<MoveShape, Message>;

/** Which of a move's numbers gives way so that it lasts the wanted seconds. */
export type FitBy = 'speed' | 'length';

const within = (move: CameraMove, id: string, value: number): Result<number, Message> => {
  const parameter = move.parameters.find((p) => p.id === id);
  if (!parameter) return none(message('path.move-has-no-such'));
  if (value < parameter.min || value > parameter.max)
    return none(
      message('path.outside', {
        number: parameter.label,
        value: measured(value, parameter.quantity),
        least: measured(parameter.min, parameter.quantity),
        most: measured(parameter.max, parameter.quantity),
      }),
    );
  return found(value);
};

const fitSpeed = (
  move: CameraMove,
  values: MoveValues,
  lay: LayOut,
  easing: Easing,
  cut: CutStyle,
  wantedS: number,
): Result<MoveValues, Message> => {
  const shape = lay(values);
  if (!shape.ok) return shape;
  const { extent } = shape.value;
  if (extent.by !== 'path' && extent.by !== 'turn') return none(message('path.how-long-lasts-set'));
  const turning = extent.by === 'turn';
  const speed = speedForSeconds(
    wantedS,
    turning ? extent.turnDeg : extent.lengthM,
    turning ? easing.turnAccelDegS2 : easing.accelMs2,
    cut,
  );
  if (!speed.ok) return speed;
  const id = turning ? 'rateDegS' : 'speedMs';
  const allowed = within(move, id, speed.value);
  return allowed.ok ? found({ ...values, [id]: allowed.value }) : allowed;
};

const fitLength = (
  move: CameraMove,
  values: MoveValues,
  lay: LayOut,
  easing: Easing,
  cut: CutStyle,
  wantedS: number,
): Result<MoveValues, Message> => {
  const shape = lay(values);
  if (!shape.ok) return shape;
  const { extent } = shape.value;
  if (extent.by === 'turn') {
    if (!move.parameters.some((p) => p.id === 'turnDeg')) return none(message('path.turn-long-change-its'));
    const turn = lengthForSeconds(wantedS, extent.rateDegS, easing.turnAccelDegS2, cut);
    const allowed = turn.ok ? within(move, 'turnDeg', turn.value) : turn;
    return allowed.ok ? found({ ...values, turnDeg: allowed.value }) : allowed;
  }
  if (extent.by !== 'path' || !move.withLength) return none(message('path.move-has-no-length'));
  const length = lengthForSeconds(wantedS, extent.speedMs, easing.accelMs2, cut);
  if (!length.ok) return length;
  const longer = move.withLength(values, length.value);
  for (const parameter of move.parameters) {
    const allowed = within(move, parameter.id, longer[parameter.id] ?? parameter.initial);
    if (!allowed.ok) return allowed;
  }
  const check = lay(longer);
  if (!check.ok) return check;
  if (check.value.extent.by === 'path' && Math.abs(check.value.extent.lengthM - length.value) > 0.5) {
    return none(message('path.length-does-not-fit', { length: measured(length.value, 'metres', 0) }));
  }
  return found(longer);
};

/**
 * Values of a move changed in speed or in length so that its usable part lasts the wanted seconds.
 * @returns new values, or why there are none
 */
export const fitSeconds = (
  by: FitBy,
  move: CameraMove,
  values: MoveValues,
  lay: LayOut,
  easing: Easing,
  cut: CutStyle,
  wantedS: number,
): Result<MoveValues, Message> =>
  (by === 'speed' ? fitSpeed : fitLength)(move, values, lay, easing, cut, wantedS);
