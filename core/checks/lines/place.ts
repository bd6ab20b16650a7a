import { featureName } from '../../site';
import { greatCircle } from '../../geometry';
import { measured, message, type Message, yesNo } from '../../messages';
import { gustsOn, shotName } from '../../shot';
import { clockText } from '../../time';
import { kelvinFor, sunAt } from '../../light';
import {
  aircraftOf,
  care,
  fail,
  pass,
  shotsOf,
  some,
  type Check,
  type Context,
  type CheckResult,
} from '../types';

/** From here on a compass is taught the new place. Usual practice. */
export const COMPASS_KM = 50;

/** Place that is flown before this one in the film; null for the first. */
const placeBefore = (c: Context) => {
  const all = [...c.derived.places.values()].sort((a, b) => a.windowFromMs - b.windowFromMs);
  return all[all.findIndex((p) => p.location.id === c.place.location.id) - 1] ?? null;
};

/** Height winds are given for. */
const LOWEST_WIND_M = 10;

const wind: Check = {
  code: 'wind',
  moment: 'launch-point',
  scope: 'place',
  safety: true,
  prompt: message('check.wind.asks'),
  protects: message('check.wind.protects'),
  evaluate: (c) => {
    const shots = shotsOf(c, true);
    // Each aircraft at the height of its own shots: a sentence never mixes the height of one with the limit of another.
    const worst = aircraftOf(c, true)
      .map((aircraft) => {
        const heights = shots
          .filter((s) => s.facts.aircraft?.id === aircraft.id)
          .map((s) => s.facts.overGround.highestM);
        const highest = Math.max(LOWEST_WIND_M, ...heights.filter(Number.isFinite));
        return { aircraft, ...gustsOn(aircraft, c.place.location, highest, c.input.film.preferences) };
      })
      .sort((x, y) => y.share - x.share)[0];
    if (!worst) return null;
    const say = message('check.wind.found', {
      gust: measured(worst.gustMs, 'speed', 1),
      height: measured(worst.heightM, 'metres', 0),
      share: measured(worst.share * 100, 'percent', 0),
      aircraft: worst.aircraft.name,
    });
    return { none: pass, care: (m: Message) => care(message('check.wind.care', { say: m })), stop: fail }[
      worst.weight
    ](say);
  },
};

const window: Check = {
  code: 'window',
  moment: 'launch-point',
  scope: 'place',
  safety: false,
  prompt: message('check.window.asks'),
  protects: message('check.window.protects'),
  evaluate: (c) => {
    const { windowFromMs, windowToMs, location } = c.place;
    if (!Number.isFinite(windowFromMs)) return fail(message('check.window.fail'));
    const at = (ms: number): string => clockText(ms, location.zone);
    if (c.nowMs < windowFromMs) return care(message('check.window.care', { windowFrom: at(windowFromMs) }));
    return c.nowMs > windowToMs
      ? fail(message('check.window.fail.2', { windowTo: at(windowToMs) }))
      : pass(message('check.window.pass', { windowTo: at(windowToMs) }));
  },
};

const wanted: Check = {
  code: 'light-wanted',
  moment: 'launch-point',
  scope: 'place',
  safety: false,
  prompt: message('check.light-wanted.asks'),
  protects: message('check.light-wanted.protects'),
  evaluate: (c) => {
    const off = shotsOf(c, true).filter((s) =>
      s.warnings.some((w) => w.code === 'light.wish' || w.code === 'light.window'),
    );
    return shotsOf(c, true).length === 0
      ? null
      : off.length > 0
        ? care(
            message('check.light-wanted.care', {
              shots: some(off.map((s) => shotName(s.number, s.facts.shot.title))),
            }),
          )
        : pass(message('check.light-wanted.pass'));
  },
};

/** What was found about the site with some of its codes. Nothing holds before it was looked at. */
const siteLook = (c: Context, codes: readonly string[], clear: Message): CheckResult => {
  if (c.site === null) return care(message('check.site-look.care'));
  const found = c.site.filter((w) => codes.includes(w.code));
  const worst = found.find((w) => w.severity === 'stop') ?? found[0];
  return worst ? (worst.severity === 'note' ? care(worst.say) : fail(worst.say)) : pass(clear);
};

const returnHeight: Check = {
  code: 'return-height',
  moment: 'launch-point',
  scope: 'place',
  safety: true,
  prompt: (c) =>
    message('check.return-height.asks', { height: measured(c.place.location.returnHeightM, 'metres', 0) }),
  protects: message('check.return-height.protects'),
  evaluate: (c) =>
    siteLook(
      c,
      ['site.return-height', 'site.return-ceiling', 'site.return-shut', 'site.loss'],
      message('check.return-height.pass', {
        height: measured(c.place.location.returnHeightM, 'metres', 0),
        ceiling: measured(c.place.location.ceilingM, 'metres', 0),
      }),
    ),
};

const clearance: Check = {
  code: 'clearance',
  moment: 'launch-point',
  scope: 'place',
  safety: true,
  prompt: message('check.clearance.asks'),
  protects: message('check.clearance.protects'),
  evaluate: (c) =>
    c.input.features.some((f) => f.locationId === c.place.location.id)
      ? siteLook(c, ['site.clearance', 'site.launch-under'], message('check.clearance.pass'))
      : care(message('check.clearance.care')),
};

