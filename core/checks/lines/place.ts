import { SHEAR, windSpeedAt } from '../../air';
import { WIND_SHARES } from '../../shot';
import { clockText } from '../../time';
import { kelvinFor, sunAt } from '../../light';
import { aircraftOf, care, fail, pass, shotsOf, some, type Check, type Context, type Look } from '../types';

const EARTH_KM = 6371;
/** From here on a compass is taught the new place. Usual practice. */
export const COMPASS_KM = 50;

const distanceKm = (
  a: { readonly latitude: number; readonly longitude: number },
  b: { readonly latitude: number; readonly longitude: number },
): number => {
  const rad = Math.PI / 180;
  const h =
    Math.sin(((b.latitude - a.latitude) * rad) / 2) ** 2 +
    Math.cos(a.latitude * rad) *
      Math.cos(b.latitude * rad) *
      Math.sin(((b.longitude - a.longitude) * rad) / 2) ** 2;
  return 2 * EARTH_KM * Math.asin(Math.min(1, Math.sqrt(h)));
};

/** Place that is flown before this one in the film; null for the first. */
const placeBefore = (c: Context) => {
  const all = [...c.derived.places.values()].sort((a, b) => a.windowFromMs - b.windowFromMs);
  return all[all.findIndex((p) => p.location.id === c.place.location.id) - 1] ?? null;
};

const wind: Check = {
  code: 'wind',
  moment: 'launch-point',
  scope: 'place',
  safety: true,
  asks: 'The wind is one the aircraft come home in.',
  protects: 'An aircraft that is blown away.',
  look: (c) => {
    const { location } = c.place;
    const crafts = aircraftOf(c, true);
    const highest = Math.max(10, ...shotsOf(c, true).map((s) => s.facts.trajectory?.highestM ?? 0));
    const gust = windSpeedAt(Math.max(location.gustMs, location.windMs), highest, SHEAR[location.terrain]);
    const weakest = [...crafts].sort((a, b) => a.windLimitMs - b.windLimitMs)[0];
    if (!weakest) return null;
    const share = gust / weakest.windLimitMs;
    const say = `Gusts of ${gust.toFixed(1)} m/s at ${highest.toFixed(0)} m are ${(share * 100).toFixed(0)} % of what ${weakest.name} is rated for.`;
    return share > WIND_SHARES.flyable
      ? fail(say)
      : share > WIND_SHARES.usable
        ? care(`${say} Above half the footage is rarely usable.`)
        : pass(say);
  },
};

const window: Check = {
  code: 'window',
  moment: 'launch-point',
  scope: 'place',
  safety: false,
  asks: 'The light window is open.',
  protects: 'A pack flown before the light.',
  look: (c) => {
    const { windowFromMs, windowToMs, location } = c.place;
    if (!Number.isFinite(windowFromMs))
      return fail('The window of this place is not known: look at its zone and date.');
    const at = (ms: number): string => clockText(ms, location.zone);
    if (c.nowMs < windowFromMs) return care(`It opens at ${at(windowFromMs)}.`);
    return c.nowMs > windowToMs
      ? fail(`It closed at ${at(windowToMs)}.`)
      : pass(`Open until ${at(windowToMs)}.`);
  },
};

const wanted: Check = {
  code: 'light-wanted',
  moment: 'launch-point',
  scope: 'place',
  safety: false,
  asks: 'Every slate has the light it wants at its minute.',
  protects: 'The right move at the wrong minute.',
  look: (c) => {
    const off = shotsOf(c, true).filter((s) =>
      s.warnings.some((w) => w.code === 'light.wish' || w.code === 'light.window'),
    );
    return shotsOf(c, true).length === 0
      ? null
      : off.length > 0
        ? care(`Not so: ${some(off.map((s) => `${s.number} ${s.facts.shot.title || 'untitled'}`))}.`)
        : pass('All as planned.');
  },
};

