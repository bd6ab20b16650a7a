import type { DerivedShot, Warning } from '@core/film';
import { bySeverity } from '@core/warnings';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';

/** What was found beside the page, a moment after a change: by shot and by place. The rooms that look for it fill it in. */
export const useFindings = defineStore('findings', () => {
  const shots = shallowRef<ReadonlyMap<string, readonly Warning[]>>(new Map());
  const places = shallowRef<ReadonlyMap<string, readonly Warning[]>>(new Map());
  /** Everything to be said about a shot, gravest first. */
  const about = (shot: DerivedShot): readonly Warning[] => {
    const more = shots.value.get(shot.facts.shot.id) ?? [];
    return more.length > 0 ? bySeverity([...shot.warnings, ...more]) : shot.warnings;
  };
  return { shots, places, about };
});
