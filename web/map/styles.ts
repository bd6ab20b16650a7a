import { fixed, phrase, toShown, unitOf } from '../format';
import { featureWords } from '@core/site';
import type { Feature } from '@core/model';
import type { FeatureLike } from 'ol/Feature.js';
import { MultiPoint, Point, type Geometry, type LineString, type Polygon } from 'ol/geom.js';
import type ImageStyle from 'ol/style/Image.js';
import { Circle, Fill, RegularShape, Stroke, Style, Text } from 'ol/style.js';
import { thin, type MapLook } from './colours';
import { hatch } from './hatch';
import { tr } from './messages';

/** What a grip moves: side and distance of a shot, its far end, a point of its route, the launch point, a pin of a picture. */
export type GripPart = 'near' | 'end' | 'point' | 'launch' | 'pin';

/** What the map keeps with each drawn thing. */
export type Drawn =
  | { readonly what: 'feature'; readonly id: string; readonly thing: Feature }
  | { readonly what: 'subject'; readonly id: string; readonly name: string; readonly flat: boolean }
  | { readonly what: 'shot'; readonly id: string; readonly number: number; readonly still: boolean }
  | { readonly what: 'way' | 'frame' | 'shadow' | 'home' | 'measure' | 'moment' | 'sightline' | 'idea' }
  | { readonly what: 'handle'; readonly part: GripPart; readonly shotId: string }
  | { readonly what: 'origin' };

export const drawnOf = (feature: FeatureLike): Drawn | undefined => feature.get('drawn') as Drawn | undefined;

const label = (
  text: string,
  inks: MapLook,
  more: { offsetY?: number; bold?: boolean; colour?: string; line?: boolean } = {},
): Text =>
  new Text({
    text,
    font: `${more.bold ? 650 : 480} 12px ${inks.font}`,
    offsetY: more.offsetY ?? 0,
    fill: new Fill({ color: more.colour ?? inks.chalk }),
    stroke: new Stroke({ color: thin(inks.bench, 0.85), width: 3 }),
    overflow: true,
    ...(more.line ? { placement: 'line' as const, textBaseline: 'bottom' as const } : {}),
  });

const AREA: Partial<
  Record<
    Feature['kind'],
    (i: MapLook) => { fill: CanvasPattern | string; stroke: string; dash?: number[]; width?: number }
  >
> = {
  wood: (i) => ({
    fill: hatch('crowns', thin(i.verdigris, 0.9), thin(i.verdigris, 0.16)),
    stroke: i.verdigris,
    width: 1.2,
  }),
  building: (i) => ({ fill: thin(i.chalk3, 0.75), stroke: i.chalk, width: 1.4 }),
  'no-fly': (i) => ({
    fill: hatch('cross', thin(i.stop, 0.75), thin(i.stop, 0.12)),
    stroke: i.stop,
    width: 2,
  }),
  permission: (i) => ({
    fill: hatch('slant', thin(i.care, 0.65), thin(i.care, 0.07)),
    stroke: i.care,
    dash: [8, 4],
    width: 1.6,
  }),
  people: (i) => ({ fill: hatch('dots', i.care, thin(i.care, 0.12)), stroke: i.care, width: 1.6 }),
  animals: (i) => ({
    fill: hatch('dots', i.note, thin(i.note, 0.12)),
    stroke: i.note,
    width: 1.6,
    dash: [2, 4],
  }),
  water: (i) => ({
    fill: hatch('waves', thin(i.note, 0.55), thin(i.note, 0.2)),
    stroke: thin(i.note, 0.8),
    width: 1,
  }),
};

