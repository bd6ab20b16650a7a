import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chargeMinutes } from '../energy';
import { newRow, type Charger, type Pack } from '../model';
import { chargeCurve, chargedShare, slotMinutes } from './curve';
import vectors from '../vectors/power.json';
import { ChargeDay } from './day';
import { eveningBefore, PACK_CAUTIONS, sharesAfterEvening, shareOn } from './evening';
import { numberIn } from '../testing';

const pack = (id: string, more: Partial<Pack> = {}): Pack =>
  newRow('pack', { id, name: id, aircraftIds: ['A'], charge: 0.3, cycles: 10, chargeMinutes: 60, ...more });
const charger = (more: Partial<Charger> = {}): Charger => ({
  id: 'c',
  name: 'c',
  source: 'wall',
  sourceWh: 0,
  slots: 3,
  manner: 'in-turn',
  slotW: 100,
  totalW: 0,
  efficiency: 0.85,
  aircraftIds: [],
  massG: 0,
  notes: '',
  retired: false,
  ...more,
});
const share = numberIn(0, 1);

describe('the charge curve', () => {
  it.each(vectors.slots)('$packWh Wh on $slotWatts W from $fromFraction to $toFraction', (v) => {
    const curve = { wh: v.packWh, cellMinutes: v.fullMinutes, slotW: v.slotWatts };
    expect(slotMinutes(curve, v.fromFraction, v.toFraction)).toBeCloseTo(v.minutes, 0);
  });
  it('on a strong slot is that of the cells', () => {
    for (const { fullMinutes, fromFraction, toFraction } of vectors.charge)
      expect(
        slotMinutes({ wh: 46, cellMinutes: fullMinutes, slotW: 5000 }, fromFraction, toFraction),
      ).toBeCloseTo(chargeMinutes(fullMinutes, fromFraction, toFraction), 9);
  });
  it('is the other way round of the minutes, on any slot', () => {
    fc.assert(
      fc.property(share, share, numberIn(20, 120), numberIn(5, 120), (from, to, cellMinutes, slotW) => {
        fc.pre(to >= from);
        const curve = { wh: 46, cellMinutes, slotW };
        expect(chargedShare(curve, from, slotMinutes(curve, from, to))).toBeCloseTo(to, 6);
      }),
    );
  });
  it('never puts in more than the slot gives, at no moment, and a stronger slot is never slower', () => {
    fc.assert(
      fc.property(
        share,
        numberIn(0.1, 30),
        numberIn(20, 120),
        numberIn(5, 120),
        (from, minutes, cells, slotW) => {
          const curve = { wh: 46, cellMinutes: cells, slotW };
          const gained = (chargedShare(curve, from, minutes) - from) * 46;
          expect(gained).toBeLessThanOrEqual((slotW * minutes) / 60 + 1e-6);
          expect(slotMinutes({ ...curve, slotW: slotW + 5 }, 0, 1)).toBeLessThanOrEqual(
            slotMinutes(curve, 0, 1),
          );
        },
      ),
    );
  });
  it('slots side by side share what the charger has in all; in turn one has it', () => {
    const power = (more: Partial<Charger>): number => chargeCurve(pack('p'), charger(more)).slotW;
    expect(power({ slotW: 60 })).toBe(60);
    const worn = pack('p', { ratedWh: 40, health: 0.8, chargeMinutes: 70 });
    expect(chargeCurve(worn, charger({ slotW: 60 }))).toEqual({ wh: 32, cellMinutes: 70, slotW: 60 });
    expect(power({ slotW: 60, totalW: 90, manner: 'side-by-side' })).toBe(30);
    expect(power({ slotW: 60, totalW: 90, manner: 'in-turn' })).toBe(60);
    expect(power({ slotW: 60, totalW: 45, manner: 'in-turn' })).toBe(45);
  });
});

