import type { DerivedShot } from '@core/film';
import { type Warning, bySeverity } from '@core/warnings';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';

type Told = ReadonlyMap<string, readonly Warning[]>;
interface Source {
  readonly shots: Told;
  readonly places: Told;
}

const NOTHING: Source = { shots: new Map(), places: new Map() };
const NONE: readonly Warning[] = [];

const merged = (maps: readonly Told[]): Told => {
  if (maps.length === 1 && maps[0]) return maps[0];
  const all = new Map<string, readonly Warning[]>();
  for (const map of maps)
    for (const [id, list] of map) if (list.length > 0) all.set(id, [...(all.get(id) ?? NONE), ...list]);
  return all;
};

/** What was found beside the page, a moment after a change: by shot and by place. Each room that looks for it tells its own. */
export const useFindings = defineStore('findings', () => {
  const sources = shallowRef<Readonly<Record<string, Source>>>({});
  const shots = computed(() => merged(Object.values(sources.value).map((s) => s.shots)));
  const places = computed(() => merged(Object.values(sources.value).map((s) => s.places)));
  /** Replaces what one room found before. */
  const tell = (who: string, found: Source): void => {
    sources.value = { ...sources.value, [who]: found };
  };
  /** What one room found. */
  const by = (who: string): Source => sources.value[who] ?? NOTHING;
  /** Everything to be said about a shot, gravest first. */
  const about = (shot: DerivedShot): readonly Warning[] => {
    const more = shots.value.get(shot.facts.shot.id) ?? NONE;
    return more.length > 0 ? bySeverity([...shot.warnings, ...more]) : shot.warnings;
  };
  return { shots, places, tell, by, about };
});
