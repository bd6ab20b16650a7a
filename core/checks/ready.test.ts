import { measured, message, plainText } from '../messages';
import { said } from '../testing';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { deriveFilm } from '../film/derive';
import { kitOnLocation } from '../day';
import { type Answer, type FilmInput, CHECK_MOMENTS, type OwnCheck } from '../model';
import { takeOffMass, weightClass } from '../payload';
import type { Warning } from '../warnings';
import { answerKey, checksOf, foundKey, SCOPE_OF, sheetOf, sheetsOf, statusOf } from './sheet';
import { bagOf } from './bag';
import { CHECKS } from './registry';
import { goOfFlight, goOfPlace, type Go } from './go';
import { pass, care, fail, type Context } from './types';
import { readerMBs, toCopy } from './lines/cards';

let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});

/** Everything a check may look at, for a place of the film; `at` names its flight and its shot. */
const contextOf = (
  whole: FilmInput,
  placeN = 0,
  at: { flight?: number; shot?: number } = {},
  more: Partial<Context> = {},
): Context => {
  const derived = deriveFilm(whole);
  const input = { ...whole, kit: kitOnLocation(whole.kit, whole.film) };
  const place = [...derived.places.values()][placeN]!;
  const places = [...derived.places.values()].filter((p) => p.location.date === place.location.date);
  const shots = [...derived.shots.values()].filter((s) => s.facts.location.id === place.location.id);
  return {
    input,
    derived,
    date: place.location.date,
    place,
    places,
    flight: at.flight === undefined ? null : (place.flights[at.flight] ?? null),
    shot: at.shot === undefined ? null : (shots[at.shot] ?? null),
    site: [],
    nowMs: place.windowFromMs + 60_000,
    ...more,
  };
};
const own = (more: Partial<OwnCheck> & Pick<OwnCheck, 'id'>): OwnCheck => ({
  builtIn: '',
  name: 'Something',
  moment: 'launch-point',
  protects: '',
  position: '',
  off: false,
  notes: '',
  retired: false,
  ...more,
});
let n = 0;
const answer = (
  c: Context,
  checkId: string,
  verdict: Answer['verdict'],
  more: Partial<Answer> = {},
): Answer => {
  n += 1;
  const check = CHECKS.find((k) => k.code === checkId)!;
  return {
    id: `a${n}`,
    ...answerKey(c, check.scope),
    checkId,
    moment: check.moment,
    verdict,
    reason: '',
    found: '',
    who: '',
    utcMs: n,
    ...more,
  };
};

