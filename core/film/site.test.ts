import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { demoRaster, terraceGround, viaductGround } from '../../demo/ground';
import { featureWords, newFeature } from '../site';
import type { Feature, FilmInput, Shot } from '../model';
import { groundOf, type Ground } from '../terrain';
import { vec } from '../geometry';
import { deriveFilm } from './derive';
import { flyLayout, layoutOf, type ShotParts, frameOnGround, shadowsOf, subjectAt } from '../shot';
import { homeWay, sceneOf, sideOf, siteShot, suggestLaunches, type Scene } from '../location';
import { locationSiteWarnings, siteWarnings } from '../warnings';
import { numberIn, said } from '../testing';

let film: FilmInput;
const grounds = new Map<string, Ground>();
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm();
  const [a, b] = film.locations;
  if (a && b) {
    grounds.set(a.id, groundOf(demoRaster(viaductGround), a.elevationM));
    grounds.set(b.id, groundOf(demoRaster(terraceGround), b.elevationM));
  }
});

const place = (n = 0) => {
  const l = film.locations[n];
  if (!l) throw new Error('no place');
  return l;
};
const partsOf = (
  title: string,
  change: (s: Shot) => Shot = (s) => s,
  ground: Ground | undefined = undefined,
): ShotParts => {
  const shot = film.shots.find((s) => s.title === title);
  if (!shot) throw new Error(title);
  const location = film.locations.find((l) => l.id === shot.locationId) ?? place();
  return {
    shot: change(shot),
    film: film.film,
    location,
    ground,
    subject: film.subjects.find((s) => s.id === shot.subjectId) ?? null,
    aircraft: film.kit.aircraft.find((a) => a.id === shot.aircraftId) ?? null,
  };
};
const thing = (
  kind: Feature['kind'],
  spots: readonly (readonly [number, number])[],
  more: Partial<Feature> = {},
): Feature => {
  return newFeature(kind, {
    id: `${kind}-${spots.join('|')}`,
    locationId: place().id,
    shape: spots.length === 1 ? 'point' : (featureWords(kind).shapes[0] ?? 'area'),
    points: spots.map(([xM, yM]) => ({ xM, yM })),
    ...more,
  });
};
const sceneWith = (features: readonly Feature[], n = 0, ground?: Ground): Scene =>
  sceneOf(film.film, place(n), film.subjects, features, ground);
const codes = (parts: ShotParts, scene: Scene): string[] => {
  const site = siteShot(parts, scene);
  return site ? siteWarnings({ parts, scene, site }).map((w) => w.code) : [];
};

describe('clearance', () => {
  it('the wire by the hut is met, and each cure offered frees the path', () => {
    const scene = sceneWith(film.features);
    const parts = partsOf('Signal hut, smoke');
    const site = siteShot(parts, scene);
    const warning = site && siteWarnings({ parts, scene, site }).find((w) => w.code === 'site.clearance');
    expect(warning?.severity).toBe('stop');
    expect(said(warning?.say)).toContain('Line to the hut');
    const cures = warning?.cures.filter((c) => c.set) ?? [];
    expect(cures.length).toBeGreaterThan(0);
    for (const cure of cures)
      expect(codes({ ...parts, shot: { ...parts.shot, ...cure.set?.fields } as Shot }, scene)).not.toContain(
        'site.clearance',
      );
  });
  it('a wire lowered and lowered never comes nearer', () => {
    const parts = partsOf('Signal hut, smoke');
    fc.assert(
      fc.property(numberIn(1, 40), numberIn(0, 20), (heightM, less) => {
        const free = (h: number): number =>
          siteShot(
            parts,
            sceneWith([
              thing(
                'wire',
                [
                  [-168, 4],
                  [-98, 66],
                ],
                { heightM: Math.max(0, h) },
              ),
            ]),
          )?.nearest?.freeM ?? 1000;
        expect(free(heightM - less)).toBeGreaterThanOrEqual(free(heightM) - 0.3);
      }),
      { numRuns: 40 },
    );
  });
  it('the shot\u2019s own subject is no obstacle, every other standing one is', () => {
    const scene = sceneWith([]);
    expect(siteShot(partsOf('Meadow to arches'), scene)?.nearest?.name).not.toBe('Viaduct');
    expect(siteShot(partsOf('Sleepers from above'), scene)?.nearest?.name).toBe('Viaduct');
  });
});

