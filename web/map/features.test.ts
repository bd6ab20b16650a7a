import { demoFilm } from '../../demo';
import { deriveFilm } from '../../core/film/derive';
import type { DerivedShot } from '@core/film';
import type { FilmInput } from '@core/model';
import { toLocal } from '@core/geometry';
import fc from 'fast-check';
import type { Point, Polygon } from 'ol/geom.js';
import { transform } from 'ol/proj.js';
import { describe, expect, it } from 'vitest';
import {
  contourFeatures,
  extraFeatures,
  geometryOf,
  handleFeatures,
  pointsOf,
  shotFeatures,
  spot,
  thingFeatures,
  type Handle,
  type Spot,
} from './features';
import { lineOf } from './lines';
import { localProjection } from './projection';
import { drawnOf } from './styles';
import { numberIn } from '../../core/testing';

const film = demoFilm() as FilmInput;
const derived = deriveFilm(film);
const at = fc.record({
  xM: numberIn(-5000, 5000),
  yM: numberIn(-5000, 5000),
});
const rounded = (points: readonly Spot[]): Spot[] => points.map((p) => spot([p.xM, p.yM]));

describe('what is drawn on a plan', () => {
  it('comes back as it went in, whatever its shape, to the centimetre', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('point' as const, 'line' as const, 'area' as const),
        fc.array(at, { minLength: 3, maxLength: 9 }),
        (shape, some) => {
          const points = shape === 'point' ? some.slice(0, 1) : some;
          expect(pointsOf(geometryOf({ shape, points }))).toEqual(rounded(points));
        },
      ),
    );
  });
  it('closes areas once, and leaves a thing without points where it can be found', () => {
    const area = geometryOf({
      shape: 'area',
      points: [
        { xM: 0, yM: 0 },
        { xM: 4, yM: 0 },
        { xM: 4, yM: 3 },
      ],
    }) as Polygon;
    expect(area.getCoordinates()[0]).toEqual([
      [0, 0],
      [4, 0],
      [4, 3],
      [0, 0],
    ]);
    expect(area.getArea()).toBe(6);
    expect(pointsOf(geometryOf({ shape: 'point', points: [] }))).toEqual([{ xM: 0, yM: 0 }]);
  });
  it('is everything of the place once, zones and woods under what stands, and nothing of what is in hand', () => {
    const ids = (list: ReturnType<typeof thingFeatures>['zones']): string[] =>
      list.flatMap((f) => {
        const d = drawnOf(f)!;
        return 'id' in d ? [d.id] : [];
      });
    const all = thingFeatures(film.features, film.subjects, '');
    expect([...ids(all.zones), ...ids(all.standing)].sort()).toEqual(
      [...film.features, ...film.subjects].map((t) => t.id).sort(),
    );
    const kinds = new Set(
      all.zones.map((f) => {
        const d = drawnOf(f)!;
        return d.what === 'feature' ? d.thing.kind : '';
      }),
    );
    expect(kinds.has('wood')).toBe(true);
    expect(kinds.has('wire')).toBe(false);
    for (const { id } of [...film.features, ...film.subjects]) {
      const left = thingFeatures(film.features, film.subjects, id);
      expect([...ids(left.zones), ...ids(left.standing)]).not.toContain(id);
    }
  });
  it('draws a subject where it stands', () => {
    const { standing } = thingFeatures([], film.subjects, '');
    for (const s of film.subjects) {
      const [x0, y0, x1, y1] = standing
        .find((f) => {
          const d = drawnOf(f)!;
          return d.what === 'subject' && d.id === s.id;
        })!
        .getGeometry()!
        .getExtent() as [number, number, number, number];
      expect([(x0 + x1) / 2, (y0 + y1) / 2].map((v) => Math.round(v * 10))).toEqual(
        [s.xM, s.yM].map((v) => Math.round(v * 10)),
      );
    }
  });
});

