import { bracketPlan, LOCK_RULES, type ExposureChoice } from '../exposure';
import { kelvinFor } from '../light';
import { depthOfField } from '../lens';
import type { ProfileSchool } from '../model';
import { write, writeShutter, type Quantity, type UnitSystem } from '../units';
import type { PlannedShot } from '../day';
import { profileOf, schoolOf } from '../shot';

/** What a line of the set-up sheet is worked out from. */
export interface SetupContext {
  readonly shot: PlannedShot;
  readonly choice: ExposureChoice | null;
  readonly filterName: string;
  readonly units: UnitSystem;
  /** Stops the light moves while one take lasts. */
  readonly driftStops: number;
}

export interface SetupValue {
  readonly text: string;
  readonly why: string;
}

/** One thing to dial in before take-off. One entry each, registered in one list. */
export interface SetupLine {
  readonly id: string;
  readonly label: string;
  readonly of: (c: SetupContext) => SetupValue | null;
}

const text = (value: number, quantity: Quantity, units: UnitSystem): string => {
  const w = write(value, quantity, units);
  return `${w.number} ${w.unit}`;
};

const SCHOOL_SAYS: Readonly<Record<ProfileSchool, string>> = {
  standard: 'As it will be seen; little work after.',
  flat: 'For grading: shadows and highlights are kept, the picture is grey until it is graded. Expose it full, do not lift it later.',
  'high-dynamic': 'For high-dynamic screens; wants a cut made for them.',
};
const ZEBRA: Readonly<Record<ProfileSchool, string>> = {
  standard: '95 %',
  flat: '80 %',
  'high-dynamic': '90 %',
};

const mode: SetupLine = {
  id: 'mode',
  label: 'Recording',
  of: ({ shot: { facts } }) =>
    facts.mode && {
      text: `${facts.mode.widthPx} × ${facts.mode.heightPx}, ${facts.mode.fps} fps, ${facts.mode.megabitsPerS} Mbit/s${facts.mode.codec ? `, ${facts.mode.codec}` : ''}`,
      why:
        facts.mode.fps > facts.film.timelineFps + 0.5
          ? `Captured at ${facts.mode.fps}, the timeline runs at ${facts.film.timelineFps}: the shutter angle counts on the capture rate.`
          : 'Runs at the timeline rate.',
    },
};

const profile: SetupLine = {
  id: 'profile',
  label: 'Profile',
  of: ({ shot: { facts, light } }) => {
    const school = schoolOf(facts.film, facts.shot, light?.sun.altitudeDeg ?? 0);
    const own = profileOf(facts.camera, school);
    const missing = facts.camera !== null && own === null && school !== 'standard';
    return {
      text: missing ? `standard (no ${school} profile)` : (own?.name ?? 'Standard'),
      why: missing
        ? `${facts.camera?.name ?? 'This camera'} has no ${school} profile entered.`
        : SCHOOL_SAYS[school],
    };
  },
};

const exposure: SetupLine = {
  id: 'exposure',
  label: 'Exposure',
  of: ({ choice, shot: { facts } }) =>
    choice && {
      text: `f/${choice.aperture}, ${writeShutter(choice.shutterS)}, ISO ${choice.iso}`,
      why: facts.trajectory?.frames
        ? 'For its first frame.'
        : `For its first minute: shutter ${choice.shutterAngleDeg.toFixed(0)}°.`,
    },
};

const filter: SetupLine = {
  id: 'filter',
  label: 'Filter',
  of: ({ choice, filterName }) =>
    choice && {
      text: choice.filterId === null ? 'none' : `${filterName}`,
      why: choice.filterId === null ? 'The bare lens.' : `Takes ${choice.ndStops.toFixed(1)} stops.`,
    },
};

const whiteBalance: SetupLine = {
  id: 'white-balance',
  label: 'White balance',
  of: ({ shot: { facts, light } }) => {
    if (facts.film.preferences.whiteBalance === 'automatic' && facts.shot.kelvin === null)
      return { text: 'automatic', why: 'Set it back to a fixed figure the next day.' };
    const advice = kelvinFor(light?.sun.altitudeDeg ?? 40, facts.location.sky, facts.location.lamps);
    return {
      text: `locked at ${facts.shot.kelvin ?? advice.kelvin} K`,
      why: facts.shot.kelvin === null ? advice.why : 'Fixed by hand.',
    };
  },
};

const focus: SetupLine = {
  id: 'focus',
  label: 'Focus',
  of: ({ shot: { facts }, choice, units }) => {
    const { camera, shot } = facts;
    if (!camera) return null;
    if (camera.focus === 'fixed') return { text: 'fixed lens', why: 'Nothing to set.' };
    const at = shot.focusM;
    const sharp =
      camera.sensorDiagonalMm && choice
        ? depthOfField(camera.equivalentMm, camera.sensorDiagonalMm, choice.aperture, at ?? Infinity)
        : null;
    if (at === null)
      return {
        text: 'fixed, far',
        why: sharp
          ? `Sharp from ${text(sharp.nearM, 'metres', units)} on; nearest here ${text(facts.rangeM, 'metres', units)}${facts.rangeM < sharp.nearM ? ': focus nearer' : ''}.`
          : 'Set it once on something far, then leave it.',
      };
    return {
      text: `fixed at ${text(at, 'metres', units)}`,
      why: sharp
        ? `Sharp from ${text(sharp.nearM, 'metres', units)} to ${Number.isFinite(sharp.farM) ? text(sharp.farM, 'metres', units) : 'far'}.`
        : 'By hand.',
    };
  },
};