describe('a day of charging', () => {
  it('in turn one waits for the other, side by side it does not', () => {
    const day = (manner: Charger['manner']) => {
      const d = new ChargeDay([charger({ manner })], 600);
      d.put(pack('p'), 0.3, 0);
      d.put(pack('q'), 0.3, 60);
      return d;
    };
    const [turn, side] = [day('in-turn').runs, day('side-by-side').runs];
    expect(turn[0]!.fromS).toBe(600);
    expect(turn[1]!.fromS).toBe(turn[0]!.toS);
    expect(side.map((r) => r.fromS).sort((a, b) => a - b)).toEqual([600, 660]);
  });
  it('a pack taken off early keeps what it got, and the next moves up', () => {
    const d = new ChargeDay([charger()], 0);
    d.put(pack('p'), 0, 0);
    d.put(pack('q'), 0.5, 0);
    const before = d.readyAt('q', 1);
    expect(d.take('p', 18 * 60)).toBeCloseTo(0.4, 6);
    expect(d.shareAt('p', 99_999)).toBeCloseTo(0.4, 6);
    expect(d.readyAt('q', 1)).toBeLessThan(before);
    expect(d.readyAt('p', 0.9)).toBe(Infinity);
    expect(d.readyAt('p', 0.3)).toBe(-Infinity);
  });
  it('a source never gives more than it has, and says where it ran dry', () => {
    fc.assert(
      fc.property(
        fc.array(share, { minLength: 1, maxLength: 6 }),
        numberIn(1, 150),
        fc.constantFrom<Charger['manner']>('in-turn', 'side-by-side'),
        (shares, sourceWh, manner) => {
          const d = new ChargeDay([charger({ source: 'bank', sourceWh, manner })], 0);
          shares.forEach((s, i) => d.put(pack(`p${i}`), s, i * 300));
          const drawn = d.runs.reduce((sum, r) => sum + ((r.toShare - r.fromShare) * 40) / 0.85, 0);
          expect(drawn).toBeLessThanOrEqual(sourceWh + 1e-6);
          for (const r of d.runs) {
            expect(r.toShare).toBeGreaterThanOrEqual(r.fromShare);
            expect(r.dry).toBe(r.toShare < 1);
          }
        },
      ),
    );
  });
  it('a charger without power, or for another aircraft, charges nothing; one left behind stops', () => {
    for (const c of [charger({ source: 'bank', sourceWh: 0 }), charger({ aircraftIds: ['B'] })]) {
      const d = new ChargeDay([c], 0);
      d.put(pack('p'), 0.3, 0);
      expect(d.runs).toEqual([]);
      expect(d.shareAt('p', 9999)).toBe(0.3);
    }
    const d = new ChargeDay([charger()], 0);
    d.put(pack('p'), 0, 0);
    d.reach(new Set(), 18 * 60);
    expect(d.shareAt('p', 99_999)).toBeCloseTo(0.4, 6);
    d.put(pack('p'), 0.2, 4000);
    expect(d.charging('p', 5000)).toBe(false);
  });
  it('no slot holds two packs at once', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(share, fc.integer({ min: 0, max: 9000 })), { minLength: 2, maxLength: 8 }),
        fc.integer({ min: 1, max: 3 }),
        (puts, slots) => {
          const d = new ChargeDay([charger({ manner: 'side-by-side', slots })], 120);
          puts.forEach(([s, at], i) => d.put(pack(`p${i}`), s, at));
          d.take('p0', 2000);
          const runs = d.runs;
          for (const a of runs)
            for (const b of runs)
              if (a !== b && a.slot === b.slot)
                expect(a.toS <= b.fromS + 1e-6 || b.toS <= a.fromS + 1e-6).toBe(true);
        },
      ),
    );
  });
});

