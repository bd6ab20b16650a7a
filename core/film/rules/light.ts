import { clockText, type LightWindow } from '../../light';
import { ERROR_TOLERANCE } from '../../exposure';
import type { LightWish } from '../types';
import { onShot, type ShotContext, type ShotRule } from './types';

const inWindow = (atMs: number, windows: readonly LightWindow[], kind: LightWish): boolean =>
  windows.some((w) => w.kind === kind && atMs >= w.fromMs && atMs <= w.toMs);

const wishMet = (wish: LightWish, c: ShotContext): boolean => {
  if (!c.light || !c.place.light || wish === 'any') return true;
  if (wish === 'day') return c.light.sun.altitudeDeg > 0;
  if (wish === 'night') return c.light.sun.altitudeDeg < -6;
  return inWindow(c.light.atMs, c.place.light.windows, wish);
};

/** The planned minute is not in the light the shot wants. */
export const wrongLight: ShotRule = (c) => {
  const { shot, location } = c.facts;
  if (!c.light || wishMet(shot.wants, c)) return null;
  const windows = c.place.light?.windows.filter((w) => w.kind === shot.wants) ?? [];
  const when = windows.map((w) => `${clockText(w.fromMs, location.zone)}–${clockText(w.toMs, location.zone)}`).join(' or ');
  return {
    code: 'light.wish', severity: 'care', subject: onShot(c),
    say: `Planned at ${clockText(c.light.atMs, location.zone)}, wants ${shot.wants} light.`,
    why: when ? `That day it is there ${when}.` : 'That light does not come on this date.',
    cures: [{ say: when ? 'Move the shot along the list, or the start of the window.' : 'Choose another date or another light.' }],
  };
};

export const outsideWindow: ShotRule = (c) => {
  if (!c.light) return null;
  const endMs = c.light.atMs + c.facts.seconds.airS * 1000;
  if (endMs <= c.place.windowToMs) return null;
  const minutes = (endMs - c.place.windowToMs) / 60_000;
  return {
    code: 'light.window', severity: 'care', subject: onShot(c),
    say: `Ends ${minutes.toFixed(0)} min after the window closes at ${clockText(c.place.windowToMs, c.facts.location.zone)}.`,
    why: 'Flights before it, pack changes and its own takes do not fit in the window.',
    cures: [{ say: 'Start earlier, drop a take, or move it up the list.' }],
  };
};

export const sunInLens: ShotRule = (c) => !c.light?.sunInLens ? null : {
  code: 'light.sun-in-lens', severity: 'care', subject: onShot(c),
  say: `The sun comes within ${c.light.nearestSunDeg.toFixed(0)}° of the lens axis.`,
  why: 'Flare and a clipped sky ruin the pass unless that is what you want.',
  cures: [{ say: 'Fly it from the other side, reversed, or at another minute.' }],
};

export const exposureOff: ShotRule = (c) => {
  if (!c.light) return null;
  if (!c.light.exposure.ok) {
    return { code: 'exposure.none', severity: 'care', subject: onShot(c), say: c.light.exposure.reason, why: 'No setting can be proposed.', cures: [{ say: 'Check the camera and the filters in the kit.' }] };
  }
  const { choice } = c.light.exposure.value;
  const off = choice.errorStops - c.facts.film.preferences.highlightBiasStops;
  if (Math.abs(off) > ERROR_TOLERANCE) {
    return {
      code: off > 0 ? 'exposure.over' : 'exposure.under', severity: 'care', subject: onShot(c),
      say: `${Math.abs(choice.errorStops).toFixed(1)} stops ${choice.errorStops > 0 ? 'over' : 'under'} with the best setting found.`,
      why: off > 0 ? 'No filter in the kit is strong enough with these choices.' : 'Too dark for these choices.',
      cures: [{ say: off > 0 ? 'Bring a stronger filter, or free a hand choice.' : 'Fly in more light, or free a hand choice.' }],
    };
  }
  if (choice.inBand) return null;
  return {
    code: 'exposure.shutter', severity: 'note', subject: onShot(c),
    say: `Shutter at ${choice.shutterAngleDeg.toFixed(0)}°, outside the wanted band.`,
    why: 'The filters at hand do not reach the band at this light.', cures: [{ say: 'A filter one step stronger or weaker would.' }],
  };
};

export const filterChange: ShotRule = (c) => {
  const fixed = c.facts.shot.exposure.filterId;
  if (fixed === null || !c.light?.exposure.ok) return null;
  return c.light.exposure.value.reasons.some((r) => r.includes('land to change it')) ? {
    code: 'exposure.filter-change', severity: 'care', subject: onShot(c),
    say: 'Fixed to another filter than the shot before it in the same flight.',
    why: 'A filter can only be changed on the ground.', cures: [{ say: 'Free the filter choice, or put the shot at the start of a flight.' }],
  } : null;
};

export const flicker: ShotRule = (c) => !c.light?.exposure.ok || !c.light.exposure.value.choice.flickers ? null : {
  code: 'exposure.flicker', severity: 'care', subject: onShot(c),
  say: `Lamps on ${c.facts.location.mainsHz} Hz will flicker at this shutter.`,
  why: 'The shutter does not catch whole pulses of the lamps.', cures: [{ say: 'Free the shutter, or pick one that is a whole number of half mains periods.' }],
};
