import {
  between,
  flag,
  listOf,
  name,
  notes,
  oneOf,
  strict,
  uuid,
  typicalFields,
  type Stored,
} from './schema';

export const FILTER_KINDS = ['nd', 'variable', 'polariser'] as const;

export const FilterSchema = strict({
  id: uuid(),
  name: name({ initial: 'ND 16' }),
  kind: oneOf(FILTER_KINDS, { title: 'Kind', default: 'nd' }),
  factor: between(1, 1_000_000, {
    title: 'Filter factor',
    initial: 16,
    description: 'Light is divided by it: ND16 is 16, four stops. A variable one at its weakest.',
  }),
  strongest: between(0, 1_000_000, {
    title: 'Strongest factor',
    default: 0,
    description: 'A variable one at its strongest; 0 for the others.',
  }),
  massG: between(0, 1000, { title: 'Mass', unit: 'g', default: 0 }),
  aircraftIds: listOf(uuid(), 50, { title: 'Fits', initial: [] }),
  notes: notes(),
  typical: typicalFields(),
  retired: flag({ title: 'Retired', initial: false }),
});

export type Filter = Stored<typeof FilterSchema>;

/** Whether a filter goes on an aircraft; one that names none goes on all. */
export const filterFits = (filter: Filter, aircraftId: string | null): boolean =>
  filter.aircraftIds.length === 0 || (aircraftId !== null && filter.aircraftIds.includes(aircraftId));

/** Factors a filter can be set to: its own, or each whole stop of a variable one and its strongest. */
export const marksOf = (filter: Filter): number[] => {
  if (filter.kind !== 'variable' || !(filter.strongest > filter.factor)) return [filter.factor];
  const [from, to] = [Math.log2(filter.factor), Math.log2(filter.strongest)];
  const stops = Array.from({ length: Math.max(0, Math.ceil(to - from)) }, (_, i) => filter.factor * 2 ** i);
  return [...stops.filter((f) => f < filter.strongest - 1e-6), filter.strongest];
};
