import { PRIORITIES, SCHEMAS, STORY_ROLES, type Entity, type EntityKind } from '@core/model';
import { MOVES } from '@core/moves';
import { found, none, type Result } from '@core/units';
import Papa from 'papaparse';
import { numberIn } from './cell-number';
import { secondsIn } from './shot-cells';
import type { Sheet } from './sheet-file';
import { tr } from './messages';
import { grouped } from '../format';

/** What can be kept as a table. */
export const TABLE_KINDS = ['pack', 'card', 'shot'] as const;
export type TableKind = (typeof TABLE_KINDS)[number];

/** Rows that are taken in at once: one step that can be taken back. */
export const MOST_ROWS = 1000;

export interface Names {
  readonly aircraft: ReadonlyMap<string, string>;
  readonly places: ReadonlyMap<string, string>;
  readonly subjects: ReadonlyMap<string, string>;
}

type Row = Readonly<Record<string, unknown>>;

/** A column: how a thing is written into it, and what of a thing a cell changes. */
interface Column {
  readonly head: string;
  readonly write: (row: Row, names: Names) => string;
  readonly read: (text: string, names: Names) => Result<Row>;
}

const number = (head: string, key: string, scale = 1): Column => ({
  head,
  write: (row) => String(Math.round(Number(row[key]) * scale * 1e6) / 1e6),
  read: (text) => {
    const value = numberIn(text, scale === 100);
    return Number.isFinite(value)
      ? found({ [key]: value / scale })
      : none(tr('textIsNoNumber', { text: text.slice(0, 30) }));
  },
});
const words = (head: string, key: string): Column => ({
  head,
  write: (row) => String(row[key] ?? ''),
  read: (text) => found({ [key]: text }),
});
const choice = (head: string, key: string, of: readonly string[]): Column => ({
  head,
  write: (row) => String(row[key]),
  read: (text) => {
    const word = text.trim().toLowerCase();
    return of.includes(word)
      ? found({ [key]: word })
      : none(tr('textIsNoneOfOf', { text: text.slice(0, 30), of: of.join(', ') }));
  },
});
/** Somewhere it is tomorrow already. */
const latestDay = (): string => new Date(Date.now() + 86_400_000).toJSON().slice(0, 10);
const ISO_DAY = /^\d{4}-\d{2}-\d{2}$/;
const LOCAL_DAY = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})$/;
/** A day as tables write it, YYYY-MM-DD; day before month unless there is no such month. Anything else stays as it is. */
const isoDay = (text: string): string => {
  const [, first = '', second = '', year = ''] = LOCAL_DAY.exec(text) ?? [];
  if (year === '') return text.replace(/^(\d{4}-\d\d-\d\d)[T ]00:00.*$/, '$1');
  const [d, m] = Number(second) > 12 ? [second, first] : [first, second];
  const iso = `${year}-${m.padStart(2, '0')}-${d.padStart(2, '0')}`;
  return Number.isNaN(Date.parse(iso)) || new Date(iso).toJSON().slice(0, 10) !== iso ? text : iso;
};
const day = (head: string, key: string): Column => ({
  head,
  write: (row) => String(row[key] ?? ''),
  read: (text) => {
    const t = isoDay(text.trim());
    return t === ''
      ? found({ [key]: null })
      : !ISO_DAY.test(t)
        ? none(tr('valueIsNoDateSuch', { value: t.slice(0, 30) }))
        : t > latestDay()
          ? none(tr('valueLiesInTheFuture', { value: t }))
          : found({ [key]: t });
  },
});
const byName = (
  head: string,
  key: string,
  of: (names: Names) => ReadonlyMap<string, string>,
  many: boolean,
  may: boolean,
): Column => ({
  head,
  write: (row, names) =>
    (many ? (row[key] as readonly string[]) : [row[key] as string | null])
      .map((id) => of(names).get(id ?? '') ?? '')
      .filter((n) => n !== '')
      .join('; '),
  read: (text, names) => {
    const wanted = text
      .split(';')
      .map((t) => t.trim())
      .filter((t) => t !== '');
    const ids = wanted.map(
      (n) => [...of(names)].find(([, name]) => name.toLowerCase() === n.toLowerCase())?.[0],
    );
    const lost = wanted[ids.indexOf(undefined)];
    if (lost !== undefined) return none(tr('thereIsNoLostHere', { lost: lost.slice(0, 40) }));
    if (!many && !may && ids.length !== 1) return none(tr('oneOfThemIsWanted'));
    return found({ [key]: many ? ids : (ids[0] ?? null) });
  },
});

/** A field of a schema, as far as a column of a table follows from it. */
interface Field {
  readonly type?: string;
  readonly enum?: readonly string[];
  readonly unit?: string;
  readonly column?: string;
  readonly anyOf?: readonly { readonly pattern?: string }[];
}

