import { recordRows, type FlightRecord } from '@core/flight-record';
import { RecordRowSchema, type RecordRow } from '@core/model';
import Papa from 'papaparse';

/** Fields of a line and the headings their columns have, in the order of the schema. */
const COLUMNS = Object.entries(RecordRowSchema.properties).map(
  ([key, about]) => [key as keyof RecordRow, String(about['column'])] as const,
);

/** A flight record as a table that other programs read; its form is published as the schema `flight-record`. */
export const recordCsv = (record: FlightRecord): string =>
  Papa.unparse({
    fields: COLUMNS.map(([, heading]) => heading),
    data: recordRows(record).map((row) => COLUMNS.map(([key]) => row[key])),
  });
