import { STORY_ROLES } from './shot';
import {
  above,
  flag,
  longText,
  notes,
  oneOf,
  position,
  shortText,
  strict,
  text,
  uuid,
  type Stored,
} from './schema';

/** Something the cut needs that is filmed from the ground: it has seconds and a place in the cut, and costs no battery pack. */
export const GroundShotSchema = strict({
  id: uuid(),
  locationId: uuid(),
  position: position(),
  title: longText({ title: 'Title', initial: '' }),
  role: oneOf(STORY_ROLES, { title: 'Role in the story', initial: 'detail' }),
  timelineS: above(0, 3600, { title: 'Seconds in the cut', unit: 's', initial: 4 }),
  filmedBy: shortText({ title: 'Filmed by', initial: '', description: 'Who films it, with what.' }),
  done: flag({ title: 'Done', initial: false }),
  cutPosition: text(200, {
    pattern: '^[0-9A-Za-z]*$',
    title: 'Order in the cut',
    initial: '',
    description: 'Where it differs from the list; empty follows it.',
  }),
  notes: notes(),
});
export type GroundShot = Stored<typeof GroundShotSchema>;
