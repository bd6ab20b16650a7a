import { type Entity, validateSemantics, KIT_KINDS, type EntityKind, type KitKind } from '@core/model';
import { newValidator } from '../../contract/validator';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import { ENTITIES, KitFileSchema, sayFaults, type FilmFile } from '@contract';
import { kitFile, KIT_LISTS, readKitFile } from './kit-file';
import { secondsIn, withCells } from './shot-cells';
import { fromText, readSheet } from './sheet-file';
import { decodeText } from './text-file';
import { guessMapping, MOST_ROWS, readTable, writeTable, type Names, type TableBase } from './tables';

const ajv = newValidator();
const faults: TableBase['faults'] = (kind: EntityKind, value) => {
  const check = ajv.compile(ENTITIES[kind]);
  return check(value) ? validateSemantics(kind, value) : sayFaults(check.errors);
};
let film: FilmFile;
let names: Names;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm();
  names = {
    aircraft: new Map(film.kit.aircraft.map((a) => [a.id, a.name])),
    places: new Map(film.locations.map((l) => [l.id, l.name])),
    subjects: new Map(film.subjects.map((s) => [s.id, s.name])),
  };
});
let n = 0;
const id = (): string => {
  n += 1;
  return `e0000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
};
const base = (kind: 'pack' | 'card'): TableBase => ({
  kind,
  names,
  faults,
  rows: kind === 'pack' ? film.kit.packs : film.kit.cards,
  changed: (was, fields) => ({ ...was, ...fields }),
  fresh: (fields) =>
    kind === 'pack'
      ? { ...film.kit.packs[0]!, id: id(), ...fields }
      : { ...film.kit.cards[0]!, id: id(), ...fields },
});
/** A table read as a file would be, its columns taken as they are guessed. */
const readText = (of: TableBase, text: string) => {
  const sheet = fromText(text);
  return sheet.ok ? readTable(of, sheet.value, guessMapping(of.kind, sheet.value.heads)) : sheet;
};
const look = (kind: 'pack' | 'card', text: string) => {
  const read = readText(base(kind), text);
  if (!read.ok) throw new Error(read.reason);
  return read.value;
};

describe('tables', () => {
  it('go out and come in as they were', () => {
    for (const kind of ['pack', 'card'] as const)
      expect(look(kind, writeTable(kind, base(kind).rows, names)).map((r) => r.act)).toEqual(
        base(kind).rows.map(() => 'same'),
      );
    const shots: TableBase = {
      kind: 'shot',
      names,
      faults,
      rows: film.shots,
      changed: (was, fields) => withCells(was as Entity<'shot'>, fields),
      fresh: (fields) => fields,
    };
    const read = readText(shots, writeTable('shot', film.shots, names));
    expect(read.ok && read.value.map((r) => [r.name, r.act, ...r.faults])).toEqual(
      film.shots.map((s) => [s.title, 'same']),
    );
    const [first] = film.shots;
    const other = readText(
      shots,
      `place,title,seconds,move,priority\n${film.locations[0]!.name},${first!.title},9,Orbit,could`,
    );
    if (!other.ok) throw new Error(other.reason);
    expect(other.value[0]).toMatchObject({
      act: 'change',
      faults: [],
      after: { priority: 'could', move: { kind: 'orbit' } },
    });
    expect(secondsIn(other.value[0]!.after as unknown as Entity<'shot'>)).toBe(9);
  });
  it('whatever a thing is called, nothing in the file starts as a formula, and the name comes back as it was', () => {
    fc.assert(
      fc.property(
        fc
          .string({ minLength: 1, maxLength: 30, unit: 'grapheme' })
          .filter((s) => s.trim() !== '' && !/^['\uFEFF]/.test(s) && s === s.trim()),
        fc.constantFrom('=', '+', '-', '@', ''),
        (text, lead) => {
          const name = `${lead}${text}`;
          const file = writeTable('card', [{ ...film.kit.cards[0]!, name }], names);
          const cell = file.split('\r\n').slice(1).join('\r\n');
          expect(cell).not.toMatch(/^"?[=+\-@]/);
          expect(look('card', file)[0]).toMatchObject({ name, faults: [] });
        },
      ),
    );
  });
  it('a cell of several lines is no formula either, and no harmless one is touched', () => {
    const written = (name: string): string => writeTable('card', [{ ...film.kit.cards[0]!, name }], names);
    for (const name of ['=1+1\n2', '+a\r\nb', '@x\n\n=y']) {
      expect(written(name)).toContain(`"'${name[0]!}`);
      expect(look('card', written(name))[0]).toMatchObject({ name });
    }
    expect(written('a\n=b')).toContain('"a\n=b"');
  });
  it('say line by line what would change and what is wrong, and change nothing by looking', () => {
    const before = JSON.stringify(film.kit);
    const rows = look(
      'pack',
      'name,fits,charge_percent,cycles,condition\nP1,Plover 720,80,-3,sound\nP2,Plover 720,55,44,swollen\nP9,Nobody,100,1,sound\nP2,,1,1,sound\n,Wren 246,1,1,sound\nP4,Wren 246,ten,1,fine\n',
    );
    expect(rows.map((r) => r.act)).toEqual(['fault', 'change', 'fault', 'fault', 'fault', 'fault']);
    expect(rows[0]!.faults[0]).toBe('Cycles must be 0 or more.');
    expect(rows[1]!.changes).toEqual(['charge_percent: 100 → 55', 'condition: sound → swollen']);
    expect(rows[2]!.faults[0]).toContain('There is no “Nobody” here');
    expect(rows[3]!.faults[0]).toContain('stands in an earlier line');
    expect(rows[4]!.faults).toContain('name: it must not be empty.');
    expect(rows[5]!.faults).toHaveLength(2);
    expect(rows.map((r) => r.line)).toEqual([2, 3, 4, 5, 6, 7]);
    expect(JSON.stringify(film.kit)).toBe(before);
  });
  it('refuse another heading, no lines, too many lines, dates that are none or still to come', () => {
    const refused = (text: string): string => {
      const read = readText(base('card'), text);
      return read.ok ? '' : read.reason;
    };
    expect(refused('colour,size_GB\nred,64')).toContain('No column is name');
    expect(look('card', 'name,colour\nA,red')[0]).toMatchObject({ name: 'A', act: 'new' });
    expect(refused('name,size_GB\n')).toContain('no line');
    expect(refused(`name\n${'x\n'.repeat(100_000)}`)).toContain(
      `More than ${MOST_ROWS.toLocaleString('en')} lines`,
    );
    expect(
      look('pack', 'name,charged_on\nP1,2999-01-01\nP2,yesterday\nP3,2026-10-01')[0]!.faults[0],
    ).toContain('lies in the future');
    expect(look('card', 'name;size_GB\nA;64'.replace(/;/g, ';')).length).toBe(1);
    expect(look('card', 'name,size_GB\nA,64,7')[0]!.faults[0]).toContain('does not fit the heading');
    expect(look('card', '\uFEFFname,size_GB\r\n"Card, the ""old""","0,5"\r\n')[0]).toMatchObject({
      name: 'Card, the "old"',
      act: 'new',
      after: { nominalGB: 0.5 },
    });
  });
});

