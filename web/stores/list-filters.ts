import { groupBy } from '@core/units';
import { BAND_WORDS, counted, phrase } from '../format';
import type { DerivedShot } from '@core/film';
import { type Warning, worst } from '@core/warnings';
import { USE_WORDS, useOf } from '@core/story';
import { clockText } from '@core/time';
import { type Entity, WISH_KINDS } from '@core/model';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { useFilm } from './film';
import { useFindings } from './findings';
import { useDerivedFilm } from './derived-film';
import { tr } from './messages';

/** A figure a row may show. */
export interface Column {
  readonly id: string;
  readonly label: string;
  readonly quantity: 'seconds' | 'wattHours' | 'gigabytes' | 'count' | 'percent' | 'metres' | 'text';
  readonly of: (shot: DerivedShot) => number | string;
}

export const COLUMNS: readonly Column[] = [
  {
    id: 'air',
    get label() {
      return tr('secondsInTheAir');
    },
    quantity: 'seconds',
    of: ({ facts }) => (facts.trajectory ? facts.seconds.airS : NaN),
  },
  {
    id: 'energy',
    get label() {
      return tr('energy');
    },
    quantity: 'wattHours',
    of: ({ facts }) => facts.energy?.totalWh ?? NaN,
  },
  {
    id: 'card',
    get label() {
      return tr('cardSpace');
    },
    quantity: 'gigabytes',
    of: ({ facts }) => facts.bytes / 1e9,
  },
  {
    id: 'cut',
    get label() {
      return tr('secondsInTheCut');
    },
    quantity: 'seconds',
    of: ({ facts }) => facts.segments.reduce((sum, s) => sum + s.timelineS, 0),
  },
  {
    id: 'takes',
    get label() {
      return tr('takes');
    },
    quantity: 'text',
    of: ({ facts }) => counted(facts.shot.takes, 'take'),
  },
  {
    id: 'pace',
    get label() {
      return tr('pace');
    },
    quantity: 'text',
    of: ({ facts }) => BAND_WORDS[facts.band],
  },
  {
    id: 'fill',
    get label() {
      return tr('subjectInFrame');
    },
    quantity: 'percent',
    of: ({ facts }) => facts.fill * 100,
  },
  {
    id: 'height',
    get label() {
      return tr('highestPoint');
    },
    quantity: 'metres',
    of: ({ facts }) => facts.trajectory?.highestM ?? NaN,
  },
  {
    id: 'lens',
    get label() {
      return tr('lens');
    },
    quantity: 'text',
    of: ({ facts }) =>
      facts.camera
        ? tr('equivalentMmMm', { equivalentMm: Math.round(facts.camera.equivalentMm * facts.shot.zoom) })
        : '\u2013',
  },
  {
    id: 'craft',
    get label() {
      return tr('aircraft');
    },
    quantity: 'text',
    of: ({ facts }) => facts.aircraft?.name ?? tr('noAircraft'),
  },
  {
    id: 'minute',
    get label() {
      return tr('plannedMinute');
    },
    quantity: 'text',
    of: ({ facts, light }) => (light ? clockText(light.atMs, facts.location.zone) : '\u2013'),
  },
  {
    id: 'inputs',
    get label() {
      return tr('inputsAtOnce');
    },
    quantity: 'text',
    of: ({ facts }) => tr('simultaneousInputs', { simultaneous: facts.trajectory?.simultaneous ?? '\u2013' }),
  },
  {
    id: 'use',
    get label() {
      return tr('use');
    },
    quantity: 'text',
    of: ({ facts }) => phrase(USE_WORDS[useOf(facts.shot.usage)]),
  },
];
const USUAL = ['air', 'energy', 'card'];
const MOST_COLUMNS = 4;
const COLUMNS_KEY = 'dusk-columns';

/** Something a row may be picked out by. */
export interface ListFilter {
  readonly id: string;
  readonly label: string;
  readonly group: string;
  readonly keeps: (shot: DerivedShot, warnings: readonly Warning[]) => boolean;
}

export const LIST_FILTERS: readonly ListFilter[] = [
  ...(['must', 'should', 'could'] as const).map((p): ListFilter => ({
    id: p,
    label: p,
    group: 'priority',
    keeps: ({ facts }) => facts.shot.priority === p,
  })),
  {
    id: 'stop',
    get label() {
      return tr('withAStop');
    },
    group: 'mark',
    keeps: (_s, warnings) => worst(warnings) === 'stop',
  },
  {
    id: 'care',
    get label() {
      return tr('withACare');
    },
    group: 'mark',
    keeps: (_s, warnings) => worst(warnings) === 'care',
  },
  {
    id: 'unfit',
    get label() {
      return tr('notFitting');
    },
    group: 'mark',
    keeps: (s) => s.unfit !== null,
  },
  {
    id: 'left',
    get label() {
      return tr('stillToFly');
    },
    group: 'flown',
    keeps: (s) => !s.done,
  },
  {
    id: 'done',
    get label() {
      return tr('done');
    },
    group: 'flown',
    keeps: (s) => s.done,
  },
  ...WISH_KINDS.map((w): ListFilter => ({
    id: `light-${w}`,
    label: w === 'any' ? tr('anyLight') : w,
    group: 'light',
    keeps: ({ facts }) => facts.shot.wants === w,
  })),
];

