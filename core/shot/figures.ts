import { framesPerFrame, slowestCleanFactor, STILL_S } from '../footage';
import { listed, measured, message, plainText, term, type Message, type Sum, type Term } from '../messages';
import { PACE_BANDS } from '../pace';
import { stillMBOf, stillsOf, takesOf, setUpOf } from './costs';
import { meanSpeedOf, secondsOf } from './layout';
import type { ShotFacts } from './facts';

/** Figures of a shot that a person can open. */
export type FigureId = 'take' | 'air' | 'energy' | 'recorded' | 'bytes' | 'pace' | 'fill' | 'inputs';

const take = (f: ShotFacts): Sum => {
  const p = f.film.preferences;
  const terms: Term[] = [
    term(message('sum.pre-roll'), p.preRollS, 'seconds'),
    term(
      message('sum.move'),
      f.trajectory?.totalS ?? NaN,
      'seconds',
      f.trajectory && f.trajectory.lengthM > 0.1
        ? message('sum.move.note', {
            length: measured(f.trajectory.lengthM, 'metres', 1),
            speed: measured(f.trajectory.peakSpeedMs, 'speed', 1),
            steady: measured(f.trajectory.steadyS, 'seconds', 1),
          })
        : undefined,
    ),
    term(message('sum.post-roll'), p.postRollS, 'seconds'),
  ];
  if (f.shot.subjectMarginS > 0)
    terms.push(
      term(message('sum.margins'), 2 * f.shot.subjectMarginS, 'seconds', message('sum.margins.note')),
    );
  return {
    label: message('sum.take'),
    value: f.seconds.takeS,
    quantity: 'seconds',
    terms,
    formula: message('sum.take.formula'),
    source: message('sum.take.source'),
  };
};

const air = (f: ShotFacts): Sum => {
  const takes = takesOf(f.shot);
  const between = Math.max(0, takes - 1);
  const stills = stillsOf(f.shot);
  return {
    label: message('sum.air'),
    value: f.seconds.airS,
    quantity: 'seconds',
    terms: [
      term(
        message('sum.set-up'),
        setUpOf(f.shot, f.aircraft),
        'seconds',
        f.aircraft?.setUpFactor
          ? message('sum.set-up.learned', {
              planned: measured(f.shot.setupS, 'seconds', 0),
              factor: measured(f.aircraft.setUpFactor, 'count', 2),
            })
          : message('sum.set-up.note'),
      ),
      ...(stills > 0
        ? [term(message('sum.stills', { n: stills }), stills * STILL_S, 'seconds', message('sum.still.note'))]
        : []),
      ...(takes > 0 ? [term(message('sum.takes', { n: takes }), takes * f.seconds.takeS, 'seconds')] : []),
      ...(f.shot.walkS !== null
        ? [
            term(
              message('sum.walks', { n: takes }),
              takes * 2 * f.shot.walkS,
              'seconds',
              message('sum.walk.note'),
            ),
          ]
        : []),
      ...(between > 0
        ? [
            term(
              message('sum.betweens', { n: between }),
              between * f.seconds.betweenS,
              'seconds',
              f.shot.takeStyle === 'same-way' ? message('sum.between.same') : message('sum.between.turn'),
            ),
          ]
        : []),
    ],
    formula: message('sum.air.formula'),
    source: message('sum.air.source'),
  };
};

