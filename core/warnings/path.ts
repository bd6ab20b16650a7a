import { SHEAR, windSpeedAt } from '../air';
import { fitSeconds } from '../moves';
import { speedText, secondsText } from './say';
import { easingOf, layoutOf, clearanceOf, depthOf, subjectAt } from '../shot';
import { onShot, type ShotContext, type ShotRule } from './context';
import type { Cure } from './types';

/** The numbers of the move describe no path. */
export const noPath: ShotRule = (c) =>
  c.facts.noPath === null
    ? null
    : {
        code: 'move.no-path',
        severity: 'stop',
        subject: onShot(c),
        say: c.facts.noPath,
        why: 'Without a path there is nothing to time, fly or budget.',
        cures: [],
      };

export const noSubject: ShotRule = (c) =>
  c.facts.subject
    ? null
    : {
        code: 'shot.no-subject',
        severity: 'note',
        subject: onShot(c),
        say: 'No subject chosen: the move is laid out 60 m north of the launch point.',
        why: 'Path, framing and pace all follow from what the camera aims at.',
        cures: [{ say: 'Choose a subject, or add one to the location.' }],
      };

const fitCure = (
  c: ShotContext,
  by: 'speed' | 'length',
  say: (values: Readonly<Record<string, number>>) => string,
): Cure[] => {
  const { facts } = c;
  if (!facts.move) return [];
  const fit = fitSeconds(
    by,
    facts.move,
    facts.shot.move.values,
    layoutOf(facts).lay,
    easingOf(facts.film),
    facts.shot.cutStyle,
    facts.wantedS + 1e-6,
  );
  if (!fit.ok) return [];
  return [
    {
      say: say(fit.value),
      set: { entity: 'shot', id: facts.shot.id, fields: { move: { ...facts.shot.move, values: fit.value } } },
    },
  ];
};

/** The steady part is shorter than the cut needs. */
export const tooShort: ShotRule = (c) => {
  const { trajectory, wantedS, shot } = c.facts;
  if (!trajectory || trajectory.usableS >= wantedS - 0.05) return null;
  return {
    code: 'move.too-short',
    severity: 'care',
    subject: onShot(c),
    say: `${secondsText(trajectory.usableS)} usable, ${secondsText(wantedS)} wanted.`,
    why:
      shot.cutStyle === 'in-motion'
        ? 'Cut in motion, only the part at full speed counts.'
        : 'The whole move is shorter than the cut and the minimum hold ask for.',
    cures: [
      ...fitCure(
        c,
        'speed',
        (v) => `Fly it at ${speedText(v['speedMs'] ?? NaN, v['rateDegS'], c.facts.film.units)}.`,
      ),
      ...fitCure(c, 'length', () => 'Make the path longer to fit.'),
    ],
  };
};

/** The aircraft cannot fly that fast through the air of the day. */
export const tooFast: ShotRule = (c) => {
  const { aircraft, energy, trajectory, location, shot, film } = c.facts;
  if (!aircraft || !energy || !trajectory || energy.path.peakAirspeedMs <= aircraft.maxSpeedMs) return null;
  // Speed over ground plus all of the wind is never less than the airspeed, whichever way the path runs.
  const wind = windSpeedAt(location.windMs, trajectory.highestM, SHEAR[location.terrain]);
  const slower =
    shot.move.values['speedMs'] === undefined ? NaN : Math.floor((aircraft.maxSpeedMs - wind) * 10) / 10;
  return {
    code: 'move.too-fast',
    severity: 'stop',
    subject: onShot(c),
    say: `Needs ${speedText(energy.path.peakAirspeedMs, undefined, film.units)} through the air; ${aircraft.name} manages ${speedText(aircraft.maxSpeedMs, undefined, film.units)}.`,
    why: 'Speed over ground and the wind add up.',
    cures:
      slower > 0.1
        ? [
            {
              say: `Fly it at ${speedText(slower, undefined, film.units)}.`,
              set: {
                entity: 'shot',
                id: shot.id,
                fields: { move: { ...shot.move, values: { ...shot.move.values, speedMs: slower } } },
              },
            },
          ]
        : [{ say: 'Wait for less wind, or use a faster aircraft.' }],
  };
};

