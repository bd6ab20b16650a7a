import { depthOf } from '@core/shot';
import type { Subject, SubjectKind } from '@core/model';
import {
  BoxGeometry,
  ConeGeometry,
  CylinderGeometry,
  Group,
  Mesh,
  MeshLambertMaterial,
  SphereGeometry,
  type BufferGeometry,
  type Material,
} from 'three';

/** Size of a solid: length along its heading, height, and depth across; metres. */
export interface SolidSize {
  readonly lengthM: number;
  readonly heightM: number;
  readonly depthM: number;
}

const STONE = 0xbdb3a0;
const DARK = 0x6d6658;
const ROOF = 0x7c5340;
const LEAF = 0x6f8456;
const SKIN = 0xc98a5a;

const lambert = (color: number): Material => new MeshLambertMaterial({ color });
const part = (geometry: BufferGeometry, color: number, x = 0, y = 0, z = 0): Mesh => {
  const mesh = new Mesh(geometry, lambert(color));
  mesh.position.set(x, y, z);
  return mesh;
};
const box = (l: number, h: number, d: number, color: number, x = 0, y = 0, z = 0): Mesh =>
  part(new BoxGeometry(l, h, d), color, x, y + h / 2, z);

type Build = (size: SolidSize) => Mesh[];

const train: Build = ({ lengthM, heightM, depthM }) => {
  const cars = Math.max(2, Math.round(lengthM / 13));
  const each = lengthM / cars;
  return Array.from({ length: cars }, (_, i) => {
    const x = -lengthM / 2 + each * (i + 0.5);
    const engine = i === cars - 1;
    return [
      box(each * 0.9, heightM * (engine ? 0.62 : 0.72), depthM, engine ? DARK : ROOF, x, heightM * 0.2),
      box(each * 0.8, heightM * 0.2, depthM * 0.8, 0x2c2a2c, x, 0),
      ...(engine
        ? [
            part(
              new CylinderGeometry(depthM * 0.14, depthM * 0.14, heightM * 0.3, 10),
              0x2c2a2c,
              x + each * 0.3,
              heightM * 0.9,
            ),
          ]
        : []),
    ];
  }).flat();
};

const bridge: Build = ({ lengthM, heightM, depthM }) => {
  const deck = Math.min(heightM * 0.12, 2.5);
  const piers = Math.max(2, Math.round(lengthM / Math.max(8, heightM * 0.5)));
  return [
    box(lengthM, deck, depthM, STONE, 0, heightM - deck),
    box(lengthM, deck * 0.5, depthM * 0.12, DARK, 0, heightM, depthM * 0.44),
    box(lengthM, deck * 0.5, depthM * 0.12, DARK, 0, heightM, -depthM * 0.44),
    ...Array.from({ length: piers + 1 }, (_, i) =>
      box(lengthM / piers / 4, heightM - deck, depthM * 0.8, STONE, -lengthM / 2 + (lengthM * i) / piers, 0),
    ),
  ];
};

const trees: Build = ({ lengthM, heightM, depthM }) => {
  const count = Math.max(1, Math.min(40, Math.round(lengthM / Math.max(2, heightM * 0.45))));
  return Array.from({ length: count }, (_, i) => {
    const x = count === 1 ? 0 : -lengthM / 2 + (lengthM * i) / (count - 1);
    const h = heightM * (0.82 + 0.18 * Math.abs(Math.sin(i * 2.3 + 1)));
    return [
      box(h * 0.05, h * 0.3, h * 0.05, DARK, x),
      part(new ConeGeometry(Math.min(depthM / 2, h * 0.26), h * 0.78, 8), LEAF, x, h * 0.61),
    ];
  }).flat();
};

const field: Build = ({ lengthM, heightM, depthM }) => {
  const rows = Math.max(3, Math.min(40, Math.round(depthM / 6)));
  return Array.from({ length: rows }, (_, i) =>
    box(
      lengthM,
      Math.max(0.15, (heightM * (i + 1)) / rows),
      (depthM / rows) * 0.55,
      i % 2 ? LEAF : 0x8d8a66,
      0,
      0,
      depthM / 2 - (depthM * (i + 0.5)) / rows,
    ),
  );
};

