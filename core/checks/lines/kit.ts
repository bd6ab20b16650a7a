import { daysBetween, eveningBefore, STORAGE_DAYS } from '../../charge';
import { packFaults, calibrationOf } from '../../energy';
import { takeOffMass, weightClass } from '../../payload';
import type { Aircraft, Pack } from '../../model';
import { counted } from '../../units';
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
  asks: 'Newer firmware is looked for on aircraft, packs and controller.',
  protects: 'An update that wants to be done on location, where there is no network and no time.',
  look: (c) => {
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
      ? pass(`All ${things.length} looked at within ${FIRMWARE_DAYS} days.`)
      : fail(`Not within ${FIRMWARE_DAYS} days: ${some(late.map((t) => t.name))}.`);
  },
};

const firmwareParity: Check = {
  code: 'firmware-parity',
  moment: 'days-before',
  scope: 'day',
  safety: true,
  asks: 'Every pack runs the firmware of its aircraft.',
  protects: 'A pack the aircraft refuses, or reads wrongly; each pack is updated on its own.',
  look: (c) => {
    const odd = flownPacks(c).flatMap((p) => {
      const craft = c.input.kit.aircraft.find((a) => p.aircraftIds.includes(a.id));
      return craft && p.firmware !== '' && craft.firmware !== '' && p.firmware !== craft.firmware
        ? [`${p.name} runs ${p.firmware}, ${craft.name} ${craft.firmware}`]
        : [];
    });
    const told = flownPacks(c).some((p) => p.firmware !== '');
    return odd.length > 0 ? fail(`${some(odd)}.`) : told ? pass('Packs and aircraft run the same.') : null;
  },
};

