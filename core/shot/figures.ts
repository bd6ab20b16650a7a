import { term, type Sum, type Term } from '../units';
import { framesPerFrame, slowestCleanFactor, STILL_S } from '../footage';
import { measured, message, type Message } from '../messages';
import { PACE_BANDS, type PaceOf } from '../pace';
import { stillMBOf, stillsOf, takesOf } from './costs';
import { meanSpeedOf, secondsOf } from './layout';
import type { ShotFacts } from './facts';

/** Figures of a shot that a person can open. */
export type FigureId = 'take' | 'air' | 'energy' | 'recorded' | 'bytes' | 'pace' | 'fill' | 'inputs';

const take = (f: ShotFacts): Sum => {
  const p = f.film.preferences;
  const terms: Term[] = [
    term('pre-roll', p.preRollS, 'seconds'),
    term(
      'move',
      f.trajectory?.totalS ?? NaN,
      'seconds',
      f.trajectory && f.trajectory.lengthM > 0.1
        ? `${f.trajectory.lengthM.toFixed(1)} m at up to ${f.trajectory.peakSpeedMs.toFixed(1)} m/s, ${f.trajectory.steadyS.toFixed(1)} s of it steady`
        : undefined,
    ),
    term('post-roll', p.postRollS, 'seconds'),
  ];
  if (f.shot.subjectMarginS > 0)
    terms.push(term('subject margins', 2 * f.shot.subjectMarginS, 'seconds', 'before and after'));
  return {
    label: 'One take',
    value: f.seconds.takeS,
    quantity: 'seconds',
    terms,
    formula:
      'pre-roll + move + post-roll + 2 × margin; a move of length L at speed v with mean acceleration a lasts L/v + v/a',
    source: 'Kinematics of an eased start and stop, mean acceleration from the film’s preferences.',
  };
};

const air = (f: ShotFacts): Sum => {
  const takes = takesOf(f.shot);
  const between = Math.max(0, takes - 1);
  const stills = stillsOf(f.shot);
  return {
    label: 'In the air for the shot',
    value: f.seconds.airS,
    quantity: 'seconds',
    terms: [
      term('set-up', f.shot.setupS, 'seconds', 'hover to frame'),
      ...(stills > 0
        ? [term(`${stills} × still`, stills * STILL_S, 'seconds', 'frame, settle, take it')]
        : []),
      ...(takes > 0 ? [term(`${takes} × take`, takes * f.seconds.takeS, 'seconds')] : []),
      ...(f.shot.walkS !== null
        ? [
            term(
              `${takes} × walk there and back`,
              takes * 2 * f.shot.walkS,
              'seconds',
              'the aircraft hovers and records',
            ),
          ]
        : []),
      ...(between > 0
        ? [
            term(
              `${between} × between takes`,
              between * f.seconds.betweenS,
              'seconds',
              f.shot.takeStyle === 'same-way'
                ? 'fly back to the start and settle'
                : 'settle; every second take runs the other way',
            ),
          ]
        : []),
    ],
    formula: 'set-up + stills + takes × (take + walk) + (takes − 1) × between',
    source: 'Reposition legs and the way home are counted in the flight.',
  };
};

const energy = (f: ShotFacts): Sum => ({
  label: 'Energy',
  value: f.energy?.totalWh ?? NaN,
  quantity: 'wattHours',
  terms: f.energy
    ? [
        term(
          stillsOf(f.shot) > 0 ? 'set-up and stills, hovering' : 'set-up hover',
          f.energy.setupWh,
          'wattHours',
        ),
        term(
          `${takesOf(f.shot)} × move`,
          f.energy.movesWh,
          'wattHours',
          `mean ${f.energy.path.meanW.toFixed(0)} W, up to ${f.energy.path.peakAirspeedMs.toFixed(1)} m/s through the air`,
        ),
        term(
          f.shot.walkS === null ? 'rolls and margins' : 'rolls, margins and walks',
          f.energy.rollsWh,
          'wattHours',
          'hover in the wind at that height',
        ),
        term('between takes', f.energy.betweenWh, 'wattHours'),
      ]
    : [],
  formula: '∫ P(airspeed, climb) dt along the path, wind taken at each height',
  source: `Power shape after Zeng, Xu & Zhang, IEEE Trans. Wireless Comm. 18(4), 2019, set by the aircraft’s rated hover and cruise minutes${f.aircraft?.energyFactor ? `; times ${f.aircraft.energyFactor.toFixed(2)}, which is what its logged flights took` : ''}.`,
});

/** What is recorded for the cut, and which of the captured frames it uses; null where single frames are taken. */
export const framesUsed = (f: ShotFacts): Message | null => {
  if (f.trajectory?.frames || !f.mode) return null;
  const ratio = framesPerFrame(meanSpeedOf(f.segments), f.film.timelineFps, f.mode.fps);
  return message('cut.frames.say', {
    captured: measured(f.capturedS, 'seconds', 1),
    cut: measured(secondsOf(f.segments), 'seconds', 1),
    use: Math.abs(ratio - 1) < 1e-3 ? 'each' : ratio > 1 ? 'some' : 'few',
    ratio: measured(ratio, 'count', Number.isInteger(ratio) ? 0 : 2),
    slowest: measured(slowestCleanFactor(f.film.timelineFps, f.mode.fps), 'count', 2),
  });
};

