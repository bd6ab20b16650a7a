import { newValidator } from './validator';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { initialValues, MOVES } from '../core/moves';
import { ENTITY_KINDS, isKit, newRow, REFERENCES, withDefaults, type EntityKind } from '../core/model';
import { ENTITIES, FilmFileSchema, openApi, sayFaults, type FilmFile } from '.';

const ajv = newValidator();
const checks = Object.fromEntries(ENTITY_KINDS.map((k) => [k, ajv.compile(ENTITIES[k])])) as Record<
  EntityKind,
  ReturnType<typeof ajv.compile>
>;
/** Made once: its grounds take a while. Nothing here writes to it. */
const made = import('../demo').then((demo) => demo.demoFilm());
const load = (): Promise<FilmFile> => made;
beforeAll(async () => {
  await made;
}, 30_000);
const rows = async (): Promise<[EntityKind, Record<string, unknown>][]> => {
  const f = await load();
  const of = (kind: EntityKind, list: readonly object[]): [EntityKind, Record<string, unknown>][] =>
    list.map((v) => [kind, v as Record<string, unknown>]);
  return [
    ...of('film', [f.film]),
    ...of('location', f.locations),
    ...of('subject', f.subjects),
    ...of('shot', f.shots),
    ...of('feature', f.features),
    ...of('ground', f.grounds),
    ...of('aircraft', f.kit.aircraft),
    ...of('pack', f.kit.packs),
    ...of('card', f.kit.cards),
    ...of('filter', f.kit.filters),
    ...of('pilot', f.kit.pilots),
    ...of('practice', f.kit.practice),
    ...of('charger', f.kit.chargers),
    ...of('device', f.kit.devices),
    ...of('flightLogEntry', f.kit.flightLog),
    ...of('gear', f.kit.gear),
    ...of('cardMove', f.kit.cardMoves),
    ...of('check', f.kit.checks),
    ...of('answer', f.answers),
    ...of('take', [
      newRow('take', {
        id: f.film.id,
        locationId: f.locations[0]!.id,
        shotId: f.shots[0]!.id,
        utcMs: 1_800_000_000_000,
        rating: 'no-good',
        reason: 'drifted',
      }),
    ]),
    ...of('groundShot', f.groundShots),
    ...of('voiceNote', [
      newRow('voiceNote', {
        id: f.film.id,
        locationId: f.locations[0]!.id,
        takeId: f.shots[0]!.id,
        utcMs: 1_800_000_000_000,
        seconds: 4,
        mime: 'audio/webm',
        data: 'GkXfow==',
      }),
    ]),
    ...of('flight', [
      {
        id: f.film.id,
        locationId: f.locations[0]!.id,
        position: 'a0',
        aircraftId: f.kit.aircraft[0]!.id,
        launchId: null,
        packId: null,
        stops: [{ shotId: f.shots[0]!.id, pinned: true }],
        locked: false,
        notBefore: null,
      },
    ]),
  ];
};

describe('schemas', () => {
  it('take every row of the made-up film, and the file as a whole', async () => {
    for (const [kind, value] of await rows())
      expect(checks[kind](value), `${kind}: ${JSON.stringify(checks[kind].errors)}`).toBe(true);
    expect(ajv.compile(FilmFileSchema)(await load())).toBe(true);
  });

  it('refuse a row without any one of its fields, or with one too many', async () => {
    const hasDefault = (kind: EntityKind, key: string): boolean =>
      'default' in (ENTITIES[kind].properties as Record<string, object>)[key]!;
    const seen = new Set<EntityKind>();
    for (const [kind, value] of await rows()) {
      if (seen.has(kind)) continue;
      seen.add(kind);
      for (const key of Object.keys(value)) {
        const less = Object.fromEntries(Object.entries(value).filter(([k]) => k !== key));
        expect(checks[kind](less), `${kind} without ${key}`).toBe(false);
        const before = JSON.stringify(less);
        expect(checks[kind](withDefaults(ENTITIES[kind], less)), `${kind} filled`).toBe(
          hasDefault(kind, key),
        );
        expect(JSON.stringify(less)).toBe(before);
      }
      expect(checks[kind]({ ...value, colour: 'red' })).toBe(false);
    }
    // The made-up film has no meter reading and no picture.
    expect(seen.size).toBe(ENTITY_KINDS.length - 2);
  });

  it('refuse what is no number where a number belongs', async () => {
    for (const [kind, value] of await rows())
      for (const [key, v] of Object.entries(value)) {
        if (typeof v !== 'number') continue;
        const nullable = checks[kind]({ ...value, [key]: null });
        for (const wrong of ['12', ...(nullable ? [] : [null]), NaN, Infinity, -1e12])
          expect(checks[kind]({ ...value, [key]: wrong }), `${kind}.${key} = ${String(wrong)}`).toBe(false);
      }
  });
});

