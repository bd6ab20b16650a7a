import { clockText } from '../time';
import { lampsBurn, wishMet, type LightMoment } from '../light';
import { shortfallOf } from '../exposure';
import { onShot, type ShotContext, type ShotRule } from './context';

const momentOf = (c: ShotContext): LightMoment | null =>
  c.light &&
  c.place.light && {
    utcMs: c.light.atMs,
    sun: c.light.sun,
    day: c.place.light,
    sky: c.facts.location.sky,
    hasLamps: c.facts.location.lamps !== 'none',
    headingDeg: c.light.headingDeg,
  };

/** How a wish reads in a sentence, where it is not simply so much light. */
const WANTS: Readonly<Record<string, string>> = {
  lamps: 'lamps on',
  backlit: 'back light',
  sidelit: 'side light',
  frontlit: 'front light',
  day: 'daylight',
  night: 'night',
};
const TIMED: ReadonlySet<string> = new Set(['golden', 'blue', 'day', 'night']);

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
      say: 'Wants lamps; none are noted at this place.',
      why: 'Without them it is only dark.',
      cures: [
        {
          say: 'Note the lamps of the place, or ask for blue light instead.',
          set: { entity: 'shot', id: shot.id, fields: { wants: 'blue' } },
        },
      ],
    };
  const windows = moment.day.windows.filter((w) => w.kind === shot.wants);
  const when =
    shot.wants === 'lamps' && moment.day.lampsOnMs !== null && !lampsBurn(moment.day, moment.utcMs)
      ? `from ${clockText(moment.day.lampsOnMs, location.zone)}`
      : windows
          .map((w) => `${clockText(w.fromMs, location.zone)}–${clockText(w.toMs, location.zone)}`)
          .join(' or ');
  return {
    code: 'light.wish',
    severity: 'care',
    subject: onShot(c),
    say: `Planned at ${clockText(c.light.atMs, location.zone)}, wants ${WANTS[shot.wants] ?? `${shot.wants} light`}.`,
    why: when
      ? `That day it is there ${when}.`
      : TIMED.has(shot.wants)
        ? 'That light does not come on this date.'
        : 'At that minute it is not so; the light page shows when it is.',
    cures: [
      {
        say:
          when || !TIMED.has(shot.wants)
            ? 'Move the shot along the list, or the start of the window.'
            : 'Choose another date or another light.',
      },
    ],
  };
};

export const outsideWindow: ShotRule = (c) => {
  if (!c.light) return null;
  const endMs = c.light.atMs + c.facts.seconds.airS * 1000;
  if (endMs <= c.place.windowToMs) return null;
  const minutes = (endMs - c.place.windowToMs) / 60_000;
  return {
    code: 'light.window',
    severity: 'care',
    subject: onShot(c),
    say: `Ends ${minutes.toFixed(0)} min after the window closes at ${clockText(c.place.windowToMs, c.facts.location.zone)}.`,
    why: 'Flights before it, pack changes and its own takes do not fit in the window.',
    cures: [{ say: 'Start earlier, drop a take, or move it up the list.' }],
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
      why: 'No setting can be proposed.',
      cures: [{ say: 'Check the camera and the filters in the kit.' }],
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
      say: `${Math.abs(choice.errorStops).toFixed(1)} stops ${choice.errorStops > 0 ? 'over' : 'under'} with the best setting found.`,
      why: over ? 'No filter in the kit is strong enough with these choices.' : 'Too dark for these choices.',
      cures: short.workable.slice(0, 3).map(({ say }) => ({ say })),
    };
  }
  if (choice.inBand) return null;
  return {
    code: 'exposure.shutter',
    severity: 'note',
    subject: onShot(c),
    say: `Shutter at ${choice.shutterAngleDeg.toFixed(0)}°, outside the wanted band.`,
    why: 'The filters at hand do not reach the band at this light.',
    cures: [{ say: 'A filter one step stronger or weaker would.' }],
  };
};

/** A filter is changed on the ground: what cannot share one with the slate before it costs a landing. */
export const filterChange: ShotRule = (c) =>
  c.filter?.lands
    ? {
        code: 'exposure.filter-change',
        severity: 'care',
        subject: onShot(c),
        say: 'Needs another filter than the slate before it in the same flight.',
        why:
          c.facts.shot.exposure.filterId === null
            ? 'No filter at hand bears the light of both; one can only be changed on the ground.'
            : 'It is fixed to another one, and a filter can only be changed on the ground.',
        cures: [
          {
            say:
              c.facts.shot.exposure.filterId === null
                ? 'Land to change it, or put it at the start of a flight.'
                : 'Free the filter choice.',
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
        say: `Lamps on ${c.facts.location.mainsHz} Hz will flicker at this shutter.`,
        why: 'The shutter does not catch whole pulses of the lamps.',
        cures: [{ say: 'Free the shutter, or pick one that is a whole number of half mains periods.' }],
      };