describe('way home', () => {
  const wood = (heightM: number) =>
    thing(
      'wood',
      [
        [-60, 20],
        [60, 20],
        [60, 50],
        [-60, 50],
      ],
      { heightM },
    );
  it('asks for the tallest thing and the margin, and rises as the wood does', () => {
    const parts = partsOf('Along the parapet');
    const need = (h: number): number => siteShot(parts, sceneWith([wood(h)]))?.home?.needM ?? 0;
    expect(need(18)).toBeCloseTo(18 + film.film.preferences.returnMarginM, 6);
    expect(need(43) - need(18)).toBeCloseTo(25, 6);
  });
  it('warns when the height set keeps no margin, with the cure that sets it', () => {
    const parts = partsOf('Along the parapet');
    const scene = sceneWith([wood(50)]);
    const site = siteShot(parts, scene);
    const warning = site && siteWarnings({ parts, scene, site }).find((w) => w.code === 'site.return-height');
    expect(warning?.cures[0]?.set?.fields).toEqual({ returnHeightM: 70 });
    const cured = { ...scene, location: { ...scene.location, returnHeightM: 70 } };
    expect(codes({ ...parts, location: cured.location }, cured)).not.toContain('site.return-height');
  });
  it('says so when ceiling and wood shut the way', () => {
    const scene = sceneWith([wood(110)]);
    expect(codes(partsOf('Along the parapet'), scene)).toContain('site.return-shut');
  });
  it('is drawn up, over, down', () =>
    expect(homeWay(vec(10, 90, 20), vec(0, 0, 0), 55).map((p) => p.z)).toEqual([20, 55, 55, 0]));
});

describe('a launch point that is under way', () => {
  const boat = (more: Partial<Feature>) =>
    thing('launch', [[200, 200]], { id: 'boat', name: 'The ferry', footing: 'boat', ...more });
  const aboard = (more: Partial<Feature>) => [
    boat(more),
    thing(
      'water',
      [
        [150, 150],
        [250, 150],
        [250, 250],
        [150, 250],
      ],
      { shape: 'area' },
    ),
  ];
  const from = (s: Shot): Shot => ({ ...s, launchId: 'boat', lossAction: 'return' });
  it('is no place to return to: hovering is advised, and how far it moves is said', () => {
    const still = codes(partsOf('Valley wakes', from), sceneWith(aboard({})));
    const moving = sceneWith(aboard({ movesMs: 2.5, movesDeg: 90 }));
    expect(still).not.toContain('site.loss');
    expect(codes(partsOf('Valley wakes', from), moving)).toContain('site.loss');
    const [warned] = locationSiteWarnings(moving).filter((w) => w.code === 'site.launch-under-way');
    expect(said(warned!.say)).toBe('The ferry is under way: in 10 min it moves 1500 m.');
  });
  it('may lie on water, which nothing else that one launches from may', () => {
    const afloat = (more: Partial<Feature>) =>
      locationSiteWarnings(sceneWith(aboard(more))).map((w) => w.code);
    expect(afloat({})).not.toContain('site.launch-water');
    expect(afloat({ footing: 'ground' })).toContain('site.launch-water');
  });
});