/** What was found about the site with some of its codes. Nothing holds before it was looked at. */
const siteLook = (c: Context, codes: readonly string[], clear: string): Look => {
  if (c.site === null) return care('The site is still being looked at.');
  const found = c.site.filter((w) => codes.includes(w.code));
  const worst = found.find((w) => w.severity === 'stop') ?? found[0];
  return worst ? (worst.severity === 'note' ? care(worst.say) : fail(worst.say)) : pass(clear);
};

const returnHeight: Check = {
  code: 'return-height',
  moment: 'launch-point',
  scope: 'place',
  safety: true,
  asks: (c) => `Return height is set to ${c.place.location.returnHeightM.toFixed(0)} m.`,
  protects: 'A way home through trees, or above the ceiling.',
  look: (c) =>
    siteLook(
      c,
      ['site.return-height', 'site.return-ceiling', 'site.return-shut', 'site.loss'],
      `${c.place.location.returnHeightM.toFixed(0)} m clears what is drawn, under the ceiling of ${c.place.location.ceilingM.toFixed(0)} m noted here. Check the local rule.`,
    ),
};

const clearance: Check = {
  code: 'clearance',
  moment: 'launch-point',
  scope: 'place',
  safety: true,
  asks: 'Every way keeps free of what stands there.',
  protects: 'Wires and branches that are not seen from the ground.',
  look: (c) =>
    c.input.features.some((f) => f.locationId === c.place.location.id)
      ? siteLook(c, ['site.clearance', 'site.launch-under'], 'Nothing drawn on the plan comes near a way.')
      : care('Nothing is drawn on the plan here: walk the ways first.'),
};

const flicker: Check = {
  code: 'mains',
  moment: 'launch-point',
  scope: 'place',
  safety: false,
  asks: (c) => `Shutters suit lamps on ${c.place.location.mainsHz} Hz.`,
  protects: 'Lamps and screens that flicker in every clip.',
  look: (c) => {
    if (c.place.location.lamps === 'none') return null;
    const bad = shotsOf(c, true).filter((s) => s.warnings.some((w) => w.code === 'exposure.flicker'));
    return bad.length > 0
      ? fail(`Flickers: ${some(bad.map((s) => `${s.number} ${s.facts.shot.title || 'untitled'}`))}.`)
      : pass(`No planned shutter flickers on ${c.place.location.mainsHz} Hz.`);
  },
};

const compass: Check = {
  code: 'compass',
  moment: 'launch-point',
  scope: 'place',
  safety: true,
  asks: 'The compass is taught this place, away from metal.',
  protects: 'A flight that bends away by itself.',
  applies: (c) => {
    const before = placeBefore(c);
    return before === null || distanceKm(before.location, c.place.location) > COMPASS_KM;
  },
};

/** White balance of the first slate of a place, K; null where it is left to the camera. */
const kelvinOf = (c: Context, placeId: string): number | null => {
  const place = c.derived.places.get(placeId);
  if (!place || c.input.film.preferences.whiteBalance === 'automatic') return null;
  const first = [...c.derived.shots.values()].find((s) => s.facts.location.id === placeId);
  const at = first?.light?.atMs ?? place.windowFromMs;
  return Number.isFinite(at)
    ? (first?.facts.shot.kelvin ??
        kelvinFor(
          sunAt(at, place.location.latitude, place.location.longitude).altitudeDeg,
          place.location.sky,
          place.location.lamps,
        ).kelvin)
    : null;
};

const whiteBalance: Check = {
  code: 'white-balance',
  moment: 'launch-point',
  scope: 'place',
  safety: false,
  protects: 'A day in the colours of the place before.',
  asks: (c) => {
    const now = kelvinOf(c, c.place.location.id);
    return now === null ? 'White balance is on automatic.' : `White balance is set to ${now} K.`;
  },
  look: (c) => {
    if (shotsOf(c, true).length === 0) return null;
    const [now, before] = [kelvinOf(c, c.place.location.id), placeBefore(c)];
    const was = before ? kelvinOf(c, before.location.id) : null;
    const auto = c.input.film.preferences.whiteBalance === 'automatic';
    if (auto) return care('Locked for a take, it is set back to automatic before the next.');
    return before === null || was === now
      ? pass(before ? `As at ${before.location.name}.` : 'The first place of the film.')
      : care(`At ${before.location.name} it was ${was ?? 0} K: set it anew.`);
  },
};

