import type { Topology, GeometryCollection } from 'topojson-specification';
import Feature from 'ol/Feature.js';
import GeoJSON from 'ol/format/GeoJSON.js';
import Map from 'ol/Map.js';
import View from 'ol/View.js';
import ScaleLine from 'ol/control/ScaleLine.js';
import Zoom from 'ol/control/Zoom.js';
import { Point } from 'ol/geom.js';
import Graticule from 'ol/layer/Graticule.js';
import VectorLayer from 'ol/layer/Vector.js';
import { defaults } from 'ol/interaction.js';
import { fromLonLat, getPointResolution, toLonLat } from 'ol/proj.js';
import VectorSource from 'ol/source/Vector.js';
import { Circle, Fill, Stroke, Style, Text } from 'ol/style.js';
import type { UnitSystem } from '@core/units';
import { inksNow, thin, type Inks } from './colours';

/** A point on the earth as a map click gives it. */
export interface WorldPoint {
  readonly latitude: number;
  readonly longitude: number;
  /** What one pixel of the map covers there, m: nothing finer was pointed at. */
  readonly pixelM: number;
}
export interface NamedPoint {
  readonly name: string;
  readonly latitude: number;
  readonly longitude: number;
}
/** Zoom z shows the world as 2^z tiles of 256 pixels; the nearest covers 76 m a pixel at the equator. */
const ZOOM = { widest: 1, first: 2, near: 8, nearest: 11 };

/** Coasts and borders of the world (Natural Earth, 1:50 million). */
const countries = async (): Promise<Feature[]> => {
  const [{ default: atlas }, { feature }] = await Promise.all([
    import('world-atlas/countries-50m.json'),
    import('topojson-client'),
  ]);
  const world = atlas as unknown as Topology<{ countries: GeometryCollection }>;
  return new GeoJSON({ featureProjection: 'EPSG:3857' }).readFeatures(
    feature(world, world.objects.countries),
  );
};

const label = (size: number, colour: string, inks: Inks): Text =>
  new Text({
    font: `${size}px ${inks.font}`,
    fill: new Fill({ color: colour }),
    stroke: new Stroke({ color: thin(inks.bench, 0.85), width: 3 }),
  });

/** Places of the owner, with their names where there is room. */
const namesLayer = (known: readonly NamedPoint[], inks: Inks): VectorLayer => {
  const name = label(13, inks.chalk, inks);
  name.setOffsetY(-14);
  const dot = new Style({
    image: new Circle({ radius: 4, fill: new Fill({ color: inks.chalk }) }),
    text: name,
  });
  const features = known.map((k) => {
    const at = new Feature(new Point(fromLonLat([k.longitude, k.latitude])));
    at.set('name', k.name);
    return at;
  });
  return new VectorLayer({
    source: new VectorSource({ features }),
    declutter: true,
    style: (f) => {
      name.setText(String(f.get('name')));
      return dot;
    },
  });
};

/** The whole earth, for pointing at where a film is shot; needs no network. */
export class WorldMap {
  private readonly map: Map;
  private readonly pin = new VectorSource();

  /**
   * @param target element it fills; takes the focus, then arrows, + and - move it
   * @param known places of the owner, drawn with their names
   * @param picked called with each point that is pointed at
   */
  constructor(
    target: HTMLElement,
    known: readonly NamedPoint[],
    units: UnitSystem,
    zoomWords: { readonly nearer: string; readonly wider: string },
    private readonly picked: (at: WorldPoint) => void,
  ) {
    const inks = inksNow();
    const land = new VectorSource();
    this.map = new Map({
      target,
      controls: [
        new Zoom({ zoomInTipLabel: zoomWords.nearer, zoomOutTipLabel: zoomWords.wider }),
        new ScaleLine({ units, minWidth: 70 }),
      ],
      interactions: defaults({ altShiftDragRotate: false, pinchRotate: false, doubleClickZoom: false }),
      layers: [
        new VectorLayer({
          source: land,
          style: new Style({
            fill: new Fill({ color: inks.slab3 }),
            stroke: new Stroke({ color: inks.chalk3, width: 1 }),
          }),
        }),
        new Graticule({
          strokeStyle: new Stroke({ color: thin(inks.chalk2, 0.25), width: 1 }),
          showLabels: true,
          lonLabelPosition: 0.04,
          latLabelPosition: 0.96,
          lonLabelStyle: label(11, inks.chalk2, inks),
          latLabelStyle: label(11, inks.chalk2, inks),
          wrapX: true,
        }),
        namesLayer(known, inks),
        new VectorLayer({
          source: this.pin,
          style: new Style({
            image: new Circle({
              radius: 8,
              fill: new Fill({ color: thin(inks.pick, 0.35) }),
              stroke: new Stroke({ color: inks.pick, width: 2.5 }),
            }),
          }),
        }),
      ],
      view: new View({
        center: fromLonLat([10, 30]),
        minZoom: ZOOM.widest,
        maxZoom: ZOOM.nearest,
        zoom: ZOOM.first,
      }),
    });
    // Without coasts there are still degrees to point by.
    countries()
      .then((features) => {
        land.addFeatures(features);
      })
      .catch(() => undefined);
    this.map.on('click', (event) => {
      this.pickAt(event.coordinate);
    });
  }

  /** Picks what lies in the middle: the way of the keyboard. */
  pickMiddle(): void {
    this.pickAt(this.map.getView().getCenter() ?? [0, 0]);
  }

  /** Puts the pin somewhere, and the map over it when it is far out. */
  show(at: { readonly latitude: number; readonly longitude: number }): void {
    const view = this.map.getView();
    const point = fromLonLat([at.longitude, at.latitude]);
    this.setPin(point);
    view.setCenter(point);
    if ((view.getZoom() ?? 0) < ZOOM.near) view.setZoom(ZOOM.near);
  }

  close(): void {
    this.map.setTarget(undefined);
    this.map.dispose();
  }

  private setPin(at: number[]): void {
    this.pin.clear();
    this.pin.addFeature(new Feature(new Point(at)));
  }

  private pickAt(at: number[]): void {
    this.setPin(at);
    const [longitude = 0, latitude = 0] = toLonLat(at);
    const resolution = this.map.getView().getResolution() ?? 1;
    this.picked({ latitude, longitude, pixelM: getPointResolution('EPSG:3857', resolution, at) });
  }
}
