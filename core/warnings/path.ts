import { measured, message, yesNo, type Message } from '../messages';
import { SHEAR, windSpeedAt } from '../air';
import { fitSeconds } from '../moves';
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
        why: message('move.no-path.why'),
        cures: [],
      };

export const noSubject: ShotRule = (c) =>
  c.facts.subject
    ? null
    : {
        code: 'shot.no-subject',
        severity: 'note',
        subject: onShot(c),
        say: message('shot.no-subject.say'),
        why: message('shot.no-subject.why'),
        cures: [{ say: message('shot.no-subject.cure') }],
      };

const fitCure = (
  c: ShotContext,
  by: 'speed' | 'length',
  say: (values: Readonly<Record<string, number>>) => Message,
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
  // Stills are counted, not timed.
  if (!trajectory || trajectory.frames?.by === 'stills' || trajectory.usableS >= wantedS - 0.05) return null;
  return {
    code: 'move.too-short',
    severity: 'care',
    subject: onShot(c),
    say: message('move.too-short.say', {
      usable: measured(trajectory.usableS, 'seconds', trajectory.usableS < 10 ? 1 : 0),
      wanted: measured(wantedS, 'seconds', wantedS < 10 ? 1 : 0),
    }),
    why: shot.cutStyle === 'in-motion' ? message('move.too-short.why') : message('move.too-short.why.else'),
    cures: [
      ...fitCure(c, 'speed', (v) =>
        message('move.too-short.cure', {
          speed:
            v['rateDegS'] === undefined
              ? measured(v['speedMs'] ?? NaN, 'speed')
              : measured(v['rateDegS'], 'degreesPerSecond'),
        }),
      ),
      ...fitCure(c, 'length', () => message('move.too-short.cure.length')),
    ],
  };
};

/** The aircraft cannot fly that fast through the air of the day. */
export const tooFast: ShotRule = (c) => {
  const { aircraft, energy, trajectory, location, shot } = c.facts;
  if (!aircraft || !energy || !trajectory || energy.path.peakAirspeedMs <= aircraft.maxSpeedMs) return null;
  // Speed over ground plus all of the wind is never less than the airspeed, whichever way the path runs.
  const wind = windSpeedAt(location.windMs, trajectory.highestM, SHEAR[location.terrain]);
  const slower =
    shot.move.values['speedMs'] === undefined ? NaN : Math.floor((aircraft.maxSpeedMs - wind) * 10) / 10;
  return {
    code: 'move.too-fast',
    severity: 'stop',
    subject: onShot(c),
    say: message('move.too-fast.say', {
      peakAirspeed: measured(energy.path.peakAirspeedMs, 'speed'),
      aircraft: aircraft.name,
      maxSpeed: measured(aircraft.maxSpeedMs, 'speed'),
    }),
    why: message('move.too-fast.why'),
    cures:
      slower > 0.1
        ? [
            {
              say: message('move.too-fast.cure', { slower: measured(slower, 'speed') }),
              set: {
                entity: 'shot',
                id: shot.id,
                fields: { move: { ...shot.move, values: { ...shot.move.values, speedMs: slower } } },
              },
            },
          ]
        : [{ say: message('move.too-fast.cure.2') }],
  };
};

