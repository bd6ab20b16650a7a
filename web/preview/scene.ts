import type { DerivedShot } from '@core/film';
import type { Subject, Feature } from '@core/model';
import { skyColour, type SunPosition } from '@core/light';
import type { Pose } from '@core/moves';
import { LEVEL_GROUND } from '@core/terrain';
import type { Vec3 } from '@core/geometry';
import {
  AmbientLight,
  BackSide,
  BufferAttribute,
  CircleGeometry,
  Color,
  ConeGeometry,
  DirectionalLight,
  Fog,
  Group,
  HemisphereLight,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  Line,
  PerspectiveCamera,
  PlaneGeometry,
  Scene,
  SphereGeometry,
  Vector3,
  type Material,
  type Object3D,
  type Texture,
} from 'three';
import { relief } from './relief';
import { gapFrame, solidOf, wall } from './solids';
import { standing } from './standing';
import { groundTexture } from './textures';

const REACH_M = 3000;
const radians = (deg: number): number => (deg * Math.PI) / 180;

/** Local metres (x east, y north, z up) to the renderer's axes (y up, −z north). */
const place = ({ x, y, z }: Vec3): Vector3 => new Vector3(x, z, -y);

const colour = (deg: number): Color => {
  const [r, g, b] = skyColour(deg);
  return new Color().setRGB(r / 255, g / 255, b / 255, 'srgb');
};

const skyDome = (sunDeg: number): Mesh => {
  const geometry = new SphereGeometry(REACH_M * 0.9, 24, 16);
  const at = geometry.getAttribute('position');
  const colours = new Float32Array(at.count * 3);
  for (let i = 0; i < at.count; i += 1) {
    const up = Math.max(0, at.getY(i) / (REACH_M * 0.9));
    colour(sunDeg + 10 * up ** 0.7).toArray(colours, i * 3);
  }
  geometry.setAttribute('color', new BufferAttribute(colours, 3));
  return new Mesh(
    geometry,
    new MeshBasicMaterial({ vertexColors: true, side: BackSide, fog: false, depthWrite: false }),
  );
};

/** Hills about the horizon, so that the far moves against the near. */
const hills = (shade: Color): Group => {
  const group = new Group();
  const material = new MeshLambertMaterial({ color: shade });
  for (let i = 0; i < 26; i += 1) {
    const turn = (i / 26) * 2 * Math.PI + Math.sin(i * 4.1) * 0.1;
    const out = 900 + 500 * Math.abs(Math.sin(i * 2.7));
    const height = 70 + 130 * Math.abs(Math.sin(i * 1.9 + 0.6));
    const hill = new Mesh(new ConeGeometry(height * 2.6, height, 7), material);
    hill.position.set(Math.sin(turn) * out, height / 2 - 4, -Math.cos(turn) * out);
    hill.rotation.y = i;
    group.add(hill);
  }
  return group;
};

const sunDisc = (sun: SunPosition): Mesh => {
  const disc = new Mesh(
    new CircleGeometry(26, 24),
    new MeshBasicMaterial({ color: sun.altitudeDeg < 8 ? 0xffd9a0 : 0xfff6dc, fog: false }),
  );
  disc.position.copy(towards(sun).multiplyScalar(REACH_M * 0.8));
  disc.lookAt(0, 0, 0);
  return disc;
};

const towards = ({ azimuthDeg, altitudeDeg }: SunPosition): Vector3 => {
  const up = radians(altitudeDeg);
  return new Vector3(
    Math.sin(radians(azimuthDeg)) * Math.cos(up),
    Math.sin(up),
    -Math.cos(radians(azimuthDeg)) * Math.cos(up),
  );
};

const stand = (object: Object3D, at: Vec3, headingDeg: number): Object3D => {
  object.position.copy(place(at));
  // Long side lies along +x; a bearing of 90 is east, which is +x.
  object.rotation.y = radians(90 - headingDeg);
  return object;
};

/** What the numbers of a reveal or a fly-through put in the way. */
const inTheWay = ({ facts }: DerivedShot): Object3D | null => {
  const { trajectory, shot, aim } = facts;
  if (!trajectory) return null;
  if (trajectory.gap)
    return stand(
      gapFrame(trajectory.gap.widthM, trajectory.gap.heightM, trajectory.start.at.z),
      { ...aim.aim, z: 0 },
      trajectory.start.headingDeg + 90,
    );
  const { screenM, screenHeightM, edgeM } = shot.move.values;
  if (screenM === undefined) return null;
  const { at, headingDeg } = trajectory.start;
  const ahead = {
    x: at.x + screenM * Math.sin(radians(headingDeg)),
    y: at.y + screenM * Math.cos(radians(headingDeg)),
    z: 0,
  };
  if (screenHeightM !== undefined)
    return stand(wall(Math.max(12, screenM * 1.6), screenHeightM), ahead, headingDeg + 90);
  return edgeM === undefined
    ? null
    : stand(wall(Math.max(4, 2 * edgeM), aim.aim.z + aim.heightM + 6), ahead, headingDeg + 90);
};