describe('the evening before', () => {
  const packs = [
    pack('full', { charge: 1 }),
    pack('half', { charge: 0.5 }),
    pack('low', { charge: 0.1 }),
    pack('old', { charge: 1, chargedOn: '2027-05-01' }),
    pack('fat', { condition: 'swollen' }),
  ];
  const evening = eveningBefore(
    packs,
    [
      {
        id: 'd',
        name: 'Controller',
        role: 'controller',
        charge: 0.4,
        hours: 5,
        chargeMinutes: 100,
        massG: 0,
        firmware: '',
        firmwareOn: null,
        notes: '',
        retired: false,
      },
    ],
    [charger()],
    '2027-05-13',
    '2027-05-14',
    3,
  );
  it('lists what drained by itself with what is low, fullest first, and nothing that is swollen', () => {
    expect(evening.topUp.map((t) => t.pack.id)).toEqual(['old', 'half', 'low']);
    expect(evening.topUp.map((t) => t.drained)).toEqual([true, false, false]);
    expect(evening.notFull).toEqual([]);
    expect(evening.doneS).toBe(Math.max(...evening.runs.map((r) => r.toS)));
    expect(evening.devices[0]).toMatchObject({ lasts: false });
  });
  it('drains after its delay towards 60 %, and not below what it has', () => {
    expect(shareOn(packs[3]!, '2027-05-03')).toBe(1);
    expect(shareOn(packs[3]!, '2027-05-05')).toBeCloseTo(0.8, 6);
    expect(shareOn(packs[3]!, '2027-05-30')).toBeCloseTo(0.6, 6);
    expect(shareOn({ charge: 0.4, chargedOn: '2027-01-01', drainDelayDays: 3 }, '2027-05-30')).toBe(0.4);
    expect(shareOn({ charge: 0.9, chargedOn: '2027-06-30', drainDelayDays: 3 }, '2027-05-30')).toBe(0.9);
  });
  it('without chargers everything stays as it is and is named; full packs far ahead are brought to storage', () => {
    const none = eveningBefore(packs, [], [], '2027-05-01', '2027-05-14', 3);
    expect(none.notFull.map((p) => p.id)).toEqual(none.topUp.map((t) => t.pack.id));
    expect(none.storage.map((p) => p.id)).toEqual(['full', 'old']);
  });
  it('says how long the devices charge and whether they last, to the very hour', () => {
    const device = newRow('device', { id: 'd', name: 'Phone', charge: 0.6, hours: 5, chargeMinutes: 100 });
    const lasts = (hours: number) =>
      eveningBefore([], [device], [], '2027-05-13', '2027-05-14', hours).devices;
    expect(lasts(3)).toEqual([{ device, minutes: chargeMinutes(100, 0.6, 1), lasts: true }]);
    expect(lasts(3.1)[0]?.lasts).toBe(false);
  });
  it('tops up what is under 97 %, and names what a source that runs dry leaves short', () => {
    const some = [pack('a', { charge: 0.97 }), pack('b', { charge: 0.96 }), pack('c', { charge: 0.1 })];
    const bank = charger({ source: 'bank', sourceWh: 10, efficiency: 1 });
    const told = eveningBefore(some, [], [bank], '2027-05-13', '2027-05-14', 0);
    expect(told.topUp.map((t) => t.pack.id)).toEqual(['b', 'c']);
    expect(told.notFull.map((p) => p.id)).toEqual(['c']);
    expect(told.runs.map((r) => [r.packId, r.fromS])).toEqual([
      ['b', 0],
      ['c', told.runs[0]!.toS],
    ]);
  });
  it('brings to storage from five days ahead on, and only what is fuller than it keeps best', () => {
    const some = [pack('at', { charge: 0.65 }), pack('over', { charge: 0.66 })];
    const storage = (today: string) =>
      eveningBefore(some, [], [], today, '2027-05-14', 0).storage.map((p) => p.id);
    expect(storage('2027-05-10')).toEqual([]);
    expect(storage('2027-05-09')).toEqual(['over']);
  });
  it('on the morning of the shoot each has what its charger gave, or what it kept', () => {
    const morning = (some: Pack[], chargers: Charger[]) =>
      [...sharesAfterEvening(some, chargers, '2027-05-14')].map(([id, s]) => [id, Number(s.toFixed(3))]);
    const kept = pack('kept', { charge: 1, chargedOn: '2027-05-01' });
    const read = pack('read', { charge: 0.4, chargedOn: '2027-05-14' });
    const low = pack('low', { charge: 0.2 });
    expect(morning([], [charger()])).toEqual([]);
    expect(morning([kept, read, low], [])).toEqual([
      ['kept', 0.6],
      ['read', 0.4],
      ['low', 0.2],
    ]);
    expect(morning([kept, read, low], [charger()])).toEqual([
      ['kept', 1],
      // Read off on the day itself: the evening is over.
      ['read', 0.4],
      ['low', 1],
    ]);
    // Of 20 Wh the fuller one takes 16; what is left brings the other up by a tenth.
    const bank = charger({ source: 'bank', sourceWh: 20, efficiency: 1 });
    expect(morning([kept, low], [bank])).toEqual([
      ['kept', 1],
      ['low', 0.3],
    ]);
  });
  it('cautions are whole sentences', () => {
    expect(PACK_CAUTIONS).toHaveLength(4);
    for (const caution of PACK_CAUTIONS) expect(caution).toMatch(/^[A-Z].{40,}\.$/);
  });
  it('a date that is none leaves the charge as it was entered', () => {
    expect(shareOn({ charge: 0.8, chargedOn: 'yesterday', drainDelayDays: 1 }, '2027-05-30')).toBe(0.8);
    expect(shareOn({ charge: 0.8, chargedOn: null, drainDelayDays: 1 }, '2027-05-30')).toBe(0.8);
  });
});
