import { describe, expect, it } from 'vitest';
import { readHours } from './weather';

const hours = (text: string) => {
  const read = readHours(text);
  if (!read.ok) throw new Error(read.reason);
  return read.value;
};
const refused = (text: string): string => {
  const read = readHours(text);
  return read.ok ? '' : read.reason;
};

describe('weather out of a file', () => {
  it('reads a table as spreadsheets save it: other headings, semicolons, decimal commas, percent, a mark at the start', () => {
    const read = hours(
      '\uFEFFTime;Wind;Gusts;From;Temp;Sky;Sure\n7:00;3,5;6;250;9;overcast;80 %\n8;4;7,25;;;;\n\n',
    );
    expect(read).toEqual([
      {
        at: '07:00',
        windMs: 3.5,
        gustMs: 6,
        windFromDeg: 250,
        temperatureC: 9,
        sky: 'overcast',
        visibilityM: 10_000,
        sure: 0.8,
      },
      expect.objectContaining({ at: '08:00', gustMs: 7.25, windFromDeg: 270, temperatureC: 15 }),
    ]);
  });
  it('reads JSON, a list or hours inside an object, with whole instants', () => {
    const row = { at: '2027-05-14T09:00:00', windMs: 2, gustMs: 3 };
    expect(hours(JSON.stringify([row]))[0]).toMatchObject({ at: '09:00', windMs: 2 });
    expect(hours(JSON.stringify({ hours: [row, row] }))).toHaveLength(2);
  });
  it('names the row and what is wrong with it', () => {
    expect(refused('time,wind,gust\n07:00,3,6\nsoon,3,6')).toContain('Row 2');
    expect(refused('time,wind,gust\n07:00,calm,6')).toContain('windMs is not a number');
    expect(refused('time,wind\n07:00,3')).toContain('gustMs');
    expect(refused('time,wind,gust,sky\n07:00,3,5,pink')).toContain('the sky is one of');
    expect(refused('{"hours":')).toContain('neither');
    expect(refused('')).toContain('no row');
  });
});
