import type { DerivedShot } from '@core/film';
import type { Subject, Feature as Thing } from '@core/model';
import type { Contour } from '@core/terrain';
import Collection from 'ol/Collection.js';
import type Feature from 'ol/Feature.js';
import Map from 'ol/Map.js';
import type MapBrowserEvent from 'ol/MapBrowserEvent.js';
import View from 'ol/View.js';
import ScaleLine from 'ol/control/ScaleLine.js';
import { isEmpty, type Extent } from 'ol/extent.js';
import type { Point } from 'ol/geom.js';
import { type Draw, Modify, Translate, defaults } from 'ol/interaction.js';
import type ImageLayer from 'ol/layer/Image.js';
import VectorLayer from 'ol/layer/Vector.js';
import type ImageCanvas from 'ol/source/ImageCanvas.js';
import VectorSource from 'ol/source/Vector.js';
import { Circle, Fill, Stroke, Style, Text } from 'ol/style.js';
import type { UnitSystem } from '@core/units';
import { inksNow, thin, type MapLook } from './colours';
import { drawWith, type DrawHands, type Tool } from './draw-tool';
import {
  contourFeatures,
  extraFeatures,
  handleFeatures,
  pointsOf,
  shotFeatures,
  spot,
  thingFeatures,
  type Extras,
  type Handle,
  type Spot,
} from './features';
import { localProjection } from './projection';
import { drawnOf, styleOf, type Drawn, type GripPart } from './styles';

/** What a person does on the map. */
export interface PlanHands extends DrawHands {
  pick: (what: 'feature' | 'subject' | 'shot' | 'launch' | 'nothing', id: string) => void;
  point: (at: Spot | null) => void;
  reshape: (id: string, points: Spot[]) => void;
  move: (id: string, at: Spot) => void;
  handle: (part: GripPart, shotId: string, at: Spot) => void;
  idea: (index: number) => void;
}

const HIT_PX = 7;

/** The plan of a place: everything drawn in its local metres, and the hands that change it. */
export class PlanMap {
  readonly map: Map;
  private inks: MapLook = { ...inksNow(), units: 'metric' };
  private readonly scale = new ScaleLine({ minWidth: 70 });
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
  private dragged: Feature | null = null;

  constructor(
    target: HTMLElement,
    place: { latitude: number; longitude: number },
    private readonly hands: PlanHands,
  ) {
    const style = (f: Feature | Parameters<typeof drawnOf>[0], resolution: number): Style[] =>
      styleOf(f, this.inks, this.pickedId, resolution);
    this.layers = [this.under, this.zones, this.standing, this.paths, this.over, this.handles].map(
      (source, i) =>
        new VectorLayer({
          source,
          style,
          zIndex: 10 + i,
          declutter: 'names',
          renderBuffer: 400,
          visible: false,
        }),
    );
    this.map = new Map({
      target,
      layers: [this.contours, ...this.layers],
      controls: [this.scale],
      interactions: defaults({ altShiftDragRotate: false, pinchRotate: false, doubleClickZoom: false }),
      view: new View({
        projection: localProjection(place.latitude, place.longitude),
        center: [0, 60],
        resolution: 0.9,
        minResolution: 0.02,
        maxResolution: 4000,
        constrainResolution: false,
      }),
    });
    this.listen(target);
  }

  private metresPerPixel(): number {
    return this.map.getView().getResolution() ?? 1;
  }

  private listen(target: HTMLElement): void {
    const modify = new Modify({ features: this.modifying, pixelTolerance: 12 });
    // Given a collection it would move all of it together; one thing at a time is in hand.
    const translate = new Translate({
      layers: this.layers,
      hitTolerance: HIT_PX,
      // What lies under a corner being drawn stays where it is.
      filter: (f) => this.draw === null && this.movable.has(f as Feature),
    });
    this.map.addInteraction(translate);
    this.map.addInteraction(modify);
    const hold = (f: Feature | undefined): void => {
      const d = f && drawnOf(f);
      this.held = d && 'id' in d ? d.id : '';
      this.dragged = d?.what === 'handle' ? (f ?? null) : null;
    };
    modify.on('modifystart', (e) => hold(e.features.item(0)));
    modify.on('modifyend', (e) => {
      this.held = '';
      for (const f of e.features.getArray()) this.changed(f);
    });
    translate.on('translatestart', (e) => hold(e.features.item(0)));
    translate.on('translating', (e) => {
      const f = e.features.item(0);
      const d = f && drawnOf(f);
      if (f && d?.what === 'handle' && d.part !== 'launch')
        this.hands.handle(d.part, d.shotId, spot((f.getGeometry() as Point).getCoordinates()));
    });
    translate.on('translateend', (e) => {
      this.held = '';
      this.dragged = null;
      // Pressed and let go without a move is a click: nothing was dragged anywhere.
      const [x = 0, y = 0] = e.startCoordinate;
      const [toX = 0, toY = 0] = e.coordinate;
      if (Math.hypot(toX - x, toY - y) > this.metresPerPixel())
        for (const f of e.features.getArray()) this.changed(f);
    });
    this.map.on('click', (e) => this.clicked(e));
    this.map.on('pointermove', (e) => {
      this.hands.point(spot(e.coordinate));
      if (!e.dragging) target.style.cursor = this.draw ? 'crosshair' : this.hit(e) ? 'pointer' : '';
    });
    target.addEventListener('pointerleave', () => this.hands.point(null));
  }

