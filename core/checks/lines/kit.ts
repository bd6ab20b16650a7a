import { addDays, daysBetween } from '../../time';
import { measured, message, onDay, yesNo } from '../../messages';
import { eveningBefore, STORAGE_DAYS } from '../../charge';
import { packFaults, calibrationOf } from '../../energy';
import { takeOffMass, weightClass } from '../../payload';
import type { Aircraft, Pack } from '../../model';
import { aircraftOf, care, fail, flightsOf, pass, some, type Check, type Context } from '../types';

/** Firmware that was looked at within so many days counts as looked at. */
export const FIRMWARE_DAYS = 30;

const flownPacks = (c: Context): Pack[] => {
  const ids = new Set(flightsOf(c).map((f) => f.packId));
  return c.input.kit.packs.filter((p) => ids.has(p.id));
};

const firmwareLooked: Check = {
  code: 'firmware',
  moment: 'days-before',
  scope: 'day',
  safety: false,
  prompt: message('check.firmware.asks'),
  protects: message('check.firmware.protects'),
  evaluate: (c) => {
    const things = [
      ...aircraftOf(c),
      ...flownPacks(c).filter((p) => p.firmware !== ''),
      ...c.input.kit.devices.filter((d) => d.role === 'controller'),
    ];
    if (things.length === 0) return null;
    const late = things.filter(
      (t) => t.firmwareOn === null || daysBetween(t.firmwareOn, c.date) > FIRMWARE_DAYS,
    );
    return late.length === 0
      ? pass(message('check.firmware.pass', { things: things.length, FIRMWARE_DAY: FIRMWARE_DAYS }))
      : fail(
          message('check.firmware.fail', { FIRMWARE_DAY: FIRMWARE_DAYS, t: some(late.map((t) => t.name)) }),
        );
  },
};

const firmwareParity: Check = {
  code: 'firmware-parity',
  moment: 'days-before',
  scope: 'day',
  safety: true,
  prompt: message('check.firmware-parity.asks'),
  protects: message('check.firmware-parity.protects'),
  evaluate: (c) => {
    const odd = flownPacks(c).flatMap((p) => {
      const craft = c.input.kit.aircraft.find((a) => p.aircraftIds.includes(a.id));
      return craft && p.firmware !== '' && craft.firmware !== '' && p.firmware !== craft.firmware
        ? [
            message('check.firmware-parity.odd', {
              pack: p.name,
              runs: p.firmware,
              aircraft: craft.name,
              has: craft.firmware,
            }),
          ]
        : [];
    });
    const entered = flownPacks(c).some((p) => p.firmware !== '');
    return odd.length > 0
      ? fail(message('check.firmware-parity.fail', { odd: some(odd) }))
      : entered
        ? pass(message('check.firmware-parity.pass'))
        : null;
  },
};

const papers: Check = {
  code: 'papers',
  moment: 'days-before',
  scope: 'day',
  safety: false,
  prompt: message('check.papers.asks'),
  protects: message('check.papers.protects'),
  evaluate: (c) => {
    const crafts = aircraftOf(c);
    if (crafts.length === 0) return null;
    const wrong = crafts.flatMap((a) => [
      ...(a.registration === '' ? [message('check.papers.no-mark', { name: a.name })] : []),
      ...(a.insuredUntil === null
        ? [message('check.papers.no-insurance', { name: a.name })]
        : a.insuredUntil < c.date
          ? [message('check.papers.ends', { name: a.name, until: onDay(a.insuredUntil) })]
          : []),
    ]);
    return wrong.length > 0
      ? fail(message('check.papers.fail', { wrong: some(wrong) }))
      : pass(
          message('check.papers.pass', {
            insuredUntil: onDay(crafts.map((a) => a.insuredUntil ?? '').sort()[0] ?? ''),
          }),
        );
  },
};

/** Heaviest an aircraft takes off with on the day: its heaviest pack, the heaviest filter its flights have on. */
const heaviest = (c: Context, craft: Aircraft) => {
  const flights = flightsOf(c).filter((f) => f.aircraftId === craft.id);
  const packs = c.input.kit.packs
    .filter((p) => flights.some((f) => f.packId === p.id))
    .sort((a, b) => b.massG - a.massG);
  const used = new Set(
    flights.flatMap((f) => f.stops.map((s) => c.derived.shots.get(s.shotId)?.filter?.filterId)),
  );
  const filters = c.input.kit.filters.filter((f) => used.has(f.id)).sort((a, b) => b.massG - a.massG);
  return takeOffMass(craft, packs[0] ?? null, filters[0] ?? null, c.input.kit.gear);
};

const weight: Check = {
  code: 'weight',
  moment: 'days-before',
  scope: 'day',
  safety: false,
  prompt: message('check.weight.asks'),
  protects: message('check.weight.protects'),
  evaluate: (c) => {
    const crafts = aircraftOf(c);
    if (crafts.length === 0) return null;
    const lines = c.input.film.preferences.weightLinesKg;
    const all = crafts.map((craft) => ({ craft, mass: heaviest(c, craft) }));
    const lifted = all.filter(({ mass }) => {
      const [bare, loaded] = [mass.aircraftG, mass.totalG].map((g) => weightClass(g, lines).underG);
      return bare !== loaded;
    });
    const masses = (list: typeof all) =>
      some(
        list.map(({ craft, mass }) =>
          message('check.mass', { aircraft: craft.name, mass: measured(mass.totalG, 'grams', 0) }),
        ),
      );
    return lifted.length > 0
      ? fail(message('check.weight.fail', { lifted: masses(lifted) }))
      : pass(message('check.weight.pass', { all: masses(all) }));
  },
};

