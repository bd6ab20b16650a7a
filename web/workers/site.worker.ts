import {
  eyeOf,
  sceneOf,
  siteShot,
  suggestLaunches,
  type Scene,
  type LaunchIdea,
  type SiteShot,
} from '@core/location';
import { locationSiteWarnings, siteWarnings, type Warning } from '@core/warnings';
import type { Film, Location, Shot, Subject, Aircraft, Feature } from '@core/model';
import {
  contoursOf,
  groundOf,
  hillshade,
  seenBySteps,
  surfaceOf,
  type Contour,
  type Ground,
  type HeightGrid,
} from '@core/terrain';
import type { Vec3 } from '@core/geometry';
import { topAt } from '@core/clearance';
import { expose, transfer } from 'comlink';
import { Answers } from './answers';

/** A place as it is sent over: plain data; its ground is sent once and named after that. */
export interface PlaceJob {
  readonly film: Film;
  readonly location: Location;
  readonly subjects: readonly Subject[];
  readonly features: readonly Feature[];
  readonly shots: readonly Shot[];
  readonly aircraft: readonly Aircraft[];
  readonly groundKey: string;
}

/** How long the seen area is worked on before others get their turn, ms. */
const SEEN_PIECE_MS = 40;
/** Which seen area was asked for last; an older one is left. */
let seenTurn = 0;

/** What a place means to a shot. */
export interface SiteResult {
  readonly site: SiteShot;
  readonly warnings: readonly Warning[];
}

export interface SiteAnswer {
  /** Shots the page lacks the answer for; null where there is nothing to be said. */
  readonly shots: readonly (readonly [shotId: string, result: SiteResult | null])[];
  readonly place: readonly Warning[];
}

const grids = new Map<string, HeightGrid>();
const found = new Answers<SiteResult | null>();

/** Putting five hundred things on the ground takes longer than everything a slider changes. */
const scenes = new Map<string, { readonly about: string; readonly scene: Scene }>();

const groundFor = (job: Pick<PlaceJob, 'location' | 'groundKey'>): Ground | undefined => {
  const grid = grids.get(job.groundKey);
  return grid && groundOf(grid, job.location.elevationM);
};

const partsOf = (job: PlaceJob, ground: Ground | undefined) => {
  const subjects = new Map(job.subjects.map((s) => [s.id, s]));
  const aircraft = new Map(job.aircraft.map((a) => [a.id, a]));
  return job.shots.map((shot) => ({
    shot,
    film: job.film,
    location: job.location,
    ground,
    subject: subjects.get(shot.subjectId ?? '') ?? null,
    aircraft: aircraft.get(shot.aircraftId ?? '') ?? null,
  }));
};

/** The site's reckoning, beside the page: what takes longer than a frame. */
const site = {
  addGround(key: string, grid: HeightGrid): void {
    grids.set(key, grid);
  },

  /** Everything a place means to its shots, as far as the page does not hold it. */
  check(job: PlaceJob, held: readonly string[]): SiteAnswer {
    const ground = groundFor(job);
    const about = JSON.stringify([
      job.film.preferences,
      job.film.aspect,
      job.film.units,
      job.film.timelineFps,
      job.film.tempoBpm,
      job.location,
      job.features,
      job.subjects,
      job.groundKey,
    ]);
    const known = scenes.get(job.location.id);
    const scene =
      known?.about === about
        ? known.scene
        : sceneOf(job.film, job.location, job.subjects, job.features, ground);
    scenes.set(job.location.id, { about, scene });
    const shots = found.fresh(
      partsOf(job, ground),
      ({ shot }) => shot.id,
      ({ shot, aircraft }) => about + JSON.stringify([shot, aircraft]),
      (parts) => {
        const facts = siteShot(parts, scene);
        return facts && { site: facts, warnings: siteWarnings({ parts, scene, site: facts }) };
      },
      new Set(held),
    );
    return { shots, place: locationSiteWarnings(scene) };
  },

  launches(job: PlaceJob, about?: { x: number; y: number; halfM: number }): LaunchIdea[] {
    const ground = groundFor(job);
    return suggestLaunches(
      sceneOf(job.film, job.location, job.subjects, job.features, ground),
      partsOf(job, ground),
      about,
    );
  },

  shade(key: string): Float32Array | null {
    const grid = grids.get(key);
    if (!grid) return null;
    const shade = hillshade(grid);
    return transfer(shade, [shade.buffer]);
  },

  contours(key: string): Contour[] {
    const grid = grids.get(key);
    return grid ? contoursOf(grid) : [];
  },

  /**
   * Where the aircraft is seen from the pilot's eye, flying level at a height above the launch point; woods and houses count.
   * @param done told now and then how much of it is done, 0 to 1
   * @returns null also when it was left, or asked for anew meanwhile
   */
  async seen(
    job: PlaceJob,
    launch: Vec3,
    heightM: number,
    reachM: number,
    done: (share: number) => void,
  ): Promise<{ cells: Uint8Array; seenShare: number } | null> {
    const mine = ++seenTurn;
    const grid = grids.get(job.groundKey);
    const ground = groundFor(job);
    if (!grid || !ground) return null;
    const scene = sceneOf(job.film, job.location, job.subjects, job.features, ground);
    const solids = [...scene.solids, ...scene.subjectSolids.values()].filter((s) => s.opaque);
    const surface = surfaceOf(
      grid,
      solids.map((s) => ({ box: s.box, topAt: (x: number, y: number) => topAt(s, x, y) + ground.zeroM })),
    );
    const steps = seenBySteps(surface, ground.zeroM, eyeOf(scene, launch), launch.z + heightM, reachM);
    let rested = performance.now();
    for (;;) {
      const step = steps.next();
      if (step.done)
        return (
          step.value &&
          transfer({ cells: step.value.cells, seenShare: step.value.seenShare }, [step.value.cells.buffer])
        );
      if (performance.now() - rested < SEEN_PIECE_MS) continue;
      done(step.value);
      // Other questions are answered in between, and one that leaves this.
      await new Promise((resolve) => setTimeout(resolve));
      if (mine !== seenTurn) return null;
      rested = performance.now();
    }
  },

  /** Leaves the seen area that is being worked out. */
  leaveSeen(): void {
    seenTurn += 1;
  },
};

export type SiteWorker = typeof site;
expose(site);
