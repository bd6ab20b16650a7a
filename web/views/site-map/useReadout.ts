import { fromLocal } from '@core/geometry';
import { measureOf } from '@core/site';
import { computed, ref, watch } from 'vue';
import { writeCoordinates } from '../../coordinates';
import { fixed, writeText } from '../../format';
import type { Spot } from '../../map/features';
import { useDerivedFilm } from '../../stores/derived-film';
import { areaText } from './area-text';
import { tr } from './messages';
import type { Plan } from './usePlan';

/** What the map says of the spot under the pointer, and of a line or an area that was measured. */
export const useReadout = (plan: Plan) => {
  const derivedFilm = useDerivedFilm();
  const pointer = ref<Spot | null>(null);
  const measured = ref<{ points: Spot[]; closed: boolean } | null>(null);
  watch(plan.placeId, () => {
    measured.value = null;
  });
  const m = (v: number): string => writeText(v, 'metres', derivedFilm.units);

  const pointed = computed(() => {
    const { value: p } = plan.place;
    if (!pointer.value || !p) return '';
    const { xM, yM } = pointer.value;
    const { latitude, longitude } = fromLocal(p.latitude, p.longitude, xM, yM);
    const z = plan.ground.value.at(xM, yM);
    const aside = `${m(Math.abs(xM))} ${xM < 0 ? tr('west') : tr('eastLower')}`;
    const ahead = `${m(Math.abs(yM))} ${yM < 0 ? tr('south') : tr('northLower')}`;
    const high = Number.isNaN(z)
      ? tr('groundUnknown')
      : tr('groundValueValue2', { value: z >= 0 ? '+' : '', value2: m(z) });
    const ground = plan.ground.value.grid ? high : tr('groundLevel');
    return [writeCoordinates({ latitude, longitude }), `${aside}, ${ahead}`, ground].join('  ·  ');
  });
  const measure = computed(() => {
    const sizes = measureOf(
      (measured.value?.points ?? []).map((p) => ({ x: p.xM, y: p.yM })),
      plan.ground.value,
    );
    if (!sizes) return '';
    if (measured.value?.closed) return areaText(sizes.areaM2, derivedFilm.units);
    return tr('valueBearingDegFromFirstTo', {
      value: m(sizes.lengthM),
      bearingDeg: fixed(sizes.bearingDeg, 0),
      riseM: sizes.riseM >= 0 ? tr('up') : tr('down'),
      value2: m(Math.abs(sizes.riseM)),
    });
  });
  return { pointer, measured, pointed, measure };
};
