import { Record, String as Str } from '@sinclair/typebox';
import { HANDLING_NAMES } from './aircraft';
import {
  between,
  flag,
  instant,
  name,
  notes,
  nullable,
  nullableId,
  oneOf,
  shortText,
  strict,
  text,
  uuid,
  whole,
  type Stored,
} from './schema';

export const PilotSchema = strict({
  id: uuid(),
  name: name({ initial: 'Pilot' }),
  levels: Record(Str({ maxLength: 60 }), whole(0, 4), {
    title: 'Levels',
    initial: {},
    description: 'Practised level per kind of move, 0 never flown to 4 sure of it.',
  }),
  notes: notes(),
  retired: flag({ title: 'Retired', initial: false }),
});
export type Pilot = Stored<typeof PilotSchema>;

/** One practice of a move, or a flown shot counted as one. */
export const PracticeSchema = strict({
  id: uuid(),
  pilotId: uuid(),
  moveKind: text(60, { minLength: 1, title: 'Move' }),
  utcMs: instant({ title: 'Time' }),
  handling: oneOf(['simulator', ...HANDLING_NAMES], { title: 'Stick profile', initial: 'normal' }),
  tries: whole(1, 500, { title: 'Tries', initial: 1 }),
  keepers: whole(0, 500, { title: 'Keepers', initial: 0 }),
  shotId: nullableId({ title: 'Shot', description: 'The shot that was rehearsed, where it was one.' }),
  mark: nullable(between(0, 100), {
    title: 'Mark',
    initial: null,
    default: null,
    description: 'Best mark of a rehearsal, 0 to 100.',
  }),
  drillId: text(40, {
    title: 'Drill',
    initial: '',
    default: '',
    description: 'The drill that was flown in the cockpit, where it was one.',
  }),
  notes: shortText({ title: 'Notes', initial: '' }),
});
export type Practice = Stored<typeof PracticeSchema>;