const columnOf = (key: string, field: Field): Column[] => {
  const head = field.column;
  if (head === undefined) return [];
  if (key === 'aircraftIds') return [byName(head, key, (n) => n.aircraft, true, true)];
  if (field.type === 'number' || field.type === 'integer')
    return [number(head, key, field.unit === 'share' ? 100 : 1)];
  if (field.enum) return [choice(head, key, field.enum)];
  return [field.anyOf ? day(head, key) : words(head, key)];
};
/** Columns of a kind: the fields its schema gives a heading, in the schema's order. */
const columnsOf = (kind: 'pack' | 'card'): Column[] =>
  Object.entries(SCHEMAS[kind].properties).flatMap(([key, field]) => columnOf(key, field as Field));

const seconds: Column = {
  head: 'seconds',
  write: (row) => String(secondsIn(row as Pick<Entity<'shot'>, 'cut'>)),
  read: (text) => {
    const value = numberIn(text.replace(/\s*s(ec(onds?)?)?\.?$/i, ''));
    return value >= 0 ? found({ seconds: value }) : none(tr('textIsNoNumberOf', { text: text.slice(0, 30) }));
  },
};
const move: Column = {
  head: 'move',
  write: (row) => MOVES.find((m) => m.kind === (row['move'] as { kind: string }).kind)?.name ?? '',
  read: (text) => {
    const kind = MOVES.find(
      (m) => m.name.toLowerCase() === text.trim().toLowerCase() || m.kind === text.trim(),
    )?.kind;
    return kind ? found({ moveKind: kind }) : none(tr('textIsNoMoveKnown', { text: text.slice(0, 30) }));
  },
};
const SHOT: readonly Column[] = [
  byName('place', 'locationId', (n) => n.places, false, false),
  words('title', 'title'),
  byName('subject', 'subjectId', (n) => n.subjects, false, true),
  choice('role', 'role', STORY_ROLES),
  choice('priority', 'priority', PRIORITIES),
  move,
  seconds,
  number('takes', 'takes'),
  number('setup_s', 'setupS'),
  byName('aircraft', 'aircraftId', (n) => n.aircraft, false, true),
  words('notes', 'notes'),
];
const COLUMNS: Readonly<Record<TableKind, readonly Column[]>> = {
  pack: columnsOf('pack'),
  card: columnsOf('card'),
  shot: SHOT,
};
/** Without these a row is nobody's. */
const NEEDED: Readonly<Record<TableKind, readonly string[]>> = {
  pack: ['name'],
  card: ['name'],
  shot: ['place', 'title'],
};

/** What a spreadsheet takes for a formula. */
const FORMULA = /^[=+\-@\t\r]/;

