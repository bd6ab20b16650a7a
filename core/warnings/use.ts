import { framesPerFrame, slowestCleanFactor } from '../footage';
import { measured, message } from '../messages';
import { onlyUse, USE_WORDS, useOf } from '../story';
import { groupBy } from '../units';
import { meanSpeedOf } from '../shot';
import { onShot, type LocationRule, type ShotRule } from './context';

/** Recognisable people without a release. */
export const needsRelease: ShotRule = (c) => {
  const { shot } = c.facts;
  if (shot.usage.people !== 'release-wanted') return null;
  return {
    code: 'use.release',
    severity: 'note',
    subject: onShot(c),
    say: message('use.release.say'),
    why: message('use.release.why'),
    cures: [
      {
        say: message('use.release.cure'),
        set: { entity: 'shot', id: shot.id, fields: { usage: { ...shot.usage, people: 'release-signed' } } },
      },
      {
        say: message('use.release.cure.2'),
        set: { entity: 'shot', id: shot.id, fields: { usage: { ...shot.usage, people: 'unrecognisable' } } },
      },
    ],
  };
};

/** A subject all of whose shots can be used in one way only. */
export const oneUseOnly: LocationRule = (place, shots) => {
  for (const [subjectId, group] of groupBy(shots, (f) => f.shot.subjectId)) {
    const use = onlyUse(group.map((f) => useOf(f.shot.usage)));
    const subject = group[0]?.subject;
    // All commercial is what everybody hopes for; only what narrows the sale is told.
    if (!subjectId || !subject || !use || use === 'commercial') continue;
    return {
      code: 'use.one-kind',
      severity: 'note',
      subject: { kind: 'location', id: place.location.id },
      say: message('use.one-kind.say', {
        group: group.length,
        subject: subject.name,
        USE_WORD: USE_WORDS[use],
      }),
      why: use === 'editorial' ? message('use.one-kind.why') : message('use.one-kind.why.else'),
      cures: [
        {
          say: use === 'editorial' ? message('use.one-kind.cure') : message('use.one-kind.cure.else'),
        },
      ],
    };
  }
  return null;
};

/** Faster than this, a steady move becomes a flicker of single frames. */
const WILD_FACTOR = 100;

/** Played so slowly that frames run out, or so fast that nothing is left of a movement. */
export const wildSpeed: ShotRule = (c) => {
  const { shot, film, mode, segments } = c.facts;
  const slowest = Math.min(...segments.map((s) => Math.min(s.speedFactor, s.endFactor ?? s.speedFactor)));
  const fastest = Math.max(...segments.map((s) => Math.max(s.speedFactor, s.endFactor ?? s.speedFactor)));
  if (fastest >= WILD_FACTOR)
    return {
      code: 'cut.wild',
      severity: 'care',
      subject: onShot(c),
      say: message('cut.wild.say', {
        fastest: measured(fastest, 'count', 0),
        captured: measured(c.facts.capturedS, 'seconds', 0),
        timeline: measured(
          segments.reduce((a, s) => a + s.timelineS, 0),
          'seconds',
          1,
        ),
      }),
      why: message('cut.wild.why'),
      cures: [
        {
          say: message('cut.wild.cure'),
          set: {
            entity: 'shot',
            id: shot.id,
            fields: {
              move: { ...shot.move, kind: 'time-lapse', values: {} },
              cut: {
                ...shot.cut,
                segments: segments.map((s) => ({ ...s, speedFactor: 1, endFactor: null })),
              },
            },
          },
        },
      ],
    };
  if (!mode || framesPerFrame(slowest, film.timelineFps, mode.fps) >= 1 - 1e-6) return null;
  const enough = c.facts.camera?.modes
    .filter((m) => framesPerFrame(slowest, film.timelineFps, m.fps) >= 1 - 1e-6)
    .sort((a, b) => a.fps - b.fps)[0];
  return {
    code: 'cut.slow-frames',
    severity: 'care',
    subject: onShot(c),
    say: message('cut.slow-frames.say', {
      slowest: measured(slowest, 'count', 2),
      fps: mode.fps,
      fps2: measured(mode.fps * slowest, 'count', 0),
      timelineFps: film.timelineFps,
    }),
    why: message('cut.slow-frames.why'),
    cures: [
      enough
        ? {
            say: message('cut.slow-frames.cure', { enough: enough.name }),
            set: { entity: 'shot', id: shot.id, fields: { modeId: enough.id } },
          }
        : {
            say: message('cut.slow-frames.cure.2', {
              slowest: measured(slowestCleanFactor(film.timelineFps, mode.fps), 'count', 2),
            }),
          },
    ],
  };
};

/** Flown seconds that become nothing in the cut. */
export const speedNote: ShotRule = (c) => {
  const mean = meanSpeedOf(c.facts.segments);
  return mean < 4 || mean >= WILD_FACTOR
    ? null
    : {
        code: 'cut.fast',
        severity: 'note',
        subject: onShot(c),
        say: message('cut.fast.say', {
          mean: measured(mean, 'count', 1),
          captured: measured(c.facts.capturedS, 'seconds', 0),
        }),
        why: message('cut.fast.why'),
        cures: [{ say: message('cut.fast.cure') }],
      };
};