export const yawTooFast: ShotRule = (c) => {
  const { aircraft, trajectory } = c.facts;
  if (!aircraft || !trajectory || trajectory.peakYawDegS <= aircraft.maxYawDegS) return null;
  return {
    code: 'move.yaw',
    severity: 'care',
    subject: onShot(c),
    say: `Turns at ${trajectory.peakYawDegS.toFixed(0)}°/s; ${aircraft.name} is set to ${aircraft.maxYawDegS.toFixed(0)}°/s.`,
    why: 'The aircraft lags behind the circle and the subject leaves the frame.',
    cures: [{ say: 'Fly slower, or wider.' }],
  };
};

export const underGround: ShotRule = (c) => {
  const {
    trajectory,
    aim,
    ground,
    overGround: { lowestM },
    film,
  } = c.facts;
  if (!trajectory) return null;
  const under = lowestM <= 0.3;
  if (ground ? lowestM >= film.preferences.groundM : !under) return null;
  return {
    code: 'move.ground',
    severity: under ? 'stop' : 'care',
    subject: onShot(c),
    say: ground
      ? under
        ? `The path meets the ground: ${lowestM.toFixed(1)} m above it at the lowest.`
        : `The path comes down to ${lowestM.toFixed(1)} m above the ground below it.`
      : `The path comes down to ${lowestM.toFixed(1)} m above the launch point.`,
    why: ground
      ? `From the height grid of the place; ${film.preferences.groundM.toFixed(1)} m are kept.`
      : 'The ground is taken as level with the launch point here.',
    cures: [
      ...(ground
        ? [
            {
              say: 'Keep the height over ground: it climbs with it.',
              set: { entity: 'shot' as const, id: c.facts.shot.id, fields: { overGround: true } },
            },
          ].filter(() => !c.facts.shot.overGround)
        : []),
      {
        say:
          aim.aim.z < 0
            ? 'The subject lies lower than the launch point: check its foot.'
            : 'Raise the lowest height of the move.',
      },
    ],
  };
};

/** Free air that is kept from the subject at the least, m. */
const SUBJECT_CLEARANCE_M = 1;

export const tooClose: ShotRule = (c) => {
  const { facts } = c;
  const { trajectory, subject } = facts;
  // A gap is flown through on purpose, and has a rule of its own.
  if (!trajectory || !subject || trajectory.gap) return null;
  const clearance = clearanceOf(subject);
  const free = trajectory.samples.reduce(
    (least, s) => Math.min(least, clearance(subjectAt(facts, s.timeS), s.pose.at)),
    Infinity,
  );
  if (free >= SUBJECT_CLEARANCE_M) return null;
  return {
    code: 'move.subject',
    severity: 'stop',
    subject: onShot(c),
    say:
      free <= 0
        ? `The path goes through ${subject.name}.`
        : `Comes within ${free.toFixed(1)} m of ${subject.name}.`,
    why: `It is taken as ${subject.widthM.toFixed(1)} m long, ${depthOf(subject).toFixed(1)} m deep and ${subject.heightM.toFixed(1)} m high, lying along ${subject.headingDeg.toFixed(0)}°.`,
    cures: [{ say: 'Keep a larger distance or radius, or fly above it.' }],
  };
};

export const aboveCeiling: ShotRule = (c) => {
  const {
    trajectory,
    location,
    ground,
    overGround: { highestM },
  } = c.facts;
  if (!trajectory || highestM <= location.ceilingM) return null;
  return {
    code: 'move.ceiling',
    severity: 'stop',
    subject: onShot(c),
    say: `${ground ? `Is up to ${highestM.toFixed(0)} m above the ground below` : `Climbs to ${highestM.toFixed(0)} m`}; the ceiling set for this place is ${location.ceilingM.toFixed(0)} m.`,
    why:
      ground && trajectory.highestM <= location.ceilingM
        ? `Only ${trajectory.highestM.toFixed(0)} m above launch, but the ground falls away under it. Ceilings differ by country: check the local rule.`
        : 'Ceilings are above the ground below and differ by country: check the local rule.',
    cures: [{ say: 'Lower the highest point of the move.' }],
  };
};