  private hit(e: MapBrowserEvent): Drawn | null {
    let found: Drawn | null = null;
    this.map.forEachFeatureAtPixel(
      e.pixel,
      (f) => {
        const d = drawnOf(f);
        if (d && ('id' in d || d.what === 'handle' || d.what === 'idea')) {
          found = d.what === 'idea' ? ({ ...d, index: Number(f.get('index')) } as Drawn) : d;
          return true;
        }
        return false;
      },
      { hitTolerance: HIT_PX },
    );
    return found;
  }

  private clicked(e: MapBrowserEvent): void {
    if (this.draw) return;
    const d = this.hit(e);
    if (!d) {
      this.hands.pick('nothing', '');
      return;
    }
    if (d.what === 'idea') this.hands.idea((d as unknown as { index: number }).index);
    else if (d.what === 'handle') {
      if (d.part === 'launch') this.hands.pick('launch', '');
    } else if ('id' in d) this.hands.pick(d.what, d.id);
  }

  private changed(f: Feature): void {
    const d = drawnOf(f);
    const g = f.getGeometry();
    if (!d || !g) return;
    if (d.what === 'feature') this.hands.reshape(d.id, pointsOf(g));
    else if (d.what === 'subject') {
      const [x0, y0, x1, y1] = g.getExtent() as [number, number, number, number];
      this.hands.move(d.id, spot([(x0 + x1) / 2, (y0 + y1) / 2]));
    } else if (d.what === 'handle') this.hands.handle(d.part, d.shotId, spot((g as Point).getCoordinates()));
  }

  /** Things and subjects of the place, drawn anew but for what is in hand. */
  setThings(things: readonly Thing[], subjects: readonly Subject[]): void {
    const keep = (source: VectorSource): Feature[] =>
      source.getFeatures().filter((f) => {
        const d = drawnOf(f);
        return d && 'id' in d && d.id === this.held;
      });
    const zoneKept = keep(this.zones);
    const standingKept = keep(this.standing);
    const { zones, standing } = thingFeatures(things, subjects, this.held);
    this.fill(this.zones, [...zoneKept, ...zones]);
    this.fill(this.standing, [...standingKept, ...standing]);
    this.armPicked();
  }

  setShots(shots: readonly DerivedShot[]): void {
    this.fill(this.paths, shotFeatures(shots, this.held));
  }

  setExtras(extras: Extras): void {
    const { under, over } = extraFeatures(extras);
    this.fill(this.under, under);
    this.fill(this.over, over);
  }

  /** Grips of the picked shot, and the launch point at the origin where there is no other. */
  setHandles(handles: readonly Handle[]): void {
    this.fill(this.handles, handleFeatures(handles, this.dragged));
    this.armPicked();
  }

  setPicked(id: string): void {
    this.pickedId = id;
    for (const l of this.layers) l.changed();
    this.armPicked();
  }

  /** What is picked can be dragged; points, subjects and handles always. */
  private armPicked(): void {
    const all = [...this.zones.getFeatures(), ...this.standing.getFeatures()];
    const picked = all.filter((f) => {
      const d = drawnOf(f);
      return d && 'id' in d && d.id === this.pickedId;
    });
    this.refill(
      this.modifying,
      picked.filter((f) => drawnOf(f)?.what === 'feature'),
    );
    this.movable = new Set([...this.handles.getFeatures(), ...picked]);
  }

  private refill(collection: Collection<Feature>, features: readonly Feature[]): void {
    const now = collection.getArray();
    if (now.length === features.length && now.every((f, i) => f === features[i])) return;
    collection.clear();
    collection.extend([...features]);
  }
  private fill(source: VectorSource, features: readonly Feature[]): void {
    source.clear(true);
    source.addFeatures([...features]);
  }

