import type { DerivedShot, Subject } from '@core/film';
import { footprint } from '@core/film';
import { featureWords, type Feature as Thing, type FeatureKind, type FeatureShape } from '@core/site';
import type { Contour } from '@core/terrain';
import Collection from 'ol/Collection.js';
import Feature from 'ol/Feature.js';
import Map from 'ol/Map.js';
import type MapBrowserEvent from 'ol/MapBrowserEvent.js';
import View from 'ol/View.js';
import ScaleLine from 'ol/control/ScaleLine.js';
import { isEmpty, type Extent } from 'ol/extent.js';
import { LineString, MultiLineString, MultiPolygon, Point, Polygon, type Geometry } from 'ol/geom.js';
import { Draw, Modify, Translate, defaults } from 'ol/interaction.js';
import type ImageLayer from 'ol/layer/Image.js';
import VectorLayer from 'ol/layer/Vector.js';
import type ImageCanvas from 'ol/source/ImageCanvas.js';
import VectorSource from 'ol/source/Vector.js';
import { Circle, Fill, Stroke, Style, Text } from 'ol/style.js';
import { inksNow, thin, type Inks } from './colours';
import { lineOf } from './lines';
import { localProjection } from './projection';
import { drawnOf, styleOf, type Drawn, type GripPart } from './styles';

export interface Spot { readonly xM: number; readonly yM: number }
export type Tool = { readonly what: 'draw'; readonly kind: FeatureKind; readonly shape: FeatureShape } | { readonly what: 'measure'; readonly closed: boolean } | { readonly what: 'way'; readonly subjectId: string } | { readonly what: 'subject' } | null;

/** What a person does on the map. */
export interface PlanHands {
  pick: (what: 'feature' | 'subject' | 'shot' | 'launch' | 'nothing', id: string) => void;
  point: (at: Spot | null) => void;
  reshape: (id: string, points: Spot[]) => void;
  move: (id: string, at: Spot) => void;
  drawn: (kind: FeatureKind, shape: FeatureShape, points: Spot[]) => void;
  handle: (part: GripPart, shotId: string, at: Spot) => void;
  route: (shotId: string, points: Spot[]) => void;
  subject: (at: Spot) => void;
  way: (subjectId: string, points: Spot[]) => void;
  measured: (points: Spot[], closed: boolean) => void;
  idea: (index: number) => void;
}

const spot = (c: readonly number[]): Spot => ({ xM: Math.round((c[0] ?? 0) * 100) / 100, yM: Math.round((c[1] ?? 0) * 100) / 100 });
const xy = (p: Spot): number[] => [p.xM, p.yM];

const geometryOf = (thing: Thing): Geometry => {
  const points = thing.points.map(xy);
  if (thing.shape === 'area') return new Polygon([[...points, points[0] ?? [0, 0]]]);
  return thing.shape === 'line' ? new LineString(points) : new Point(points[0] ?? [0, 0]);
};
const pointsOf = (g: Geometry): Spot[] => {
  if (g instanceof Polygon) return (g.getCoordinates()[0] ?? []).slice(0, -1).map(spot);
  return g instanceof LineString ? g.getCoordinates().map(spot) : g instanceof Point ? [spot(g.getCoordinates())] : [];
};

/** What a tool draws. */
const shapeDrawn = (tool: NonNullable<Tool>): FeatureShape => {
  if (tool.what === 'draw') return tool.shape;
  if (tool.what === 'subject') return 'point';
  return tool.what === 'measure' && tool.closed ? 'area' : 'line';
};

const HIT_PX = 7;

/** The plan of a place: everything drawn in its local metres, and the hands that change it. */
export class PlanMap {
  readonly map: Map;
  private inks: Inks = inksNow();
  private readonly under = new VectorSource();
  private readonly zones = new VectorSource();
  private readonly standing = new VectorSource();
  private readonly paths = new VectorSource();
  private readonly over = new VectorSource();
  private readonly handles = new VectorSource();
  private readonly contours = new VectorLayer({ source: new VectorSource(), zIndex: 3, declutter: 'names' });
  private readonly rasters: Record<string, ImageLayer<ImageCanvas>> = {};
  private readonly layers: VectorLayer[];
  private readonly modifying = new Collection<Feature>();
  private movable = new Set<Feature>();
  private draw: Draw | null = null;
  private pickedId = '';
  /** Being dragged: what comes back from the store does not pull it from the hand. */
  private held = '';
  private grip: Feature | null = null;

