import type { Handling, HandlingName } from '../model';
import type { Cure } from './types';
import { suggestedSticks } from '../shot';
import { onShot, type ShotContext, type ShotRule } from './context';

interface Beyond {
  readonly what: string;
  readonly unit: string;
  readonly needs: number;
  readonly has: (h: Handling) => number;
}

const setSticks = (c: ShotContext, handling: HandlingName): Cure => ({
  say: `Set the sticks to ${handling}.`,
  set: { entity: 'shot', id: c.facts.shot.id, fields: { handling } },
});

const handlingCure = (c: ShotContext): Cure[] => {
  const calmest = suggestedSticks(c.facts);
  return calmest && calmest !== c.facts.shot.handling ? [setSticks(c, calmest)] : [];
};

/** Faster or turned quicker than the sticks are set to allow. */
export const beyondHandling: ShotRule = (c) => {
  const { aircraft, trajectory, shot } = c.facts;
  if (!aircraft || !trajectory) return null;
  const all: Beyond[] = [
    { what: 'flies', unit: 'm/s', needs: trajectory.peakSpeedMs, has: (h) => h.maxSpeedMs },
    { what: 'turns', unit: '\u00b0/s', needs: trajectory.peakYawDegS, has: (h) => h.maxYawDegS },
    {
      what: 'tilts',
      unit: '\u00b0/s',
      needs: trajectory.peakTiltDegS,
      has: (h) => Math.min(h.maxTiltDegS, aircraft.maxTiltDegS),
    },
  ];
  const beyond = all.filter((b) => b.needs > b.has(aircraft.handling[shot.handling]) * 1.001);
  if (beyond.length === 0) return null;
  const lists = beyond.map(
    (b) =>
      `${b.what} at ${b.needs.toFixed(0)} ${b.unit}, set to ${b.has(aircraft.handling[shot.handling]).toFixed(0)}`,
  );
  return {
    code: 'move.handling',
    severity: 'care',
    subject: onShot(c),
    say: `With ${shot.handling} sticks: ${lists.join('; ')}.`,
    why: 'The sticks cannot ask for more than they are set to; the move comes out slower or lags behind.',
    cures: [...handlingCure(c), { say: 'Or fly it slower, or wider.' }],
  };
};

/** The camera looks higher than it can, or so high that the propellers stand in the picture. */
export const looksUp: ShotRule = (c) => {
  const { trajectory, aircraft, camera } = c.facts;
  if (!trajectory || !aircraft || !camera || camera.fixedTiltDeg !== null) return null;
  const most = trajectory.samples.reduce((max, s) => Math.max(max, s.pose.tiltDeg), -90);
  const beyond = most > aircraft.tiltUpDeg + 0.5;
  if (!beyond && most <= aircraft.propsFromDeg + 0.5) return null;
  return {
    code: beyond ? 'move.tilt-up' : 'move.propellers',
    severity: beyond ? 'stop' : 'care',
    subject: onShot(c),
    say: beyond
      ? `Looks up ${most.toFixed(0)}°; ${aircraft.name} tilts its camera up to ${aircraft.tiltUpDeg.toFixed(0)}°.`
      : `Looks up ${most.toFixed(0)}°; from ${aircraft.propsFromDeg.toFixed(0)}° on the propellers of ${aircraft.name} stand in the picture.`,
    why: beyond
      ? 'The picture stays lower than it is planned.'
      : 'Blades flicker along the upper edge, most of all flying forward.',
    cures: [{ say: 'Fly it from higher, from farther away, or with a longer lens.' }],
  };
};

const NEAR_M = 8;
const LOW_M = 3;

/** Fast sticks are for getting from place to place. */
export const hastySticks: ShotRule = (c) => {
  const { trajectory, shot, rangeM } = c.facts;
  if (!trajectory || shot.handling !== 'fast' || (rangeM > NEAR_M && trajectory.lowestM > LOW_M)) return null;
  return {
    code: 'move.hasty',
    severity: 'care',
    subject: onShot(c),
    say: `Fast sticks ${trajectory.lowestM <= LOW_M ? `at ${trajectory.lowestM.toFixed(1)} m` : `${rangeM.toFixed(0)} m from the subject`}.`,
    why: 'Near the ground or the subject a twitch of the thumb is a metre; slow keeps it small.',
    cures: [setSticks(c, 'slow')],
  };
};

/** The gap leaves less free air than is kept to each side. */
export const tightGap: ShotRule = (c) => {
  const { trajectory, aircraft, shot } = c.facts;
  if (!trajectory?.gap || !aircraft) return null;
  const { widthM, heightM, marginM } = trajectory.gap;
  const leastWidth = aircraft.spanM + 2 * marginM;
  const leastHeight = aircraft.heightM + 2 * marginM;
  if (widthM >= leastWidth && heightM >= leastHeight) return null;
  const free = Math.max(0, Math.min((widthM - aircraft.spanM) / 2, (heightM - aircraft.heightM) / 2));
  return {
    code: 'move.gap',
    severity: 'stop',
    subject: onShot(c),
    say: `The gap leaves ${free.toFixed(1)} m to each side; ${marginM.toFixed(1)} m is kept.`,
    why: `${aircraft.name} is ${aircraft.spanM.toFixed(2)} m tip to tip and ${aircraft.heightM.toFixed(2)} m high.`,
    cures: [
      {
        say: `Find a gap of ${leastWidth.toFixed(1)} \u00d7 ${leastHeight.toFixed(1)} m at least, or a smaller aircraft.`,
      },
      ...(free >= 0.2
        ? [
            {
              say: `Keep ${free.toFixed(1)} m free instead, if you have flown it slowly before.`,
              set: {
                entity: 'shot' as const,
                id: shot.id,
                fields: {
                  move: {
                    ...shot.move,
                    values: { ...shot.move.values, marginM: Math.floor(free * 10) / 10 },
                  },
                },
              },
            },
          ]
        : []),
    ],
  };
};

/** A follow of something faster than the aircraft. */
export const outrun: ShotRule = (c) => {
  const { direction, aircraft, aim, subject } = c.facts;
  if (direction !== 'with' || !aircraft || !subject || aim.speedMs <= aircraft.maxSpeedMs) return null;
  return {
    code: 'move.outrun',
    severity: 'stop',
    subject: onShot(c),
    say: `${subject.name} goes ${aim.speedMs.toFixed(1)} m/s; ${aircraft.name} manages ${aircraft.maxSpeedMs.toFixed(1)}.`,
    why: 'It would be left behind.',
    cures: [{ say: 'Let it pass: hold, or arrive and turn; or slow it down for the take.' }],
  };
};
