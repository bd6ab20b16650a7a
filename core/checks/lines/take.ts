import { listed, measured, message, type Name } from '../../messages';
import { isSensingOff } from '../../shot';
import { aircraftOf, care, fail, pass, type Check, type Context } from '../types';

const filterName = (c: Context): Name => {
  const id = c.shot?.filter?.filterId;
  return id
    ? (c.input.kit.filters.find((f) => f.id === id)?.name ?? message('thing.filter'))
    : message('thing.no-filter');
};

const fits: Check = {
  code: 'take-fits',
  moment: 'before-take',
  scope: 'take',
  safety: true,
  prompt: message('check.take-fits.asks'),
  protects: message('check.take-fits.protects'),
  evaluate: (c) => {
    if (!c.shot) return null;
    const { unfit, flightIndex } = c.shot;
    if (unfit) return fail(message('check.take-fits.fail'));
    const over = flightIndex === null ? 0 : (c.place.flights[flightIndex]?.overWh ?? 0);
    return over > 0
      ? fail(message('check.take-fits.fail.2', { over: measured(over, 'wattHours', 1) }))
      : pass(
          message('check.take-fits.pass', {
            energy: measured(c.shot.facts.energy?.totalWh ?? 0, 'wattHours', 1),
          }),
        );
  },
};

const holds: Check = {
  code: 'filter-holds',
  moment: 'before-take',
  scope: 'take',
  safety: false,
  prompt: (c) => message('check.filter-holds.asks', { filter: filterName(c) }),
  protects: message('check.filter-holds.protects'),
  evaluate: (c) => {
    if (!c.shot?.light) return null;
    if (c.shot.filter?.lands) return fail(message('check.filter-holds.fail', { filter: filterName(c) }));
    const off = c.shot.warnings.find((w) => w.code === 'exposure.over' || w.code === 'exposure.under');
    return off ? care(off.say) : pass(message('check.filter-holds.pass', { filter: filterName(c) }));
  },
};

const grave: Check = {
  code: 'take-stops',
  moment: 'before-take',
  scope: 'take',
  safety: true,
  prompt: message('check.take-stops.asks'),
  protects: message('check.take-stops.protects'),
  evaluate: (c) => {
    const stop = c.shot?.warnings.find((w) => w.severity === 'stop');
    return c.shot ? (stop ? fail(stop.say) : pass(message('check.take-stops.pass'))) : null;
  },
};

const isOff = ({ shot }: Context): boolean => shot !== null && isSensingOff(shot.facts);

const sensing: Check = {
  code: 'sensing',
  moment: 'before-take',
  scope: 'take',
  safety: true,
  protects: message('check.sensing.protects'),
  prompt: (c) => {
    const [craft] = c.shot?.facts.aircraft ? [c.shot.facts.aircraft] : aircraftOf(c);
    return craft && craft.senses.length > 0
      ? message('check.sensing.asks', {
          aircraft: craft.name,
          sides: listed(craft.senses.map((side) => message('side', { side }))),
        })
      : message('check.sensing.asks-none');
  },
  applies: (c) => c.shot !== null && !isOff(c),
};

/** Check of a shot that is flown with obstacle sensing off. */
export const SENSING_OFF = 'sensing-off';
/** Holds a shot up until somebody says why. */
export const sensesWithout = fail(message('check.sensing-off.fail'));

const withoutSensing: Check = {
  code: SENSING_OFF,
  moment: 'before-take',
  scope: 'take',
  safety: true,
  prompt: message('check.sensing-off.asks'),
  protects: message('check.sensing.protects'),
  evaluate: (c) => (isOff(c) ? sensesWithout : null),
};

const asked = (code: string, more: Partial<Check> = {}): Check => ({
  code,
  moment: 'before-take',
  scope: 'take',
  safety: false,
  prompt: message(`check.${code}.asks`),
  protects: message(`check.${code}.protects`),
  applies: (c) => c.shot !== null,
  ...more,
});

export const TAKE_CHECKS: readonly Check[] = [
  fits,
  grave,
  holds,
  sensing,
  withoutSensing,
  asked('way-clear', { safety: true }),
  asked('record'),
  asked('in-shot', { safety: true, applies: (c) => c.shot !== null && c.shot.facts.shot.walkS !== null }),
];