describe('checks', () => {
  it('have a code of their own, say what they protect, and either look or ask', () => {
    expect(new Set(CHECKS.map((k) => k.code)).size).toBe(CHECKS.length);
    for (const k of CHECKS) {
      expect(said(k.protects).length, k.code).toBeGreaterThan(6);
      expect(
        k.scope === 'flight' && k.moment === 'launch-point' ? 'flight' : SCOPE_OF[k.moment],
        k.code,
      ).toBe(k.scope);
      if (k.evaluate) expect(k.applies, k.code).toBeUndefined();
    }
    expect(CHECKS.filter((k) => k.evaluate).length).toBeGreaterThan(20);
    expect(new Set(CHECKS.map((k) => k.moment))).toEqual(new Set(CHECK_MOMENTS));
  });
  it('never say that something is legal, allowed or safe', () => {
    const texts = [0, 1, 2].flatMap((p) =>
      sheetsOf(contextOf(film, p, { flight: 0, shot: 0 })).flatMap((s) =>
        s.lines.flatMap((l) => [said(l.prompt), said(l.protects), said(l.result?.say)]),
      ),
    );
    for (const say of texts) {
      expect(say).not.toMatch(/\b(is|are|it’s) (legal|allowed|safe|permitted)\b/i);
      expect(say).not.toMatch(/undefined|NaN|null/);
    }
  });
  it('the evening before names the card left in the computer and the devices that are low', () => {
    const sheet = sheetOf('evening-before', contextOf(film));
    const by = new Map(sheet.lines.map((l) => [l.id, l]));
    expect(said(by.get('cards-here')!.result!.say)).toContain('Card A is in the computer');
    expect(said(by.get('devices-charged')!.result!.say)).toContain('Phone 64 %');
    expect(sheet.failed).toBe(sheet.lines.filter((l) => l.status === 'failed').length);
    const put = {
      ...film,
      kit: {
        ...film.kit,
        cardMoves: [
          ...film.kit.cardMoves,
          { ...film.kit.cardMoves[1]!, id: 'later', utcMs: Date.UTC(2027, 4, 13), spot: 'case' as const },
        ],
      },
    };
    expect(sheetOf('evening-before', contextOf(put)).lines.find((l) => l.id === 'cards-here')!.status).toBe(
      'passed',
    );
  });
  it('firmware, papers and weight are looked at against the day', () => {
    const at = (whole: FilmInput, code: string) =>
      sheetOf('days-before', contextOf(whole)).lines.find((l) => l.id === code)!;
    const craft = (more: object): FilmInput => ({
      ...film,
      kit: { ...film.kit, aircraft: film.kit.aircraft.map((a) => ({ ...a, ...more })) },
    });
    expect(at(film, 'firmware').result!.verdict).toBe('fail');
    expect(said(at(craft({ insuredUntil: '2027-05-13' }), 'papers').result!.say)).toContain(
      'is insured until Thu 13 May 2027',
    );
    expect(at(craft({ firmware: '09' }), 'firmware-parity').result!.verdict).toBe('fail');
    expect(
      at(
        {
          ...film,
          film: { ...film.film, preferences: { ...film.film.preferences, weightLinesKg: [0.7201] } },
        },
        'weight',
      ).result!.verdict,
    ).toBe('fail');
    expect(
      at(
        { ...film, film: { ...film.film, preferences: { ...film.film.preferences, weightLinesKg: [2] } } },
        'weight',
      ).result!.verdict,
    ).toBe('pass');
  });
  it('nothing about the site holds before it was looked at', () => {
    const at = (site: Context['site']) =>
      new Map(sheetOf('launch-point', contextOf(film, 0, {}, { site })).lines.map((l) => [l.id, l.status]));
    for (const code of ['return-height', 'clearance']) {
      expect(at(null).get(code)).toBe('care');
      expect(at([]).get(code)).toBe('passed');
    }
    expect(
      goOfPlace(contextOf(film, 0, {}, { site: null })).reasons.some((r) =>
        said(r.say).includes('still being looked at'),
      ),
    ).toBe(true);
  });
  it('the compass is asked for only at the first place and far from the last', () => {
    const asks = (whole: FilmInput, p: number): boolean =>
      sheetOf('launch-point', contextOf(whole, p)).lines.some((l) => l.id === 'compass');
    expect([asks(film, 0), asks(film, 1)]).toEqual([true, false]);
    const far = {
      ...film,
      locations: film.locations.map((l, i) => (i === 1 ? { ...l, latitude: l.latitude + 1 } : l)),
    };
    expect(asks(far, 1)).toBe(true);
  });
  it('over water the card is changed after landing', () => {
    const c = contextOf(film, 2, { flight: 0 });
    const line = sheetOf('after-landing', c).lines.find((l) => l.id === 'card-change')!;
    expect(line).toMatchObject({ status: 'failed', safety: true });
    expect(said(line.result!.say)).toContain('over water');
    const load = c.derived.budget.cards.byFlight.find((l) => l.flight === c.flight)!;
    const out = {
      ...film,
      kit: {
        ...film.kit,
        cardMoves: [
          ...film.kit.cardMoves,
          {
            id: 'x',
            cardId: load.cardId!,
            utcMs: Date.parse(`${c.date}T18:00:00Z`),
            act: 'put' as const,
            spot: 'case' as const,
            aircraftId: null,
            gb: 0,
            copiesWanted: 2,
            waiver: '',
          },
        ],
      },
    };
    expect(
      sheetOf('after-landing', contextOf(out, 2, { flight: 0 })).lines.find((l) => l.id === 'card-change')!
        .status,
    ).toBe('passed');
  });
});