const pointShape = (kind: Feature['kind'], inks: MapLook, picked: boolean): ImageStyle => {
  const stroke = new Stroke({ color: inks.bench, width: 2 });
  const fill = new Fill({ color: picked ? inks.pick : inks.chalk });
  switch (kind) {
    case 'launch':
      return new RegularShape({ declutterMode: 'none', points: 3, radius: 10, fill, stroke });
    case 'plan-b':
      return new RegularShape({
        declutterMode: 'none',
        points: 4,
        radius: 8,
        angle: Math.PI / 4,
        fill: new Fill({ color: thin(inks.bench, 0.9) }),
        stroke: new Stroke({ color: picked ? inks.pick : inks.chalk, width: 2.4 }),
      });
    case 'stand':
      return new Circle({ declutterMode: 'none', radius: 5, fill, stroke });
    case 'tree':
      return new Circle({
        declutterMode: 'none',
        radius: 6,
        fill: new Fill({ color: inks.verdigris }),
        stroke,
      });
    case 'mast':
      return new RegularShape({
        declutterMode: 'none',
        points: 4,
        radius: 9,
        radius2: 2.5,
        fill: new Fill({ color: inks.stop }),
        stroke,
      });
    default:
      return new Circle({
        declutterMode: 'none',
        radius: 7,
        fill: new Fill({ color: thin(inks.care, 0.6) }),
        stroke: new Stroke({ color: inks.care, width: 2 }),
      });
  }
};

/** Height of a thing in whole metres or feet. */
const heightOf = ({ heightM }: Feature, { units }: MapLook): string =>
  `${fixed(toShown(heightM, 'metres', units), 0)} ${unitOf('metres', units)}`;

/** Thickness and crossed ticks of a wire: a line that bites. */
const wireStyles = (thing: Feature, inks: MapLook, picked: boolean, named: boolean): Style[] => [
  new Style({ stroke: new Stroke({ color: thin(inks.bench, 0.8), width: 5 }) }),
  new Style({
    stroke: new Stroke({ color: picked ? inks.pick : inks.stop, width: 2, lineDash: [10, 3, 2, 3] }),
    ...(named
      ? { text: label(`${thing.name || tr('wire')} ${heightOf(thing, inks)}`, inks, { line: true }) }
      : {}),
  }),
  new Style({
    geometry: (f) => new MultiPoint((f.getGeometry() as LineString).getCoordinates()),
    image: new RegularShape({
      declutterMode: 'none',
      points: 4,
      radius: 6,
      radius2: 0,
      stroke: new Stroke({ color: picked ? inks.pick : inks.stop, width: 2 }),
    }),
  }),
];

const areaStyles = (thing: Feature, inks: MapLook, picked: boolean, named: boolean): Style[] => {
  const look = AREA[thing.kind]?.(inks) ?? { fill: thin(inks.chalk, 0.1), stroke: inks.chalk };
  const height = featureWords(thing.kind).stands ? ` ${heightOf(thing, inks)}` : '';
  const name = label(`${thing.name || phrase(featureWords(thing.kind).name)}${height}`, inks, {
    bold: picked,
    offsetY: height ? 0 : 10,
  });
  return [
    new Style({
      fill: new Fill({ color: look.fill }),
      stroke: new Stroke({
        color: picked ? inks.pick : look.stroke,
        width: picked ? 2.6 : (look.width ?? 1.4),
        ...(look.dash ? { lineDash: look.dash } : {}),
      }),
      ...(height && named ? { text: name } : {}),
    }),
    // What lies flat is named along its upper edge: its middle belongs to what stands in it.
    ...(height || !named
      ? []
      : [new Style({ geometry: (f) => upperEdge(f.getGeometry() as Polygon), text: name })]),
    ...(picked ? [corners(inks)] : []),
  ];
};

const upperEdge = (area: Polygon): Point => {
  const [west = 0, , east = 0, north = 0] = area.getExtent();
  return new Point([(west + east) / 2, north]);
};

const corners = (inks: MapLook): Style =>
  new Style({
    geometry: (f) => {
      const g = f.getGeometry();
      return g ? new MultiPoint(flatCorners(g as Geometry)) : undefined;
    },
    image: new RegularShape({
      declutterMode: 'none',
      points: 4,
      angle: Math.PI / 4,
      radius: 6,
      fill: new Fill({ color: inks.pick }),
      stroke: new Stroke({ color: inks.bench, width: 1.5 }),
    }),
  });
const flatCorners = (g: Geometry): number[][] =>
  g.getType() === 'Polygon'
    ? ((g as Polygon).getCoordinates()[0]?.slice(0, -1) ?? [])
    : g.getType() === 'LineString'
      ? (g as LineString).getCoordinates()
      : [(g as Point).getCoordinates()];

