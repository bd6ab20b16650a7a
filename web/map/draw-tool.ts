import type { FeatureKind, FeatureShape } from '@core/model';
import type { Geometry } from 'ol/geom.js';
import { Draw } from 'ol/interaction.js';
import type { Style } from 'ol/style.js';
import { pointsOf, type Spot } from './features';

export type Tool =
  | { readonly what: 'draw'; readonly kind: FeatureKind; readonly shape: FeatureShape }
  | { readonly what: 'measure'; readonly closed: boolean }
  | { readonly what: 'way'; readonly subjectId: string }
  | { readonly what: 'subject' }
  | null;

/** What comes of drawing. */
export interface DrawHands {
  drawn: (kind: FeatureKind, shape: FeatureShape, points: Spot[]) => void;
  subject: (at: Spot) => void;
  way: (subjectId: string, points: Spot[]) => void;
  measured: (points: Spot[], closed: boolean) => void;
}

const shapeDrawn = (tool: NonNullable<Tool>): FeatureShape => {
  if (tool.what === 'draw') return tool.shape;
  if (tool.what === 'subject') return 'point';
  return tool.what === 'measure' && tool.closed ? 'area' : 'line';
};

const finish = (tool: NonNullable<Tool>, points: Spot[], hands: DrawHands): void => {
  const [first] = points;
  switch (tool.what) {
    case 'draw':
      hands.drawn(tool.kind, tool.shape, points);
      break;
    case 'way':
      hands.way(tool.subjectId, points);
      break;
    case 'subject':
      if (first) hands.subject(first);
      break;
    case 'measure':
      hands.measured(points, tool.closed);
  }
};

/** The hand of a tool on the map. */
export const drawWith = (tool: NonNullable<Tool>, hands: DrawHands, sketch: () => Style[]): Draw => {
  const draw = new Draw({
    type: ({ point: 'Point', line: 'LineString', area: 'Polygon' } as const)[shapeDrawn(tool)],
    stopClick: true,
    dragVertexDelay: Number.MAX_SAFE_INTEGER,
    style: sketch,
  });
  draw.on('drawend', (e) => {
    const geometry = e.feature.getGeometry();
    const points = geometry ? pointsOf(geometry) : [];
    // After the map has done with the click, so that the new thing is not picked away by it.
    setTimeout(() => {
      finish(tool, points, hands);
    });
  });
  if (tool.what === 'measure')
    draw.on('drawstart', (e) => {
      e.feature.getGeometry()?.on('change', (g) => {
        hands.measured(pointsOf(g.target as Geometry), tool.closed);
      });
    });
  return draw;
};
