import { MINUTE_MS } from '../time';
import {
  describeChoice,
  exposureRamp,
  exposureSpan,
  fewestChanges,
  filterStops,
  spanHolds,
  rampSetting,
  type ExposureChoice,
  type ExposureSpan,
  type ExposureTask,
  type Ramp,
} from '../exposure';
import type { Kit } from '../model';
import { groupBy, type Steps, toEnd } from '../units';
import { lightCurve, sceneLight, type LightPoint, type SceneConditions } from '../light';
import type { PlannedShot, LocationPlan, TimedFlight } from '../day';
import { conditionsOf, type LocationLight, exposureTask, filtersFor, type OnLens } from '../shot';

/** How far before and after a flight a filter's hold is followed. */
const FOLLOW_MS = 4 * 3_600_000;

/** A filter with the stretch of time it bears the light of a flight's shots in. */
export interface Hold extends OnLens {
  readonly fromMs: number;
  readonly toMs: number;
}

/** Shots of a flight that share a filter; between two such parts there is a landing. */
export interface FilterPart extends OnLens {
  readonly shotIds: readonly string[];
  readonly fromMs: number;
  readonly toMs: number;
  /** From when to when it bears these shots; null where it does not even at their own minutes. */
  readonly holds: Hold | null;
  /** The filter of the kit that would bear them longest about their minutes. */
  readonly longest: Hold | null;
}

/** A setting at a moment. */
export interface SettingAt {
  readonly utcMs: number;
  readonly ev100: number;
  readonly choice: ExposureChoice | null;
}

/** What to dial in for a shot, and how it runs on. */
export interface ExposureRow {
  readonly shotId: string;
  readonly start: SettingAt;
  readonly middle: SettingAt;
  readonly end: SettingAt;
  /** Stops per minute the light moves; + grows. */
  readonly stopsPerMinute: number;
  /** How a time-lapse follows the light; null for everything else. */
  readonly ramp: Ramp | null;
  readonly part: number;
  readonly lands: boolean;
  readonly holds: boolean;
}

/** Exposure of one flight over time. */
export interface FlightExposure {
  readonly flight: TimedFlight;
  readonly index: number;
  readonly parts: readonly FilterPart[];
  readonly rows: readonly ExposureRow[];
  readonly curve: readonly LightPoint[];
}

interface Member {
  readonly shot: PlannedShot;
  readonly conditions: SceneConditions;
  readonly span: ExposureSpan | null;
  readonly fromMs: number;
  readonly toMs: number;
}

const memberOf = (shot: PlannedShot, lit: LocationLight, kit: Kit, flight: TimedFlight): Member => {
  const { facts, light } = shot;
  const conditions = conditionsOf(lit, facts);
  const fromMs = flight.shotMs[facts.shot.id] ?? flight.startMs;
  const task = light && exposureTask(facts, kit, light.scene, light.sun.altitudeDeg, undefined);
  const clean =
    task && task.mainsHz !== null
      ? Math.log2(task.isoCeiling / task.isoBase)
      : facts.film.preferences.cleanIsoStops;
  return {
    shot,
    conditions,
    fromMs,
    toMs: fromMs + facts.seconds.airS * 1000,
    span: task && exposureSpan({ ...task, fixed: { ...task.fixed, filterId: undefined } }, clean),
  };
};

const bears = (members: readonly Member[], stops: number, utcMs: number): boolean =>
  members.every((m) => m.span !== null && spanHolds(m.span, sceneLight(utcMs, m.conditions).ev100, stops));

/** Follows a filter's hold outward from a stretch, minute by minute. */
const holdOf = (members: readonly Member[], lens: OnLens, fromMs: number, toMs: number): Hold | null => {
  const steps = Math.max(1, Math.ceil((toMs - fromMs) / MINUTE_MS));
  for (let i = 0; i <= steps; i += 1)
    if (!bears(members, lens.stops, fromMs + ((toMs - fromMs) * i) / steps)) return null;
  const reach = (start: number, step: number): number => {
    let at = start;
    while (Math.abs(at + step - start) <= FOLLOW_MS && bears(members, lens.stops, at + step)) at += step;
    return at;
  };
  return { ...lens, fromMs: reach(fromMs, -MINUTE_MS), toMs: reach(toMs, MINUTE_MS) };
};

const partsOf = (members: readonly Member[], kit: Kit): FilterPart[] => {
  const groups: Member[][] = [];
  for (const m of members) {
    const part = m.shot.filter?.part ?? 0;
    (groups[part] ??= []).push(m);
  }
  return groups.map((group): FilterPart => {
    const [first] = group;
    const fromMs = Math.min(...group.map((m) => m.fromMs));
    const toMs = Math.max(...group.map((m) => m.toMs));
    const own: OnLens = {
      filterId: first?.shot.filter?.filterId ?? null,
      stops: first?.shot.filter?.stops ?? 0,
    };
    const all: OnLens[] = first
      ? [
          { filterId: null, stops: 0 },
          ...filtersFor(first.shot.facts, kit).map((f) => ({ filterId: f.id, stops: filterStops(f.factor) })),
        ]
      : [];
    const held = all.flatMap((lens) => {
      const hold = holdOf(group, lens, fromMs, toMs);
      return hold ? [hold] : [];
    });
    const longest = held.reduce<Hold | null>(
      (best, h) => (!best || h.toMs - h.fromMs > best.toMs - best.fromMs ? h : best),
      null,
    );
    return {
      ...own,
      shotIds: group.map((m) => m.shot.facts.shot.id),
      fromMs,
      toMs,
      holds: holdOf(group, own, fromMs, toMs),
      longest,
    };
  });
};

