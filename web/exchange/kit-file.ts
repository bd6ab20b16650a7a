import {
  EXCHANGE_VERSION,
  KIT_FORMAT,
  KIT_KINDS,
  SCHEMAS,
  withDefaults,
  type Entity,
  type EntityKind,
  type KitKind,
} from '@core/model';
import { upgradeFile, type KitFile } from '@contract';
import { found, none, type Result } from '@core/units';
import { tr } from './messages';

type KitLists = KitFile['kit'];
/** Where rows of a kind stand in the file; in the order they refer to each other. */
export const KIT_LISTS: Readonly<Record<KitKind, keyof KitLists>> = {
  aircraft: 'aircraft',
  pack: 'packs',
  card: 'cards',
  filter: 'filters',
  pilot: 'pilots',
  practice: 'practice',
  charger: 'chargers',
  device: 'devices',
  flightLogEntry: 'flightLog',
  gear: 'gear',
  cardMove: 'cardMoves',
  check: 'checks',
};
/** Changes that go in as one step. */
const MOST_CHANGES = 2000;

export interface KitChange {
  readonly kind: KitKind;
  readonly id: string;
  readonly name: string;
  readonly act: 'new' | 'change';
  readonly after: object;
}
export interface KitReading {
  readonly changes: readonly KitChange[];
  readonly same: number;
  readonly faults: readonly string[];
}

type Rows = <K extends KitKind>(kind: K) => readonly Entity<K>[];
type Faults = (kind: EntityKind, value: object) => readonly { readonly say: string }[];

const nameOf = (row: { readonly name?: unknown; readonly id: string }): string =>
  typeof row.name === 'string' ? row.name : row.id.slice(0, 8);

/** Everything that is owned, as it is written into a file. */
export const kitFile = (rows: Rows): KitFile => ({
  format: KIT_FORMAT,
  formatVersion: EXCHANGE_VERSION,
  kit: Object.fromEntries(KIT_KINDS.map((kind) => [KIT_LISTS[kind], rows(kind)])) as unknown as KitLists,
});

/** What is wrong with the file as such; null where its rows can be looked at. */
const fileFault = (file: unknown): string | null => {
  const { format, formatVersion, kit } = (file ?? {}) as {
    format?: unknown;
    formatVersion?: unknown;
    kit?: unknown;
  };
  if (format !== KIT_FORMAT)
    return format === 'dusk-slate-film' ? tr('thatIsAFilmFile') : tr('thatIsNoKitFile');
  if (formatVersion !== EXCHANGE_VERSION)
    return tr('theFileIsOfVersion', { formatVersion: String(formatVersion), EXCHANGE_VERSION });
  return typeof kit === 'object' && kit !== null ? null : tr('theFileHasNoKit');
};

/**
 * What a kit file would change; nothing is changed by looking. Things are known by their id.
 * @returns the reason where it is no kit file at all
 */
export const readKitFile = (text: string, rows: Rows, faultsOf: Faults): Result<KitReading> => {
  let file: unknown;
  try {
    file = upgradeFile(JSON.parse(text));
  } catch {
    return none(tr('thatIsNoJSONThe'));
  }
  const fault = fileFault(file);
  if (fault !== null) return none(fault);
  const lists = (file as { kit: Record<string, unknown> }).kit;
  const strange = Object.keys(lists).filter((key) => !Object.values<string>(KIT_LISTS).includes(key));
  if (strange.length > 0) return none(tr('strangeIsNotAPart', { strange: strange[0]?.slice(0, 40) ?? '' }));
  const told = new Set(rows('cardMove').map((m) => m.cardId));
  const changes: KitChange[] = [];
  const faults: string[] = [];
  let same = 0;
  for (const kind of KIT_KINDS) {
    const list = lists[KIT_LISTS[kind]] ?? [];
    if (!Array.isArray(list)) return none(tr('kitLISTSIsNotA', { KIT_LISTS: KIT_LISTS[kind] }));
    const known = new Map(rows(kind).map((r) => [r.id, r as object]));
    list.forEach((value: unknown, i) => {
      if (typeof value !== 'object' || value === null) {
        faults.push(tr('kitLISTSNumberValueIt', { KIT_LISTS: KIT_LISTS[kind], value: i + 1 }));
        return;
      }
      const after = { ...(withDefaults(SCHEMAS[kind], value) as object) } as { id: string; name?: unknown };
      const [wrong] = faultsOf(kind, after);
      if (wrong) {
        faults.push(
          tr('kitLISTSNumberValueName', {
            KIT_LISTS: KIT_LISTS[kind],
            value: i + 1,
            name: typeof after.name === 'string' ? ` (${after.name.slice(0, 40)})` : '',
            say: wrong.say,
          }),
        );
        return;
      }
      const was = known.get(after.id);
      // What is on a card follows from what was told of it here.
      if (kind === 'card' && was && told.has(after.id))
        Object.assign(after, { usedGB: (was as Entity<'card'>).usedGB });
      if (was && sameRow(was, after)) same += 1;
      else changes.push({ kind, id: after.id, name: nameOf(after), act: was ? 'change' : 'new', after });
    });
  }
  return changes.length > MOST_CHANGES
    ? none(tr('itWouldChangeChangesThings', { changes: changes.length, MOST_CHANGES }))
    : found({ changes, same, faults });
};

/** Whether two rows say the same, in whatever order. */
const sameRow = (a: unknown, b: unknown): boolean => {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  const [x, y] = [a as Record<string, unknown>, b as Record<string, unknown>];
  const keys = Object.keys(x);
  return keys.length === Object.keys(y).length && keys.every((k) => sameRow(x[k], y[k]));
};
