import { GO_LINE } from './views';

/** A key and what it does, for the sheet and for tooltips. */
export interface KeyLine {
  readonly keys: string;
  readonly does: string;
}

export const KEY_LINES: readonly { readonly group: string; readonly lines: readonly KeyLine[] }[] = [
  {
    group: 'Shots',
    lines: [
      { keys: 'N', does: 'new shot after the picked one' },
      { keys: 'J / K', does: 'next, previous shot' },
      { keys: '↓ / ↑', does: 'next, previous shot' },
      { keys: 'Alt ↑ / Alt ↓', does: 'move the shot up, down' },
      { keys: 'C', does: 'copy the shot' },
      { keys: 'M', does: 'choose a move from pictures' },
      { keys: 'V', does: 'read the list for variety' },
      { keys: 'O', does: 'cover a subject with a set' },
      { keys: 'F', does: 'which shots, and what rows tell' },
      { keys: 'X', does: 'choose for doing something with several (or Ctrl click, Shift click)' },
      { keys: 'P', does: 'see the move, and back to its numbers' },
      { keys: 'Space , .', does: 'play, quarter seconds back and on, while seeing it' },
      { keys: 'Del', does: 'delete the shot' },
      { keys: '1 2 3', does: 'move, cut and takes, exposure' },
    ],
  },
  {
    group: 'Plan',
    lines: [
      { keys: 'S / L / W / E / H', does: 'draw a subject, a launch point, a wood, a wire, a house' },
      { keys: 'Y', does: 'ground and layers' },
      { keys: 'M', does: 'measure a way' },
      { keys: 'Enter / Esc', does: 'end, drop what is being drawn' },
      { keys: 'Del', does: 'delete what is picked' },
      { keys: 'J / K', does: 'next, previous shot' },
      { keys: '0', does: 'whole location in view' },
      { keys: ', .', does: 'back and on along the move' },
    ],
  },
  {
    group: 'Flights',
    lines: [
      { keys: '→ ←', does: 'next, previous shot of a flight' },
      { keys: '↓ ↑', does: 'next, previous flight' },
      { keys: 'Alt → / Alt ←', does: 'move the shot along its flight' },
      { keys: 'Alt ↓ / Alt ↑', does: 'move the shot to the next, previous flight' },
      { keys: 'N / Del', does: 'a flight of its own for the shot, back to the list' },
      { keys: 'X', does: 'pin the shot to its flight, or let it go' },
      { keys: 'L', does: 'lock the flight, or unlock it' },
      { keys: '+ / −', does: 'fly it earlier, later' },
      { keys: 'R', does: 'plan the day' },
      { keys: 'Enter', does: 'apply the plan' },
      { keys: 'Esc', does: 'stop, or discard the plan' },
      { keys: '1 to 4', does: 'apply a cure of the shot that does not fit' },
    ],
  },
  {
    group: 'Checks',
    lines: [
      { keys: '↓ ↑', does: 'next, previous line of a sheet' },
      { keys: 'P / F', does: 'pass, fail' },
      { keys: 'W', does: 'waive it, with a reason' },
      { keys: 'O', does: 'open again' },
    ],
  },
  {
    group: 'Field',
    lines: [
      { keys: '→ ←', does: 'next, previous shot in the order of flying' },
      { keys: 'R', does: 'it is recording' },
      { keys: '1 2 3', does: 'take good, maybe, no good' },
    ],
  },
  {
    group: 'Anywhere',
    lines: [
      { keys: 'Ctrl Z', does: 'take back' },
      { keys: 'Ctrl Shift Z', does: 'do again' },
      { keys: '[ / ]', does: 'previous, next location' },
      GO_LINE,
      { keys: 'Q', does: 'calculators: light, aperture, shutter, ISO, filter' },
      { keys: 'T', does: 'theme: theme: dusk or noon' },
      { keys: '?', does: 'this sheet' },
      { keys: 'Esc', does: 'leave a field, close a sheet' },
    ],
  },
];