/** Frames of a time-lapse; null for everything that is exposed otherwise. */
const lapseOf = ({ shot: { facts } }: Member): { count: number; everyS: number } | null =>
  facts.trajectory?.frames?.by === 'interval' ? facts.trajectory.frames : null;

/** Moments of a shot its settings are given for; of a time-lapse those of its first take. */
const momentsOf = (m: Member): readonly number[] => {
  const lapse = lapseOf(m);
  const toMs = lapse ? m.fromMs + (lapse.count - 1) * lapse.everyS * 1000 : m.toMs;
  return [m.fromMs, (m.fromMs + toMs) / 2, toMs];
};

/** Settings of a shot over its time, and its ramp. */
interface Settings {
  readonly at: readonly SettingAt[];
  readonly ramp: Ramp | null;
}

interface Moment {
  readonly utcMs: number;
  readonly ev100: number;
  readonly task: ExposureTask;
  readonly take: string;
}

/** A time-lapse keeps what its first frame was dialled to and follows the light from there, notch by notch. */
const ramped = (m: Member, moments: readonly Moment[], start: ExposureChoice): Settings | null => {
  const [first] = moments;
  const lapse = lapseOf(m);
  if (!first || !lapse) return null;
  const evAt = (s: number): number => sceneLight(first.utcMs + s * 1000, m.conditions).ev100;
  const ramp = exposureRamp(first.task, start, evAt, lapse);
  return {
    ramp,
    at: moments.map(({ utcMs, ev100, task }) => {
      const reached = rampSetting(ramp, start, (utcMs - first.utcMs) / 1000);
      return { utcMs, ev100, choice: describeChoice(task, { ...start, ...reached }) };
    }),
  };
};

/** Settings of a flight's shots at their start, middle and end: as few dials moved as can be, camera by camera. */
const settingsOf = (members: readonly Member[], kit: Kit, lit: LocationLight): Settings[] => {
  const rows = members.map((member) => ({
    member,
    moments: momentsOf(member).map((utcMs): Moment => {
      const { facts, filter } = member.shot;
      const scene = sceneLight(utcMs, member.conditions);
      const altitudeDeg = conditionsOf(lit).altitudeAt(utcMs);
      const task = exposureTask(facts, kit, scene, altitudeDeg, filter ?? undefined);
      return { utcMs, ev100: scene.ev100, task, take: facts.shot.id };
    }),
  }));
  const choices = new Map<Moment, ExposureChoice | null>();
  const cameras = groupBy(
    rows,
    ({ member: { shot } }) => `${shot.facts.camera?.id ?? ''}|${shot.facts.mode?.fps ?? ''}`,
  );
  for (const [, own] of cameras) {
    const moments = own.flatMap((o) => (lapseOf(o.member) ? o.moments.slice(0, 1) : o.moments));
    const tolerance = own[0]?.member.shot.facts.film.preferences.settingRegretStops ?? 0;
    fewestChanges(moments, tolerance).forEach((choice, i) => {
      const moment = moments[i];
      if (moment) choices.set(moment, choice);
    });
  }
  return rows.map(({ member, moments }) => {
    const start = moments[0] && choices.get(moments[0]);
    return (
      (start && ramped(member, moments, start)) ?? {
        ramp: null,
        at: moments.map((m) => ({ utcMs: m.utcMs, ev100: m.ev100, choice: choices.get(m) ?? null })),
      }
    );
  });
};

const rowOf = (m: Member, { at: [start, middle, end], ramp }: Settings): ExposureRow[] => {
  const { facts, filter } = m.shot;
  if (!start || !middle || !end) return [];
  return [
    {
      shotId: facts.shot.id,
      start,
      middle,
      end,
      ramp,
      stopsPerMinute: (end.ev100 - start.ev100) / Math.max(1 / 60, (end.utcMs - start.utcMs) / MINUTE_MS),
      part: filter?.part ?? 0,
      lands: filter?.lands ?? false,
      holds: filter?.holds ?? false,
    },
  ];
};

/** What the exposure of a flight follows from, besides the flight. */
export interface ExposureInputs {
  readonly shots: ReadonlyMap<string, PlannedShot>;
  readonly kit: Kit;
  readonly lit: LocationLight;
}

/** Exposure of one flight of a location over time: filters and how long they hold, settings shot by shot, the light under them. */
export const flightExposure = (
  place: LocationPlan,
  flight: TimedFlight,
  { shots, kit, lit }: ExposureInputs,
): FlightExposure => {
  const members = flight.stops.flatMap((s) => {
    const shot = shots.get(s.shotId);
    return shot ? [memberOf(shot, lit, kit, flight)] : [];
  });
  const settings = settingsOf(members, kit, lit);
  return {
    flight,
    index: place.flights.indexOf(flight),
    parts: partsOf(members, kit),
    rows: members.flatMap((m, i) => rowOf(m, settings[i] ?? { at: [], ramp: null })),
    curve: lightCurve(flight.startMs, flight.endMs, MINUTE_MS, conditionsOf(lit)),
  };
};

/** Exposure of a location's flights, one a step: for who must not be kept waiting. */
export const exposureSteps = function* (
  place: LocationPlan,
  inputs: ExposureInputs,
): Steps<readonly FlightExposure[]> {
  const made: FlightExposure[] = [];
  for (const flight of place.flights) {
    made.push(flightExposure(place, flight, inputs));
    yield;
  }
  return made;
};

/** Exposure of a location's flights. */
export const exposurePlan = (
  place: LocationPlan,
  shots: ReadonlyMap<string, PlannedShot>,
  kit: Kit,
  lit: LocationLight,
): readonly FlightExposure[] => toEnd(exposureSteps(place, { shots, kit, lit }));
