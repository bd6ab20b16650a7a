import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoFilm } from '../../demo';
import { offset, vec } from '../geometry';
import { sceneOf, siteShot, travelSide } from '../location';
import type { Aircraft, FeatureKind, Shot } from '../model';
import { flyLayout, layoutOf, type ShotParts } from '../shot';
import { newFeature } from '../site';
import { numberIn, said } from '../testing';
import { siteWarnings } from '.';

const film = demoFilm();
const partsOf = (title: string, more: Partial<Shot> = {}, craft: Partial<Aircraft> = {}): ShotParts => {
  const shot = film.shots.find((s) => s.title === title)!;
  const aircraft = film.kit.aircraft.find((a) => a.id === shot.aircraftId)!;
  return {
    shot: { ...shot, sensing: null, ...more },
    film: film.film,
    location: film.locations.find((l) => l.id === shot.locationId)!,
    ground: undefined,
    subject: film.subjects.find((s) => s.id === shot.subjectId) ?? null,
    aircraft: { ...aircraft, ...craft },
  };
};
/** What is said of a shot with one thing so far beside the middle of its path, and nothing else on the map. */
const besides = (parts: ShotParts, kind: FeatureKind, awayM: number) => {
  const path = flyLayout(layoutOf(parts), parts);
  if (!path.ok) throw new Error(said(path.reason));
  const { at, headingDeg } = path.value.samples[Math.floor(path.value.samples.length / 2)]!.pose;
  const spot = offset(at, headingDeg + 180, awayM, at.z);
  const thing = newFeature(kind, {
    id: 'thing',
    locationId: parts.location.id,
    name: 'The lime',
    shape: 'point',
    points: [{ xM: spot.x, yM: spot.y }],
    heightM: 90,
  });
  const scene = sceneOf(film.film, parts.location, [], [thing], undefined);
  const site = siteShot(parts, scene)!;
  const said_ = siteWarnings({ parts, scene, site });
  return { site, codes: said_.map((w) => w.code), of: (code: string) => said_.find((w) => w.code === code) };
};

describe('the side that goes first', () => {
  it('is the one nearest to the way, whatever the camera’s heading; up or down where it climbs more than it goes', () => {
    const sides = new Map<string, number>();
    fc.assert(
      fc.property(
        numberIn(0, 360),
        numberIn(0, 360),
        numberIn(1, 20),
        numberIn(-30, 30),
        (heading, way, m, climb) => {
          const a = vec(3, -7, 20);
          const b = offset(a, way, m, 20 + climb);
          const pose = { headingDeg: heading, tiltDeg: 0 };
          const side = travelSide(
            [
              { ...pose, at: a },
              { ...pose, at: b },
            ],
            0.4,
          )!;
          sides.set(side, (sides.get(side) ?? 0) + 1);
          if (Math.abs(climb) > m) {
            expect(side).toBe(climb > 0 ? 'up' : 'down');
            return;
          }
          // The part of the way along that side is the greatest of the four.
          const along = (deg: number) => Math.cos(((way - heading - deg) * Math.PI) / 180);
          const parts = { front: along(0), right: along(90), back: along(180), left: along(270) };
          expect(parts[side as keyof typeof parts]).toBeCloseTo(Math.max(...Object.values(parts)), 9);
        },
      ),
    );
    expect(sides.size).toBe(6);
    const still = { at: vec(0, 0, 9), headingDeg: 0, tiltDeg: 0 };
    expect(travelSide([still, still], 0.5)).toBeNull();
    expect(travelSide([still], 0.5)).toBeNull();
  });
});

const title = 'Along the parapet';

describe('near a thing', () => {
  it('a side that is not sensed is said where the path goes that way; a sensed one, a far thing, or sensing off say nothing', () => {
    const near = besides(partsOf(title, {}, { senses: ['up'] }), 'mast', 4);
    expect(near.site.nearest!.goes).toMatch(/left|right|front|back/);
    expect(near.codes).toContain('site.blind-side');
    expect(said(near.of('site.blind-side')!.say)).toContain('The lime');
    const side = near.site.nearest!.goes!;
    expect(besides(partsOf(title, {}, { senses: [side] }), 'mast', 4).codes).not.toContain('site.blind-side');
    expect(besides(partsOf(title, {}, { senses: [] }), 'mast', 4).codes).not.toContain('site.blind-side');
    expect(besides(partsOf(title, {}, { senses: ['up'] }), 'mast', 25).codes).not.toContain(
      'site.blind-side',
    );
    expect(besides(partsOf(title, { sensing: 'off' }, { senses: ['up'] }), 'mast', 4).codes).not.toContain(
      'site.blind-side',
    );
  });

  it('what sensing does is asked for until it is chosen; what it offers ends the question', () => {
    const craft = { senses: ['front', 'left', 'right', 'back'] as const };
    const open = besides(partsOf(title, {}, craft), 'mast', 6).of('site.choose-sensing')!;
    const { set } = open.cures[0]!;
    expect(set!.fields).toEqual({ sensing: 'stop' });
    const chosen = besides(partsOf(title, set!.fields as Partial<Shot>, craft), 'mast', 6);
    expect(chosen.codes).not.toContain('site.choose-sensing');
  });

  it('leaves are named within their distance, and only leaves', () => {
    expect(besides(partsOf(title), 'tree', 6).site.nearest!.freeM).toBeLessThan(5);
    expect(besides(partsOf(title), 'tree', 6).codes).toContain('site.leaves');
    expect(besides(partsOf(title), 'tree', 20).codes).not.toContain('site.leaves');
    expect(besides(partsOf(title), 'mast', 3).codes).not.toContain('site.leaves');
  });
});

describe('a gap in wind', () => {
  it('is too narrow when a gust carries the aircraft farther than it leaves room, and says how wide it would have to be', () => {
    const through = (widthM: number, gustMs: number) => {
      const plain = partsOf(title);
      const values = { gapWidthM: widthM, gapHeightM: 10 };
      const move = { ...plain.shot.move, kind: 'fly-through', values };
      const parts = { ...plain, shot: { ...plain.shot, move } };
      const location = { ...parts.location, windMs: 2, gustMs, hours: [] };
      const whole = { ...parts, location };
      const scene = sceneOf(film.film, location, [], [], undefined);
      const site = siteShot(whole, scene)!;
      return {
        site,
        warning: siteWarnings({ parts: whole, scene, site }).find((w) => w.code === 'site.gap-drift'),
      };
    };
    const calm = through(4, 2);
    expect(calm.warning).toBeUndefined();
    const gusty = through(4, 9);
    expect(gusty.site.driftM).toBeGreaterThan(2);
    const least = Number(/be ([\d.]+)/.exec(said(gusty.warning!.why))![1]);
    expect(through(least + 0.1, 9).warning).toBeUndefined();
    expect(through(least - 0.1, 9).warning).toBeDefined();
  });
});