const wanted = (f: ShotFacts): Term =>
  term(
    'wanted in each',
    f.wantedS,
    'seconds',
    `cut of ${secondsOf(f.segments).toFixed(1)} s at ×${meanSpeedOf(f.segments).toFixed(2)} needs ${f.capturedS.toFixed(1)} s captured, ${f.film.preferences.handleS} s handle at both ends, minimum hold ${f.film.preferences.minimumHoldS} s`,
  );

const recorded = (f: ShotFacts): Sum => {
  const frames = f.trajectory?.frames;
  if (frames)
    return {
      label: 'Recorded',
      value: f.seconds.recordedS,
      quantity: 'seconds',
      terms: [
        term(
          frames.by === 'interval' ? 'frames' : 'stills',
          frames.count,
          'count',
          `one every ${frames.everyS} s`,
        ),
      ],
      formula:
        frames.by === 'interval'
          ? 'frames = clip × timeline rate; capture = (frames − 1) × interval'
          : 'columns = ⌈sweep / (field of view × (1 − overlap))⌉, or as many as the bracket has',
      source: 'Single frames are on the card, no seconds.',
    };
  const takes = takesOf(f.shot);
  return {
    label: 'Recorded',
    value: f.seconds.recordedS,
    quantity: 'seconds',
    terms: [
      term('takes', takes, 'count'),
      term('one take', f.seconds.takeS, 'seconds'),
      ...(f.shot.walkS !== null
        ? [term('walk there and back', 2 * f.shot.walkS, 'seconds', 'each take')]
        : []),
      wanted(f),
    ],
    formula:
      'takes × (take + walk); wanted = max(Σ timeline × speed × timeline rate / capture rate + 2 × handle, minimum hold); a ramp counts its mean speed',
    source: 'Everything from pre-roll to post-roll is on the card.',
  };
};

const bytes = (f: ShotFacts): Sum => {
  const stills = stillsOf(f.shot) + (f.trajectory?.frames ? takesOf(f.shot) * f.trajectory.frames.count : 0);
  const stillMB = f.camera ? stillMBOf(f.shot, f.camera) : NaN;
  return {
    label: 'Card space',
    value: f.bytes / 1e9,
    quantity: 'gigabytes',
    terms: [
      ...(f.seconds.recordedS > 0
        ? [
            term(
              'video',
              f.bytes / 1e9 - (stills > 0 ? (stills * stillMB) / 1000 : 0),
              'gigabytes',
              `${f.mode?.megabitsPerS ?? '–'} Mbit/s of ${f.mode?.name ?? 'no mode'} for ${f.seconds.recordedS.toFixed(0)} s`,
            ),
          ]
        : []),
      ...(stills > 0
        ? [term(`${stills} single frames`, (stills * stillMB) / 1000, 'gigabytes', `${stillMB} MB each`)]
        : []),
    ],
    formula: 'Mbit/s × 10⁶ / 8 × seconds + frames × size of one',
    source: 'Decimal gigabytes, as cards are sold.',
  };
};

const PACE_WORDS: Readonly<Record<PaceOf, string>> = {
  ground: 'the near ground',
  subject: 'the subject',
  background: 'the background',
};

const pace = (f: ShotFacts): Sum => ({
  label: 'Pace',
  value: f.pace.crossingS,
  quantity: 'seconds',
  terms: [
    term('height above it', f.pace.heightM, 'metres', `fastest is ${PACE_WORDS[f.pace.of]}`),
    term('speed', f.pace.speedMs, 'speed'),
    term('seen at', f.pace.depressionDeg, 'degrees', 'below level'),
    term('its rate', f.pace.rateDegS, 'degreesPerSecond'),
    term('field of view of the cut', f.fov.horizontalDeg, 'degrees', `${f.fov.verticalDeg.toFixed(0)}° high`),
  ],
  formula:
    'crossing = field of view / rate; level flight: v sin²δ/h forward, v sin δ/h sideways; far away the rate of turning',
  source: `Fastest of the near ground, the subject and the background. Bands: ${PACE_BANDS.map((b) => `${b.band} over ${b.fromS} s`).join(', ')}. Seven seconds is the long-used strobe guide of cinematography manuals.`,
});

const fill = (f: ShotFacts): Sum => ({
  label: 'Subject in frame',
  value: f.fill * 100,
  quantity: 'percent',
  terms: [
    term('subject height', f.aim.heightM, 'metres', f.subject?.name),
    term('nearest range', f.rangeM, 'metres'),
    term('frame height there', f.aim.heightM / f.fill, 'metres', `${f.fov.verticalDeg.toFixed(1)}° high`),
  ],
  formula: 'size / (2 R tan(fov/2)); near from 50 %, medium from 15 %, far below',
  source: 'Field of view from the 35 mm equivalent on the diagonal.',
});

const inputs = (f: ShotFacts): Sum => ({
  label: 'Inputs at once',
  value: f.trajectory?.simultaneous ?? NaN,
  quantity: 'count',
  terms: (f.trajectory?.inputs ?? []).map((input) => term(input, 1, 'count')),
  formula: 'most inputs in use at one moment along the path',
  source: f.move?.sticks ?? '',
});

const EXPLAIN: Readonly<Record<FigureId, (f: ShotFacts) => Sum>> = {
  take,
  air,
  energy,
  recorded,
  bytes,
  pace,
  fill,
  inputs,
};

export const FIGURES = Object.keys(EXPLAIN) as readonly FigureId[];

/** Opens one figure of a shot: its parts with the plan's own values, the formula, the source. */
export const explain = (figure: FigureId, facts: ShotFacts): Sum => EXPLAIN[figure](facts);
