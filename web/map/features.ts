import { footprint } from '@core/shot';
import type { DerivedShot } from '@core/film';
import type { Subject, Feature as Thing } from '@core/model';
import { driftOf, featureWords, isUnderWay, spotsOf } from '@core/site';
import type { Contour } from '@core/terrain';
import Feature from 'ol/Feature.js';
import { LineString, MultiLineString, MultiPolygon, Point, Polygon, type Geometry } from 'ol/geom.js';
import { lineOf } from './lines';
import { drawnOf, type Drawn, type GripPart } from './styles';

/** Metres east and north of the origin of the place. */
export interface Spot {
  readonly xM: number;
  readonly yM: number;
}

/** What only explains: frame on the ground, shadows, way home, the moment, ideas. */
export interface Extras {
  readonly frame?: readonly Spot[];
  readonly home?: readonly Spot[];
  readonly shadows?: readonly (readonly Spot[])[];
  readonly moment?: { readonly at: Spot; readonly turnDeg: number } | null;
  readonly sightlines?: readonly (readonly Spot[])[];
  readonly ideas?: readonly { readonly at: Spot; readonly text: string }[];
}
export interface Handle {
  readonly part: GripPart;
  readonly shotId: string;
  readonly at: Spot;
}

/** Rounded to the centimetre: finer is noise of the hand. */
export const spot = (c: readonly number[]): Spot => ({
  xM: Math.round((c[0] ?? 0) * 100) / 100,
  yM: Math.round((c[1] ?? 0) * 100) / 100,
});
const xy = (p: Spot): number[] => [p.xM, p.yM];
const ring = (points: readonly Spot[]): number[][] => [...points, ...points.slice(0, 1)].map(xy);

export const geometryOf = (thing: Pick<Thing, 'shape' | 'points'>): Geometry => {
  if (thing.shape === 'area') return new Polygon([ring(thing.points)]);
  return thing.shape === 'line'
    ? new LineString(thing.points.map(xy))
    : new Point(xy(thing.points[0] ?? { xM: 0, yM: 0 }));
};
export const pointsOf = (g: Geometry): Spot[] => {
  if (g instanceof Polygon) return (g.getCoordinates()[0] ?? []).slice(0, -1).map(spot);
  return g instanceof LineString
    ? g.getCoordinates().map(spot)
    : g instanceof Point
      ? [spot(g.getCoordinates())]
      : [];
};

const feature = (geometry: Geometry, drawn: Drawn, more: object = {}): Feature =>
  new Feature({ geometry, drawn, ...more });

/** Zones and woods lie under what stands. */
const flat = (t: Thing): boolean => featureWords(t.kind).group === 'zone' || t.kind === 'wood';
const thingFeature = (thing: Thing): Feature =>
  feature(geometryOf(thing), { what: 'feature', id: thing.id, thing });

/** Where a launch point under way is after a usual flight. */
const DRIFT_S = 600;
const driftLine = (thing: Thing): [number, number][] => {
  const [from] = spotsOf(thing);
  const by = driftOf(thing, DRIFT_S);
  return from
    ? [
        [from.x, from.y],
        [from.x + by.x, from.y + by.y],
      ]
    : [];
};

/** @param held id of what is in hand; it keeps the feature it has */
export const thingFeatures = (
  things: readonly Thing[],
  subjects: readonly Subject[],
  held: string,
): { zones: Feature[]; standing: Feature[] } => {
  const free = things.filter((t) => t.id !== held);
  return {
    zones: free.filter(flat).map(thingFeature),
    standing: [
      ...subjects
        .filter((s) => s.id !== held)
        .map((s) =>
          feature(new Polygon([ring(footprint(s).map((c) => ({ xM: c.x, yM: c.y })))]), {
            what: 'subject',
            id: s.id,
            name: s.name,
            flat: s.kind === 'field',
          }),
        ),
      ...subjects
        .filter((s) => s.path.length > 1)
        .map((s) => feature(new LineString(s.path.map(xy)), { what: 'way' })),
      ...free.filter(isUnderWay).map((t) => feature(new LineString(driftLine(t)), { what: 'way' })),
      ...free.filter((t) => !flat(t)).map(thingFeature),
    ],
  };
};

/** A path that stays nearly in its place is drawn as a point. */
const STILL_M = 0.5;

export const shotFeatures = (shots: readonly DerivedShot[], held: string): Feature[] =>
  shots
    .filter((s) => s.facts.trajectory && s.facts.shot.id !== held)
    .map((s) => {
      const line = lineOf(s);
      const [first] = line;
      const still = line.every(
        (c) => Math.hypot((c[0] ?? 0) - (first?.[0] ?? 0), (c[1] ?? 0) - (first?.[1] ?? 0)) < STILL_M,
      );
      return feature(new LineString(line), { what: 'shot', id: s.facts.shot.id, number: s.number, still });
    });

export const extraFeatures = ({
  frame,
  home,
  shadows,
  moment,
  sightlines,
  ideas,
}: Extras): { under: Feature[]; over: Feature[] } => ({
  under: [
    ...(shadows?.length
      ? [feature(new MultiPolygon(shadows.map((s) => [ring(s)])), { what: 'shadow' })]
      : []),
    ...(frame?.length ? [feature(new Polygon([ring(frame)]), { what: 'frame' })] : []),
  ],
  over: [
    ...(home?.length ? [feature(new LineString(home.map(xy)), { what: 'home' })] : []),
    ...(sightlines ?? []).map((points) => feature(new LineString(points.map(xy)), { what: 'sightline' })),
    ...(moment
      ? [feature(new Point(xy(moment.at)), { what: 'moment' }, { turn: (moment.turnDeg * Math.PI) / 180 })]
      : []),
    ...(ideas ?? []).map((idea, index) =>
      feature(new Point(xy(idea.at)), { what: 'idea' }, { text: idea.text, index }),
    ),
  ],
});

/** Handles, but for the one being dragged: that stays the feature it is. */
export const handleFeatures = (handles: readonly Handle[], dragged: Feature | null): Feature[] => {
  const held = dragged && drawnOf(dragged);
  return [
    ...(dragged ? [dragged] : []),
    ...handles
      .filter((h) => held?.what !== 'handle' || held.part !== h.part || held.shotId !== h.shotId)
      .map((h) => feature(new Point(xy(h.at)), { what: 'handle', part: h.part, shotId: h.shotId })),
  ];
};

export const contourFeatures = (lines: readonly Contour[]): Feature[] =>
  lines.map(
    (c) =>
      new Feature({
        geometry: new MultiLineString(c.lines.map((l) => l.map((p) => [...p]))),
        heightM: c.heightM,
        main: c.main,
      }),
  );
