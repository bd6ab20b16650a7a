import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { validateSemantics } from './semantic';
import { ENTITY_KINDS, isKit, LOCATION_KINDS } from './kinds';
import { REFERENCES } from './references';
import { numberIn } from '../testing';

const place = (more: object) =>
  validateSemantics('location', { zone: 'Europe/Madrid', date: '2027-05-14', ...more });
const feature = (shape: string, points: readonly (readonly [number, number])[], more: object = {}) =>
  validateSemantics('feature', { shape, points: points.map(([xM, yM]) => ({ xM, yM })), until: '', ...more });

describe('what a schema cannot say', () => {
  it.each(['Europe/Madrid', 'Asia/Kathmandu', 'America/St_Johns', 'UTC'])('%s is a zone', (zone) =>
    expect(place({ zone })).toEqual([]),
  );
  it.each(['Nowhere/Atlantis', '', 'Europe', 'Madrid time'])('“%s” is none, and the field is named', (zone) =>
    expect(place({ zone })[0]?.path).toBe('/zone'),
  );
  it.each([
    ['2027-02-29', false],
    ['2028-02-29', true],
    ['2027-04-31', false],
    ['2027-13-01', false],
    ['1999-12-31', true],
  ])('%s in the calendar: %s', (date, there) => expect(place({ date }).length === 0).toBe(there));
  it('a date an area is valid until is one of the calendar, or none', () => {
    const ring = [
      [0, 0],
      [9, 0],
      [9, 9],
    ] as const;
    expect(
      [
        feature('area', ring),
        feature('area', ring, { until: '2027-06-30' }),
        feature('area', ring, { until: '2027-06-31' }),
      ].map((f) => f[0]?.path),
    ).toEqual([undefined, undefined, '/until']);
  });
  it('shapes have as many places as they need', () => {
    expect(feature('point', [[1, 2]])).toEqual([]);
    expect(
      feature('point', [
        [1, 2],
        [3, 4],
      ])[0]?.say,
    ).toMatch(/one place/);
    expect(feature('line', [[1, 2]])[0]?.say).toMatch(/two places/);
    expect(
      feature('area', [
        [1, 2],
        [3, 4],
      ])[0]?.say,
    ).toMatch(/three corners/);
  });
  it('an outline going round its middle never crosses itself, and does with two neighbours changed about', () => {
    const corners = fc.tuple(
      fc.integer({ min: 5, max: 14 }),
      fc.array(numberIn(20, 60), { minLength: 14, maxLength: 14 }),
    );
    fc.assert(
      fc.property(corners, fc.nat(13), ([n, far], k) => {
        const ring = Array.from({ length: n }, (_, i): [number, number] => [
          (far[i] ?? 30) * Math.cos((i / n) * 2 * Math.PI),
          (far[i] ?? 30) * Math.sin((i / n) * 2 * Math.PI),
        ]);
        expect(feature('area', ring)).toEqual([]);
        // On a circle changing two neighbours about always crosses.
        const round = ring.map((_, i): [number, number] => [
          40 * Math.cos((i / n) * 2 * Math.PI),
          40 * Math.sin((i / n) * 2 * Math.PI),
        ]);
        const [a, b] = [k % n, (k + 1) % n];
        [round[a], round[b]] = [round[b] ?? [0, 0], round[a] ?? [0, 0]];
        expect(feature('area', round)[0]?.say).toMatch(/crosses itself/);
      }),
    );
  });
  it('other kinds have nothing beyond their schema', () => {
    for (const kind of ENTITY_KINDS)
      if (kind !== 'location' && kind !== 'feature') expect(validateSemantics(kind, {})).toEqual([]);
  });
});

it('what belongs to a place is everything that refers to one, and no kit', () => {
  const referring = REFERENCES.filter((r) => r.to === 'location')
    .map((r) => r.from)
    .sort();
  expect([...LOCATION_KINDS].sort()).toEqual(referring);
  expect(LOCATION_KINDS.some(isKit)).toBe(false);
});

describe('cameras and filters that contradict themselves', () => {
  it('an ISO range that runs backwards is named, of the camera and of a profile', async () => {
    const { demoFilm } = await import('../../demo');
    const craft = demoFilm().kit.aircraft[0]!;
    const [camera] = craft.cameras;
    const say = (change: object): string =>
      validateSemantics('aircraft', { ...craft, cameras: [{ ...camera, ...change }] })
        .map((f) => f.say)
        .join(' ');
    expect(say({})).toBe('');
    expect(say({ isoBase: 6400, isoCeiling: 100 })).toContain(`ISO range of ${camera!.name} runs backwards`);
    expect(say({ profiles: [{ school: 'flat', name: 'Flat', isoBase: 800, isoCeiling: 400 }] })).toContain(
      'Flat runs backwards',
    );
    expect(say({ sharpFromF: 8, sharpToF: 4 })).toContain('sharp f-numbers');
  });
  it('a variable filter is stronger at its strongest', async () => {
    const { demoFilm } = await import('../../demo');
    const vario = demoFilm().kit.filters.find((f) => f.kind === 'variable')!;
    expect(validateSemantics('filter', vario)).toEqual([]);
    expect(validateSemantics('filter', { ...vario, strongest: 2 })[0]?.path).toBe('/strongest');
    expect(validateSemantics('filter', { ...vario, kind: 'nd', strongest: 0 })).toEqual([]);
  });
});