  constructor(target: HTMLElement, place: { latitude: number; longitude: number }, private readonly hands: PlanHands) {
    const style = (f: Feature | Parameters<typeof drawnOf>[0], resolution: number): Style[] => styleOf(f, this.inks, this.pickedId, resolution);
    this.layers = [this.under, this.zones, this.standing, this.paths, this.over, this.handles].map((source, i) => new VectorLayer({ source, style, zIndex: 10 + i, declutter: 'names', renderBuffer: 400 }));
    this.map = new Map({
      target, layers: [this.contours, ...this.layers],
      controls: [new ScaleLine({ minWidth: 70 })], interactions: defaults({ altShiftDragRotate: false, pinchRotate: false, doubleClickZoom: false }),
      view: new View({ projection: localProjection(place.latitude, place.longitude), center: [0, 60], resolution: 0.9, minResolution: 0.02, maxResolution: 4000, constrainResolution: false }),
    });
    this.listen(target);
  }

  private listen(target: HTMLElement): void {
    const modify = new Modify({ features: this.modifying, pixelTolerance: 12 });
    // Given a collection it would move all of it together; one thing at a time is in hand.
    const translate = new Translate({ layers: this.layers, hitTolerance: HIT_PX, filter: (f) => this.movable.has(f as Feature) });
    this.map.addInteraction(translate);
    this.map.addInteraction(modify);
    const hold = (f: Feature | undefined): void => { const d = f && drawnOf(f); this.held = d && 'id' in d ? d.id : ''; this.grip = d?.what === 'handle' ? f ?? null : null; };
    modify.on('modifystart', (e) => hold(e.features.item(0)));
    modify.on('modifyend', (e) => { this.held = ''; for (const f of e.features.getArray()) this.changed(f); });
    translate.on('translatestart', (e) => hold(e.features.item(0)));
    translate.on('translating', (e) => { const f = e.features.item(0); const d = f && drawnOf(f); if (f && d?.what === 'handle' && d.part !== 'launch') this.hands.handle(d.part, d.shotId, spot((f.getGeometry() as Point).getCoordinates())); });
    translate.on('translateend', (e) => { this.held = ''; this.grip = null; for (const f of e.features.getArray()) this.changed(f); });
    this.map.on('click', (e) => this.clicked(e));
    this.map.on('pointermove', (e) => {
      this.hands.point(spot(e.coordinate));
      if (!e.dragging) target.style.cursor = this.draw ? 'crosshair' : this.hit(e) ? 'pointer' : '';
    });
    target.addEventListener('pointerleave', () => this.hands.point(null));
  }

  private hit(e: MapBrowserEvent): Drawn | null {
    let found: Drawn | null = null;
    this.map.forEachFeatureAtPixel(e.pixel, (f) => { const d = drawnOf(f); if (d && ('id' in d || d.what === 'handle' || d.what === 'idea')) { found = d.what === 'idea' ? { ...d, index: Number(f.get('index')) } as Drawn : d; return true; } return false; }, { hitTolerance: HIT_PX });
    return found;
  }

  private clicked(e: MapBrowserEvent): void {
    if (this.draw) return;
    const d = this.hit(e);
    if (!d) { this.hands.pick('nothing', ''); return; }
    if (d.what === 'idea') this.hands.idea((d as unknown as { index: number }).index);
    else if (d.what === 'handle') { if (d.part === 'launch') this.hands.pick('launch', ''); } else if ('id' in d) this.hands.pick(d.what, d.id);
  }

  private changed(f: Feature): void {
    const d = drawnOf(f);
    const g = f.getGeometry();
    if (!d || !g) return;
    if (d.what === 'feature') this.hands.reshape(d.id, pointsOf(g));
    else if (d.what === 'subject') { const [x0, y0, x1, y1] = g.getExtent() as [number, number, number, number]; this.hands.move(d.id, spot([(x0 + x1) / 2, (y0 + y1) / 2])); }
    else if (d.what === 'handle') this.hands.handle(d.part, d.shotId, spot((g as Point).getCoordinates()));
    else if (d.what === 'shot') this.hands.route(d.id, pointsOf(g));
  }

  /** Things and subjects of the place, drawn anew but for what is in hand. */
  setThings(things: readonly Thing[], subjects: readonly Subject[]): void {
    const keep = (source: VectorSource): Feature[] => source.getFeatures().filter((f) => { const d = drawnOf(f); return d && 'id' in d && d.id === this.held; });
    const zoneKept = keep(this.zones);
    const standingKept = keep(this.standing);
    const make = (thing: Thing): Feature => new Feature({ geometry: geometryOf(thing), drawn: { what: 'feature', id: thing.id, thing } satisfies Drawn });
    const flat = (t: Thing): boolean => featureWords(t.kind).group === 'zone' || t.kind === 'wood';
    this.fill(this.zones, [...zoneKept, ...things.filter((t) => t.id !== this.held && flat(t)).map(make)]);
    this.fill(this.standing, [...standingKept, ...subjects.filter((s) => s.id !== this.held).map((s) => new Feature({ geometry: new Polygon([[...footprint(s), footprint(s)[0]].map((c) => [c?.x ?? 0, c?.y ?? 0])]), drawn: { what: 'subject', id: s.id, name: s.name, flat: s.kind === 'field' } satisfies Drawn })),
      ...subjects.filter((s) => s.path.length > 1).map((s) => new Feature({ geometry: new LineString(s.path.map(xy)), drawn: { what: 'way' } satisfies Drawn })),
      ...things.filter((t) => t.id !== this.held && !flat(t)).map(make)]);
    this.armPicked();
  }