describe('zones and lost signals', () => {
  const across = [
    [-40, 60],
    [80, 60],
    [80, 75],
    [-40, 75],
  ] as const;
  it.each([
    ['no-fly', {}, 'site.no-fly'],
    ['permission', {}, 'site.permission'],
    ['permission', { granted: true, until: '2020-01-01' }, 'site.permission'],
    ['people', {}, 'site.people'],
    ['animals', {}, 'site.animals'],
  ] as const)('%s %j is told', (kind, more, code) => {
    expect(codes(partsOf('Along the parapet'), sceneWith([thing(kind, across, more)]))).toContain(code);
  });
  it('a yes that still holds, or an area far off, is not', () => {
    expect(
      codes(
        partsOf('Along the parapet'),
        sceneWith([thing('permission', across, { granted: true, until: '2030-01-01' })]),
      ),
    ).not.toContain('site.permission');
    expect(
      codes(
        partsOf('Along the parapet'),
        sceneWith([
          thing(
            'no-fly',
            across.map(([x, y]) => [x + 900, y] as const),
          ),
        ]),
      ),
    ).not.toContain('site.no-fly');
  });
  it('nothing it says calls a flight legal or safe', () => {
    for (const n of [0, 1, 2])
      for (const title of film.shots.filter((s) => s.locationId === place(n).id).map((s) => s.title)) {
        const scene = sceneWith(film.features, n, grounds.get(place(n).id));
        const parts = partsOf(title);
        const site = siteShot(parts, scene);
        for (const w of site ? siteWarnings({ parts, scene, site }) : [])
          expect(`${said(w.say)} ${said(w.why)} ${w.cures.map((c) => said(c.say)).join(' ')}`).not.toMatch(
            /\b(legal|safe|allowed)\b/i,
          );
      }
  });
  it('under trees hovering is advised, in the open returning', () => {
    const low = partsOf('Quarryman walks in');
    const under = siteShot(
      low,
      sceneOf(
        film.film,
        place(1),
        film.subjects,
        [
          {
            ...thing('wood', [
              [-40, 0],
              [60, 0],
              [60, 80],
              [-40, 80],
            ]),
            locationId: place(1).id,
          },
        ],
        undefined,
      ),
    );
    expect(under?.loss).toMatchObject({ chosen: 'return', advice: 'hover' });
    expect(siteShot(low, sceneOf(film.film, place(1), film.subjects, [], undefined))?.loss.advice).toBe(
      'return',
    );
  });
  it('over water it wants a landing near', () => {
    const water = thing('water', [
      [-100, 20],
      [100, 20],
      [100, 120],
      [-100, 120],
    ]);
    expect(codes(partsOf('Along the parapet'), sceneWith([water]))).toContain('site.water');
    expect(codes(partsOf('Along the parapet'), sceneWith([water, thing('plan-b', [[0, 10]])]))).not.toContain(
      'site.water',
    );
  });
  it('a launch point in a no-fly area or under trees is told of the place', () => {
    const told = locationSiteWarnings(
      sceneWith([
        thing('no-fly', [
          [-5, -5],
          [5, -5],
          [5, 5],
          [-5, 5],
        ]),
        thing('launch', [[50, 50]]),
        thing('wood', [
          [40, 40],
          [60, 40],
          [60, 60],
          [40, 60],
        ]),
      ]),
    );
    expect(told.map((w) => w.code).sort()).toEqual(['site.launch-no-fly', 'site.launch-under']);
  });
});

