import {
  above,
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
  uuid,
  whole,
  typicalFields,
  type Stored,
} from './schema';

export const CARD_SPOTS = ['bag', 'aircraft', 'case', 'reader', 'computer'] as const;
export type CardSpot = (typeof CARD_SPOTS)[number];
export const CARD_ACTS = ['put', 'record', 'copy', 'format', 'correct'] as const;
export type CardAct = (typeof CARD_ACTS)[number];

export const CardSchema = strict({
  id: uuid(),
  name: name({ initial: 'Card' }),
  nominalGB: above(0, 100_000, {
    title: 'Size',
    column: 'size_GB',
    unit: 'GB',
    initial: 128,
    description: 'Printed on its label.',
  }),
  usedGB: between(0, 100_000, { title: 'Space used', column: 'on_it_GB', unit: 'GB', initial: 0 }),
  writeMBs: above(0, 10_000, {
    title: 'Write speed',
    column: 'write_MBs',
    unit: 'MB/s',
    initial: 30,
    description: 'Rated minimum sustained write.',
  }),
  notes: notes(),
  typical: typicalFields(),
  retired: flag({ title: 'Retired', initial: false }),
});

export type Card = Stored<typeof CardSchema> & {
  /** What its record says was on it, where `usedGB` is what is on it now; worked out, not stored. */
  readonly recordedGB?: number;
};

/** Something that happened to a card. A correction is another entry. */
export const CardMoveSchema = strict({
  id: uuid(),
  cardId: uuid(),
  utcMs: instant({ title: 'Time' }),
  act: oneOf(CARD_ACTS, { title: 'What happened' }),
  spot: nullable(oneOf(CARD_SPOTS), { title: 'Where it is', initial: null }),
  aircraftId: nullableId({ title: 'Aircraft' }),
  gb: between(0, 100_000, { title: 'Footage', unit: 'GB', initial: 0 }),
  copiesWanted: whole(0, 9, { title: 'Copies wanted', initial: 2 }),
  waiver: shortText({ title: 'Reason', initial: '', description: 'Why it was formatted with fewer copies.' }),
});
export type CardMove = Stored<typeof CardMoveSchema>;