describe('how a check stands', () => {
  it('what it found decides, unless it is waived; what is asked, the person decides', () => {
    const c = contextOf(film);
    const [x, y] = [
      message('x', { gust: measured(7.25, 'speed') }),
      message('x', { gust: measured(9.5, 'speed') }),
    ];
    const given = (verdict: Answer['verdict']) => answer(c, 'wind', verdict, { found: foundKey(pass(x)) });
    expect([
      statusOf(pass(x), null),
      statusOf(care(x), null),
      statusOf(fail(x), null),
      statusOf(null, null),
    ]).toEqual(['passed', 'care', 'failed', 'open']);
    // A person cannot pass what does not hold; to go on, it is waived, and the log has the reason.
    expect([
      statusOf(fail(x), given('passed')),
      statusOf(fail(x), given('waived')),
      statusOf(pass(x), given('failed')),
      statusOf(pass(x), given('waived')),
    ]).toEqual(['failed', 'waived', 'failed', 'passed']);
    // It counts while the same is found; a person's no stays.
    expect([
      statusOf(fail(y), given('waived')),
      statusOf(care(y), given('passed')),
      statusOf(pass(y), given('failed')),
    ]).toEqual(['failed', 'care', 'failed']);
    expect([
      statusOf(null, given('passed')),
      statusOf(null, given('failed')),
      statusOf(null, given('waived')),
      statusOf(care(x), given('passed')),
    ]).toEqual(['passed', 'failed', 'waived', 'passed']);
    // Neither another wording nor the last bit of a figure is another finding.
    const nearly = message('x', { gust: measured(7.2501, 'speed') });
    expect(statusOf(fail(nearly), given('waived'))).toBe('waived');
  });
  it('the newest answer counts, whatever order they come in, and only where it was given', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom<Answer['verdict']>('passed', 'failed', 'waived', 'open'), {
          minLength: 1,
          maxLength: 6,
        }),
        fc.boolean(),
        (verdicts, turned) => {
          const c = contextOf(film, 1);
          const answers = verdicts.map((v) => answer(c, 'propellers', v));
          const line = (place: number) =>
            sheetOf('launch-point', {
              ...contextOf(film, place),
              input: { ...c.input, answers: turned ? [...answers].reverse() : answers },
            }).lines.find((l) => l.id === 'propellers')!;
          const last = verdicts.at(-1)!;
          expect(line(1).status).toBe(last);
          expect(line(0).status).toBe('open');
        },
      ),
      { numRuns: 15 },
    );
  });
  it('a flight keeps its answers when its shots change their order, and gives none to the next', () => {
    const before = contextOf(film, 0, { flight: 0 });
    const said = answer(before, 'pack-after', 'passed');
    const [first, second] = before.flight!.stops.map((s) => film.shots.find((x) => x.id === s.shotId)!);
    const turned = film.shots.map((s) =>
      s.id === first!.id
        ? { ...s, position: second!.position }
        : s.id === second!.id
          ? { ...s, position: first!.position }
          : s,
    );
    const at = (flight: number) =>
      contextOf({ ...film, shots: turned, answers: [...film.answers, said] }, 0, { flight });
    const standing = (c: Context) =>
      sheetOf('after-landing', c).lines.find((l) => l.id === 'pack-after')!.status;
    expect(at(0).flight!.stops[0]!.shotId).not.toBe(said.shotId);
    expect([standing(at(0)), standing(at(1))]).toEqual(['passed', 'open']);
  });
  it('own checks come along, others are switched off and put in another order', () => {
    const codes = (checks: OwnCheck[]) => checksOf('launch-point', checks).map((k) => k.check.code);
    const all = codes([]);
    expect(codes([own({ id: 'mine' })])).toEqual([...all, 'mine']);
    expect(codes([own({ id: 'x', builtIn: 'propellers', off: true })])).toEqual(
      all.filter((k) => k !== 'propellers'),
    );
    expect(codes([own({ id: 'x', builtIn: all[0]!, position: 'a1' })])).toEqual([...all.slice(1), all[0]]);
    expect(codes([own({ id: 'mine', notes: '', retired: true })])).toEqual(all);
  });
});

