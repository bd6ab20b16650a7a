import { DAY_MS } from '@core/time';
import { newRow, type Entity, type KitKind } from '@core/model';
import { computed } from 'vue';
import { v4 as uuid } from 'uuid';
import type { Fields } from '../../sync/fields';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** Kit that has a name and can be retired. */
export type GearKind = Exclude<KitKind, 'practice' | 'flightLogEntry' | 'cardMove' | 'check'>;

/** Somewhere it is tomorrow already. */
/** A date that lies behind, or none; null where it is one to come. */
export const pastDate = (text: string): { readonly date: string | null } | null =>
  text !== '' && text > new Date(Date.now() + DAY_MS).toJSON().slice(0, 10)
    ? null
    : { date: text === '' ? null : text };
export const TO_COME = [
  {
    path: '',
    get say() {
      return tr('thatDayIsStillTo');
    },
  },
];

/** Names of the fields of a piece of kit that still hold the usual figure of a class. */
export const typicalOf = (thing: object | null | undefined): readonly string[] =>
  thing && 'typical' in thing ? (thing.typical as readonly string[]) : [];

/** What can be done to any kind of kit. */
export const useKit = <K extends GearKind>(kind: K) => {
  const store = useFilm();
  const selection = useSelection();
  const all = computed(() =>
    [...store.list(kind)].sort(
      (a, b) =>
        Number(a.retired) - Number(b.retired) || a.name.localeCompare(b.name, 'en', { numeric: true }),
    ),
  );
  /** A figure that is entered is the owner's own and no longer typical of a class. */
  const set = (id: string, fields: Fields<K>) => {
    const typical: readonly string[] = typicalOf(store.get(kind, id));
    const left = typical.filter((field) => !(field in fields));
    return store.edit(
      kind,
      id,
      left.length < typical.length ? { ...fields, typical: left } : fields,
      tr('kitLower'),
    );
  };
  const add = (given: Partial<Entity<K>>): string => {
    const made = newRow(kind, { ...given, id: uuid() } as Partial<Entity<K>> & { id: string });
    store.create(kind, made, tr('newKit'));
    return made.id;
  };
  const copy = (thing: Entity<K>): string => {
    const made = {
      ...thing,
      id: uuid(),
      name: tr('nameCopy', { name: thing.name }).slice(0, 200),
      retired: false,
    } as Entity<K>;
    store.create(kind, made, tr('copyLower'));
    return made.id;
  };
  const retire = (thing: Entity<K>): void => {
    set(thing.id, { retired: !thing.retired } as Fields<K>);
    selection.say(
      thing.retired
        ? tr('nameIsInUseAgain', { name: thing.name })
        : tr('nameIsRetiredPastPlans', { name: thing.name }),
    );
  };
  const alongOf = (id: string): boolean => !(store.film?.leftHome.includes(id) ?? false);
  /** Whether a thing comes along on the open film. */
  const setAlong = (id: string, along: boolean): void => {
    const now = store.film?.leftHome ?? [];
    store.edit(
      'film',
      store.filmId,
      { leftHome: along ? now.filter((x) => x !== id) : [...now, id] },
      tr('bag'),
    );
  };
  return { store, all, set, add, copy, retire, alongOf, setAlong };
};
