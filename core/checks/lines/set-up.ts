import { sunAt } from '../../light';
import { measured, message } from '../../messages';
import { takeOffMass } from '../../payload';
import type { Aircraft } from '../../model';
import { dateIn } from '../../time';
import { aircraftOf, shotsOf, some, type Check, type Context } from '../types';

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

/** The last day an aircraft was flown before a date; null where it never was. Simulated flights are none. */
const lastFlown = (c: Context, craft: Aircraft): string | null =>
  c.input.kit.flightLog
    .filter((f) => f.aircraftId === craft.id && !f.simulated)
    .map((f) => dateIn(f.utcMs, c.place.location.zone))
    .filter((date) => date < c.date)
    .sort()
    .at(-1) ?? null;
/** Aircraft that were never flown, or not since their firmware was looked up last: what they do may have changed. */
const unfamiliar = (c: Context): Aircraft[] =>
  aircraftOf(c).filter((a) => {
    const flown = lastFlown(c, a);
    return flown === null || (a.firmwareOn !== null && a.firmwareOn > flown && a.firmwareOn <= c.date);
  });
const familiarCheck = (code: string): Check =>
  asked(code, 'launch-point', {
    safety: true,
    applies: (c) => unfamiliar(c).length > 0,
    prompt: (c) => message(`check.${code}.asks`, { aircraft: some(unfamiliar(c).map((a) => a.name)) }),
  });

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
  familiarCheck('stick-modes'),
  familiarCheck('limits-set'),
  asked('front-lights', 'launch-point', { scope: 'flight', applies: inLowSun }),
];
