import { bracketPlan, lockRule, rampSteps, rampWhy, type ExposureChoice, type Ramp } from '../exposure';
import { kelvinFor } from '../light';
import { depthOfField } from '../lens';
import type { ProfileSchool } from '../model';
import { measured, message, messageKey, plainText, type Message } from '../messages';
import { writeShutter } from '../units';
import type { PlannedShot } from '../day';
import { profileOf, schoolOf } from '../shot';

/** What a line of the set-up sheet is worked out from. */
export interface SetupContext {
  readonly shot: PlannedShot;
  readonly choice: ExposureChoice | null;
  readonly filterName: string;
  /** How a time-lapse follows the light; null for everything else. */
  readonly ramp: Ramp | null;
  /** Stops the light moves while one take lasts. */
  readonly driftStops: number;
}

export interface SetupValue {
  readonly text: Message;
  readonly why: Message;
}

/** What is dialled in; how it is named is the interface's. */
export type SetupId =
  | 'mode'
  | 'profile'
  | 'exposure'
  | 'ramp'
  | 'filter'
  | 'white-balance'
  | 'focus'
  | 'zoom'
  | 'lock'
  | 'bracket'
  | 'zebra'
  | 'histogram'
  | 'mains'
  | 'grid'
  | 'sticks';

/** One thing to dial in before take-off. One entry each, registered in one list. */
export interface SetupLine {
  readonly id: SetupId;
  readonly of: (c: SetupContext) => SetupValue | null;
}

const metres = (value: number) => measured(value, 'metres', 1);

const ZEBRA: Readonly<Record<ProfileSchool, string>> = {
  standard: '95 %',
  flat: '80 %',
  'high-dynamic': '90 %',
};

const mode: SetupLine = {
  id: 'mode',
  of: ({ shot: { facts } }) =>
    facts.mode && {
      text: plainText(
        `${facts.mode.widthPx} × ${facts.mode.heightPx}, ${facts.mode.fps} fps, ${facts.mode.megabitsPerS} Mbit/s${facts.mode.codec ? `, ${facts.mode.codec}` : ''}`,
      ),
      why:
        facts.mode.fps > facts.film.timelineFps + 0.5
          ? message('setup.mode.slow', { fps: facts.mode.fps, timeline: facts.film.timelineFps })
          : message('setup.mode.same'),
    },
};

const profile: SetupLine = {
  id: 'profile',
  of: ({ shot: { facts, light } }) => {
    const school = schoolOf(facts.film, facts.shot, light?.sun.altitudeDeg ?? 0);
    const own = profileOf(facts.camera, school);
    const missing = facts.camera !== null && own === null && school !== 'standard';
    return {
      text: missing
        ? message('setup.profile.missing', { school })
        : own
          ? plainText(own.name)
          : message('setup.profile.standard'),
      why: missing
        ? message('setup.profile.missing.why', { camera: facts.camera?.name ?? '', school })
        : message('setup.profile.why', { school }),
    };
  },
};

const exposure: SetupLine = {
  id: 'exposure',
  of: ({ choice, shot: { facts } }) =>
    choice && {
      text: plainText(`f/${choice.aperture}, ${writeShutter(choice.shutterS)}, ISO ${choice.iso}`),
      why: facts.trajectory?.frames
        ? message('setup.exposure.frame')
        : message('setup.exposure.minute', { angle: measured(choice.shutterAngleDeg, 'degrees', 0) }),
    },
};

const ramp: SetupLine = {
  id: 'ramp',
  of: ({ ramp: own }) => own && { text: rampSteps(own), why: rampWhy(own) },
};

const filter: SetupLine = {
  id: 'filter',
  of: ({ choice, filterName }) =>
    choice &&
    (choice.filterId === null
      ? { text: message('setup.filter.none'), why: message('setup.filter.none.why') }
      : {
          text: plainText(filterName),
          why: message('setup.filter.why', { stops: measured(choice.ndStops, 'stops', 1) }),
        }),
};