/** Measured in beats without a tempo: the cut has no length. */
export const noTempo: ShotRule = (c) =>
  c.facts.shot.cut.by !== 'beats' || c.facts.film.tempoBpm > 0
    ? null
    : {
        code: 'cut.no-tempo',
        severity: 'care',
        subject: onShot(c),
        say: 'Measured in beats, but the film has no tempo.',
        why: 'Beats become seconds only with a tempo; the minimum hold is planned instead.',
        cures: [
          {
            say: 'Set the tempo on the job, or measure in seconds.',
            set: {
              entity: 'shot',
              id: c.facts.shot.id,
              fields: { cut: { ...c.facts.shot.cut, by: 'seconds' } },
            },
          },
        ],
      };

/** Digital zoom costs resolution; beyond the camera it is not there at all. */
export const zoomLoss: ShotRule = (c) => {
  const { shot, camera, mode } = c.facts;
  if (!camera || !mode || shot.zoom <= 1) return null;
  const beyond = shot.zoom > camera.maxZoom;
  return {
    code: beyond ? 'lens.zoom-beyond' : 'lens.zoom',
    severity: beyond ? 'stop' : 'note',
    subject: onShot(c),
    say: beyond
      ? `${camera.name} zooms to ×${camera.maxZoom}; ×${shot.zoom} is asked.`
      : `×${shot.zoom} leaves ${Math.round(mode.widthPx / shot.zoom)} × ${Math.round(mode.heightPx / shot.zoom)} pixels of picture.`,
    why: 'Digital zoom cuts out the middle of the sensor: the resolution is divided by it.',
    cures: [
      {
        say: beyond ? `Zoom ×${camera.maxZoom}.` : 'Fly nearer, or take a longer lens.',
        ...(beyond
          ? { set: { entity: 'shot' as const, id: shot.id, fields: { zoom: camera.maxZoom } } }
          : {}),
      },
    ],
  };
};

const SPEED_TOLERANCE = 0.1;

/** A move with a moving subject is flown at the subject's speed, or it drifts out of the frame. */
export const subjectSpeed: ShotRule = (c) => {
  const { move, shot, aim, subject, film } = c.facts;
  if (c.facts.direction !== 'with' || !move || !subject) return null;
  const speed = shot.move.values['speedMs'] ?? move.parameters.find((p) => p.id === 'speedMs')?.initial;
  if (speed === undefined) return null;
  if (aim.speedMs <= 0)
    return {
      code: 'move.subject-stands',
      severity: 'care',
      subject: onShot(c),
      say: `${subject.name} stands still, and this move goes along with it.`,
      why: 'Line and speed of the move come from the subject\u2019s own.',
      cures: [{ say: 'Give the subject a heading and a speed on its place.' }],
    };
  if (Math.abs(speed / aim.speedMs - 1) <= SPEED_TOLERANCE) return null;
  return {
    code: 'move.subject-speed',
    severity: 'care',
    subject: onShot(c),
    say: `Flown at ${speedText(speed, undefined, film.units)}; ${subject.name} goes ${speedText(aim.speedMs, undefined, film.units)}.`,
    why: 'At another speed than the subject\u2019s it drifts out of the frame.',
    cures: [
      {
        say: `Fly it at ${speedText(aim.speedMs, undefined, film.units)}.`,
        set: {
          entity: 'shot',
          id: shot.id,
          fields: { move: { ...shot.move, values: { ...shot.move.values, speedMs: aim.speedMs } } },
        },
      },
    ],
  };
};
