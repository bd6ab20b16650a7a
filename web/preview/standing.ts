import { featureWords, groundAt, spotsOf } from '@core/site';
import type { Feature } from '@core/model';
import type { Ground } from '@core/terrain';
import {
  BoxGeometry,
  BufferGeometry,
  CylinderGeometry,
  ExtrudeGeometry,
  Group,
  Line,
  LineBasicMaterial,
  Mesh,
  MeshLambertMaterial,
  Shape,
  Vector2,
  Vector3,
} from 'three';

const COLOURS: Partial<Record<Feature['kind'], number>> = {
  wood: 0x5c7048,
  tree: 0x5c7048,
  building: 0xa89c88,
  mast: 0x6d6658,
  wire: 0x4a4640,
};
/** Sunk into the ground by this much, so that nothing floats on a slope, m. */
const SUNK_M = 6;

/** An area raised from under the ground to its height. */
const block = (thing: Feature, ground: Ground, color: number): Mesh => {
  const spots = spotsOf(thing);
  const top = Math.max(...spots.map((s) => groundAt(ground, s.x, s.y))) + thing.heightM;
  const foot = Math.min(...spots.map((s) => groundAt(ground, s.x, s.y))) - SUNK_M;
  const geometry = new ExtrudeGeometry(new Shape(spots.map((s) => new Vector2(s.x, s.y))), {
    depth: top - foot,
    bevelEnabled: false,
  })
    .rotateX(-Math.PI / 2)
    .translate(0, foot, 0);
  return new Mesh(geometry, new MeshLambertMaterial({ color }));
};

const post = (
  x: number,
  y: number,
  ground: Ground,
  heightM: number,
  radiusM: number,
  color: number,
): Mesh => {
  const mesh = new Mesh(
    new CylinderGeometry(radiusM, radiusM, heightM, 8),
    new MeshLambertMaterial({ color }),
  );
  mesh.position.set(x, groundAt(ground, x, y) + heightM / 2, -y);
  return mesh;
};

const crown = (thing: Feature, ground: Ground, color: number): Mesh => {
  const [spot] = spotsOf(thing);
  const mesh = new Mesh(
    new BoxGeometry(thing.radiusM * 1.7, thing.heightM * 0.8, thing.radiusM * 1.7),
    new MeshLambertMaterial({ color }),
  );
  mesh.position.set(
    spot?.x ?? 0,
    groundAt(ground, spot?.x ?? 0, spot?.y ?? 0) + thing.heightM * 0.6,
    -(spot?.y ?? 0),
  );
  return mesh;
};

const wire = (thing: Feature, ground: Ground, color: number): Group => {
  const group = new Group();
  const spots = spotsOf(thing);
  group.add(
    new Line(
      new BufferGeometry().setFromPoints(
        spots.map((s) => new Vector3(s.x, groundAt(ground, s.x, s.y) + thing.heightM, -s.y)),
      ),
      new LineBasicMaterial({ color }),
    ),
  );
  for (const s of spots) group.add(post(s.x, s.y, ground, thing.heightM, 0.15, color));
  return group;
};

/** What is drawn on the plan and stands up, as plain solids: what the camera would see in the way. */
export const standing = (things: readonly Feature[], ground: Ground): Group => {
  const group = new Group();
  for (const thing of things.filter((t) => featureWords(t.kind).stands)) {
    const color = COLOURS[thing.kind] ?? 0x8a8474;
    const [spot] = spotsOf(thing);
    if (thing.shape === 'area') group.add(block(thing, ground, color));
    else if (thing.shape === 'line') group.add(wire(thing, ground, color));
    else if (thing.kind === 'tree')
      group.add(
        crown(thing, ground, color),
        post(spot?.x ?? 0, spot?.y ?? 0, ground, thing.heightM * 0.4, 0.25, 0x6d5a44),
      );
    else
      group.add(
        post(spot?.x ?? 0, spot?.y ?? 0, ground, thing.heightM, Math.max(0.12, thing.radiusM / 3), color),
      );
  }
  return group;
};