/** Things without a name say what they are only from near: many of them would hide the plan. m per pixel. */
const NAMED_WITHIN = 0.7;

const featureStyles = (thing: Feature, inks: MapLook, picked: boolean, named: boolean): Style[] => {
  if (thing.shape === 'area') return areaStyles(thing, inks, picked, named || picked);
  if (thing.kind === 'wire')
    return [...wireStyles(thing, inks, picked, named || picked), ...(picked ? [corners(inks)] : [])];
  if (thing.shape === 'line')
    return [
      new Style({
        stroke: new Stroke({ color: picked ? inks.pick : inks.chalk2, width: 2, lineDash: [2, 5] }),
        text: label(thing.name, inks, { line: true, colour: inks.chalk2 }),
      }),
      ...(picked ? [corners(inks)] : []),
    ];
  const high = featureWords(thing.kind).stands ? ` ${heightOf(thing, inks)}` : '';
  return [
    new Style({
      image: pointShape(thing.kind, inks, picked),
      ...(named || picked
        ? {
            text: label(`${thing.name || phrase(featureWords(thing.kind).name)}${high}`, inks, {
              offsetY: 17,
              bold: picked,
            }),
          }
        : {}),
    }),
  ];
};

/** The head of a path, turned along its last stretch. */
const headOf = (feature: FeatureLike): { at: number[]; turn: number } | null => {
  const line = (feature.getGeometry() as LineString | undefined)?.getCoordinates() ?? [];
  const tip = line.at(-1);
  const tail = line.findLast(
    (c) => tip && Math.hypot((c[0] ?? 0) - (tip[0] ?? 0), (c[1] ?? 0) - (tip[1] ?? 0)) > 0.5,
  );
  return tip && tail
    ? { at: tip, turn: Math.atan2((tip[0] ?? 0) - (tail[0] ?? 0), (tip[1] ?? 0) - (tail[1] ?? 0)) }
    : null;
};

const shotStyles = (
  feature: FeatureLike,
  drawn: Extract<Drawn, { what: 'shot' }>,
  inks: MapLook,
  picked: boolean,
): Style[] => {
  const colour = picked ? inks.pick : inks.chalk2;
  const start = (feature.getGeometry() as LineString).getFirstCoordinate();
  const head = drawn.still ? null : headOf(feature);
  return [
    new Style({
      stroke: new Stroke({ color: thin(inks.bench, 0.7), width: picked ? 6 : 4 }),
      zIndex: picked ? 20 : 10,
    }),
    new Style({ stroke: new Stroke({ color: colour, width: picked ? 3 : 1.6 }), zIndex: picked ? 21 : 11 }),
    new Style({
      geometry: () => new Point(start),
      zIndex: picked ? 22 : 12,
      image: new Circle({
        declutterMode: 'none',
        radius: picked ? 5 : 3.5,
        fill: new Fill({ color: inks.bench }),
        stroke: new Stroke({ color: colour, width: 2 }),
      }),
      text: label(String(drawn.number), inks, { offsetY: -12, bold: true, colour }),
    }),
    ...(head
      ? [
          new Style({
            geometry: () => new Point(head.at),
            zIndex: picked ? 22 : 12,
            image: new RegularShape({
              declutterMode: 'none',
              points: 3,
              radius: picked ? 8 : 6,
              rotation: head.turn,
              rotateWithView: true,
              fill: new Fill({ color: colour }),
            }),
          }),
        ]
      : []),
  ];
};