describe('ground', () => {
  const falling: Ground = {
    grid: { columns: 2, rows: 2, cellM: 10, westM: 0, southM: 0, heights: new Float32Array(4) },
    zeroM: 0,
    at: (_x, y) => Math.min(0, -0.6 * (y - 60)),
  };
  const rising: Ground = { ...falling, at: (_x, y) => Math.max(0, 0.5 * (y - 20)) };
  it('flying out over a falling slope passes the ceiling that counts from the ground below', () => {
    const input = {
      ...film,
      terrain: new Map([[place().id, falling]]),
      locations: film.locations.map((l) => ({ ...l, ceilingM: 70 })),
      shots: film.shots.map((s) =>
        s.title === 'Along the parapet'
          ? { ...s, move: { ...s.move, values: { ...s.move.values, fromBearingDeg: 0 } } }
          : s,
      ),
    };
    const shot = [...deriveFilm(input).shots.values()].find(
      (s) => s.facts.shot.title === 'Along the parapet',
    );
    expect(shot?.facts.trajectory?.highestM).toBeLessThan(70);
    expect(shot?.warnings.map((w) => w.code)).toContain('move.ceiling');
    expect(
      [...deriveFilm(film).shots.values()]
        .find((s) => s.facts.shot.title === 'Along the parapet')
        ?.warnings.map((w) => w.code),
    ).not.toContain('move.ceiling');
  });
  it('off the edge of a grid the ceiling still counts, from the launch point', () => {
    const nowhere: Ground = { ...falling, at: () => NaN };
    const high = (terrain?: FilmInput['terrain']) => {
      const input = {
        ...film,
        ...(terrain ? { terrain } : {}),
        locations: film.locations.map((l) => ({ ...l, ceilingM: 25 })),
      };
      return (
        [...deriveFilm(input).shots.values()]
          .find((s) => s.facts.shot.title === 'Along the parapet')
          ?.warnings.map((w) => w.code) ?? []
      );
    };
    expect(high()).toContain('move.ceiling');
    expect(high(new Map([[place().id, nowhere]]))).toContain('move.ceiling');
    expect(codes(partsOf('Along the parapet', undefined, nowhere), sceneWith([], 0, nowhere))).toContain(
      'site.ground-unknown',
    );
  });
  it('keeping height over ground climbs with it and never comes down with it', () => {
    for (const ground of [rising, falling]) {
      const plain = flyLayout(
        layoutOf(partsOf('Meadow to arches', undefined, ground)),
        partsOf('Meadow to arches', undefined, ground),
        undefined,
        64,
      );
      const parts = partsOf('Meadow to arches', (s) => ({ ...s, overGround: true }), ground);
      const kept = flyLayout(layoutOf(parts), parts, undefined, 64);
      if (!plain.ok || !kept.ok) throw new Error('no path');
      const base = ground.at(plain.value.start.at.x, plain.value.start.at.y);
      kept.value.samples.forEach((s, i) => {
        const before = plain.value.samples[i]?.pose.at ?? vec(0, 0, 0);
        expect(s.pose.at.z).toBeGreaterThanOrEqual(before.z - 1e-9);
        expect(s.pose.at.z - before.z).toBeGreaterThanOrEqual(ground.at(before.x, before.y) - base - 0.3);
      });
      if (ground === falling)
        kept.value.samples.forEach((s, i) =>
          expect(s.pose.at.z).toBeCloseTo(plain.value.samples[i]?.pose.at.z ?? 0, 6),
        );
    }
  });
  it('a path from the side shows ground, wood and height flown where they are', () => {
    const scene = sceneWith([
      thing(
        'wood',
        [
          [-10, 40],
          [10, 40],
          [10, 60],
          [-10, 60],
        ],
        { heightM: 12 },
      ),
    ]);
    const side = sideOf(scene, [vec(0, 0, 5), vec(0, 100, 25)]);
    expect(side.find((p) => p.yM === 50)).toMatchObject({ groundM: 0, topM: 12, flownM: 15 });
    expect(side.find((p) => p.yM === 25)?.topM).toBeNull();
  });
  it('a camera straight down frames as much ground as its view is wide; level ones end at the horizon', () => {
    const frame = frameOnGround(
      { at: vec(0, 0, 50), headingDeg: 0, tiltDeg: -90 },
      { horizontalDeg: 90, verticalDeg: 60, diagonalDeg: 98 },
    );
    const [xs, ys] = [frame.map((p) => p.x), frame.map((p) => p.y)];
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(100, 3);
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(100 * Math.tan(Math.PI / 6), 3);
    expect(
      Math.max(
        ...frameOnGround(
          { at: vec(0, 0, 50), headingDeg: 0, tiltDeg: 0 },
          { horizontalDeg: 70, verticalDeg: 40, diagonalDeg: 77 },
        ).map((p) => p.y),
      ),
    ).toBeGreaterThan(500);
  });
  it('shadows lie away from the sun, as long as the height over the tangent', () => {
    const house = {
      ...(film.subjects.find((s) => s.kind === 'house') ?? film.subjects[0]),
      xM: 0,
      yM: 0,
      heightM: 10,
    } as FilmInput['subjects'][number];
    const far = Math.max(
      ...shadowsOf([house], [], { azimuthDeg: 180, altitudeDeg: 45 })
        .flat()
        .map((p) => p.y),
    );
    expect(far).toBeGreaterThan(10);
    expect(far).toBeLessThan(20);
    expect(shadowsOf([house], [], { azimuthDeg: 180, altitudeDeg: -3 })).toEqual([]);
  });
});