const whiteBalance: SetupLine = {
  id: 'white-balance',
  of: ({ shot: { facts, light } }) => {
    if (facts.film.preferences.whiteBalance === 'automatic' && facts.shot.kelvin === null)
      return { text: message('setup.white.automatic'), why: message('setup.white.automatic.why') };
    const advice = kelvinFor(light?.sun.altitudeDeg ?? 40, facts.location.sky, facts.location.lamps);
    return {
      text: message('setup.white.locked', { kelvin: facts.shot.kelvin ?? advice.kelvin }),
      why:
        facts.shot.kelvin === null
          ? message('setup.white.advice', { advice: advice.why })
          : message('setup.white.hand'),
    };
  },
};

/** Where the lens is sharp with the focus at a distance; null where that cannot be known. */
const sharpAt = ({ shot: { facts }, choice }: SetupContext, focusM: number) => {
  const { camera } = facts;
  return camera?.sensorDiagonalMm && choice
    ? depthOfField(camera.equivalentMm, camera.sensorDiagonalMm, choice.aperture, focusM)
    : null;
};

const focusFar = (c: SetupContext): SetupValue => {
  const { rangeM } = c.shot.facts;
  const sharp = sharpAt(c, Infinity);
  return {
    text: message('setup.focus.far'),
    why: sharp
      ? message('setup.focus.far.sharp', {
          near: metres(sharp.nearM),
          here: metres(rangeM),
          enough: rangeM < sharp.nearM ? 'no' : 'yes',
        })
      : message('setup.focus.far.why'),
  };
};

const focusAt = (c: SetupContext, atM: number): SetupValue => {
  const sharp = sharpAt(c, atM);
  return {
    text: message('setup.focus.at', { at: metres(atM) }),
    why: sharp
      ? message('setup.focus.at.sharp', {
          near: metres(sharp.nearM),
          to: Number.isFinite(sharp.farM) ? metres(sharp.farM) : message('setup.focus.endless'),
        })
      : message('setup.focus.at.why'),
  };
};

const focus: SetupLine = {
  id: 'focus',
  of: (c) => {
    const { camera, shot } = c.shot.facts;
    if (!camera) return null;
    if (camera.focus === 'fixed')
      return { text: message('setup.focus.fixed'), why: message('setup.focus.fixed.why') };
    return shot.focusM === null ? focusFar(c) : focusAt(c, shot.focusM);
  },
};

const zoom: SetupLine = {
  id: 'zoom',
  of: ({ shot: { facts } }) => {
    const { camera, mode: m, shot } = facts;
    if (!camera || !m) return null;
    const most = m.maxZoom > 0 ? Math.min(m.maxZoom, camera.maxZoom) : camera.maxZoom;
    return {
      text: plainText(`×${shot.zoom}`),
      why:
        shot.zoom > m.losslessZoom
          ? message('setup.zoom.loss', {
              most,
              lossless: m.losslessZoom,
              zoom: shot.zoom,
              pixels: Math.round((m.widthPx * m.losslessZoom) / shot.zoom),
            })
          : message('setup.zoom.why', { most, lossless: m.losslessZoom }),
    };
  },
};

const MUCH_DRIFT = 0.3;
const lock: SetupLine = {
  id: 'lock',
  of: ({ shot: { facts }, driftStops, ramp: own }) => {
    const frames = facts.trajectory?.frames;
    if (own && own.steps.length > 0)
      return { text: message('setup.lock.ramp'), why: message('setup.lock.ramp.why') };
    if (frames)
      return {
        text: message('setup.lock.all'),
        why: lockRule(
          facts.shot.move.kind === 'panorama'
            ? 'panorama'
            : frames.by === 'interval'
              ? 'time-lapse'
              : 'bracket',
        ),
      };
    return Math.abs(driftStops) > MUCH_DRIFT
      ? {
          text: message('setup.lock.each'),
          why: message('setup.lock.each.why', { stops: measured(Math.abs(driftStops), 'stops', 1) }),
        }
      : { text: message('setup.lock.once'), why: message('setup.lock.once.why') };
  },
};

const bracket: SetupLine = {
  id: 'bracket',
  of: ({ shot: { facts, light } }) => {
    if (facts.shot.move.kind !== 'bracket' || !facts.trajectory?.frames) return null;
    const low = (light?.sun.altitudeDeg ?? 40) < 10;
    const plan = bracketPlan(
      facts.trajectory.frames.count,
      light?.sunInLens ? 'sunInFrame' : (light?.sun.altitudeDeg ?? 0) < -4 ? 'night' : low ? 'low' : 'plain',
    );
    return {
      text: message('setup.bracket', {
        stills: facts.trajectory.frames.count,
        step: measured(plan.stepStops, 'stops', 1),
      }),
      why: plan.why,
    };
  },
};

