import { listed, measured, message, yesNo } from '../messages';
import type { Quantity } from '../units';
import type { Handling, HandlingName } from '../model';
import type { Cure } from './types';
import { suggestedSticks } from '../shot';
import { onShot, type ShotContext, type ShotRule } from './context';

interface Beyond {
  readonly what: string;
  readonly quantity: Quantity;
  readonly needs: number;
  readonly has: (h: Handling) => number;
}

const setSticks = (c: ShotContext, handling: HandlingName): Cure => ({
  say: message('set-sticks.say', { handling }),
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
    { what: 'flies', quantity: 'speed', needs: trajectory.peakSpeedMs, has: (h) => h.maxSpeedMs },
    { what: 'turns', quantity: 'degreesPerSecond', needs: trajectory.peakYawDegS, has: (h) => h.maxYawDegS },
    {
      what: 'tilts',
      quantity: 'degreesPerSecond',
      needs: trajectory.peakTiltDegS,
      has: (h) => Math.min(h.maxTiltDegS, aircraft.maxTiltDegS),
    },
  ];
  const beyond = all.filter((b) => b.needs > b.has(aircraft.handling[shot.handling]) * 1.001);
  if (beyond.length === 0) return null;
  const lists = beyond.map((b) =>
    message('move.handling.of', {
      what: b.what,
      needs: measured(b.needs, b.quantity, 0),
      has: measured(b.has(aircraft.handling[shot.handling]), b.quantity, 0),
    }),
  );
  return {
    code: 'move.handling',
    severity: 'care',
    subject: onShot(c),
    say: message('move.handling.say', { handling: shot.handling, join: listed(lists) }),
    why: message('move.handling.why'),
    cures: [...handlingCure(c), { say: message('move.handling.cure') }],
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
      ? message('move.tilt-up.say', {
          most: measured(most, 'degrees', 0),
          aircraft: aircraft.name,
          tiltUp: measured(aircraft.tiltUpDeg, 'degrees', 0),
        })
      : message('move.tilt-up.say.else', {
          most: measured(most, 'degrees', 0),
          propsFrom: measured(aircraft.propsFromDeg, 'degrees', 0),
          aircraft: aircraft.name,
        }),
    why: beyond ? message('move.tilt-up.why') : message('move.tilt-up.why.else'),
    cures: [{ say: message('move.tilt-up.cure') }],
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
    say: message('move.hasty.say', {
      isLowest: yesNo(trajectory.lowestM <= LOW_M),
      lowest: measured(trajectory.lowestM, 'metres', 1),
      range: measured(rangeM, 'metres', 0),
    }),
    why: message('move.hasty.why'),
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
    say: message('move.gap.say', {
      free: measured(free, 'metres', 1),
      margin: measured(marginM, 'metres', 1),
    }),
    why: message('move.gap.why', {
      aircraft: aircraft.name,
      span: measured(aircraft.spanM, 'metres', 2),
      height: measured(aircraft.heightM, 'metres', 2),
    }),
    cures: [
      {
        say: message('move.gap.cure', {
          leastWidth: measured(leastWidth, 'count', 1),
          leastHeight: measured(leastHeight, 'metres', 1),
        }),
      },
      ...(free >= 0.2
        ? [
            {
              say: message('move.gap.cure.2', { free: measured(free, 'metres', 1) }),
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
    say: message('move.outrun.say', {
      subject: subject.name,
      speed: measured(aim.speedMs, 'speed', 1),
      aircraft: aircraft.name,
      maxSpeed: measured(aircraft.maxSpeedMs, 'count', 1),
    }),
    why: message('move.outrun.why'),
    cures: [{ say: message('move.outrun.cure') }],
  };
};
