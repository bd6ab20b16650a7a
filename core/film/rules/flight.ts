import type { Handling, HandlingName } from '../../kit';
import type { Cure } from '../../warnings';
import { onShot, type ShotContext, type ShotRule } from './types';

const FASTER: Readonly<Record<HandlingName, HandlingName | null>> = { slow: 'normal', normal: 'fast', fast: null };

interface Beyond { readonly what: string; readonly unit: string; readonly needs: number; readonly has: (h: Handling) => number }

const handlingCure = (c: ShotContext, beyond: readonly Beyond[]): Cure[] => {
  const { shot, aircraft } = c.facts;
  const next = FASTER[shot.handling];
  if (!aircraft || !next || beyond.some((b) => b.needs > b.has(aircraft.handling[next]))) return [];
  return [{ say: `Set the sticks to ${next}.`, set: { entity: 'shot', id: shot.id, fields: { handling: next } } }];
};

/** Faster or turned quicker than the sticks are set to allow. */
export const beyondHandling: ShotRule = (c) => {
  const { aircraft, flown, shot } = c.facts;
  if (!aircraft || !flown) return null;
  const all: Beyond[] = [
    { what: 'flies', unit: 'm/s', needs: flown.peakSpeedMs, has: (h) => h.maxSpeedMs },
    { what: 'turns', unit: '\u00b0/s', needs: flown.peakYawDegS, has: (h) => h.maxYawDegS },
    { what: 'tilts', unit: '\u00b0/s', needs: flown.peakTiltDegS, has: (h) => Math.min(h.maxTiltDegS, aircraft.maxTiltDegS) },
  ];
  const beyond = all.filter((b) => b.needs > b.has(aircraft.handling[shot.handling]) * 1.001);
  if (beyond.length === 0) return null;
  const lists = beyond.map((b) => `${b.what} at ${b.needs.toFixed(0)} ${b.unit}, set to ${b.has(aircraft.handling[shot.handling]).toFixed(0)}`);
  return {
    code: 'move.handling', severity: 'care', subject: onShot(c),
    say: `With ${shot.handling} sticks: ${lists.join('; ')}.`,
    why: 'The sticks cannot ask for more than they are set to; the move comes out slower or lags behind.',
    cures: [...handlingCure(c, beyond), { say: 'Or fly it slower, or wider.' }],
  };
};

const NEAR_M = 8;
const LOW_M = 3;

/** Fast sticks are for getting from place to place. */
export const hastySticks: ShotRule = (c) => {
  const { flown, shot, rangeM } = c.facts;
  if (!flown || shot.handling !== 'fast' || (rangeM > NEAR_M && flown.lowestM > LOW_M)) return null;
  return {
    code: 'move.hasty', severity: 'care', subject: onShot(c),
    say: `Fast sticks ${flown.lowestM <= LOW_M ? `at ${flown.lowestM.toFixed(1)} m` : `${rangeM.toFixed(0)} m from the subject`}.`,
    why: 'Near the ground or the subject a twitch of the thumb is a metre; slow keeps it small.',
    cures: [{ say: 'Set the sticks to slow.', set: { entity: 'shot', id: shot.id, fields: { handling: 'slow' } } }],
  };
};

/** The gap leaves less free air than is kept to each side. */
export const tightGap: ShotRule = (c) => {
  const { flown, aircraft, shot } = c.facts;
  if (!flown?.gap || !aircraft) return null;
  const { widthM, heightM, marginM } = flown.gap;
  const leastWidth = aircraft.spanM + 2 * marginM;
  const leastHeight = aircraft.heightM + 2 * marginM;
  if (widthM >= leastWidth && heightM >= leastHeight) return null;
  const free = Math.max(0, Math.min((widthM - aircraft.spanM) / 2, (heightM - aircraft.heightM) / 2));
  return {
    code: 'move.gap', severity: 'stop', subject: onShot(c),
    say: `The gap leaves ${free.toFixed(1)} m to each side; ${marginM.toFixed(1)} m is kept.`,
    why: `${aircraft.name} is ${aircraft.spanM.toFixed(2)} m tip to tip and ${aircraft.heightM.toFixed(2)} m high.`,
    cures: [{ say: `Find a gap of ${leastWidth.toFixed(1)} \u00d7 ${leastHeight.toFixed(1)} m at least, or a smaller aircraft.` },
      ...(free >= 0.2 ? [{ say: `Keep ${free.toFixed(1)} m free instead, if you have flown it slowly before.`, set: { entity: 'shot' as const, id: shot.id, fields: { move: { ...shot.move, values: { ...shot.move.values, marginM: Math.floor(free * 10) / 10 } } } } }] : [])],
  };
};

/** A follow of something faster than the aircraft. */
export const outrun: ShotRule = (c) => {
  const { direction, aircraft, aim, subject } = c.facts;
  if (direction !== 'with' || !aircraft || !subject || aim.speedMs <= aircraft.maxSpeedMs) return null;
  return {
    code: 'move.outrun', severity: 'stop', subject: onShot(c),
    say: `${subject.name} goes ${aim.speedMs.toFixed(1)} m/s; ${aircraft.name} manages ${aircraft.maxSpeedMs.toFixed(1)}.`,
    why: 'It would be left behind.', cures: [{ say: 'Let it pass: hold, or arrive and turn; or slow it down for the take.' }],
  };
};
