import { flyerOf, windOf } from '../../shot';
import { wayHome } from '../../energy';
import { measured, message } from '../../messages';
import { isAboard, isUnderWay, launchFeature, onGround, spotsOf, featureName } from '../../site';
import { LEVEL_GROUND } from '../../terrain';
import type { Feature } from '../../model';
import { fail, pass, type Check, type Context } from '../types';

/** Launch point of the flight in hand. */
const launchOf = (c: Context): Feature | undefined =>
  launchFeature(c.input.features, c.flight?.launch.id ?? null);
/** Whether anything of the day, or of the place, is flown from a boat or a vehicle. */
const aboardIn = (c: Context, here: boolean): boolean =>
  (here ? [c.place] : c.places).some((p) =>
    p.flights.some((f) => isAboard(launchFeature(c.input.features, f.launch.id))),
  );

const asked = (code: string, moment: Check['moment'], more: Partial<Check>): Check => ({
  code,
  moment,
  scope: 'flight',
  safety: true,
  prompt: message(`check.${code}.asks`),
  protects: message(`check.${code}.protects`),
  ...more,
});

/**
 * Plan-B landing on the shore: from where the worst shot of the flight ends, with what is then left in the pack. A way there is
 * costed like the way home: up to the return height, straight over, down.
 */
const shore: Check = {
  ...asked('shore', 'launch-point', {}),
  evaluate: (c) => {
    const { flight } = c;
    if (!flight || launchOf(c)?.footing !== 'boat') return null;
    const ground = c.input.terrain?.get(c.place.location.id) ?? LEVEL_GROUND;
    const spots = c.input.features
      .filter((f) => f.kind === 'plan-b' && f.locationId === c.place.location.id)
      .flatMap((f) => spotsOf(f).map((s) => ({ name: featureName(f), at: onGround(ground, s.x, s.y) })));
    const craft = c.input.kit.aircraft.find((a) => a.id === flight.aircraftId);
    if (spots.length === 0 || !craft) return fail(message('check.shore.none'));
    const flyer = flyerOf(craft, c.place.location, c.input.film);
    const wind = windOf(c.place.location);
    const ways = flight.stops.flatMap((stop) => {
      const from = c.derived.shots.get(stop.shotId)?.facts.toPoint;
      if (!from) return [];
      const costs = spots.flatMap(({ name, at }) => {
        const way = wayHome(flyer, wind, from, c.place.location.returnHeightM, at);
        return way.ok ? [{ name, wh: way.value.wattHours }] : [];
      });
      const [nearest] = costs.sort((a, b) => a.wh - b.wh);
      return [{ leftWh: flight.supply.availableWh - stop.usedWh, nearest: nearest ?? null }];
    });
    const [worst] = ways.sort(
      (a, b) => a.leftWh - (a.nearest?.wh ?? Infinity) - (b.leftWh - (b.nearest?.wh ?? Infinity)),
    );
    if (!worst?.nearest) return fail(message('check.shore.wind'));
    const found = {
      name: worst.nearest.name,
      needs: measured(worst.nearest.wh, 'wattHours', 1),
      left: measured(worst.leftWh, 'wattHours', 1),
    };
    return worst.leftWh >= worst.nearest.wh
      ? pass(message('check.shore.pass', found))
      : fail(message('check.shore.fail', found));
  },
};

/** What is looked at when the launch point is a boat or a vehicle. */
export const ABOARD_CHECKS: readonly Check[] = [
  shore,
  asked('moving-home', 'launch-point', { applies: (c) => isUnderWay(launchOf(c)) }),
  asked('hand-launch', 'launch-point', { applies: (c) => isAboard(launchOf(c)) }),
  asked('stake', 'launch-point', {
    applies: (c) => launchOf(c)?.footing === 'boat',
    prompt: (c) =>
      message('check.stake.asks', {
        aircraft: c.input.kit.aircraft.find((a) => a.id === c.flight?.aircraftId)?.name ?? '',
      }),
  }),
  asked('rinsed', 'leaving-place', { scope: 'place', safety: false, applies: (c) => aboardIn(c, true) }),
  asked('dried', 'at-home', { scope: 'day', safety: false, applies: (c) => aboardIn(c, false) }),
];
