// @vitest-environment jsdom
import { demoFilm } from '../../demo';
import { FilmDeriver } from '@core/film';
import { fromLocal } from '@core/geometry';
import { geoJsonOf, gpxOf, kmlOf } from '@core/handover';
import type { FilmInput } from '@core/model';
import type Feature from 'ol/Feature.js';
import GeoJSON from 'ol/format/GeoJSON.js';
import GPX from 'ol/format/GPX.js';
import KML from 'ol/format/KML.js';
import { LineString, MultiLineString, Point, Polygon } from 'ol/geom.js';
import { describe, expect, it } from 'vitest';

const film = structuredClone(demoFilm()) as unknown as FilmInput;
const odd = 'Zug & „Nacht“ <b>\u0007 שקיעה';
(film.shots[0] as { title: string }).title = odd;
const whole = { input: film, derived: new FilmDeriver().derive(film) };
const shots = [...whole.derived.shots.values()].filter((s) => s.facts.trajectory);
const SAFE = odd.replace('\u0007', '');

/** Every path of the film where the core has it, to a centimetre on the ground and a decimetre in height. */
const expectPaths = (lines: { name: string; at: number[][] }[]): void => {
  expect(lines.length).toBe(shots.length);
  for (const { facts, number } of shots) {
    const path = lines.find((l) => l.name.startsWith(`${number} `))!;
    const { samples } = facts.trajectory!;
    const [lon, lat, ele] = path.at[0]!;
    const start = samples[0]!.pose.at;
    const on = fromLocal(facts.location.latitude, facts.location.longitude, start.x, start.y);
    expect(lon).toBeCloseTo(on.longitude, 6);
    expect(lat).toBeCloseTo(on.latitude, 6);
    expect(ele).toBeCloseTo(facts.location.elevationM + start.z, 0);
  }
  expect(lines.some((l) => l.name.replace('\u0007', '').includes(SAFE))).toBe(true);
};
const coordinates = (f: Feature): number[][] => {
  const g = f.getGeometry();
  if (g instanceof Point) return [g.getCoordinates()];
  if (g instanceof MultiLineString) return g.getCoordinates().flat();
  return g instanceof LineString ? g.getCoordinates() : [];
};
const named = (features: Feature[]) =>
  features.map((f) => ({ name: String(f.get('name')), at: coordinates(f) }));

describe('paths on the globe, read by a reader of another house', () => {
  it('as GeoJSON: paths, actions from start to stop, areas turned by the right hand', () => {
    const features = new GeoJSON().readFeatures(geoJsonOf(whole));
    const kind = (k: string) => features.filter((f) => f.get('kind') === k);
    expectPaths(named(kind('path')));
    for (const { number } of shots) {
      const own = kind('action').filter((f) => String(f.get('name')).startsWith(`${number} `));
      const actions = own.map((f) => String(f.get('action')));
      expect([actions[0], actions.at(-1)]).toEqual(['start', 'stop']);
    }
    const areas = features.map((f) => f.getGeometry()).filter((g) => g instanceof Polygon);
    expect(areas.length).toBe(film.features.filter((f) => f.shape === 'area').length);
    for (const area of areas) {
      const ring = area.getCoordinates()[0]!;
      expect(ring[0]).toEqual(ring.at(-1));
      const twice = ring.reduce((sum, [x, y], i) => {
        const [x2, y2] = ring[(i + 1) % ring.length]!;
        return sum + x! * y2! - x2! * y!;
      }, 0);
      expect(twice).toBeGreaterThan(0);
    }
  });

  it('as KML: absolute heights, actions as extended data', () => {
    const text = kmlOf(whole);
    const features = new KML({ extractStyles: false }).readFeatures(text) as Feature[];
    expectPaths(named(features.filter((f) => f.get('seconds') !== undefined)));
    const starts = features.filter((f) => f.get('action') === 'start');
    expect(starts.length).toBe(shots.length);
    expect(Number(starts[0]!.get('headingDeg'))).toBeCloseTo(
      shots.find((s) => String(starts[0]!.get('name')).startsWith(`${s.number} `))!.facts.trajectory!.start
        .headingDeg,
      0,
    );
    expect(new DOMParser().parseFromString(text, 'text/xml').querySelector('parsererror')).toBeNull();
  });

  it('as GPX: a route for each path, a waypoint for each launch point', () => {
    const features = new GPX().readFeatures(gpxOf(whole)) as Feature[];
    const lines = features.filter((f) => !(f.getGeometry() instanceof Point));
    expectPaths(named(lines));
    expect(features.length - lines.length).toBe(film.features.filter((f) => f.kind === 'launch').length);
  });

  it('leave out what lies nobody knows where', () => {
    const lost = { ...film, locations: film.locations.map((l) => ({ ...l, placed: false })) };
    const none = { input: lost, derived: new FilmDeriver().derive(lost) };
    expect(new GeoJSON().readFeatures(geoJsonOf(none))).toEqual([]);
    expect(new GPX().readFeatures(gpxOf(none))).toEqual([]);
  });
});