const flicker: Check = {
  code: 'mains',
  moment: 'launch-point',
  scope: 'place',
  safety: false,
  prompt: (c) => message('check.mains.asks', { hertz: c.place.location.mainsHz }),
  protects: message('check.mains.protects'),
  evaluate: (c) => {
    if (c.place.location.lamps === 'none') return null;
    const bad = shotsOf(c, true).filter((s) => s.warnings.some((w) => w.code === 'exposure.flicker'));
    return bad.length > 0
      ? fail(
          message('check.mains.fail', {
            shots: some(bad.map((s) => shotName(s.number, s.facts.shot.title))),
          }),
        )
      : pass(message('check.mains.pass', { mainsHz: c.place.location.mainsHz }));
  },
};

const compass: Check = {
  code: 'compass',
  moment: 'launch-point',
  scope: 'place',
  safety: true,
  prompt: message('check.compass.asks'),
  protects: message('check.compass.protects'),
  applies: (c) => {
    const before = placeBefore(c);
    return before === null || greatCircle(before.location, c.place.location) > COMPASS_KM * 1000;
  },
};

/** White balance of the first shot of a place, K; null where it is left to the camera. */
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
  protects: message('check.white-balance.protects'),
  prompt: (c) => {
    const now = kelvinOf(c, c.place.location.id);
    return now === null
      ? message('check.white-balance.asks')
      : message('check.white-balance.asks-kelvin', { kelvin: now });
  },
  evaluate: (c) => {
    if (shotsOf(c, true).length === 0) return null;
    const [now, before] = [kelvinOf(c, c.place.location.id), placeBefore(c)];
    const was = before ? kelvinOf(c, before.location.id) : null;
    const auto = c.input.film.preferences.whiteBalance === 'automatic';
    if (auto) return care(message('check.white-balance.care'));
    return before === null || was === now
      ? pass(
          before
            ? message('check.white-balance.pass', { location: before.location.name })
            : message('check.white-balance.pass.else'),
        )
      : care(message('check.white-balance.care.2', { location: before.location.name, was: was ?? 0 }));
  },
};

const focus: Check = {
  code: 'focus',
  moment: 'launch-point',
  scope: 'place',
  safety: false,
  prompt: message('check.focus.asks'),
  protects: message('check.focus.protects'),
  evaluate: (c) => {
    const shots = shotsOf(c, true).filter((s) => s.facts.camera?.focus === 'adjustable');
    if (shots.length === 0) return null;
    const near = shots.filter((s) => s.facts.shot.focusM !== null);
    return near.length === 0
      ? pass(message('check.focus.pass'))
      : care(
          message('check.focus.care', {
            m: some(
              near.map((s) =>
                message('check.focus.at', {
                  n: s.number,
                  title: s.facts.shot.title,
                  titled: yesNo(s.facts.shot.title !== ''),
                  distance: measured(s.facts.shot.focusM ?? NaN, 'metres', 1),
                }),
              ),
            ),
          }),
        );
  },
};

const musts: Check = {
  code: 'musts',
  moment: 'leaving-place',
  scope: 'place',
  safety: false,
  prompt: message('check.musts.asks'),
  protects: message('check.musts.protects'),
  evaluate: (c) => {
    const open = shotsOf(c, true).filter((s) => s.facts.shot.priority === 'must' && !s.done);
    return shotsOf(c, true).length === 0
      ? null
      : open.length > 0
        ? fail(
            message('check.musts.fail', {
              shots: some(open.map((s) => shotName(s.number, s.facts.shot.title))),
            }),
          )
        : pass(message('check.musts.pass'));
  },
};

const smallOnes: Check = {
  code: 'small-ones',
  moment: 'leaving-place',
  scope: 'place',
  safety: false,
  prompt: message('check.small-ones.asks'),
  protects: message('check.small-ones.protects'),
  evaluate: (c) => {
    const open = shotsOf(c, true).filter((s) => s.facts.shot.priority !== 'must' && !s.done);
    return open.length > 0
      ? care(
          message('check.small-ones.care', {
            shots: some(open.map((s) => shotName(s.number, s.facts.shot.title))),
          }),
        )
      : null;
  },
};

const release: Check = {
  code: 'release',
  moment: 'days-before',
  scope: 'day',
  safety: false,
  prompt: message('check.release.asks'),
  protects: message('check.release.protects'),
  evaluate: (c) => {
    const people = shotsOf(c).filter((s) => s.facts.shot.usage.people !== 'none');
    const open = people.filter((s) => s.facts.shot.usage.people === 'release-wanted');
    return people.length === 0
      ? null
      : open.length > 0
        ? fail(
            message('check.release.fail', {
              shots: some(open.map((s) => shotName(s.number, s.facts.shot.title))),
            }),
          )
        : pass(message('check.release.pass'));
  },
};

const permission: Check = {
  code: 'permission',
  moment: 'days-before',
  scope: 'day',
  safety: false,
  prompt: message('check.permission.asks'),
  protects: message('check.permission.protects'),
  evaluate: (c) => {
    const ids = new Set(c.places.map((p) => p.location.id));
    const zones = c.input.features.filter((f) => f.kind === 'permission' && ids.has(f.locationId));
    const open = zones.filter((f) => !f.granted);
    return zones.length === 0
      ? null
      : open.length > 0
        ? fail(
            message('check.permission.fail', {
              a: some(open.map(featureName)),
            }),
          )
        : pass(
            message('check.permission.pass', {
              a: some(zones.map(featureName)),
            }),
          );
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
