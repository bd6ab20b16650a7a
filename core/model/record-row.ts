import { between, nullable, strict, text, type Stored } from './schema';

/** A moment of a flight in a table that another program can read: one line each, headings by `column`. */
export const RecordRowSchema = strict(
  {
    time: text(32, {
      title: 'Time',
      description: 'ISO 8601 with its zone; written in UTC.',
      column: 'time',
    }),
    latitude: between(-90, 90, { title: 'Latitude', unit: 'deg', column: 'latitude' }),
    longitude: between(-180, 180, { title: 'Longitude', unit: 'deg', column: 'longitude' }),
    heightM: nullable(between(-500, 10_000), {
      title: 'Height',
      description: 'Above the place of take-off; empty where it is not known.',
      unit: 'm',
      column: 'height_m',
    }),
    chargePercent: nullable(between(0, 100), {
      title: 'Charge',
      description: 'As the controller shows it; empty where it is not known.',
      unit: '%',
      column: 'charge_percent',
    }),
  },
  { title: 'Flight record', description: 'A line of a flight record as a table.' },
);

export type RecordRow = Stored<typeof RecordRowSchema>;