const BUILD: Readonly<Record<SubjectKind, Build>> = {
  person: ({ heightM: h }) => [
    part(new CylinderGeometry(h * 0.1, h * 0.12, h * 0.46, 10), 0x34506b, 0, h * 0.25),
    part(new CylinderGeometry(h * 0.14, h * 0.11, h * 0.36, 10), ROOF, 0, h * 0.64),
    part(new SphereGeometry(h * 0.075, 12, 10), SKIN, 0, h * 0.92),
  ],
  vehicle: ({ lengthM: l, heightM: h, depthM: d }) => [
    box(l, h * 0.55, d, ROOF, 0, h * 0.15),
    box(l * 0.5, h * 0.4, d * 0.9, 0x40474f, -l * 0.06, h * 0.6),
    box(l * 0.9, h * 0.2, d * 0.8, 0x262528, 0, 0),
  ],
  train,
  boat: ({ lengthM: l, heightM: h, depthM: d }) => [
    box(l * 0.8, h * 0.3, d, STONE, -l * 0.1),
    part(
      new ConeGeometry(d / 2, l * 0.2, 4)
        .rotateZ(-Math.PI / 2)
        .rotateX(Math.PI / 4)
        .scale(1, (h * 0.3) / (d * Math.SQRT1_2), Math.SQRT2),
      STONE,
      l * 0.4,
      h * 0.15,
    ),
    box(l * 0.28, h * 0.35, d * 0.6, 0xe5ded0, -l * 0.12, h * 0.3),
    box(l * 0.02, h * 0.7, l * 0.02, DARK, l * 0.05, h * 0.3),
  ],
  trees,
  house: ({ lengthM: l, heightM: h, depthM: d }) => [
    box(l, h * 0.62, d, STONE),
    part(
      new CylinderGeometry(0.001, d * 0.62, h * 0.38, 4, 1).rotateY(Math.PI / 4).scale(l / d, 1, 1),
      ROOF,
      0,
      h * 0.81,
    ),
    box(l * 0.12, h * 0.3, 0.1, DARK, l * 0.1, 0, d / 2),
  ],
  tower: ({ lengthM: l, heightM: h }) => [
    part(new CylinderGeometry(l * 0.4, l * 0.5, h * 0.86, 16), STONE, 0, h * 0.43),
    part(new ConeGeometry(l * 0.46, h * 0.14, 16), ROOF, 0, h * 0.93),
  ],
  bridge,
  field,
  other: ({ lengthM: l, heightM: h, depthM: d }) => [box(l, h, d, STONE)],
};

/** A plain solid of a subject's kind and size, its long side along +x, standing on y = 0. */
export const solidOf = (subject: Subject): Group => {
  const group = new Group();
  group.add(
    ...BUILD[subject.kind]({ lengthM: subject.widthM, heightM: subject.heightM, depthM: depthOf(subject) }),
  );
  return group;
};

/** A wall that hides the view, or a frame about a gap. */
export const wall = (widthM: number, heightM: number): Group => {
  const group = new Group();
  group.add(box(widthM, heightM, 0.6, DARK));
  return group;
};

export const gapFrame = (widthM: number, heightM: number, middleM: number): Group => {
  const group = new Group();
  const side = Math.max(1.2, widthM * 0.35);
  const foot = Math.max(0, middleM - heightM / 2);
  group.add(
    box(side, middleM + heightM / 2 + side, 1.2, STONE, -(widthM + side) / 2),
    box(side, middleM + heightM / 2 + side, 1.2, STONE, (widthM + side) / 2),
    box(widthM, side, 1.2, STONE, 0, middleM + heightM / 2),
  );
  if (foot > 0.1) group.add(box(widthM, foot, 1.2, DARK));
  return group;
};