const storedColumns = (): string[] => {
  try {
    const known: unknown = JSON.parse(localStorage.getItem(COLUMNS_KEY) ?? '');
    if (Array.isArray(known))
      return known.filter((id): id is string => COLUMNS.some((c) => c.id === id)).slice(0, MOST_COLUMNS);
  } catch {
    /* nothing kept, or not by this program */
  }
  return [...USUAL];
};

/** What the list shows and which of its rows are chosen for doing something with all of them. */
export const useListFilters = defineStore('list-filters', () => {
  const film = useFilm();
  const derivedFilm = useDerivedFilm();
  const findings = useFindings();
  const wanted = ref('');
  const activeFilters = ref<string[]>([]);
  const columnIds = ref(storedColumns());
  const chosen = ref(new Set<string>());
  const toolsShown = ref(false);
  let anchor = '';
  watch(columnIds, (ids) => localStorage.setItem(COLUMNS_KEY, JSON.stringify(ids)));
  watch(
    () => film.filmId,
    () => {
      wanted.value = '';
      activeFilters.value = [];
      chosen.value = new Set();
    },
  );

  const columns = computed(() => columnIds.value.flatMap((id) => COLUMNS.filter((c) => c.id === id)));
  const toggleColumn = (id: string): void => {
    columnIds.value = columnIds.value.includes(id)
      ? columnIds.value.filter((c) => c !== id)
      : [...columnIds.value, id].slice(-MOST_COLUMNS);
  };
  const toggleFilter = (id: string): void => {
    activeFilters.value = activeFilters.value.includes(id)
      ? activeFilters.value.filter((s) => s !== id)
      : [...activeFilters.value, id];
  };
  /** What the list holds back; null while it shows everything. Of one group of filters any may hold, of several groups all must. */
  const test = computed<((shot: DerivedShot) => boolean) | null>(() => {
    const active = LIST_FILTERS.filter((s) => activeFilters.value.includes(s.id));
    const groups = [...groupBy(active, (s) => s.group).values()];
    const words = wanted.value.trim().toLowerCase();
    if (active.length === 0 && words === '') return null;
    return (shot) => {
      if (!groups.every((group) => group.some((s) => s.keeps(shot, findings.about(shot))))) return false;
      const { facts } = shot;
      return (
        words === '' ||
        [
          facts.shot.title,
          phrase(facts.move?.name),
          facts.shot.role,
          facts.shot.priority,
          facts.subject?.name,
          facts.aircraft?.name,
          facts.shot.notes,
          ...Object.values(facts.shot.layers),
        ].some((t) => t?.toLowerCase().includes(words))
      );
    };
  });
  const matches = (shot: DerivedShot): boolean => test.value?.(shot) ?? true;
  /** Shots from the ground have a title to be found by, and nothing that a filter asks about. */
  const matchesGround = (shot: Entity<'groundShot'>): boolean =>
    activeFilters.value.length === 0 &&
    `${shot.title} ${shot.filmedBy} ${shot.notes}`.toLowerCase().includes(wanted.value.trim().toLowerCase());
  const shown = computed(() => {
    const all = [...(derivedFilm.derived?.shots.values() ?? [])];
    return test.value ? all.filter(matches) : all;
  });

  const toggle = (id: string): void => {
    const next = new Set(chosen.value);
    if (next.has(id)) next.delete(id);
    else next.add(id);
    chosen.value = next;
    anchor = id;
  };
  /** From the last chosen to this one, as they are listed. */
  const reachTo = (id: string, from: string): void => {
    const ids = shown.value.map((s) => s.facts.shot.id);
    const [a, b] = [ids.indexOf(anchor || from), ids.indexOf(id)].sort((x, y) => x - y) as [number, number];
    if (a < 0) {
      toggle(id);
      return;
    }
    chosen.value = new Set([...chosen.value, ...ids.slice(a, b + 1)]);
  };
  const chooseAll = (): void => {
    chosen.value = new Set(shown.value.map((s) => s.facts.shot.id));
  };
  const clear = (): void => {
    chosen.value = new Set();
    anchor = '';
  };
  /** Chosen rows that still are there, in list order. */
  const picked = computed(() => (derivedFilm.derived?.order ?? []).filter((id) => chosen.value.has(id)));
  return {
    wanted,
    activeFilters,
    columnIds,
    columns,
    chosen,
    picked,
    shown,
    matchesGround,
    toolsShown,
    matches,
    toggleColumn,
    toggleFilter,
    toggle,
    reachTo,
    chooseAll,
    clear,
  };
});