const energy = (f: ShotFacts): Sum => ({
  label: message('sum.energy'),
  value: f.energy?.totalWh ?? NaN,
  quantity: 'wattHours',
  terms: f.energy
    ? [
        term(
          stillsOf(f.shot) > 0 ? message('sum.setup-stills') : message('sum.setup-hover'),
          f.energy.setupWh,
          'wattHours',
        ),
        term(
          message('sum.moves', { n: takesOf(f.shot) }),
          f.energy.movesWh,
          'wattHours',
          message('sum.moves.note', {
            mean: measured(f.energy.path.meanW, 'watts', 0),
            airspeed: measured(f.energy.path.peakAirspeedMs, 'speed', 1),
          }),
        ),
        term(
          f.shot.walkS === null ? message('sum.rolls') : message('sum.rolls-walks'),
          f.energy.rollsWh,
          'wattHours',
          message('sum.rolls.note'),
        ),
        term(message('sum.between'), f.energy.betweenWh, 'wattHours'),
      ]
    : [],
  formula: message('sum.energy.formula'),
  source: f.aircraft?.energyFactor
    ? message('sum.energy.source.learned', { factor: measured(f.aircraft.energyFactor, 'count', 2) })
    : message('sum.energy.source'),
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
    message('sum.wanted'),
    f.wantedS,
    'seconds',
    message('sum.wanted.note', {
      cut: measured(secondsOf(f.segments), 'seconds', 1),
      speed: measured(meanSpeedOf(f.segments), 'count', 2),
      captured: measured(f.capturedS, 'seconds', 1),
      handle: measured(f.film.preferences.handleS, 'seconds', 1),
      hold: measured(f.film.preferences.minimumHoldS, 'seconds', 1),
    }),
  );

const recorded = (f: ShotFacts): Sum => {
  const frames = f.trajectory?.frames;
  if (frames)
    return {
      label: message('sum.recorded'),
      value: f.seconds.recordedS,
      quantity: 'seconds',
      terms: [
        term(
          frames.by === 'interval' ? message('sum.frames') : message('sum.single-stills'),
          frames.count,
          'count',
          message('sum.every', { every: measured(frames.everyS, 'seconds', 1) }),
        ),
      ],
      formula: frames.by === 'interval' ? message('sum.lapse.formula') : message('sum.stills.formula'),
      source: message('sum.frames.source'),
    };
  const takes = takesOf(f.shot);
  return {
    label: message('sum.recorded'),
    value: f.seconds.recordedS,
    quantity: 'seconds',
    terms: [
      term(message('sum.takes-count'), takes, 'count'),
      term(message('sum.one-take'), f.seconds.takeS, 'seconds'),
      ...(f.shot.walkS !== null
        ? [term(message('sum.walk'), 2 * f.shot.walkS, 'seconds', message('sum.walk.each'))]
        : []),
      wanted(f),
    ],
    formula: message('sum.recorded.formula'),
    source: message('sum.recorded.source'),
  };
};

const bytes = (f: ShotFacts): Sum => {
  const stills = stillsOf(f.shot) + (f.trajectory?.frames ? takesOf(f.shot) * f.trajectory.frames.count : 0);
  const stillMB = f.camera ? stillMBOf(f.shot, f.camera) : NaN;
  return {
    label: message('sum.bytes'),
    value: f.bytes / 1e9,
    quantity: 'gigabytes',
    terms: [
      ...(f.seconds.recordedS > 0
        ? [
            term(
              message('sum.video'),
              f.bytes / 1e9 - (stills > 0 ? (stills * stillMB) / 1000 : 0),
              'gigabytes',
              message('sum.video.note', {
                rate: measured(f.mode?.megabitsPerS ?? NaN, 'megabits', 0),
                mode: f.mode?.name ?? '–',
                recorded: measured(f.seconds.recordedS, 'seconds', 0),
              }),
            ),
          ]
        : []),
      ...(stills > 0
        ? [
            term(
              message('sum.single-frames', { n: stills }),
              (stills * stillMB) / 1000,
              'gigabytes',
              message('sum.single-frames.note', { size: stillMB }),
            ),
          ]
        : []),
    ],
    formula: message('sum.bytes.formula'),
    source: message('sum.bytes.source'),
  };
};

const pace = (f: ShotFacts): Sum => ({
  label: message('sum.pace'),
  value: f.pace.crossingS,
  quantity: 'seconds',
  terms: [
    term(
      message('sum.pace.height'),
      f.pace.heightM,
      'metres',
      message('sum.pace.fastest', { of: f.pace.of }),
    ),
    term(message('sum.pace.speed'), f.pace.speedMs, 'speed'),
    term(message('sum.pace.seen'), f.pace.depressionDeg, 'degrees', message('sum.below-level')),
    term(message('sum.pace.rate'), f.pace.rateDegS, 'degreesPerSecond'),
    term(
      message('sum.pace.fov'),
      f.fov.horizontalDeg,
      'degrees',
      message('sum.high', { angle: measured(f.fov.verticalDeg, 'degrees', 1) }),
    ),
  ],
  formula: message('sum.pace.formula'),
  source: message('sum.pace.source', {
    bands: listed(
      PACE_BANDS.map((b) =>
        message('sum.pace.band', { band: b.band, from: measured(b.fromS, 'seconds', 0) }),
      ),
    ),
  }),
});

const fill = (f: ShotFacts): Sum => ({
  label: message('sum.fill'),
  value: f.fill * 100,
  quantity: 'percent',
  terms: [
    term(
      message('sum.fill.height'),
      f.aim.heightM,
      'metres',
      f.subject ? plainText(f.subject.name) : undefined,
    ),
    term(message('sum.fill.range'), f.rangeM, 'metres'),
    term(
      message('sum.fill.frame'),
      f.aim.heightM / f.fill,
      'metres',
      message('sum.high', { angle: measured(f.fov.verticalDeg, 'degrees', 1) }),
    ),
  ],
  formula: message('sum.fill.formula'),
  source: message('sum.fill.source'),
});

const inputs = (f: ShotFacts): Sum => ({
  label: message('sum.inputs'),
  value: f.trajectory?.simultaneous ?? NaN,
  quantity: 'count',
  terms: (f.trajectory?.inputs ?? []).map((input) => term(message('sum.input', { input }), 1, 'count')),
  formula: message('sum.inputs.formula'),
  source: message('sum.inputs.source', { advice: f.move?.sticks ?? '' }),
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