describe('go, wait or no-go', () => {
  const rank: Record<Go, number> = { 'no-go': 0, wait: 1, go: 2 };
  const answered = (c: Context): Context => ({
    ...c,
    input: {
      ...c.input,
      answers: sheetOf('launch-point', c)
        .lines.filter((l) => l.result === null || l.result.verdict === 'care')
        .map((l) => answer(c, l.id, 'passed', { found: l.result ? foundKey(l.result) : '' })),
    },
  });
  it('waits for what nobody looked at, and goes when all is looked at and nothing speaks against it', () => {
    const c = contextOf(film, 1);
    expect(goOfPlace(c).go).toBe('wait');
    expect(goOfPlace(answered(c))).toEqual({ go: 'go', reasons: [] });
    expect(goOfPlace({ ...answered(c), nowMs: c.place.windowFromMs - 3_600_000 })).toMatchObject({
      go: 'wait',
      reasons: [{ say: { code: 'check.clock.say.3' } }],
    });
    expect(goOfPlace({ ...answered(c), nowMs: c.place.windowToMs + 1 }).go).toBe('no-go');
  });
  it('wind over the limit, a grave finding and a flight over its pack are no-go', () => {
    const windy = {
      ...film,
      locations: film.locations.map((l) => ({ ...l, hours: [], windMs: 9, gustMs: 13 })),
    };
    expect(goOfPlace(contextOf(windy, 1)).go).toBe('no-go');
    const stop: Warning = {
      code: 'site.return-height',
      severity: 'stop',
      subject: { kind: 'location', id: film.locations[1]!.id },
      say: plainText('The mast is higher.'),
      why: plainText(''),
      cures: [],
    };
    expect(goOfPlace({ ...answered(contextOf(film, 1)), site: [stop] })).toMatchObject({
      go: 'no-go',
      reasons: expect.arrayContaining([{ weight: 'no-go', say: plainText('The mast is higher.') }]),
    });
    const c = answered(contextOf(film, 1, { flight: 0 }));
    expect(said(goOfFlight({ ...c, flight: { ...c.flight!, overWh: 3 } }).reasons[0]!.say)).toContain(
      '3.0 Wh',
    );
    expect(goOfFlight({ ...c, flight: null })).toEqual({ go: 'go', reasons: [] });
  });
  it('one more thing that was passed never makes it worse', () => {
    const c = contextOf(film, 1, { flight: 1 });
    const asked = sheetOf('launch-point', c)
      .lines.filter((l) => l.result === null)
      .map((l) => l.id);
    fc.assert(
      fc.property(fc.subarray(asked), fc.constantFrom(...asked), (some, more) => {
        const withAnswers = (ids: readonly string[]) => ({
          ...c,
          input: { ...c.input, answers: ids.map((id) => answer(c, id, 'passed')) },
        });
        for (const of of [goOfPlace, goOfFlight])
          expect(rank[of(withAnswers([...some, more])).go]).toBeGreaterThanOrEqual(
            rank[of(withAnswers(some)).go],
          );
      }),
      { numRuns: 25 },
    );
  });
});

