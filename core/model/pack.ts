import { firmware } from './aircraft';
import {
  above,
  between,
  flag,
  listOf,
  localDate,
  name,
  notes,
  nullable,
  oneOf,
  strict,
  uuid,
  whole,
  typicalFields,
  type Stored,
} from './schema';

/** What a pack looked and felt like when it was last in the hand. */
export const PACK_STATES = ['sound', 'hot', 'swollen', 'damaged'] as const;

export const PackSchema = strict({
  id: uuid(),
  name: name({ initial: 'Pack' }),
  aircraftIds: listOf(uuid(), 50, { title: 'Fits', column: 'fits', initial: [] }),
  ratedWh: above(0, 2000, {
    title: 'Rated energy',
    column: 'rated_Wh',
    unit: 'Wh',
    initial: 40,
    description: 'Printed on its label.',
  }),
  charge: between(0, 1, {
    title: 'Charge now',
    column: 'charge_percent',
    unit: 'share',
    initial: 1,
    description: 'As the controller or its lights show it.',
  }),
  health: above(0, 1, {
    title: 'Health',
    column: 'health_percent',
    unit: 'share',
    initial: 1,
    description: 'Share of the rated energy it still holds when full.',
  }),
  cycles: whole(0, 10_000, {
    title: 'Cycles',
    column: 'cycles',
    initial: 0,
    description: 'Shown by the controller.',
  }),
  chargedOn: nullable(localDate(), {
    title: 'Charged on',
    column: 'charged_on',
    default: null,
    description: 'Day it was last charged; empty where nobody knows.',
  }),
  drainDelayDays: between(0, 60, {
    title: 'Self-discharge after',
    unit: 'd',
    default: 3,
    description: 'Days a full pack holds before it drains itself for storage.',
  }),
  chargeMinutes: above(0, 1440, {
    title: 'Charging time',
    column: 'charge_minutes',
    unit: 'min',
    default: 70,
    description: 'From empty to full on its own charger.',
  }),
  mostCycles: whole(1, 10_000, {
    title: 'Use up to',
    column: 'trusted_cycles',
    unit: 'cycles',
    default: 200,
  }),
  condition: oneOf(PACK_STATES, { title: 'Condition', column: 'condition', default: 'sound' }),
  massG: between(0, 20_000, {
    title: 'Mass',
    column: 'mass_g',
    unit: 'g',
    default: 0,
    description: '0 where nobody weighed it.',
  }),
  ...firmware,
  notes: notes(),
  typical: typicalFields(),
  retired: flag({ title: 'Retired', initial: false }),
});

export type Pack = Stored<typeof PackSchema> & {
  /** Energy it really needs for a watt-hour others give, by logged flights; worked out, not stored. */
  readonly drawFactor?: number;
};