export const yawTooFast: ShotRule = (c) => {
  const { aircraft, trajectory } = c.facts;
  if (!aircraft || !trajectory || trajectory.peakYawDegS <= aircraft.maxYawDegS) return null;
  return {
    code: 'move.yaw',
    severity: 'care',
    subject: onShot(c),
    say: message('move.yaw.say', {
      peakYaw: measured(trajectory.peakYawDegS, 'degreesPerSecond', 0),
      aircraft: aircraft.name,
      maxYaw: measured(aircraft.maxYawDegS, 'degreesPerSecond', 0),
    }),
    why: message('move.yaw.why'),
    cures: [{ say: message('move.yaw.cure') }],
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
        ? message('move.ground.say', { lowest: measured(lowestM, 'metres', 1) })
        : message('move.ground.say.else', { lowest: measured(lowestM, 'metres', 1) })
      : message('move.ground.say.else.2', { lowest: measured(lowestM, 'metres', 1) }),
    why: ground
      ? message('move.ground.why', { ground: measured(film.preferences.groundM, 'metres', 1) })
      : message('move.ground.why.else'),
    cures: [
      ...(ground
        ? [
            {
              say: message('move.ground.cure'),
              set: { entity: 'shot' as const, id: c.facts.shot.id, fields: { overGround: true } },
            },
          ].filter(() => !c.facts.shot.overGround)
        : []),
      {
        say: aim.aim.z < 0 ? message('move.ground.cure.2') : message('move.ground.cure.else'),
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
        ? message('move.subject.say', { subject: subject.name })
        : message('move.subject.say.else', { free: measured(free, 'metres', 1), subject: subject.name }),
    why: message('move.subject.why', {
      width: measured(subject.widthM, 'metres', 1),
      subject: measured(depthOf(subject), 'metres', 1),
      height: measured(subject.heightM, 'metres', 1),
      heading: measured(subject.headingDeg, 'degrees', 0),
    }),
    cures: [{ say: message('move.subject.cure') }],
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
    say: message('move.ceiling.say', {
      isGround: yesNo(Boolean(ground)),
      highest: measured(highestM, 'metres', 0),
      ceiling: measured(location.ceilingM, 'metres', 0),
    }),
    why:
      ground && trajectory.highestM <= location.ceilingM
        ? message('move.ceiling.why', { highest: measured(trajectory.highestM, 'metres', 0) })
        : message('move.ceiling.why.else'),
    cures: [{ say: message('move.ceiling.cure') }],
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
        say: message('cut.no-tempo.say'),
        why: message('cut.no-tempo.why'),
        cures: [
          {
            say: message('cut.no-tempo.cure'),
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
      ? message('lens.zoom-beyond.say', { camera: camera.name, maxZoom: camera.maxZoom, zoom: shot.zoom })
      : message('lens.zoom-beyond.say.else', {
          zoom: shot.zoom,
          round: Math.round(mode.widthPx / shot.zoom),
          round2: Math.round(mode.heightPx / shot.zoom),
        }),
    why: message('lens.zoom-beyond.why'),
    cures: [
      {
        say: beyond
          ? message('lens.zoom-beyond.cure', { maxZoom: camera.maxZoom })
          : message('lens.zoom-beyond.cure.else'),
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
  const { move, shot, aim, subject } = c.facts;
  if (c.facts.direction !== 'with' || !move || !subject) return null;
  const speed = shot.move.values['speedMs'] ?? move.parameters.find((p) => p.id === 'speedMs')?.initial;
  if (speed === undefined) return null;
  if (aim.speedMs <= 0)
    return {
      code: 'move.subject-stands',
      severity: 'care',
      subject: onShot(c),
      say: message('move.subject-stands.say', { subject: subject.name }),
      why: message('move.subject-stands.why'),
      cures: [{ say: message('move.subject-stands.cure') }],
    };
  if (Math.abs(speed / aim.speedMs - 1) <= SPEED_TOLERANCE) return null;
  return {
    code: 'move.subject-speed',
    severity: 'care',
    subject: onShot(c),
    say: message('move.subject-speed.say', {
      speed: measured(speed, 'speed'),
      subject: subject.name,
      speed2: measured(aim.speedMs, 'speed'),
    }),
    why: message('move.subject-speed.why'),
    cures: [
      {
        say: message('move.subject-speed.cure', { speed: measured(aim.speedMs, 'speed') }),
        set: {
          entity: 'shot',
          id: shot.id,
          fields: { move: { ...shot.move, values: { ...shot.move.values, speedMs: aim.speedMs } } },
        },
      },
    ],
  };
};