/** A scene of one shot: its place, what stands there, its light, and the camera that flies it. */
export class PreviewScene {
  readonly scene = new Scene();
  readonly camera: PerspectiveCamera;
  readonly aspect: number;
  private readonly dome: Mesh;
  private readonly moving: Object3D | null = null;
  private readonly texture: Texture;
  private readonly goal = new Vector3();

  constructor(shot: DerivedShot, subjects: readonly Subject[], things: readonly Feature[] = []) {
    const { facts, light } = shot;
    const [wide, high] = facts.frame.shape;
    this.aspect = wide / high;
    this.camera = new PerspectiveCamera(facts.frame.fov.verticalDeg, this.aspect, 0.3, REACH_M);
    const sunDeg = light?.sun.altitudeDeg ?? 35;
    const horizon = colour(sunDeg);
    this.dome = skyDome(sunDeg);
    this.texture = groundTexture();
    this.scene.fog = new Fog(
      horizon,
      120,
      Math.min(REACH_M * 0.8, Math.max(400, facts.location.visibilityM)),
    );
    const terrain = facts.ground ?? LEVEL_GROUND;
    const known = relief(terrain, this.texture);
    // Beyond what is known the ground goes on level, under the lowest of it.
    const ground = this.ground(known ? known.lowestM - 1 : 0);
    if (known) this.scene.add(known.mesh);
    this.scene.add(standing(things, terrain));
    this.scene.add(
      this.dome,
      ground,
      hills(horizon.clone().multiplyScalar(0.62)),
      ...this.lights(light?.sun ?? null, sunDeg, horizon),
    );
    if (light && sunDeg > -1) this.scene.add(sunDisc(light.sun));
    for (const s of subjects) {
      const solid = stand(solidOf(s), { x: s.xM, y: s.yM, z: s.baseM }, s.headingDeg);
      this.scene.add(solid);
      if (s.id === facts.subject?.id && s.speedMs > 0) this.moving = solid;
    }
    const way = inTheWay(shot);
    if (way) this.scene.add(way);
  }

  private ground(atM: number): Mesh {
    const geometry = new PlaneGeometry(2 * REACH_M, 2 * REACH_M).rotateX(-Math.PI / 2).translate(0, atM, 0);
    const uv = geometry.getAttribute('uv');
    for (let i = 0; i < uv.count; i += 1)
      uv.setXY(i, uv.getX(i) * (REACH_M / 50), uv.getY(i) * (REACH_M / 50));
    return new Mesh(geometry, new MeshLambertMaterial({ map: this.texture }));
  }

  private lights(sun: SunPosition | null, sunDeg: number, horizon: Color): Object3D[] {
    const day = Math.min(1, Math.max(0.12, (sunDeg + 8) / 20));
    const key = new DirectionalLight(sunDeg < 8 ? 0xffd2a0 : 0xfff4e0, sunDeg > -0.9 ? 2.6 * day : 0.15);
    key.position.copy(towards(sun ?? { azimuthDeg: 140, altitudeDeg: 35 }).multiplyScalar(100));
    return [
      key,
      new HemisphereLight(horizon.clone().lerp(new Color(0xffffff), 0.45), 0x8a8474, 2.2 * day),
      new AmbientLight(0xffffff, 0.35),
    ];
  }

  /** Puts the camera at a pose, and what moves where it is by then. */
  show(pose: Pose, subjectAt: Vec3): void {
    const [h, t] = [radians(pose.headingDeg), radians(pose.tiltDeg)];
    this.camera.position.copy(place(pose.at));
    this.camera.up.set(-Math.sin(h) * Math.sin(t), Math.cos(t), Math.cos(h) * Math.sin(t));
    this.goal
      .set(Math.sin(h) * Math.cos(t), Math.sin(t), -Math.cos(h) * Math.cos(t))
      .add(this.camera.position);
    this.camera.lookAt(this.goal);
    // Right side down turns the picture to the left.
    if (pose.rollDeg) this.camera.rotateZ(-radians(pose.rollDeg));
    this.dome.position.copy(this.camera.position);
    if (this.moving) {
      this.moving.position.x = subjectAt.x;
      this.moving.position.z = -subjectAt.y;
    }
  }

  dispose(): void {
    this.texture.dispose();
    this.scene.traverse((o) => {
      if (o instanceof Mesh || o instanceof Line) {
        (o.geometry as { dispose: () => void }).dispose();
        (o.material as Material).dispose();
      }
    });
  }
}