const zoom: SetupLine = {
  id: 'zoom',
  label: 'Zoom',
  of: ({ shot: { facts } }) => {
    const { camera, mode: m, shot } = facts;
    if (!camera || !m) return null;
    const most = m.maxZoom > 0 ? Math.min(m.maxZoom, camera.maxZoom) : camera.maxZoom;
    const loss =
      shot.zoom > m.losslessZoom
        ? ` ×${shot.zoom} leaves ${Math.round((m.widthPx * m.losslessZoom) / shot.zoom)} pixels across.`
        : '';
    return {
      text: `×${shot.zoom}`,
      why: `This mode zooms to ×${most}, up to ×${m.losslessZoom} without loss.${loss}`,
    };
  },
};

const MUCH_DRIFT = 0.3;
const lock: SetupLine = {
  id: 'lock',
  label: 'Exposure lock',
  of: ({ shot: { facts }, driftStops }) => {
    const frames = facts.trajectory?.frames;
    if (frames) {
      const rules =
        facts.shot.move.kind === 'panorama'
          ? LOCK_RULES.panorama
          : frames.by === 'interval'
            ? LOCK_RULES['time-lapse']
            : LOCK_RULES.bracket;
      return { text: 'locked, all of it', why: rules.join(' ') };
    }
    return Math.abs(driftStops) > MUCH_DRIFT
      ? {
          text: 'locked for each take',
          why: `The light moves ${Math.abs(driftStops).toFixed(1)} stops in a take: set it anew before each.`,
        }
      : { text: 'locked', why: 'Lock it before recording.' };
  },
};

const bracket: SetupLine = {
  id: 'bracket',
  label: 'Bracket',
  of: ({ shot: { facts, light } }) => {
    if (facts.shot.move.kind !== 'bracket' || !facts.trajectory?.frames) return null;
    const low = (light?.sun.altitudeDeg ?? 40) < 10;
    const plan = bracketPlan(
      facts.trajectory.frames.count,
      light?.sunInLens ? 'sunInFrame' : (light?.sun.altitudeDeg ?? 0) < -4 ? 'night' : low ? 'low' : 'plain',
    );
    return {
      text: `${facts.trajectory.frames.count} stills, ${plan.stepStops.toFixed(1)} stops apart`,
      why: plan.why,
    };
  },
};

const zebra: SetupLine = {
  id: 'zebra',
  label: 'Zebra',
  of: ({ shot: { facts, light } }) => {
    const school = schoolOf(facts.film, facts.shot, light?.sun.altitudeDeg ?? 0);
    return {
      text: ZEBRA[school],
      why: school === 'flat' ? 'Flat profiles put white lower.' : 'Stripes only where it may clip.',
    };
  },
};

const histogram: SetupLine = {
  id: 'histogram',
  label: 'Histogram',
  of: ({ shot: { facts } }) => {
    const bias = facts.film.preferences.highlightBiasStops;
    return {
      text: bias < 0 ? `${Math.abs(bias).toFixed(1)} stops left of full` : 'up to the right edge',
      why: 'A small sensor cannot win back clipped sky.',
    };
  },
};

const mains: SetupLine = {
  id: 'mains',
  label: 'Mains',
  of: ({ shot: { facts } }) => ({
    text: `${facts.location.mainsHz} Hz`,
    why:
      facts.location.lamps === 'none'
        ? 'Of this place, whatever the timeline rate.'
        : 'Lamps here pulse at twice that.',
  }),
};
const grid: SetupLine = {
  id: 'grid',
  label: 'Grid',
  of: ({ shot: { facts } }) => ({
    text: facts.film.aspect === '16:9' ? 'thirds' : `thirds, ${facts.film.aspect} marked`,
    why: 'For level horizons and the crop of the cut.',
  }),
};
const sticks: SetupLine = {
  id: 'sticks',
  label: 'Sticks',
  of: ({ shot: { facts } }) => ({ text: facts.shot.handling, why: 'Of the aircraft’s three settings.' }),
};

/** Everything that is dialled in before a flight. A new one is an entry here. */
export const SETUP_LINES: readonly SetupLine[] = [
  mode,
  profile,
  exposure,
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
  readonly id: string;
  readonly label: string;
  /** Another than on the flight before with this aircraft: to be dialled in anew. */
  readonly differs: boolean;
  readonly later: readonly { readonly number: number; readonly text: string; readonly why: string }[];
}

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
    const later: { number: number; text: string; why: string }[] = [];
    let now = first.text;
    for (const { number, values } of all) {
      const value = values.get(line.id);
      if (value && value.text !== now) {
        later.push({ number, ...value });
        now = value.text;
      }
    }
    left.set(line.id, { ...first, text: now });
    return [
      {
        id: line.id,
        label: line.label,
        ...first,
        later,
        differs: before !== null && before.get(line.id)?.text !== first.text,
      },
    ];
  });
  return { lines, left };
};
