import { firmware } from './aircraft';
import { above, between, flag, listOf, name, notes, oneOf, strict, uuid, whole, type Stored } from './schema';

export const CHARGE_SOURCES = ['wall', 'vehicle', 'bank'] as const;
export const CHARGE_MANNERS = ['in-turn', 'side-by-side'] as const;
export const DEVICE_ROLES = ['controller', 'phone', 'goggles', 'other'] as const;

export const ChargerSchema = strict({
  id: uuid(),
  name: name({ initial: 'Charger' }),
  source: oneOf(CHARGE_SOURCES, { title: 'Source', initial: 'wall' }),
  sourceWh: between(0, 100_000, {
    title: 'Source energy',
    unit: 'Wh',
    initial: 0,
    description: 'What the source can give in all; 0 where it does not run dry.',
  }),
  slots: whole(1, 24, { title: 'Slots', initial: 3 }),
  manner: oneOf(CHARGE_MANNERS, {
    title: 'Charges',
    initial: 'in-turn',
    description: 'Packs one after another, or side by side.',
  }),
  slotW: above(0, 5000, {
    title: 'Power per slot',
    unit: 'W',
    initial: 60,
    description: 'Into the battery.',
  }),
  totalW: between(0, 20_000, {
    title: 'Total power',
    unit: 'W',
    default: 0,
    description: 'Into all batteries together; 0 where each slot has its own.',
  }),
  efficiency: between(0.3, 1, {
    title: 'Efficiency',
    unit: 'share',
    default: 0.85,
    description: 'Share of what is drawn from the source that arrives in the battery.',
  }),
  aircraftIds: listOf(uuid(), 50, {
    title: 'Charges packs of',
    initial: [],
    description: 'None named stands for all.',
  }),
  massG: between(0, 20_000, { title: 'Mass', unit: 'g', default: 0 }),
  notes: notes(),
  retired: flag({ title: 'Retired', initial: false }),
});
export type Charger = Stored<typeof ChargerSchema>;

/** What has to be charged besides packs. */
export const DeviceSchema = strict({
  id: uuid(),
  name: name({ initial: 'Device' }),
  role: oneOf(DEVICE_ROLES, { title: 'Kind', initial: 'controller' }),
  charge: between(0, 1, { title: 'Charge now', unit: 'share', initial: 1 }),
  hours: above(0, 100, {
    title: 'Lasts',
    unit: 'h',
    initial: 4,
    description: 'Hours a full charge lasts in use.',
  }),
  chargeMinutes: above(0, 1440, { title: 'Charging time', unit: 'min', initial: 100 }),
  massG: between(0, 20_000, { title: 'Mass', unit: 'g', default: 0 }),
  ...firmware,
  notes: notes(),
  retired: flag({ title: 'Retired', initial: false }),
});
export type Device = Stored<typeof DeviceSchema>;
