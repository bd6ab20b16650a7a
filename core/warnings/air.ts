import { windSpeedAt, SHEAR } from '../air';
import { WIND_SHARES } from '../shot';
import { speedText } from './say';
import { onShot, type ShotRule } from './context';

/** Gusts at the height of the shot against the aircraft's limit. */
export const gusts: ShotRule = (c) => {
  const { aircraft, trajectory, location, film } = c.facts;
  if (!aircraft || !trajectory) return null;
  const gust = windSpeedAt(
    Math.max(location.gustMs, location.windMs),
    trajectory.highestM,
    SHEAR[location.terrain],
  );
  const share = gust / aircraft.windLimitMs;
  if (share <= WIND_SHARES.usable) return null;
  const grounded = share > WIND_SHARES.flyable;
  return {
    code: 'air.gusts',
    severity: grounded ? 'stop' : 'care',
    subject: onShot(c),
    say: `Gusts of ${speedText(gust, undefined, film.units)} at ${trajectory.highestM.toFixed(0)} m are ${(share * 100).toFixed(0)} % of what ${aircraft.name} is rated for.`,
    why: grounded
      ? 'Above 70 % of the limit it stays on the ground.'
      : 'Above half of the limit the footage is rarely usable.',
    cures: [{ say: 'Fly it lower, with a heavier aircraft, or in a calmer hour.' }],
  };
};

export const noAircraft: ShotRule = (c) =>
  c.facts.aircraft && !c.facts.aircraft.retired
    ? null
    : {
        code: 'kit.no-aircraft',
        severity: 'stop',
        subject: onShot(c),
        say: c.facts.aircraft ? `${c.facts.aircraft.name} is retired.` : 'No aircraft chosen.',
        why: 'Energy, framing and card space follow from the aircraft and its camera.',
        cures: [{ say: 'Choose an aircraft from the kit.' }],
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
        say: `${aircraft.name}: cruise figures unknown.`,
        why: 'Its power at speed is reckoned without drag, so fast legs look too cheap.',
        cures: [{ say: 'Enter its cruise minutes and speed, or its drag area.' }],
      };
};

const UNFIT_SAY = {
  'no-charge': () => 'The packs that are left hold too little for it.',
  held: () => 'The packs that are left are given to flights laid down for later in the day.',
  'no-pack': () => 'No charged pack is left for it.',
  'over-pack': (shortWh: number) => `Needs ${shortWh.toFixed(1)} Wh more than a full pack may give.`,
  wind: () => 'The wind is stronger than the aircraft on the way there or home.',
} as const;

/** The shot is in no flight. */
export const doesNotFit: ShotRule = (c) => {
  const { unfit, facts } = c;
  if (!unfit || unfit.reason === 'no-aircraft' || unfit.reason === 'no-path') return null;
  const fewer =
    facts.shot.takes > 1
      ? [
          {
            say: `One take less saves ${(facts.seconds.takeS + facts.seconds.betweenS).toFixed(0)} s in the air.`,
            set: { entity: 'shot' as const, id: facts.shot.id, fields: { takes: facts.shot.takes - 1 } },
          },
        ]
      : [];
  return {
    code: `budget.${unfit.reason}`,
    severity: facts.shot.priority === 'could' ? 'care' : 'stop',
    subject: onShot(c),
    say: UNFIT_SAY[unfit.reason](unfit.shortWh),
    why: 'Flights are filled in list order until the next shot and the way home would eat the reserve.',
    cures: [
      ...fewer,
      unfit.reason === 'wind'
        ? { say: 'Bring the shot closer, or wait for less wind.' }
        : {
            say:
              unfit.reason === 'held'
                ? 'One charged pack more, or plan the day anew.'
                : 'One charged pack more, or move the shot up the list.',
          },
    ],
  };
};
