import type { DerivedShot } from '@core/film';
import { type Warning, bySeverity } from '@core/warnings';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';

type WarningsById = ReadonlyMap<string, readonly Warning[]>;
interface Source {
  readonly shots: WarningsById;
  readonly places: WarningsById;
}

const NOTHING: Source = { shots: new Map(), places: new Map() };
const NONE: readonly Warning[] = [];

const merged = (maps: readonly WarningsById[]): WarningsById => {
  if (maps.length === 1 && maps[0]) return maps[0];
  const all = new Map<string, readonly Warning[]>();
  for (const map of maps)
    for (const [id, list] of map) if (list.length > 0) all.set(id, [...(all.get(id) ?? NONE), ...list]);
  return all;
};

/** What was found beside the page, a moment after a change: by shot and by place. Each room that looks for it reports its own. */
export const useFindings = defineStore('findings', () => {
  const sources = shallowRef<Readonly<Record<string, Source>>>({});
  const shots = computed(() => merged(Object.values(sources.value).map((s) => s.shots)));
  const places = computed(() => merged(Object.values(sources.value).map((s) => s.places)));
  /** Replaces what one room found before. */
  const report = (room: string, found: Source): void => {
    sources.value = { ...sources.value, [room]: found };
  };
  /** What one room found. */
  const of = (room: string): Source => sources.value[room] ?? NOTHING;
  /** Everything to be said about a shot, gravest first. */
  const about = (shot: DerivedShot): readonly Warning[] => {
    const more = shots.value.get(shot.facts.shot.id) ?? NONE;
    return more.length > 0 ? bySeverity([...shot.warnings, ...more]) : shot.warnings;
  };
  return { shots, places, report, of, about };
});
