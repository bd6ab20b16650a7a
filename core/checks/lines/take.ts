import { aircraftOf, care, fail, pass, type Check, type Context } from '../types';

const filterName = (c: Context): string => {
  const id = c.shot?.filter?.filterId;
  return id ? (c.input.kit.filters.find((f) => f.id === id)?.name ?? 'the filter') : 'no filter';
};

const fits: Check = {
  code: 'take-fits',
  moment: 'before-take',
  scope: 'take',
  safety: true,
  asks: 'The pack gives it and the way home.',
  protects: 'A landing where there is no pad.',
  look: (c) => {
    if (!c.shot) return null;
    const { unfit, flightIndex } = c.shot;
    if (unfit) return fail('No pack has room for it.');
    const over = flightIndex === null ? 0 : (c.place.flights[flightIndex]?.overWh ?? 0);
    return over > 0
      ? fail(`Its flight asks for ${over.toFixed(1)} Wh more than the pack may give.`)
      : pass(`Takes ${c.shot.facts.energy?.totalWh.toFixed(1) ?? '0'} Wh; the reserve is kept.`);
  },
};

const holds: Check = {
  code: 'filter-holds',
  moment: 'before-take',
  scope: 'take',
  safety: false,
  asks: (c) => `On the lens: ${filterName(c)}.`,
  protects: 'Stuttering in bright sun, mush in the dark.',
  look: (c) => {
    if (!c.shot?.light) return null;
    if (c.shot.filter?.lands)
      return fail(`It wants ${filterName(c)}, another than the slate before it: land and change.`);
    const off = c.shot.warnings.find((w) => w.code === 'exposure.over' || w.code === 'exposure.under');
    return off ? care(off.say) : pass(`${filterName(c)} holds at its minute.`);
  },
};

const grave: Check = {
  code: 'take-stops',
  moment: 'before-take',
  scope: 'take',
  safety: true,
  asks: 'Nothing speaks against it.',
  protects: 'Finding out in the air.',
  look: (c) => {
    const stop = c.shot?.warnings.find((w) => w.severity === 'stop');
    return c.shot ? (stop ? fail(stop.say) : pass('Nothing worked out speaks against it.')) : null;
  },
};

const sensing: Check = {
  code: 'sensing',
  moment: 'before-take',
  scope: 'take',
  safety: true,
  protects: 'Flying into what the aircraft would have seen.',
  asks: (c) => {
    const [craft] = c.shot?.facts.aircraft ? [c.shot.facts.aircraft] : aircraftOf(c);
    return craft && craft.senses.length > 0
      ? `Obstacle sensing is on; ${craft.name} looks ${craft.senses.join(', ')}, and nowhere else.`
      : 'This aircraft senses nothing: the way is walked, slow and in sight.';
  },
  applies: (c) => c.shot !== null,
};

const asked = (code: string, asks: Check['asks'], protects: string, more: Partial<Check> = {}): Check => ({
  code,
  moment: 'before-take',
  scope: 'take',
  safety: false,
  asks,
  protects,
  applies: (c) => c.shot !== null,
  ...more,
});

export const TAKE_CHECKS: readonly Check[] = [
  fits,
  grave,
  holds,
  sensing,
  asked(
    'way-clear',
    'The way is free; nobody is under it.',
    'People. Never over anybody who is not part of it.',
    { safety: true },
  ),
  asked('record', 'The recording lamp is lit. Look again.', 'The best take, not recorded.'),
  asked(
    'in-shot',
    'Recording runs before the pilot walks into the shot; the aircraft hovers clear of people.',
    'Both hands busy, and nothing recorded.',
    { safety: true, applies: (c) => c.shot !== null && c.shot.facts.shot.walkS !== null },
  ),
];
