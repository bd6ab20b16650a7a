import { measured, message, yesNo } from '../messages';
import { gustsOn } from '../shot';
import { onShot, type LocationRule, type ShotRule } from './context';

/** Gusts at the height of the shot over the ground against the aircraft's limit. */
export const gusts: ShotRule = (c) => {
  const { aircraft, trajectory, location, overGround, film } = c.facts;
  if (!aircraft || !trajectory) return null;
  const { gustMs, heightM, share, weight } = gustsOn(
    aircraft,
    location,
    overGround.highestM,
    film.preferences,
  );
  if (weight === 'none') return null;
  return {
    code: 'air.gusts',
    severity: weight,
    subject: onShot(c),
    say: message('air.gusts.say', {
      gust: measured(gustMs, 'speed'),
      highest: measured(heightM, 'metres', 0),
      share: measured(share * 100, 'percent', 0),
      aircraft: aircraft.name,
    }),
    why: weight === 'stop' ? message('air.gusts.why') : message('air.gusts.why.else'),
    cures: [{ say: message('air.gusts.cure') }],
  };
};

export const noAircraft: ShotRule = (c) =>
  c.facts.aircraft && !c.facts.aircraft.retired
    ? null
    : {
        code: 'kit.no-aircraft',
        severity: 'stop',
        subject: onShot(c),
        say: c.facts.aircraft
          ? message('kit.no-aircraft.say', { aircraft: c.facts.aircraft.name })
          : message('kit.no-aircraft.say.else'),
        why: message('kit.no-aircraft.why'),
        cures: [{ say: message('kit.no-aircraft.cure') }],
      };

export const cruiseUnknown: ShotRule = (c) => {
  const { aircraft, energy } = c.facts;
  if (!aircraft || !energy) return null;
  const known = aircraft.cruiseMinutes > 0 || (aircraft.dragAreaM2 ?? 0) > 0;
  return known
    ? null
    : {
        code: 'kit.cruise-unknown',
        severity: 'note',
        subject: { kind: 'aircraft', id: aircraft.id },
        say: message('kit.cruise-unknown.say', { aircraft: aircraft.name }),
        why: message('kit.cruise-unknown.why'),
        cures: [{ say: message('kit.cruise-unknown.cure') }],
      };
};

/** The shot is in no flight. */
export const doesNotFit: ShotRule = (c) => {
  const { unfitReason: reason, shortWh, unfitWind, facts } = c;
  if (reason === null || reason === 'no-aircraft' || reason === 'no-path') return null;
  const fewer =
    facts.shot.takes > 1
      ? [
          {
            say: message('does-not-fit.say', {
              take: measured(facts.seconds.takeS + facts.seconds.betweenS, 'seconds', 0),
            }),
            set: { entity: 'shot' as const, id: facts.shot.id, fields: { takes: facts.shot.takes - 1 } },
          },
        ]
      : [];
  return {
    code: `budget.${reason}`,
    severity: facts.shot.priority === 'could' ? 'care' : 'stop',
    subject: onShot(c),
    say: message(`budget.${reason}.say`, {
      short: measured(shortWh, 'wattHours', 1),
      lacking: measured(unfitWind?.lackingMs ?? 0, 'speed', 1),
      height: measured(unfitWind?.heightM ?? 0, 'metres', 0),
    }),
    why: message('does-not-fit.why'),
    cures: [
      ...fewer,
      reason === 'wind'
        ? { say: message('does-not-fit.cure') }
        : {
            say: reason === 'held' ? message('does-not-fit.cure.2') : message('does-not-fit.cure.else'),
          },
    ],
  };
};

/** A leg that takes this many times the seconds of still air is told. */
const SLOW_LEG = 2;

/** The wind makes a leg, or a way home, twice as long or longer. */
export const slowLegs: LocationRule = (place, shots) => {
  const titles = new Map(shots.map((f) => [f.shot.id, f.shot.title]));
  const legs = place.flights.flatMap((flight) => [
    ...flight.stops.map((s) => ({ to: titles.get(s.shotId) ?? '', leg: s.leg })),
    { to: '', leg: flight.home },
  ]);
  const slow = legs.filter(({ leg }) => (leg.level?.slower ?? 1) >= SLOW_LEG);
  const slowest = slow.reduce<(typeof slow)[number] | null>(
    (most, next) => ((next.leg.level?.slower ?? 1) > (most?.leg.level?.slower ?? 1) ? next : most),
    null,
  );
  if (!slowest) return null;
  return {
    code: 'air.slow-leg',
    severity: 'care',
    subject: { kind: 'location', id: place.location.id },
    say: message('air.slow-leg.say', {
      legs: slow.length,
      isHome: yesNo(slowest.to === ''),
      shot: slowest.to,
      slower: measured(slowest.leg.level?.slower ?? 1, 'count', 1),
      length: measured(slowest.leg.level?.lengthM ?? 0, 'metres', 0),
    }),
    why: message('air.slow-leg.why'),
    cures: [{ say: message('air.slow-leg.cure') }],
  };
};