const PLAIN: Readonly<Record<string, (inks: MapLook, feature: FeatureLike) => Style[]>> = {
  frame: (i) => [
    new Style({
      fill: new Fill({ color: thin(i.pick, 0.1) }),
      stroke: new Stroke({ color: thin(i.pick, 0.6), width: 1, lineDash: [4, 4] }),
    }),
  ],
  shadow: (i) => [
    new Style({ fill: new Fill({ color: i.noon ? 'rgba(0, 0, 0, 0.22)' : 'rgba(0, 0, 0, 0.3)' }) }),
  ],
  home: (i) => [
    new Style({
      stroke: new Stroke({ color: thin(i.chalk, 0.6), width: 1.5, lineDash: [1, 6], lineCap: 'round' }),
    }),
  ],
  way: (i, f) => {
    const head = headOf(f);
    return [
      new Style({ stroke: new Stroke({ color: i.chalk, width: 1.6, lineDash: [10, 5] }) }),
      ...(head
        ? [
            new Style({
              geometry: () => new Point(head.at),
              image: new RegularShape({
                declutterMode: 'none',
                points: 3,
                radius: 7,
                rotation: head.turn,
                fill: new Fill({ color: i.chalk }),
              }),
            }),
          ]
        : []),
    ];
  },
  sightline: (i) => [new Style({ stroke: new Stroke({ color: i.stop, width: 2, lineDash: [6, 4] }) })],
  measure: (i, f) => [
    new Style({
      stroke: new Stroke({ color: i.chalk, width: 2 }),
      fill: new Fill({ color: thin(i.chalk, 0.1) }),
      image: new Circle({ declutterMode: 'none', radius: 4, fill: new Fill({ color: i.chalk }) }),
      text: label(String(f.get('text') ?? ''), i, { bold: true, offsetY: -12 }),
    }),
  ],
  moment: (i, f) => [
    new Style({
      image: new RegularShape({
        declutterMode: 'none',
        points: 3,
        radius: 9,
        radius2: 4,
        rotation: Number(f.get('turn') ?? 0),
        fill: new Fill({ color: i.pick }),
        stroke: new Stroke({ color: i.bench, width: 1.5 }),
      }),
      zIndex: 40,
    }),
  ],
  idea: (i, f) => [
    new Style({
      image: new RegularShape({
        declutterMode: 'none',
        points: 3,
        radius: 9,
        fill: new Fill({ color: thin(i.pick, 0.35) }),
        stroke: new Stroke({ color: i.pick, width: 2 }),
      }),
      text: label(String(f.get('text') ?? ''), i, { bold: true, offsetY: 16, colour: i.pick }),
      zIndex: 35,
    }),
  ],
  origin: (i) => [
    new Style({
      image: new RegularShape({
        declutterMode: 'none',
        points: 4,
        radius: 7,
        radius2: 0,
        stroke: new Stroke({ color: i.chalk2, width: 1.5 }),
      }),
    }),
  ],
};

/** How a drawn thing looks; what is picked stands out by weight and corners, not only by colour. */
export const styleOf = (feature: FeatureLike, inks: MapLook, pickedId: string, resolution = 0): Style[] => {
  const drawn = drawnOf(feature);
  if (!drawn) return [];
  switch (drawn.what) {
    case 'feature':
      return featureStyles(
        drawn.thing,
        inks,
        drawn.id === pickedId,
        drawn.thing.name !== '' || resolution < NAMED_WITHIN,
      );
    case 'subject': {
      const picked = drawn.id === pickedId;
      return [
        new Style({
          fill: new Fill({ color: thin(inks.slab3, drawn.flat ? 0.25 : 0.9) }),
          stroke: new Stroke({ color: picked ? inks.pick : inks.chalk, width: picked ? 2.6 : 1.8 }),
          text: label(drawn.name, inks, { bold: true, offsetY: drawn.flat ? 0 : 16 }),
        }),
      ];
    }
    case 'shot':
      return shotStyles(feature, drawn, inks, drawn.id === pickedId);
    case 'handle':
      return [
        new Style({
          image:
            drawn.part === 'launch'
              ? new RegularShape({
                  declutterMode: 'none',
                  points: 3,
                  radius: 11,
                  fill: new Fill({ color: inks.chalk }),
                  stroke: new Stroke({ color: inks.bench, width: 2 }),
                })
              : new RegularShape({
                  declutterMode: 'none',
                  points: 4,
                  radius: 9,
                  fill: new Fill({ color: inks.bench }),
                  stroke: new Stroke({ color: inks.pick, width: 3 }),
                }),
          zIndex: 50,
          ...(drawn.part === 'launch' ? { text: label(tr('launch'), inks, { offsetY: 17 }) } : {}),
        }),
      ];
    default:
      return PLAIN[drawn.what]?.(inks, feature) ?? [];
  }
};
