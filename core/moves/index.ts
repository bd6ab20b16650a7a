export { addsNothing, combined, NOTHING_ADDED, reversed } from './combine';
export { directionFlown } from './direction';
export { fitSeconds, type LayOut } from './fit';
export { type Trajectory, fly, type PathSample } from './trajectory';
export { dragHandlesOf, withDragHandle } from './drag-handles';
export { initialValues } from './parameters';
export { lookAt, type Pose, tiltTo } from './pose';
export { moveOf, MOVES } from './registry';
export { type Knob, knobsOf, LENGTH_KNOB, solveBy } from './solve';
export { timingOf } from './timing';
export type {
  CameraMove,
  Easing,
  MoveContext,
  MoveDirection,
  MoveParameter,
  MovePurpose,
  MoveShape,
  MoveSubject,
} from './types';
export { changeMoveKind } from './change-kind';
