import { fewestChanges, type ExposureMoment } from '../exposure';
import { sceneLight } from '../light';
import { conditionsOf, type LocationLight, mainsIn } from '../shot';
import type { LightJob } from './job';
import type { SettingAt } from './plan';

/**
 * Settings minute by minute that are as the plan has them at its own minute and, from there, change as seldom as can be both
 * ways: who runs late or early finds a table to read aloud, not one that goes to and fro between neighbours.
 * @param planned which of the minutes is the plan's
 * @param setting what the plan has there; null leaves it free
 * @param toleranceStops regret a setting may cost over the best before it is changed, stops
 */
export const settingsAround = (
  lit: LocationLight,
  job: LightJob,
  minutes: readonly number[],
  planned: number,
  setting: { readonly aperture: number; readonly shutterS: number; readonly iso: number } | null,
  toleranceStops: number,
): readonly SettingAt[] => {
  const conditions = conditionsOf(lit, job);
  const scenes = minutes.map((utcMs) => sceneLight(utcMs, conditions));
  const moments = scenes.map((scene, i): ExposureMoment => {
    const task = { ...job.task, sceneEv100: scene.ev100, mainsHz: mainsIn(scene, lit.location) };
    return {
      task: i === planned && setting ? { ...task, fixed: { ...task.fixed, ...setting } } : task,
      take: String(i),
    };
  });
  const before = fewestChanges(moments.slice(0, planned + 1).reverse(), toleranceStops);
  const after = fewestChanges(moments.slice(planned), toleranceStops);
  const choices = [...before.reverse(), ...after.slice(1)];
  return minutes.map((utcMs, i) => ({
    utcMs,
    ev100: scenes[i]?.ev100 ?? NaN,
    choice: choices[i] ?? null,
  }));
};
