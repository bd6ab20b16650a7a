import { sunAt } from '../../light';
import { measured, message } from '../../messages';
import { takeOffMass } from '../../payload';
import { aircraftOf, shotsOf, type Check, type Context } from '../types';

/** Below this the lamps of an aircraft light dust, leaves and faces near it, deg. Usual practice. */
const LAMPS_SHOW_DEG = 6;
/** Moves and wishes that are flown by the aircraft's own program, not by hand. */
const BY_PROGRAM = new Set(['route', 'time-lapse', 'panorama', 'bracket']);

const asked = (code: string, moment: Check['moment'], more: Partial<Check> = {}): Check => ({
  code,
  moment,
  scope: 'place',
  safety: false,
  prompt: message(`check.${code}.asks`),
  protects: message(`check.${code}.protects`),
  ...more,
});

const inLowSun = (c: Context): boolean => {
  const { latitude, longitude, placed } = c.place.location;
  return (
    placed &&
    c.flight !== null &&
    Math.min(...[c.flight.startMs, c.flight.endMs].map((ms) => sunAt(ms, latitude, longitude).altitudeDeg)) <
      LAMPS_SHOW_DEG
  );
};
/** Others are on the same channels: people about, lamps, houses. */
const isCrowded = (c: Context): boolean =>
  c.place.location.lamps !== 'none' ||
  c.input.features.some((f) => f.locationId === c.place.location.id && f.kind === 'people');
const carriedG = (c: Context): number =>
  Math.max(0, ...aircraftOf(c).map((a) => takeOffMass(a, null, null, c.input.kit.gear).fittedG));
const byProgram = (c: Context): boolean =>
  shotsOf(c).some((s) => BY_PROGRAM.has(s.facts.shot.move.kind) || s.facts.shot.overGround);

/** What is set in aircraft, controller and phone before it is needed. */
export const SET_UP_CHECKS: readonly Check[] = [
  asked('identification', 'days-before', { scope: 'day', safety: true }),
  asked('cover', 'days-before', { scope: 'day', applies: byProgram }),
  asked('buttons', 'evening-before', { scope: 'day' }),
  asked('phone-power', 'evening-before', {
    scope: 'day',
    applies: (c) => c.input.kit.devices.some((d) => d.role === 'phone' && !d.retired),
  }),
  asked('channel', 'launch-point', { safety: true, applies: isCrowded }),
  asked('payload', 'launch-point', {
    safety: true,
    applies: (c) => carriedG(c) > 0,
    prompt: (c) => message('check.payload.asks', { carried: measured(carriedG(c), 'grams', 0) }),
  }),
  asked('front-lights', 'launch-point', { scope: 'flight', applies: inLowSun }),
];