const packsSound: Check = {
  code: 'packs-sound',
  moment: 'evening-before',
  scope: 'day',
  safety: true,
  prompt: message('check.packs-sound.asks'),
  protects: message('check.packs-sound.protects'),
  evaluate: (c) => {
    const packs = flownPacks(c);
    if (packs.length === 0) return null;
    const bad = packs.flatMap((p) => {
      const [fault] = packFaults(p, calibrationOf(c.input.kit));
      return fault ? [message('check.named-fault', { pack: p.name, fault })] : [];
    });
    return bad.length > 0
      ? fail(message('check.packs-sound.fail', { bad: some(bad) }))
      : pass(message('check.packs-sound.pass', { packs: packs.length }));
  },
};

const packsCharged: Check = {
  code: 'packs-charged',
  moment: 'evening-before',
  scope: 'day',
  safety: false,
  prompt: message('check.packs-charged.asks'),
  protects: message('check.packs-charged.protects'),
  evaluate: (c) => {
    const packs = flownPacks(c);
    if (packs.length === 0) return null;
    const { topUp } = eveningBefore(packs, [], c.input.kit.chargers, addDays(c.date, -1), c.date, 0);
    return topUp.length > 0
      ? fail(
          message('check.packs-charged.fail', {
            itself: some(
              topUp.map((t) =>
                message('check.packs-charged.low', {
                  name: t.pack.name,
                  share: measured(100 * t.share, 'percent', 0),
                  drained: yesNo(t.drained),
                }),
              ),
            ),
          }),
        )
      : pass(message('check.packs-charged.pass', { packs: packs.length }));
  },
};

/** Shares below which a device is charged before a shoot, whatever its hours say. */
const DEVICE_SHARE = 0.8;

const devicesCharged: Check = {
  code: 'devices-charged',
  moment: 'evening-before',
  scope: 'day',
  safety: true,
  prompt: message('check.devices-charged.asks'),
  protects: message('check.devices-charged.protects'),
  evaluate: (c) => {
    const { devices } = c.input.kit;
    if (devices.length === 0) return null;
    const low = devices.filter((d) => d.charge < DEVICE_SHARE);
    return low.length > 0
      ? fail(
          message('check.devices-charged.fail', {
            percent: some(
              low.map((d) =>
                message('check.device-charge', {
                  device: d.name,
                  charge: measured(d.charge * 100, 'percent', 0),
                }),
              ),
            ),
          }),
        )
      : pass(
          message('check.list', {
            list: some(
              devices.map((d) =>
                message('check.device-charge', {
                  device: d.name,
                  charge: measured(d.charge * 100, 'percent', 0),
                }),
              ),
            ),
          }),
        );
  },
};

const afterPack: Check = {
  code: 'pack-after',
  moment: 'after-landing',
  scope: 'flight',
  safety: true,
  prompt: (c) =>
    message('check.pack-after.asks', {
      pack: c.input.kit.packs.find((p) => p.id === c.flight?.packId)?.name ?? message('thing.pack'),
    }),
  protects: message('check.pack-after.protects'),
  applies: (c) => c.flight !== null,
};

const logged: Check = {
  code: 'logged',
  moment: 'after-landing',
  scope: 'flight',
  safety: false,
  prompt: message('check.logged.asks'),
  protects: message('check.logged.protects'),
  evaluate: (c) => {
    if (!c.flight) return null;
    const done = c.flight.stops.filter((s) => c.derived.done.has(s.shotId)).length;
    return done > 0
      ? pass(message('check.logged.pass', { done, stops: c.flight.stops.length }))
      : care(message('check.logged.care'));
  },
};

const storage: Check = {
  code: 'storage',
  moment: 'at-home',
  scope: 'day',
  safety: true,
  prompt: message('check.storage.asks'),
  protects: message('check.storage.protects'),
  evaluate: (c) => {
    const next = c.input.locations
      .map((l) => l.date)
      .filter((d) => d > c.date)
      .sort()[0];
    if (next !== undefined && daysBetween(c.date, next) < STORAGE_DAYS)
      return pass(message('check.storage.pass', { next }));
    const high = c.input.kit.packs.filter((p) => p.charge > 0.65);
    return high.length > 0
      ? care(
          message('check.storage.care', {
            charge: some(high.map((p) => `${p.name} ${Math.round(p.charge * 100)} %`)),
          }),
        )
      : pass(message('check.storage.pass.2'));
  },
};

export const KIT_CHECKS: readonly Check[] = [
  firmwareLooked,
  firmwareParity,
  papers,
  weight,
  packsCharged,
  packsSound,
  devicesCharged,
  afterPack,
  logged,
  storage,
];