const zebra: SetupLine = {
  id: 'zebra',
  of: ({ shot: { facts, light } }) => {
    const school = schoolOf(facts.film, facts.shot, light?.sun.altitudeDeg ?? 0);
    return {
      text: plainText(ZEBRA[school]),
      why: school === 'flat' ? message('setup.zebra.flat') : message('setup.zebra.why'),
    };
  },
};

const histogram: SetupLine = {
  id: 'histogram',
  of: ({ shot: { facts } }) => {
    const bias = facts.film.preferences.highlightBiasStops;
    return {
      text:
        bias < 0
          ? message('setup.histogram.left', { stops: measured(Math.abs(bias), 'stops', 1) })
          : message('setup.histogram.right'),
      why: message('setup.histogram.why'),
    };
  },
};

const mains: SetupLine = {
  id: 'mains',
  of: ({ shot: { facts } }) => ({
    text: plainText(`${facts.location.mainsHz} Hz`),
    why: facts.location.lamps === 'none' ? message('setup.mains.why') : message('setup.mains.lamps'),
  }),
};
const grid: SetupLine = {
  id: 'grid',
  of: ({ shot: { facts } }) => ({
    text:
      facts.film.aspect === '16:9'
        ? message('setup.grid')
        : message('setup.grid.aspect', { aspect: facts.film.aspect }),
    why: message('setup.grid.why'),
  }),
};
const sticks: SetupLine = {
  id: 'sticks',
  of: ({ shot: { facts } }) => ({
    text: message('setup.sticks', { handling: facts.shot.handling }),
    why: message('setup.sticks.why'),
  }),
};

/** Everything that is dialled in before a flight. A new one is an entry here. */
export const SETUP_LINES: readonly SetupLine[] = [
  mode,
  profile,
  exposure,
  ramp,
  filter,
  whiteBalance,
  focus,
  zoom,
  lock,
  bracket,
  zebra,
  histogram,
  mains,
  grid,
  sticks,
];

/** A line of a sheet: for the first shot, and where a later shot of the flight wants something else. */
export interface SheetLine extends SetupValue {
  readonly id: SetupId;
  /** Another than on the flight before with this aircraft: to be dialled in anew. */
  readonly differs: boolean;
  readonly later: readonly (SetupValue & { readonly number: number })[];
}

const same = (a: Message | undefined, b: Message): boolean =>
  a !== undefined && messageKey(a) === messageKey(b);

const linesOf = (c: SetupContext): Map<string, SetupValue> =>
  new Map(
    SETUP_LINES.flatMap((line) => {
      const value = line.of(c);
      return value ? [[line.id, value] as const] : [];
    }),
  );

/**
 * Set-up sheet of a flight.
 * @param contexts its shots in flight order
 * @param before what the last shot flown with this aircraft left dialled in; null for the first flight
 */
export const setupSheet = (
  contexts: readonly SetupContext[],
  before: ReadonlyMap<string, SetupValue> | null,
): { readonly lines: readonly SheetLine[]; readonly left: ReadonlyMap<string, SetupValue> } => {
  const all = contexts.map((c) => ({ number: c.shot.number, values: linesOf(c) }));
  const left = new Map(before ?? []);
  const lines = SETUP_LINES.flatMap((line): SheetLine[] => {
    const first = all.find((a) => a.values.has(line.id))?.values.get(line.id);
    if (!first) return [];
    const later: (SetupValue & { number: number })[] = [];
    let now = first.text;
    for (const { number, values } of all) {
      const value = values.get(line.id);
      if (value && messageKey(value.text) !== messageKey(now)) {
        later.push({ number, ...value });
        now = value.text;
      }
    }
    left.set(line.id, { ...first, text: now });
    return [
      {
        id: line.id,
        ...first,
        later,
        differs: before !== null && !same(before.get(line.id)?.text, first.text),
      },
    ];
  });
  return { lines, left };
};