const focus: Check = {
  code: 'focus',
  moment: 'launch-point',
  scope: 'place',
  safety: false,
  asks: 'Focus is where the slates want it, and locked.',
  protects: 'A whole flight a little soft.',
  look: (c) => {
    const shots = shotsOf(c, true).filter((s) => s.facts.camera?.focus === 'adjustable');
    if (shots.length === 0) return null;
    const near = shots.filter((s) => s.facts.shot.focusM !== null);
    return near.length === 0
      ? pass('Far for every slate.')
      : care(
          `By hand: ${some(near.map((s) => `${s.number} ${s.facts.shot.title || 'untitled'} at ${s.facts.shot.focusM?.toFixed(1) ?? ''} m`))}.`,
        );
  },
};

const musts: Check = {
  code: 'musts',
  moment: 'leaving-place',
  scope: 'place',
  safety: false,
  asks: 'Every must of this place is in the can.',
  protects: 'Driving home without it.',
  look: (c) => {
    const open = shotsOf(c, true).filter((s) => s.facts.shot.priority === 'must' && !s.done);
    return shotsOf(c, true).length === 0
      ? null
      : open.length > 0
        ? fail(`Missing: ${some(open.map((s) => `${s.number} ${s.facts.shot.title || 'untitled'}`))}.`)
        : pass('All musts are in the can.');
  },
};

const smallOnes: Check = {
  code: 'small-ones',
  moment: 'leaving-place',
  scope: 'place',
  safety: false,
  asks: 'The small things are shot, too.',
  protects: 'The detail forgotten because the big thing was so pretty.',
  look: (c) => {
    const open = shotsOf(c, true).filter((s) => s.facts.shot.priority !== 'must' && !s.done);
    return open.length > 0
      ? care(`Still open: ${some(open.map((s) => `${s.number} ${s.facts.shot.title || 'untitled'}`))}.`)
      : null;
  },
};

const release: Check = {
  code: 'release',
  moment: 'days-before',
  scope: 'day',
  safety: false,
  asks: 'Everybody who will be known in a picture has signed.',
  protects: 'A clip that cannot be used.',
  look: (c) => {
    const people = shotsOf(c).filter((s) => s.facts.shot.usage.people !== 'none');
    const open = people.filter((s) => s.facts.shot.usage.people === 'release-wanted');
    return people.length === 0
      ? null
      : open.length > 0
        ? fail(`Not signed: ${some(open.map((s) => `${s.number} ${s.facts.shot.title || 'untitled'}`))}.`)
        : pass('Signed, or nobody can be known.');
  },
};

const permission: Check = {
  code: 'permission',
  moment: 'days-before',
  scope: 'day',
  safety: false,
  asks: 'Who owns or looks after the place has said yes.',
  protects: 'Being sent away with the light just right.',
  look: (c) => {
    const ids = new Set(c.places.map((p) => p.location.id));
    const zones = c.input.features.filter((f) => f.kind === 'permission' && ids.has(f.locationId));
    const open = zones.filter((f) => !f.granted);
    return zones.length === 0
      ? null
      : open.length > 0
        ? fail(`Not granted yet: ${some(open.map((f) => f.name || 'an area without a name'))}.`)
        : pass(`Granted: ${some(zones.map((f) => f.name || 'an area without a name'))}.`);
  },
};

export const PLACE_CHECKS: readonly Check[] = [
  release,
  permission,
  wind,
  window,
  wanted,
  returnHeight,
  clearance,
  compass,
  whiteBalance,
  focus,
  flicker,
  musts,
  smallOnes,
];