describe('paths on a plan', () => {
  it('begin and end where the move begins and ends; a hold is a point', () => {
    const shots: DerivedShot[] = [...derived.shots.values()];
    const drawn = shotFeatures(shots, '');
    expect(drawn).toHaveLength(shots.filter((s) => s.facts.trajectory).length);
    for (const s of shots) {
      const line = lineOf(s);
      const samples = s.facts.trajectory!.samples;
      for (const [p, q] of [
        [line[0]!, samples[0]!.pose.at],
        [line.at(-1)!, samples.at(-1)!.pose.at],
      ] as const)
        expect(Math.hypot(p[0]! - q.x, p[1]! - q.y)).toBeLessThan(1e-6);
      const d = drawnOf(
        drawn.find((f) => {
          const x = drawnOf(f)!;
          return x.what === 'shot' && x.id === s.facts.shot.id;
        })!,
      )!;
      if (s.facts.shot.move.kind === 'hold') expect(d).toMatchObject({ still: true });
    }
    const [first] = shots;
    expect(shotFeatures(shots, first!.facts.shot.id)).toHaveLength(drawn.length - 1);
    expect(lineOf(first!)).toBe(lineOf(first!));
  });
});

describe('drag handles and what explains', () => {
  const handles: Handle[] = [
    { part: 'near', shotId: 's', at: { xM: 1, yM: 2 } },
    { part: 'end', shotId: 's', at: { xM: 3, yM: 4 } },
  ];
  it('keep the grip in hand where the hand is, and one of each', () => {
    const [near, end] = handleFeatures(handles, null);
    (near!.getGeometry() as Point).setCoordinates([50, 50]);
    const again = handleFeatures(handles, near!);
    expect(again).toHaveLength(2);
    expect(again[0]).toBe(near);
    expect((again[0]!.getGeometry() as Point).getCoordinates()).toEqual([50, 50]);
    expect(drawnOf(again[1]!)).toEqual(drawnOf(end!));
  });
  it('are there only when there is something to explain, shadows and frame under the rest', () => {
    expect(extraFeatures({})).toEqual({ under: [], over: [] });
    const p = [
      { xM: 0, yM: 0 },
      { xM: 9, yM: 0 },
      { xM: 9, yM: 9 },
    ];
    const { under, over } = extraFeatures({
      frame: p,
      home: p,
      shadows: [p, p],
      moment: { at: p[0]!, turnDeg: 90 },
      sightlines: [p],
      ideas: [
        { at: p[1]!, text: 'here' },
        { at: p[2]!, text: 'or here' },
      ],
    });
    expect(under.map((f) => drawnOf(f)!.what)).toEqual(['shadow', 'frame']);
    expect(over.map((f) => drawnOf(f)!.what)).toEqual(['home', 'sightline', 'moment', 'idea', 'idea']);
    expect(over[2]!.get('turn')).toBeCloseTo(Math.PI / 2, 12);
    expect(over.slice(3).map((f) => f.get('index') as number)).toEqual([0, 1]);
  });
  it('contours keep their height', () => {
    expect(
      contourFeatures([
        {
          heightM: 20,
          main: true,
          lines: [
            [
              [0, 0],
              [5, 5],
            ],
          ],
        },
      ]).map((f) => [f.get('heightM'), f.get('main')]),
    ).toEqual([[20, true]]);
  });
});

describe('the metres of a place as a projection of the map', () => {
  it('agree with the core, there and back', () => {
    fc.assert(
      fc.property(numberIn(-70, 70), numberIn(-179, 179), at, (latitude, longitude, p) => {
        const local = localProjection(latitude, longitude);
        const world = transform([p.xM, p.yM], local, 'EPSG:4326');
        const mine = toLocal(latitude, longitude, world[1]!, world[0]!);
        expect(Math.hypot(mine.xM - p.xM, mine.yM - p.yM)).toBeLessThan(1e-3);
        const back = transform(world, 'EPSG:4326', local);
        expect(Math.hypot(back[0]! - p.xM, back[1]! - p.yM)).toBeLessThan(1e-3);
      }),
      { numRuns: 60 },
    );
  });
});
