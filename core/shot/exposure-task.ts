import {
  BARE_LENS,
  filterFits,
  marksOf,
  type Camera,
  type Filter,
  type Kit,
  type Profile,
  type ProfileSchool,
  type Film,
  type Location,
  type Shot,
} from '../model';
import {
  lapseShutter,
  stillShutter,
  type ExposureTask,
  type FilterChoice,
  type ShutterAim,
} from '../exposure';
import type { SceneLight } from '../light';
import { blurPixels } from '../pace';
import { takesOf } from './costs';
import type { ShotFacts } from './facts';

const STILL_BLUR_PX = 3;
/** Stops of regret of filters that do more than darken. */
const COST = { variable: 0.15, polariser: 0.4, polariserOnGlare: 0 } as const;

/** Sun height under which it is night for the profile, deg. */
const NIGHT_DEG = -6;

const costOf = (filter: Filter, shot: Shot): number => {
  if (filter.kind === 'variable') return COST.variable;
  if (filter.kind === 'polariser')
    return shot.surface === 'water' || shot.surface === 'foliage' ? COST.polariserOnGlare : COST.polariser;
  return 0;
};

const choices = new WeakMap<readonly Filter[], Map<string, readonly FilterChoice[]>>();

/** Filters a shot may be flown with; the bare lens is always a choice besides. */
export const filtersFor = (
  { aircraft, shot }: Pick<ShotFacts, 'aircraft' | 'shot'>,
  kit: Pick<Kit, 'filters'>,
): readonly FilterChoice[] => {
  let lists = choices.get(kit.filters);
  if (!lists) choices.set(kit.filters, (lists = new Map()));
  const key = `${aircraft?.id ?? ''}|${shot.surface}`;
  let list = lists.get(key);
  if (!list) {
    lists.set(
      key,
      (list = kit.filters
        .filter((f) => !f.retired && filterFits(f, aircraft?.id ?? null))
        .flatMap((f) => marksOf(f).map((factor) => ({ id: f.id, factor, cost: costOf(f, shot) })))),
    );
  }
  return list;
};

/** Profile a shot is recorded in. */
export const schoolOf = (film: Film, shot: Shot, altitudeDeg: number): ProfileSchool =>
  shot.profile ??
  (film.preferences.flatAtNight && altitudeDeg < NIGHT_DEG ? 'flat' : film.preferences.profile);

export const profileOf = (camera: Camera | null, school: ProfileSchool): Profile | null =>
  camera?.profiles.find((p) => p.school === school) ?? null;

/** Share of the frame at a shutter of 360° that would not show. */
const standsStill = (facts: ShotFacts): boolean => {
  const fps = facts.mode?.fps ?? 25;
  return blurPixels(facts.pace, facts.frame.cutPx, 1 / fps) < STILL_BLUR_PX;
};

const aimOf = ({ trajectory, camera, shot }: ShotFacts): ShutterAim | undefined => {
  if (trajectory?.frames?.by === 'interval') return lapseShutter(trajectory.frames.everyS);
  if (trajectory?.frames || takesOf(shot) === 0)
    return stillShutter((camera?.equivalentMm ?? 24) * shot.zoom);
  return undefined;
};

/** Stops by which lamps must carry the scene before they can flicker in it. */
const LAMPS_COUNT_STOPS = 0.3;

/** A filter on the lens, with the stops it is set to. */
export interface OnLens {
  readonly filterId: string | null;
  readonly stops: number;
}

const cameraPart = (camera: Camera | null, school: ProfileSchool) => {
  const profile = profileOf(camera, school);
  return {
    apertures: camera?.apertures ?? [],
    isoBase: profile?.isoBase ?? camera?.isoBase ?? 100,
    isoCeiling: profile?.isoCeiling ?? camera?.isoCeiling ?? 100,
    sharp:
      camera && camera.apertures.length > 1 ? ([camera.sharpFromF, camera.sharpToF] as const) : undefined,
  };
};

const fixedPart = ({ aperture, shutterS, iso, filterId }: Shot['exposure']) => ({
  aperture: aperture ?? undefined,
  shutterS: shutterS ?? undefined,
  iso: iso ?? undefined,
  filterId: filterId === null ? undefined : filterId === BARE_LENS ? null : filterId,
});

/** Mains that can flicker in a scene: only where lamps carry it. */
export const mainsIn = (
  scene: SceneLight,
  { lamps, mainsHz }: Pick<Location, 'lamps' | 'mainsHz'>,
): number | null =>
  lamps === 'none' || scene.ambientEv100 > scene.groundEv100 - LAMPS_COUNT_STOPS ? null : mainsHz;

/** What a shot asks of the exposure solver, in a light. @param onLens filter the flight is flown with; undefined leaves it free */
export const exposureTask = (
  facts: ShotFacts,
  kit: Pick<Kit, 'filters'>,
  scene: SceneLight,
  altitudeDeg: number,
  onLens: OnLens | undefined,
): ExposureTask => {
  const { shot, film, camera } = facts;
  const { preferences: p } = film;
  const c = cameraPart(camera, schoolOf(film, shot, altitudeDeg));
  // Spelled out: spreading parts into it costs as much as finding them.
  return {
    apertures: c.apertures,
    isoBase: c.isoBase,
    isoCeiling: c.isoCeiling,
    sharp: c.sharp,
    filters: filtersFor(facts, kit),
    captureFps: facts.mode?.fps ?? film.timelineFps,
    bandLowDeg: p.shutterLowDeg,
    bandHighDeg: p.shutterHighDeg,
    biasStops: p.highlightBiasStops,
    still: standsStill(facts),
    aim: aimOf(facts),
    fixed: fixedPart(shot.exposure),
    sceneEv100: scene.ev100,
    mainsHz: mainsIn(scene, facts.location),
    flightFilterId: onLens?.filterId,
    flightStops: onLens?.stops,
  };
};
