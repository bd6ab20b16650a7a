import { listed, measured, message, yesNo, type Message } from '../messages';
import { clockText } from '../time';
import { lampsBurn, wishMet, type LightMoment } from '../light';
import { shortfallOf } from '../exposure';
import { onShot, type ShotContext, type ShotRule } from './context';

const momentOf = (c: ShotContext): LightMoment | null =>
  c.light &&
  c.dayLight && {
    utcMs: c.light.atMs,
    sun: c.light.sun,
    day: c.dayLight,
    sky: c.facts.location.sky,
    hasLamps: c.facts.location.lamps !== 'none',
    headingDeg: c.light.headingDeg,
  };

const TIMED: ReadonlySet<string> = new Set(['golden', 'blue', 'sunrise', 'sunset', 'day', 'night']);

/** The planned minute is not in the light the shot wants. */
export const wrongLight: ShotRule = (c) => {
  const { shot, location } = c.facts;
  if (shot.wants === 'any') return null;
  const moment = momentOf(c);
  if (!c.light || !moment || wishMet(shot.wants, moment)) return null;
  if (shot.wants === 'lamps' && !moment.hasLamps)
    return {
      code: 'light.no-lamps',
      severity: 'care',
      subject: onShot(c),
      say: message('light.no-lamps.say'),
      why: message('light.no-lamps.why'),
      cures: [
        {
          say: message('light.no-lamps.cure'),
          set: { entity: 'shot', id: shot.id, fields: { wants: 'blue' } },
        },
      ],
    };
  const windows = moment.day.windows.filter((w) => w.kind === shot.wants);
  const clock = (utcMs: number): string => clockText(utcMs, location.zone);
  const { lampsOnMs } = moment.day;
  const lampsLater = shot.wants === 'lamps' && lampsOnMs !== null && !lampsBurn(moment.day, moment.utcMs);
  const comes = lampsLater || windows.length > 0;
  const whenThere = (): Message =>
    lampsLater
      ? message('light.wish.why.from', { at: clock(lampsOnMs) })
      : message('light.wish.why', {
          when: listed(windows.map((w) => `${clock(w.fromMs)}–${clock(w.toMs)}`)),
        });
  return {
    code: 'light.wish',
    severity: 'care',
    subject: onShot(c),
    say: message('light.wish.say', {
      at: clockText(c.light.atMs, location.zone),
      want: message(`wants.${shot.wants}`),
    }),
    why: comes
      ? whenThere()
      : TIMED.has(shot.wants)
        ? message('light.wish.why.else')
        : message('light.wish.why.else.else'),
    cures: [
      {
        say: comes || !TIMED.has(shot.wants) ? message('light.wish.cure') : message('light.wish.cure.else'),
      },
    ],
  };
};

export const outsideWindow: ShotRule = (c) => {
  if (!c.light) return null;
  const endMs = c.light.atMs + c.facts.seconds.airS * 1000;
  if (endMs <= c.windowToMs) return null;
  const minutes = (endMs - c.windowToMs) / 60_000;
  return {
    code: 'light.window',
    severity: 'stop',
    subject: onShot(c),
    say: message('light.window.say', {
      minutes: measured(minutes, 'minutes', 0),
      windowTo: clockText(c.windowToMs, c.facts.location.zone),
    }),
    why: message('light.window.why'),
    cures: [{ say: message('light.window.cure') }],
  };
};

