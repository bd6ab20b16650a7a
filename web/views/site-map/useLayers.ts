import type { DerivedShot } from '@core/film';
import { launchOf } from '@core/location';
import { sightLimit } from '@core/clearance';
import { reactive, watch, type Ref } from 'vue';
import { pinnedLayer, seenLayer, shadeLayer } from '../../map/raster';
import type { PlanMap } from '../../map/map';
import { useFilm } from '../../stores/film';
import { useSite } from '../../stores/site';
import type { Plan } from './usePlan';
import { showWorld } from './world';
import { tr } from './messages';

/** Pictures decoded once, by their file. */
const decoded = new Map<string, Promise<ImageBitmap>>();
const pictureOf = (assetId: string): Promise<ImageBitmap> => {
  const known =
    decoded.get(assetId) ??
    fetch(`/api/assets/${assetId}`)
      .then((r) => {
        if (!r.ok) throw new Error(tr('thePictureIsNotThere'));
        return r.blob();
      })
      .then((b) => createImageBitmap(b));
  decoded.set(assetId, known);
  known.catch(() => {
    decoded.delete(assetId);
  });
  return known;
};

const pictureKey = (id: string): string => `picture:${id}`;

/** What lies under the plan: ground, contours, pictures, what is seen from the launch point. */
export const useLayers = (plan: Plan, shot: Ref<DerivedShot | null>) => {
  const film = useFilm();
  const site = useSite();
  const layers = reactive({
    ground: true,
    contours: true,
    shadows: true,
    frame: true,
    seen: false,
    seenHeightM: 40,
    flight: null as number | null,
    onlyPicked: false,
    seenShare: null as number | null,
    /** How much of the seen area is worked out, 0 to 1; null when nothing is going on. */
    seenDone: null as number | null,
    trouble: '',
    tiles: false,
    tilesSet: false,
    pinningId: '',
  });
  let map: PlanMap | null = null;
  let turn = 0;
  const noon = (): boolean => document.documentElement.dataset['theme'] === 'noon';

  const showGround = async (): Promise<void> => {
    const { grid, zeroM } = plan.ground.value;
    const on = map;
    const mine = ++turn;
    if (!grid || !on) {
      map?.setRaster('ground', null);
      map?.setContours([], 0);
      return;
    }
    const id = plan.placeId.value;
    const [shade, lines] = await Promise.all([
      layers.ground ? site.shade(id) : null,
      layers.contours ? site.contours(id) : [],
    ]);
    if (mine !== turn || on !== map) return;
    on.setRaster('ground', shade ? shadeLayer(grid, shade, noon()) : null);
    on.setContours(lines, zeroM);
  };
  let seenTurn = 0;
  const showSeen = async (): Promise<void> => {
    const { grid } = plan.ground.value;
    const { value: place } = plan.place;
    const mine = ++seenTurn;
    if (!layers.seen || !grid || !place || !map) {
      map?.setRaster('seen', null);
      layers.seenShare = null;
      if (layers.seenDone !== null) site.leaveSeen();
      layers.seenDone = null;
      return;
    }
    const launch = launchOf(plan.things.value, plan.ground.value, place, shot.value?.facts.shot ?? null);
    const span = shot.value?.facts.aircraft?.spanM ?? 0.4;
    const area = await site.seen(
      place.id,
      launch.at,
      layers.seenHeightM,
      sightLimit('multirotor', span, place.visibilityM),
      (share) => {
        if (mine === seenTurn) layers.seenDone = share;
      },
    );
    if (mine !== seenTurn) return;
    layers.seenDone = null;
    map.setRaster('seen', area ? seenLayer(grid, area.cells, noon()) : null);
    layers.seenShare = area?.seenShare ?? null;
  };
  let shown = new Set<string>();
  const showPictures = async (): Promise<void> => {
    const on = map;
    if (!on) return;
    const rows = film.list('picture').filter((p) => p.locationId === plan.placeId.value && p.shown);
    const next = new Set(rows.map((r) => pictureKey(r.id)));
    for (const gone of shown) if (!next.has(gone)) on.setRaster(gone, null);
    shown = next;
    layers.trouble = '';
    await Promise.all(
      rows.map(async (row) => {
        try {
          const image = await pictureOf(row.assetId);
          if (on === map)
            on.setRaster(
              pictureKey(row.id),
              pinnedLayer(image, row.pins, row.opacity, row.widthPx / image.width),
            );
        } catch (error) {
          layers.trouble = error instanceof Error ? error.message : String(error);
        }
      }),
    );
  };
  const attach = async (to: PlanMap): Promise<void> => {
    map = to;
    shown = new Set();
    void showWorld(to, plan.place.value, layers).catch(() => undefined);
    await Promise.all([showGround(), showSeen(), showPictures()]);
  };

  watch(
    () => [plan.ground.value, layers.ground, layers.contours],
    () => void showGround(),
  );
  watch(
    () => [
      plan.ground.value,
      plan.things.value,
      layers.seen,
      layers.seenHeightM,
      plan.place.value,
      shot.value?.facts.shot.launchId,
      shot.value?.facts.aircraft,
    ],
    () => void showSeen(),
  );
  watch(
    () => film.list('picture'),
    () => void showPictures(),
  );

  type Shown = typeof layers;
  const set = <
    K extends
      | 'ground'
      | 'contours'
      | 'shadows'
      | 'frame'
      | 'seen'
      | 'seenHeightM'
      | 'flight'
      | 'onlyPicked'
      | 'tiles'
      | 'pinningId',
  >(
    field: K,
    value: Shown[K],
  ): void => {
    layers[field] = value;
  };
  return Object.assign(layers, { attach, set });
};

export type Layers = ReturnType<typeof useLayers>;