const papers: Check = {
  code: 'papers',
  moment: 'days-before',
  scope: 'day',
  safety: false,
  asks: 'Each aircraft carries its mark and is insured on the day.',
  protects: 'A question at the fence that ends the day. What is asked for differs: check the local rule.',
  look: (c) => {
    const crafts = aircraftOf(c);
    if (crafts.length === 0) return null;
    const wrong = crafts.flatMap((a) => [
      ...(a.registration === '' ? [`${a.name} has no mark noted`] : []),
      ...(a.insuredUntil === null
        ? [`${a.name} has no insurance noted`]
        : a.insuredUntil < c.date
          ? [`${a.name} is insured until ${a.insuredUntil}`]
          : []),
    ]);
    return wrong.length > 0
      ? fail(`${some(wrong)}.`)
      : pass(`Insured until ${crafts.map((a) => a.insuredUntil).sort()[0] ?? ''} at least.`);
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
  asks: 'Each aircraft stays in its weight class with pack, filter and what is fitted.',
  protects: 'Duties of a heavier class that nobody thought of. Check the local rule.',
  look: (c) => {
    const crafts = aircraftOf(c);
    if (crafts.length === 0) return null;
    const lines = c.input.film.preferences.weightLinesKg;
    const all = crafts.map((craft) => ({ craft, mass: heaviest(c, craft) }));
    const lifted = all.filter(({ mass }) => {
      const [bare, loaded] = [mass.aircraftG, mass.totalG].map((g) => weightClass(g, lines).underG);
      return bare !== loaded;
    });
    const say = (list: typeof all): string =>
      some(list.map(({ craft, mass }) => `${craft.name} ${mass.totalG.toFixed(0)} g`));
    return lifted.length > 0
      ? fail(`Over a line with what is on it: ${say(lifted)}. Check the local rule.`)
      : pass(`${say(all)}.`);
  },
};

const packsSound: Check = {
  code: 'packs-sound',
  moment: 'evening-before',
  scope: 'day',
  safety: true,
  asks: 'No pack of the day is swollen, hurt, over its cycles or behind its sisters.',
  protects: 'A pack that sags or burns in the air.',
  look: (c) => {
    const packs = flownPacks(c);
    if (packs.length === 0) return null;
    const bad = packs.flatMap((p) => {
      const [fault] = packFaults(p, calibrationOf(c.input.kit));
      return fault ? [`${p.name}: ${fault}`] : [];
    });
    return bad.length > 0
      ? fail(`${some(bad)}.`)
      : pass(`${counted(packs.length, 'pack')}, nothing against any.`);
  },
};

const dayBefore = (date: string): string =>
  new Date(Date.parse(`${date}T00:00:00Z`) - 86_400_000).toJSON().slice(0, 10);

const packsCharged: Check = {
  code: 'packs-charged',
  moment: 'evening-before',
  scope: 'day',
  safety: false,
  asks: 'Every pack of the day is full.',
  protects: 'A charged pack that has drained itself since, noticed on location.',
  look: (c) => {
    const packs = flownPacks(c);
    if (packs.length === 0) return null;
    const { topUp } = eveningBefore(packs, [], c.input.kit.chargers, dayBefore(c.date), c.date, 0);
    return topUp.length > 0
      ? fail(
          `Would hold less: ${some(topUp.map((t) => `${t.pack.name} ${Math.round(t.share * 100)} %${t.drained ? ', drained by itself' : ''}`))}.`,
        )
      : pass(`${counted(packs.length, 'pack')} full on the day.`);
  },
};

/** Shares below which a device is charged before a shoot, whatever its hours say. */
const DEVICE_SHARE = 0.8;

const devicesCharged: Check = {
  code: 'devices-charged',
  moment: 'evening-before',
  scope: 'day',
  safety: true,
  asks: 'Controller, phone and goggles are full.',
  protects: 'A dead controller with the aircraft in the air. Cold shortens phones most.',
  look: (c) => {
    const { devices } = c.input.kit;
    if (devices.length === 0) return null;
    const low = devices.filter((d) => d.charge < DEVICE_SHARE);
    return low.length > 0
      ? fail(`${some(low.map((d) => `${d.name} ${Math.round(d.charge * 100)} %`))}.`)
      : pass(some(devices.map((d) => `${d.name} ${Math.round(d.charge * 100)} %`)));
  },
};

const afterPack: Check = {
  code: 'pack-after',
  moment: 'after-landing',
  scope: 'flight',
  safety: true,
  asks: (c) =>
    `${c.input.kit.packs.find((p) => p.id === c.flight?.packId)?.name ?? 'The pack'} is neither hot nor swollen, and put aside to cool.`,
  protects: 'Charging or flying a pack that is about to fail.',
  applies: (c) => c.flight !== null,
};

const logged: Check = {
  code: 'logged',
  moment: 'after-landing',
  scope: 'flight',
  safety: false,
  asks: 'The flight is in the log.',
  protects: 'A plan that never learns, and slates flown twice.',
  look: (c) => {
    if (!c.flight) return null;
    const done = c.flight.stops.filter((s) => c.derived.done.has(s.shotId)).length;
    return done > 0
      ? pass(`${done} of its ${counted(c.flight.stops.length, 'slate')} are in the can.`)
      : care('Not yet. The log of the flights page takes half a minute.');
  },
};

const storage: Check = {
  code: 'storage',
  moment: 'at-home',
  scope: 'day',
  safety: true,
  asks: 'Packs that rest for days are brought to around 50 to 60 %.',
  protects: 'Packs that age full, and swell.',
  look: (c) => {
    const next = c.input.locations
      .map((l) => l.date)
      .filter((d) => d > c.date)
      .sort()[0];
    if (next !== undefined && daysBetween(c.date, next) < STORAGE_DAYS)
      return pass(`The next shoot is on ${next}.`);
    const high = c.input.kit.packs.filter((p) => p.charge > 0.65);
    return high.length > 0
      ? care(`Fuller than that: ${some(high.map((p) => `${p.name} ${Math.round(p.charge * 100)} %`))}.`)
      : pass('None is fuller than that.');
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