describe('the bag', () => {
  const bag = (whole: FilmInput, p = 0) => {
    const c = contextOf(whole, p);
    return { c, ...bagOf(c.input, whole.kit, c.derived, c.places) };
  };
  it('has every pack, card and filter of the day, a spare for each aircraft, and weighs what is in it', () => {
    const { c, items, massG } = bag(film);
    const ids = new Set(items.map((i) => i.id));
    const flights = c.places.flatMap((p) => p.flights);
    for (const f of flights) {
      expect(ids.has(f.packId!)).toBe(true);
      expect(ids.has(f.aircraftId)).toBe(true);
      for (const s of f.stops) {
        const id = c.derived.shots.get(s.shotId)!.filter?.filterId;
        if (id) expect(ids.has(id)).toBe(true);
      }
    }
    expect(ids.size).toBe(items.length);
    expect(massG).toBeCloseTo(
      items.filter((i) => said(i.missing) === '').reduce((sum, i) => sum + i.massG, 0),
      9,
    );
    for (const craft of new Set(flights.map((f) => f.aircraftId)))
      expect(
        items.some(
          (i) =>
            i.group === 'packs' &&
            said(i.why) === `Spare for ${film.kit.aircraft.find((a) => a.id === craft)!.name}`,
        ),
      ).toBe(true);
    expect(items.find((i) => said(i.name) === 'Spare propellers for Swiftlet 3in guarded')).toMatchObject({
      count: 0,
      missing: message('bag.spare-propellers.missing'),
    });
  });
  it('says what is missing: in the computer, not owned', () => {
    expect(said(bag(film).items.find((i) => said(i.name) === 'Card A')!.missing)).toBe(
      'It is in the computer.',
    );
    const poor = { ...film, kit: { ...film.kit, gear: [], devices: [] } };
    const names = bag(poor)
      .items.filter((i) => said(i.missing) !== '')
      .map((i) => said(i.name));
    expect(names).toEqual(expect.arrayContaining(['Controller', 'Card reader', 'Landing pad', 'Card case']));
    expect(bag({ ...film, shots: [] }).items.filter((i) => i.group === 'packs')).toEqual([]);
  });
  it('knows what an evening copies, and on which reader', () => {
    const c = contextOf(film);
    const planned = toCopy(c).reduce((sum, t) => sum + t.bytes, 0);
    const day = new Set(c.places.map((p) => p.location.id));
    expect(planned).toBeCloseTo(
      c.derived.budget.cards.byFlight
        .filter((l) => day.has(l.flight.locationId))
        .reduce((sum, l) => sum + l.bytes, 0) + 48e9,
      -3,
    );
    expect(readerMBs(c)).toBe(90);
  });
});

describe('mass at take-off', () => {
  it('is the aircraft as stated, the difference of its pack, the filter and what is fitted', () => {
    const craft = { id: 'a', massKg: 0.246, usualPackG: 80 };
    const guards = {
      id: 'g',
      name: 'Guards',
      role: 'guards' as const,
      count: 2,
      massG: 10,
      fitted: true,
      readMBs: 0,
      aircraftIds: ['a'],
      notes: '',
      retired: false,
    };
    expect(
      takeOffMass(craft, { massG: 121 }, { massG: 2 }, [
        guards,
        { ...guards, aircraftIds: ['b'] },
        { ...guards, fitted: false },
      ]),
    ).toEqual({ aircraftG: 246, packG: 41, filterG: 2, fittedG: 20, totalG: 309, unweighed: false });
    expect(takeOffMass(craft, { massG: 0 }, null, [])).toMatchObject({ totalG: 246, unweighed: true });
    expect(weightClass(249, [0.249, 0.899])).toEqual({ underG: 249, overG: null });
    expect(weightClass(251, [0.899, 0.249])).toEqual({ underG: 899, overG: 249 });
    expect(weightClass(9999, [0.249])).toEqual({ underG: null, overG: 249 });
  });
});