export const exposureOff: ShotRule = (c) => {
  if (!c.light) return null;
  if (!c.light.exposure.ok) {
    return {
      code: 'exposure.none',
      severity: 'care',
      subject: onShot(c),
      say: c.light.exposure.reason,
      why: message('exposure.none.why'),
      cures: [{ say: message('exposure.none.cure') }],
    };
  }
  const { choice } = c.light.exposure.value;
  const short = shortfallOf(c.light.exposure.value);
  if (short) {
    const over = short.stops > 0;
    return {
      code: over ? 'exposure.over' : 'exposure.under',
      severity: 'care',
      subject: onShot(c),
      say: message('exposure.over.say', {
        errorStops: measured(Math.abs(short.stops), 'stops', 1),
        isErrorStops: yesNo(over),
      }),
      why: over ? message('exposure.over.why') : message('exposure.over.why.else'),
      cures: short.workable.slice(0, 3).map(({ say }) => ({ say })),
    };
  }
  if (choice.inBand) return null;
  return {
    code: 'exposure.shutter',
    severity: 'note',
    subject: onShot(c),
    say: message('exposure.shutter.say', { shutterAngle: measured(choice.shutterAngleDeg, 'degrees', 0) }),
    why: message('exposure.shutter.why'),
    cures: [
      {
        say:
          choice.shutterAngleDeg < c.facts.film.preferences.shutterLowDeg
            ? message('exposure.shutter.cure')
            : choice.filterId === null
              ? message('exposure.shutter.cure.dark')
              : message('exposure.shutter.cure.weaker'),
      },
    ],
  };
};

/** Less sky than this in the frame is not told, nor a smaller clip; from so many stops on it matters. */
const SKY_NOTICED = 0.1;
const SKY_TOLERANCE_STOPS = 0.5;
const SKY_CARE_STOPS = 1.5;

/** A filter is changed on the ground: what cannot share one with the shot before it costs a landing. */
export const filterChange: ShotRule = (c) =>
  c.filter?.lands
    ? {
        code: 'exposure.filter-change',
        severity: 'care',
        subject: onShot(c),
        say: message('exposure.filter-change.say'),
        why:
          c.facts.shot.exposure.filterId === null
            ? message('exposure.filter-change.why')
            : message('exposure.filter-change.why.else'),
        cures: [
          {
            say:
              c.facts.shot.exposure.filterId === null
                ? message('exposure.filter-change.cure')
                : message('exposure.filter-change.cure.else'),
            ...(c.facts.shot.exposure.filterId === null
              ? {}
              : {
                  set: {
                    entity: 'shot' as const,
                    id: c.facts.shot.id,
                    fields: { exposure: { ...c.facts.shot.exposure, filterId: null } },
                  },
                }),
          },
        ],
      }
    : null;

export const flicker: ShotRule = (c) =>
  !c.light?.exposure.ok || !c.light.exposure.value.choice.flickers
    ? null
    : {
        code: 'exposure.flicker',
        severity: 'care',
        subject: onShot(c),
        say: message('exposure.flicker.say', { mainsHz: c.facts.location.mainsHz }),
        why: message('exposure.flicker.why'),
        cures: [{ say: message('exposure.flicker.cure') }],
      };

/** The sky in the frame clips at the setting, or the ground drowns under it. */
export const skyClips: ShotRule = (c) => {
  const sky = c.light?.scene.sky;
  const seen = c.facts.skySeen;
  if (!c.light?.exposure.ok || !sky || !seen || sky.share < SKY_NOTICED) return null;
  const { scene } = c.light;
  const settingEv = scene.ev100 - c.light.exposure.value.choice.errorStops;
  const clips = sky.ev100 - settingEv - seen.headroomStops;
  if (clips <= SKY_TOLERANCE_STOPS) return null;
  return {
    code: 'exposure.sky-clips',
    severity: clips > SKY_CARE_STOPS ? 'care' : 'note',
    subject: onShot(c),
    say: message('exposure.sky-clips.say', {
      brighter: measured(sky.ev100 - scene.groundEv100, 'stops', 1),
      clips: measured(clips, 'stops', 1),
      share: measured(sky.share * 100, 'percent', 0),
    }),
    why: message('exposure.sky-clips.why', { headroom: measured(seen.headroomStops, 'stops', 1) }),
    cures: [{ say: message('exposure.sky-clips.cure') }],
  };
};