  setShots(shots: readonly DerivedShot[]): void {
    this.fill(this.paths, shots.filter((s) => s.facts.flown && s.facts.shot.id !== this.held).map((s) => {
      const line = lineOf(s);
      const [first] = line;
      const still = line.every((c) => Math.hypot((c[0] ?? 0) - (first?.[0] ?? 0), (c[1] ?? 0) - (first?.[1] ?? 0)) < 0.5);
      return new Feature({ geometry: new LineString(line), drawn: { what: 'shot', id: s.facts.shot.id, number: s.number, still } satisfies Drawn });
    }));
  }

  /** What only explains: frame on the ground, shadows, way home, the moment, ideas. */
  setExtras(extras: { readonly frame?: readonly Spot[]; readonly home?: readonly Spot[]; readonly shadows?: readonly (readonly Spot[])[]; readonly moment?: { at: Spot; turnDeg: number } | null; readonly sightlines?: readonly (readonly Spot[])[]; readonly ideas?: readonly { at: Spot; text: string }[] }): void {
    const line = (what: 'home' | 'sightline', points: readonly Spot[]): Feature => new Feature({ geometry: new LineString(points.map(xy)), drawn: { what } satisfies Drawn });
    this.fill(this.under, [
      ...(extras.shadows?.length ? [new Feature({ geometry: new MultiPolygon(extras.shadows.map((ring) => [[...ring, ring[0]].map((p) => [p?.xM ?? 0, p?.yM ?? 0])])), drawn: { what: 'shadow' } satisfies Drawn })] : []),
      ...(extras.frame?.length ? [new Feature({ geometry: new Polygon([[...extras.frame, extras.frame[0]].map((p) => [p?.xM ?? 0, p?.yM ?? 0])]), drawn: { what: 'frame' } satisfies Drawn })] : []),
    ]);
    this.fill(this.over, [
      ...(extras.home?.length ? [line('home', extras.home)] : []),
      ...(extras.sightlines ?? []).map((points) => line('sightline', points)),
      ...(extras.moment ? [new Feature({ geometry: new Point(xy(extras.moment.at)), drawn: { what: 'moment' } satisfies Drawn, turn: (extras.moment.turnDeg * Math.PI) / 180 })] : []),
      ...(extras.ideas ?? []).map((idea, index) => new Feature({ geometry: new Point(xy(idea.at)), drawn: { what: 'idea' } satisfies Drawn, text: idea.text, index })),
    ]);
  }

  /** Grips of the picked shot, and the launch point at the origin where there is no other. */
  setHandles(handles: readonly { readonly part: GripPart; readonly shotId: string; readonly at: Spot }[]): void {
    const { grip } = this;
    const held = grip && drawnOf(grip);
    this.fill(this.handles, [...(grip ? [grip] : []), ...handles.filter((h) => held?.what !== 'handle' || held.part !== h.part || held.shotId !== h.shotId).map((h) => new Feature({ geometry: new Point(xy(h.at)), drawn: { what: 'handle', part: h.part, shotId: h.shotId } satisfies Drawn }))]);
    this.armPicked();
  }

  setPicked(id: string): void { this.pickedId = id; for (const l of this.layers) l.changed(); this.armPicked(); }

  /** What is picked can be dragged; points, subjects and grips always. */
  private armPicked(): void {
    const all = [...this.zones.getFeatures(), ...this.standing.getFeatures()];
    const picked = all.filter((f) => { const d = drawnOf(f); return d && 'id' in d && d.id === this.pickedId; });
    const route = this.paths.getFeatures().filter((f) => { const d = drawnOf(f); return d?.what === 'shot' && d.id === this.routeId; });
    this.refill(this.modifying, [...picked.filter((f) => { const d = drawnOf(f); return d?.what === 'feature'; }), ...route]);
    this.movable = new Set([...this.handles.getFeatures(), ...picked]);
  }
  private routeId = '';
  /** The shot whose points are the path itself, so that they can be dragged. */
  setRoute(id: string): void { this.routeId = id; this.armPicked(); }