describe('tables as other programs write them', () => {
  it('read numbers, days, headings and empty columns as spreadsheets have them', () => {
    const read = look(
      'pack',
      'sep=;\r\nName;CHARGE PERCENT;Charged on;cycles;;\r\nP1;95 %;14/05/2026;12;;\r\nP2;62,5;5.4.2026;"1.234";;\r\n;;;;;\r\n',
    );
    expect(read.map((r) => [r.line, r.faults])).toEqual([
      [2, []],
      [3, ['Cycles must be a whole number.']],
    ]);
    expect(read[0]?.after).toMatchObject({ charge: 0.95, chargedOn: '2026-05-14', cycles: 12 });
    expect(look('pack', 'name,charged_on\nP1,04/13/2026')[0]?.after).toMatchObject({
      chargedOn: '2026-04-13',
    });
    expect(look('pack', 'name,charged_on\nP1,31/02/2026')[0]?.act).toBe('fault');
    expect(look('pack', 'name;cycles\nP1;95 %')[0]?.act).toBe('fault');
  });
  it('take a shot list with headings of its own, all of it at one location', () => {
    const shots: TableBase = {
      kind: 'shot',
      names,
      faults: () => [],
      rows: [],
      place: film.locations[0]!.name,
      changed: (was, fields) => ({ ...was, ...fields }),
      fresh: (fields) => fields,
    };
    const read = readText(shots, 'Einstellung\tDauer\tPrio\tTon\nTotale\t8 s\tmust\tnein');
    expect(read).toMatchObject({
      ok: true,
      value: [
        {
          name: 'Totale',
          after: { title: 'Totale', seconds: 8, priority: 'must', locationId: film.locations[0]!.id },
        },
      ],
    });
    expect(guessMapping('shot', ['Shot', 'Title', 'title', 'Length'])).toEqual([
      null,
      'title',
      null,
      'seconds',
    ]);
  });
  it('open a workbook another program wrote', async () => {
    const bytes = readFileSync(new URL('fixtures/packs.xlsx', import.meta.url));
    const sheet = await readSheet(new Blob([bytes]));
    if (!sheet.ok) throw new Error(sheet.reason);
    expect(sheet.value.heads).toEqual(['name', 'charge_percent', 'charged_on', 'notes']);
    expect(sheet.value.lines.map((l) => l.cells)).toEqual([
      ['P1', '95', '2026-05-14', 'größer'],
      ['P2', '62.5', '2026-04-05', ''],
    ]);
    const cut = await readSheet(new Blob([bytes.subarray(0, 400)]));
    expect(cut).toMatchObject({ ok: false });
  });
});