/** A cell that a spreadsheet would take for a formula stands behind a quote there; here it is text. */
const unquoted = (text: string): string => (/^'[=+\-@\t\r]/.test(text) ? text.slice(1) : text);

/** Things as a table that opens in any spreadsheet; what looks like a formula is kept from being one. */
export const writeTable = (kind: TableKind, rows: readonly object[], names: Names): string =>
  Papa.unparse(
    {
      fields: COLUMNS[kind].map((c) => c.head),
      data: rows.map((row) => COLUMNS[kind].map((c) => c.write(row as Row, names))),
    },
    // The library's own rule misses a cell of several lines.
    { escapeFormulae: FORMULA, newline: '\r\n' },
  );

/** A line of a table as it would come in. */
export interface TableRow {
  /** Line of the file, the heading being 1. */
  readonly line: number;
  readonly name: string;
  readonly act: 'new' | 'change' | 'same' | 'fault';
  /** "charge_percent: 100 → 80" */
  readonly changes: readonly string[];
  readonly faults: readonly string[];
  readonly after: Row | null;
}

const keyOf = (kind: TableKind, row: Row): string =>
  (kind === 'shot'
    ? `${String(row['locationId'])}|${String(row['title'])}`
    : String(row['name'])
  ).toLowerCase();

/** What a table is read against: what is there, and how a new thing of its kind begins. */
export interface TableBase<K extends TableKind = TableKind> {
  readonly kind: K;
  readonly rows: readonly object[];
  readonly names: Names;
  /** Name of the location of shots whose sheet has no column for it. */
  readonly place?: string;
  /** A new thing with what its cells say; those of a shot are built by its list. */
  readonly fresh: (fields: Row) => object;
  /** What cells change of a thing that is there. */
  readonly changed: (was: object, fields: Row) => object;
  readonly faults: (kind: EntityKind, value: object) => readonly { readonly say: string }[];
}

/** Which column of the table each heading of a file is; null where it is not used. */
export type Mapping = readonly (string | null)[];

/** Names of a kind's columns, as they are written. */
export const columnNames = (kind: TableKind): readonly string[] => COLUMNS[kind].map((c) => c.head);

/** Columns without which a line is nobody's. */
export const neededColumns = (kind: TableKind): readonly string[] => NEEDED[kind];

/** What other sheets call a column. */
const ALSO: Readonly<Record<string, readonly string[]>> = {
  place: ['location', 'site', 'where', 'drehort', 'ort'],
  title: ['shot', 'name', 'description', 'einstellung', 'titel'],
  subject: ['motif', 'motiv'],
  role: ['story role', 'rolle'],
  priority: ['prio', 'priorität'],
  move: ['movement', 'camera move', 'kamerafahrt', 'bewegung'],
  seconds: ['length', 'duration', 'sec', 's', 'länge', 'dauer', 'sekunden'],
  takes: ['number of takes', 'anzahl'],
  notes: ['note', 'comment', 'comments', 'remarks', 'notiz', 'notizen', 'bemerkung'],
  name: ['label', 'pack', 'battery', 'card', 'akku', 'karte'],
};
const bare = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** The columns a file's headings most likely are: by name, whatever the case, then by what other sheets call them; each once. */
export const guessMapping = (kind: TableKind, heads: readonly string[]): Mapping => {
  const names = columnNames(kind);
  const taken = new Set<string>();
  const take = (name: string | undefined): string | null => {
    if (name === undefined || taken.has(name)) return null;
    taken.add(name);
    return name;
  };
  const exact = heads.map((h) => take(names.find((n) => bare(n) === bare(h))));
  return heads.map(
    (h, i) => exact[i] ?? take(names.find((n) => !taken.has(n) && (ALSO[n] ?? []).includes(bare(h)))),
  );
};

/** What the cells of a line say, and which of them say nothing. */
const cellsOf = (
  { kind, names, place }: TableBase,
  cells: ReadonlyMap<string, string>,
): { fields: Record<string, unknown>; faults: string[] } => {
  const fields: Record<string, unknown> = {};
  const faults: string[] = [];
  for (const column of COLUMNS[kind]) {
    const cell = cells.get(column.head) ?? (column.head === 'place' ? place : undefined);
    if (cell === undefined) continue;
    const read = column.read(unquoted(cell), names);
    if (read.ok) Object.assign(fields, read.value);
    else faults.push(`${column.head}: ${read.reason}`);
  }
  return { fields, faults };
};

const changesOf = ({ kind, names }: TableBase, was: object, after: object): string[] =>
  COLUMNS[kind].flatMap((c) => {
    const [a, b] = [c.write(was as Row, names), c.write(after as Row, names)];
    return a === b ? [] : [`${c.head}: ${a || '–'} → ${b || '–'}`];
  });

const rowOf = (
  base: TableBase,
  cells: ReadonlyMap<string, string>,
  line: number,
  seen: Set<string>,
  known: ReadonlyMap<string, object>,
): TableRow => {
  const named = base.kind === 'shot' ? 'title' : 'name';
  const { fields, faults } = cellsOf(base, cells);
  const name = unquoted(cells.get(named) ?? '');
  if (name.trim() === '') faults.push(tr('namedItMustNotBe', { named }));
  const key = keyOf(base.kind, fields);
  if (faults.length === 0 && seen.has(key))
    faults.push(tr('nameStandsInAnEarlier', { name: name.slice(0, 60) }));
  seen.add(key);
  const was = known.get(key);
  const after = faults.length > 0 ? null : was ? base.changed(was, fields) : base.fresh(fields);
  if (after) faults.push(...base.faults(base.kind, after).map((f) => f.say));
  if (faults.length > 0 || !after) return { line, name, act: 'fault', changes: [], faults, after: null };
  const changes = was ? changesOf(base, was, after) : [];
  return {
    line,
    name,
    act: !was ? 'new' : changes.length > 0 ? 'change' : 'same',
    changes,
    faults,
    after: after as Row,
  };
};

/**
 * What a table would change, line by line; nothing is changed by looking.
 * @param mapping what each of its columns is
 * @returns the reason where it is no such table at all
 */
export const readTable = (base: TableBase, sheet: Sheet, mapping: Mapping): Result<TableRow[]> => {
  const given = base.kind === 'shot' && base.place !== undefined ? ['place'] : [];
  const missing = NEEDED[base.kind].filter((h) => !mapping.includes(h) && !given.includes(h));
  if (missing.length > 0)
    return none(tr('noColumnIs', { missing: missing.join(', '), known: columnNames(base.kind).join(', ') }));
  if (sheet.lines.length === 0) return none(tr('thereIsNoLineUnder'));
  if (sheet.lines.length > MOST_ROWS)
    return none(tr('moreThanMOSTROWSLines', { MOST_ROWS: grouped(MOST_ROWS) }));
  const there = new Map(base.rows.map((r) => [keyOf(base.kind, r as Row), r]));
  const seen = new Set<string>();
  return found(
    sheet.lines.map(({ number: line, cells }) => {
      const named = mapping.flatMap((column, i) =>
        column === null ? [] : [[column, cells[i] ?? ''] as const],
      );
      const row = rowOf(base, new Map(named), line, seen, there);
      const fault = sheet.broken.get(line);
      return fault === undefined
        ? row
        : {
            ...row,
            act: 'fault' as const,
            after: null,
            faults: [tr('theLineDoesNotFit', { fault }), ...row.faults],
          };
    }),
  );
};
