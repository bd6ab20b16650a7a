import { between, flag, listOf, name, notes, oneOf, strict, uuid, whole, type Stored } from './schema';

export const GEAR_ROLES = [
  'reader',
  'cable',
  'landing-pad',
  'propellers',
  'guards',
  'case',
  'tool',
  'other',
] as const;
export type GearRole = (typeof GEAR_ROLES)[number];

/** What else is carried: readers, cables, a landing pad, propellers, guards, cases. */
export const GearSchema = strict({
  id: uuid(),
  name: name({ initial: 'Spare propellers' }),
  role: oneOf(GEAR_ROLES, { title: 'Kind', initial: 'propellers' }),
  count: whole(0, 1000, { title: 'Count', initial: 4 }),
  massG: between(0, 50_000, { title: 'Mass of one', unit: 'g', initial: 0 }),
  fitted: flag({
    title: 'Flies along',
    initial: false,
    description: 'Fitted to the aircraft: guards, a strobe.',
  }),
  readMBs: between(0, 20_000, {
    title: 'Read speed',
    unit: 'MB/s',
    initial: 0,
    description: '0 for what reads nothing.',
  }),
  aircraftIds: listOf(uuid(), 50, { title: 'For', initial: [], description: 'None named stands for all.' }),
  notes: notes(),
  retired: flag({ title: 'Retired', initial: false }),
});
export type Gear = Stored<typeof GearSchema>;