  private refill(collection: Collection<Feature>, features: readonly Feature[]): void {
    const now = collection.getArray();
    if (now.length === features.length && now.every((f, i) => f === features[i])) return;
    collection.clear();
    collection.extend([...features]);
  }
  private fill(source: VectorSource, features: readonly Feature[]): void { source.clear(true); source.addFeatures([...features]); }

  setTool(tool: Tool): void {
    if (this.draw) { this.map.removeInteraction(this.draw); this.draw = null; }
    if (!tool) return;
    const shape = shapeDrawn(tool);
    const draw = new Draw({ type: ({ point: 'Point', line: 'LineString', area: 'Polygon' } as const)[shape], stopClick: true, dragVertexDelay: Number.MAX_SAFE_INTEGER, style: () => this.sketch() });
    draw.on('drawend', (e) => {
      const points = e.feature.getGeometry() ? pointsOf(e.feature.getGeometry() as Geometry) : [];
      // After the map has done with the click, so that the new thing is not picked away by it.
      setTimeout(() => this.drawn(tool, points));
    });
    if (tool.what === 'measure') draw.on('drawstart', (e) => { e.feature.getGeometry()?.on('change', (g) => this.hands.measured(pointsOf(g.target as Geometry), tool.closed)); });
    this.map.addInteraction(draw);
    this.draw = draw;
  }
  private drawn(tool: NonNullable<Tool>, points: Spot[]): void {
    const [first] = points;
    switch (tool.what) {
      case 'draw': this.hands.drawn(tool.kind, tool.shape, points); break;
      case 'way': this.hands.way(tool.subjectId, points); break;
      case 'subject': if (first) this.hands.subject(first); break;
      case 'measure': this.hands.measured(points, tool.closed);
    }
  }
  private sketch(): Style[] { return [new Style({ stroke: new Stroke({ color: this.inks.pick, width: 2, lineDash: [6, 4] }), fill: new Fill({ color: thin(this.inks.pick, 0.15) }), image: new Circle({ radius: 5, fill: new Fill({ color: this.inks.pick }) }) })]; }
  /** Ends a drawing before its last corner. */
  endDrawing(): void { this.draw?.finishDrawing(); }
  abortDrawing(): void { this.draw?.abortDrawing(); }

  setRaster(name: string, layer: ImageLayer<ImageCanvas> | null): void {
    const before = this.rasters[name];
    if (before) { this.map.removeLayer(before); Reflect.deleteProperty(this.rasters, name); }
    if (layer) { this.rasters[name] = layer; this.map.addLayer(layer); }
  }

  setContours(lines: readonly Contour[], zeroM: number): void {
    const source = new VectorSource();
    for (const c of lines) source.addFeature(new Feature({ geometry: new MultiLineString(c.lines.map((l) => l.map((p) => [...p]))), heightM: c.heightM, main: c.main }));
    this.contours.setSource(source);
    this.contours.setStyle((f) => {
      const main = Boolean(f.get('main'));
      return new Style({
        stroke: new Stroke({ color: thin(this.inks.chalk2, main ? 0.5 : 0.22), width: main ? 1.2 : 0.8 }),
        ...(main ? { text: new Text({ text: `${(Number(f.get('heightM')) - zeroM >= 0 ? '+' : '−')}${Math.abs(Number(f.get('heightM')) - zeroM).toFixed(0)}`, placement: 'line', font: `11px ${this.inks.font}`, fill: new Fill({ color: this.inks.chalk2 }), stroke: new Stroke({ color: thin(this.inks.bench, 0.7), width: 3 }) }) } : {}),
      });
    });
  }

  /** Brings everything of the place into view. */
  fit(padding = 50): void {
    // A place with nothing on it is shown as far as one would first draw.
    let extent: Extent | null = this.paths.isEmpty() ? [-80, -80, 80, 80] : null;
    for (const source of [this.standing, this.paths, this.handles]) { const e = source.getExtent(); if (e && !isEmpty(e)) extent = extent ? [Math.min(extent[0] ?? 0, e[0] ?? 0), Math.min(extent[1] ?? 0, e[1] ?? 0), Math.max(extent[2] ?? 0, e[2] ?? 0), Math.max(extent[3] ?? 0, e[3] ?? 0)] : [...e]; }
    this.map.getView().fit(extent ?? [-80, -80, 80, 80], { padding: [padding, padding, padding, padding], maxZoom: 30, minResolution: 0.15 });
  }
  zoom(by: number): void { const view = this.map.getView(); view.setResolution((view.getResolution() ?? 1) / by); }

  /** Layers of the wide world under everything: shores, and tiles where an address is set. */
  addUnder(layer: Parameters<Map['addLayer']>[0]): void { this.map.addLayer(layer); }

  repaint(): void { this.inks = inksNow(); for (const l of [...this.layers, this.contours]) l.changed(); }
  dispose(): void { this.map.setTarget(undefined); this.map.dispose(); }
}
