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
    say: 'People can be recognised, and no release is signed.',
    why: 'Buyers and clients ask for one; laws differ from place to place.',
    cures: [
      {
        say: 'The release is signed.',
        set: { entity: 'shot', id: shot.id, fields: { usage: { ...shot.usage, people: 'release-signed' } } },
      },
      {
        say: 'Or fly farther off, so that nobody can be told.',
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
      say: `All ${group.length} slates of ${subject.name} are ${USE_WORDS[use]}.`,
      why:
        use === 'editorial'
          ? 'A single property that fills the frame cannot be sold for advertising; a wide view of it among others usually can.'
          : 'Until the release is there none of them can be used.',
      cures: [
        {
          say:
            use === 'editorial' ? 'Add one wide view of it.' : 'Add one from so far that nobody can be told.',
        },
      ],
    };
  }
  return null;
};

const SAFE_FRAMES = 1;
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
      say: `Played ${fastest.toFixed(0)} times faster: ${c.facts.capturedS.toFixed(0)} s must be flown for ${segments.reduce((a, s) => a + s.timelineS, 0).toFixed(1)} s of film.`,
      why: 'Longer than a pack lasts, mostly; a time-lapse gives the same with single frames.',
      cures: [
        {
          say: 'Fly it as a moving time-lapse.',
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
  const frames = (slowest * (mode?.fps ?? film.timelineFps)) / film.timelineFps;
  if (!mode || slowest >= 1 || frames >= SAFE_FRAMES - 1e-9) return null;
  const enough = c.facts.camera?.modes
    .filter((m) => m.fps * slowest >= film.timelineFps - 1e-9)
    .sort((a, b) => a.fps - b.fps)[0];
  return {
    code: 'cut.slow-frames',
    severity: 'care',
    subject: onShot(c),
    say: `Played at \u00d7${slowest.toFixed(2)}, ${mode.fps} frames a second give ${(mode.fps * slowest).toFixed(0)} for a timeline of ${film.timelineFps}.`,
    why: 'Slow motion without doubled frames wants a capture rate above the timeline\u2019s by as much.',
    cures: [
      enough
        ? {
            say: `Record ${enough.name}.`,
            set: { entity: 'shot', id: shot.id, fields: { modeId: enough.id } },
          }
        : { say: `Slow it to \u00d7${(film.timelineFps / mode.fps).toFixed(2)} at most.` },
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
        say: `Played ${mean.toFixed(1)} times faster, ${c.facts.capturedS.toFixed(0)} s are flown.`,
        why: 'Long footage for a short cut: the pack pays for all of it.',
        cures: [{ say: 'Fly faster and play it less fast, where the move allows.' }],
      };
};