describe('launch points', () => {
  it('flights take off from the one chosen, and a shot from another needs a flight of its own', () => {
    const launch = thing('launch', [[0, 60]]);
    const at = (launchId: string | null, own: string | null = null): FilmInput => ({
      ...film,
      features: [launch],
      locations: film.locations.map((l) => ({ ...l, launchId })),
      shots: film.shots.map((s) => (s.title === 'Along the parapet' ? { ...s, launchId: own } : s)),
    });
    const flights = (input: FilmInput) => deriveFilm(input).places.get(place().id)?.flights ?? [];
    const [origin, moved] = [flights(at(null)), flights(at(launch.id))];
    expect(moved[0]?.launch.at).toMatchObject({ x: 0, y: 60 });
    expect(moved[0]?.home.wattHours).not.toBe(origin[0]?.home.wattHours);
    expect(flights(at(null, launch.id)).length).toBeGreaterThan(origin.length);
    expect(
      flights(at(null, launch.id)).every(
        (f) =>
          new Set(
            f.stops.map((s) => film.shots.find((x) => x.id === s.shotId)?.title === 'Along the parapet'),
          ).size === 1,
      ),
    ).toBe(true);
  });
  it('those suggested see every must-have, lie outside of woods and no-fly areas, and get no worse with a wood away', () => {
    const shots = film.shots.filter((s) => s.locationId === place().id).map((s) => partsOf(s.title));
    const forbidden = thing('no-fly', [
      [-60, -30],
      [60, -30],
      [60, 70],
      [-60, 70],
    ]);
    const ideas = suggestLaunches(sceneWith([forbidden]), shots);
    expect(ideas.length).toBeGreaterThan(0);
    for (const i of ideas) expect(Math.abs(i.xM) > 60 || i.yM < -30 || i.yM > 70).toBe(true);
    const open = suggestLaunches(sceneWith([]), shots);
    expect(open[0]?.seenMusts).toBe(1);
    expect(open[0]?.flownM).toBeLessThanOrEqual(ideas[0]?.flownM ?? 0);
  });
});

it('a subject on a drawn way goes along it at its speed and waits at its end', () => {
  const parts = partsOf('Wagon, last light');
  const subject = {
    ...parts.subject,
    speedMs: 2,
    xM: 70,
    yM: 90,
    path: [
      { xM: 50, yM: 90 },
      { xM: 70, yM: 90 },
      { xM: 70, yM: 95 },
    ],
  } as NonNullable<ShotParts['subject']>;
  const facts = {
    subject,
    aim: { aim: vec(70, 90, 1), heightM: 3, widthM: 9, headingDeg: 90, speedMs: 2 },
    trajectory: { totalS: 20 } as never,
    direction: 'around' as const,
  };
  expect(subjectAt(facts, 10)).toMatchObject({ x: 70, y: 90 });
  expect(subjectAt(facts, 5)).toMatchObject({ x: 60, y: 90 });
  expect(subjectAt(facts, 11)).toMatchObject({ x: 70, y: 92 });
  expect(subjectAt(facts, 20)).toMatchObject({ x: 70, y: 95 });
});