describe('text of a file', () => {
  const TEXT = 'name,notes\nP1,größer 5 °C\n';
  it.each(['utf-8.csv', 'utf-8-mark.csv', 'utf-16le.csv', 'utf-16be-mark.csv', 'windows-1252.csv'])(
    'is read in the encoding of %s',
    (name) => {
      expect(decodeText(readFileSync(new URL(`fixtures/${name}`, import.meta.url))).trim()).toBe(TEXT.trim());
    },
  );
  it('follows what XML declares', () => {
    const kml = decodeText(readFileSync(new URL('fixtures/latin2.kml', import.meta.url)));
    expect(kml).toContain('Łąka');
  });
});

describe('a kit file', () => {
  const rows = <K extends KitKind>(kind: K) => film.kit[KIT_LISTS[kind]] as unknown as readonly Entity<K>[];
  it('is what its schema says, and coming back it changes nothing', () => {
    const file = JSON.parse(JSON.stringify(kitFile(rows))) as object;
    expect(ajv.compile(KitFileSchema)(file)).toBe(true);
    expect(readKitFile(JSON.stringify(file), rows, faults)).toEqual({
      ok: true,
      value: { changes: [], same: KIT_KINDS.reduce((sum, k) => sum + rows(k).length, 0), faults: [] },
    });
  });
  it('names what is new, what is changed and what is wrong', () => {
    const file = kitFile(rows);
    const [card, other] = file.kit.cards;
    const read = readKitFile(
      JSON.stringify({
        ...file,
        kit: {
          ...file.kit,
          cards: [
            { ...card, usedGB: 9, writeMBs: 31 },
            { ...other, id: id(), name: 'New' },
            { ...other, nominalGB: -1 },
          ],
        },
      }),
      rows,
      faults,
    );
    if (!read.ok) throw new Error(read.reason);
    expect(read.value.changes.map((c) => [c.name, c.act])).toEqual([
      ['Card A', 'change'],
      ['New', 'new'],
    ]);
    // What is on a card that was told of follows from that, and not from its record in a file.
    expect(read.value.changes[0]?.after).toMatchObject({ writeMBs: 31, usedGB: card?.usedGB });
    expect(read.value.faults).toEqual(['cards, number 3 (Card B): Size must be more than 0 GB.']);
  });
  it('refuses what is none', () => {
    const refused = (text: string): string => {
      const read = readKitFile(text, rows, faults);
      return read.ok ? '' : read.reason;
    };
    expect(refused('{')).toContain('not JSON');
    expect(refused('{}')).toBe('This is not a kit file.');
    expect(refused(JSON.stringify(film))).toContain('film file');
    expect(refused(JSON.stringify({ ...kitFile(rows), formatVersion: 9 }))).toContain('version 9');
    expect(refused(JSON.stringify({ ...kitFile(rows), kit: { boats: [] } }))).toContain('“boats”');
    expect(refused(JSON.stringify({ ...kitFile(rows), kit: { cards: 3 } }))).toContain(
      'no list'.replace('no', 'not a'),
    );
  });
});