  setTool(tool: Tool): void {
    if (this.draw) {
      this.map.removeInteraction(this.draw);
      this.draw = null;
    }
    if (!tool) return;
    this.draw = drawWith(tool, this.hands, () => this.sketch());
    this.map.addInteraction(this.draw);
  }
  private sketch(): Style[] {
    return [
      new Style({
        stroke: new Stroke({ color: this.inks.pick, width: 2, lineDash: [6, 4] }),
        fill: new Fill({ color: thin(this.inks.pick, 0.15) }),
        image: new Circle({ radius: 5, fill: new Fill({ color: this.inks.pick }) }),
      }),
    ];
  }
  /** Ends a drawing before its last corner. */
  endDrawing(): void {
    this.draw?.finishDrawing();
  }
  abortDrawing(): void {
    this.draw?.abortDrawing();
  }

  setRaster(name: string, layer: ImageLayer<ImageCanvas> | null): void {
    const before = this.rasters[name];
    if (before) {
      this.map.removeLayer(before);
      Reflect.deleteProperty(this.rasters, name);
    }
    if (layer) {
      this.rasters[name] = layer;
      this.map.addLayer(layer);
    }
  }

  setContours(lines: readonly Contour[], zeroM: number): void {
    this.contours.setSource(new VectorSource({ features: contourFeatures(lines) }));
    this.contours.setStyle((f) => {
      const main = Boolean(f.get('main'));
      return new Style({
        stroke: new Stroke({ color: thin(this.inks.chalk2, main ? 0.5 : 0.22), width: main ? 1.2 : 0.8 }),
        ...(main
          ? {
              text: new Text({
                text: `${Number(f.get('heightM')) - zeroM >= 0 ? '+' : '−'}${Math.abs(Number(f.get('heightM')) - zeroM).toFixed(0)}`,
                placement: 'line',
                font: `11px ${this.inks.font}`,
                fill: new Fill({ color: this.inks.chalk2 }),
                stroke: new Stroke({ color: thin(this.inks.bench, 0.7), width: 3 }),
              }),
            }
          : {}),
      });
    });
  }

  /**
   * Shows layers that are still hidden, from the ground up, as many as hold so many things together, at least one that holds
   * something: each picture paints all there is anew, so the fewer the better.
   * @returns whether more are hidden
   */
  reveal(atOnce: number): boolean {
    let things = 0;
    for (const layer of this.layers.filter((l) => !l.getVisible())) {
      const more = layer.getSource()?.getFeatures().length ?? 0;
      if (things > 0 && things + more > atOnce) break;
      layer.setVisible(true);
      things += more;
    }
    return this.layers.some((l) => !l.getVisible());
  }

  /** Brings everything of the place into view. */
  fit(padding = 50): void {
    // A place with nothing on it is shown as far as one would first draw.
    let extent: Extent | null = this.paths.isEmpty() ? [-80, -80, 80, 80] : null;
    for (const source of [this.standing, this.paths, this.handles]) {
      const e = source.getExtent();
      if (e && !isEmpty(e))
        extent = extent
          ? [
              Math.min(extent[0] ?? 0, e[0] ?? 0),
              Math.min(extent[1] ?? 0, e[1] ?? 0),
              Math.max(extent[2] ?? 0, e[2] ?? 0),
              Math.max(extent[3] ?? 0, e[3] ?? 0),
            ]
          : [...e];
    }
    this.map.getView().fit(extent ?? [-80, -80, 80, 80], {
      padding: [padding, padding, padding, padding],
      maxZoom: 30,
      minResolution: 0.15,
    });
  }
  zoom(by: number): void {
    const view = this.map.getView();
    view.setResolution((view.getResolution() ?? 1) / by);
  }

  /** Layers of the wide world under everything: shores, and tiles where an address is set. */
  addUnder(layer: Parameters<Map['addLayer']>[0]): void {
    this.map.addLayer(layer);
  }

  /** Units that heights and the scale are written in. */
  setUnits(units: UnitSystem): void {
    this.inks = { ...this.inks, units };
    this.scale.setUnits(units);
    this.repaint();
  }
  repaint(): void {
    this.inks = { ...inksNow(), units: this.inks.units };
    for (const l of [...this.layers, this.contours]) l.changed();
  }
  dispose(): void {
    this.map.setTarget(undefined);
    this.map.dispose();
  }
}