describe('moves on the wire', () => {
  const shotWith = async (kind: string, values: Record<string, number>) => ({
    ...(await load()).shots[0]!,
    move: { ...(await load()).shots[0]!.move, kind, values },
  });
  it.each(MOVES.map((m) => [m.kind, m] as const))(
    '%s: its own limits are the schema’s',
    async (kind, move) => {
      const values = { ...initialValues(move.parameters) };
      expect(checks.shot(await shotWith(kind, values))).toBe(true);
      for (const p of move.parameters) {
        expect(checks.shot(await shotWith(kind, { ...values, [p.id]: p.min }))).toBe(true);
        expect(checks.shot(await shotWith(kind, { ...values, [p.id]: p.max }))).toBe(true);
        expect(checks.shot(await shotWith(kind, { ...values, [p.id]: p.max + 1 }))).toBe(false);
        expect(checks.shot(await shotWith(kind, { ...values, [p.id]: p.min - 1 }))).toBe(false);
      }
      expect(checks.shot(await shotWith(kind, { ...values, wings: 2 }))).toBe(false);
    },
  );
});

describe('faults in words', () => {
  it('every fault of every kind is a sentence without a code word', async () => {
    const all = await rows();
    fc.assert(
      fc.property(
        fc.constantFrom(...all),
        fc.nat(),
        fc.constantFrom<unknown>(null, 'x', -5e9, 5e9, '', [], {}, true),
        ([kind, value], n, wrong) => {
          const keys = Object.keys(value);
          const key = keys[n % keys.length]!;
          if (checks[kind]({ ...value, [key]: wrong })) return;
          for (const fault of sayFaults(checks[kind].errors)) {
            expect(fault.say).toMatch(/^[A-Z“].*\.$/);
            expect(fault.say).not.toMatch(/undefined|\/|should|must match/);
          }
        },
      ),
    );
  });
  it('says the limit and the field in its own words', () => {
    expect(
      sayFaults([{ keyword: 'maximum', instancePath: '/latitude', schemaPath: '', params: { limit: 90 } }]),
    ).toEqual([{ path: '/latitude', say: 'Latitude must be 90° or less.' }]);
    expect(
      sayFaults([
        {
          keyword: 'exclusiveMinimum',
          instancePath: '/cut/segments/0/speedFactor',
          schemaPath: '',
          params: { limit: 0 },
        },
      ])[0]?.say,
    ).toBe('Speed factor must be more than 0.');
    expect(sayFaults(null)).toEqual([]);
  });
});

describe('what hangs together', () => {
  it('references name fields that exist, and kit belongs to no film', () => {
    for (const { from, field } of REFERENCES) expect(Object.keys(ENTITIES[from].properties)).toContain(field);
    expect(ENTITY_KINDS.filter(isKit)).toEqual([
      'aircraft',
      'pack',
      'card',
      'filter',
      'pilot',
      'practice',
      'charger',
      'device',
      'flightLogEntry',
      'gear',
      'cardMove',
      'check',
    ]);
  });
  it('the description refers only to what it describes', () => {
    const api = openApi('1');
    const text = JSON.stringify(api.paths);
    const names = [...text.matchAll(/#\/components\/schemas\/([A-Za-z-]+)/g)].map((m) => m[1]!);
    expect(names.length).toBeGreaterThan(5);
    for (const name of names) expect(Object.keys(api.components.schemas)).toContain(name);
  });
});
