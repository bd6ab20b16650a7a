import { radians, vec, type Vec3 } from '../geometry';
import type { Subject, SubjectKind } from '../model';

/** Depth across the long side that is usual for a kind, where the person gave none; m. */
const USUAL_DEPTH: Readonly<Record<SubjectKind, (widthM: number, heightM: number) => number>> = {
  person: (w) => Math.min(0.5, w),
  vehicle: (w) => Math.min(2.4, w / 2),
  train: () => 2.6,
  boat: (w) => w / 3.2,
  trees: (w) => Math.min(8, w),
  house: (w) => w * 0.7,
  tower: (w) => w,
  bridge: (w) => Math.min(9, w / 6),
  field: (w) => w * 0.8,
  other: (w) => w,
};

/** Depth of a subject across its long side, m. */
export const depthOf = ({
  kind,
  widthM,
  heightM,
  depthM,
}: Pick<Subject, 'kind' | 'widthM' | 'heightM' | 'depthM'>): number =>
  depthM > 0 ? depthM : Math.max(0.3, USUAL_DEPTH[kind](widthM, heightM));

/** The four corners of a subject on the ground, going round, about a middle. */
export const footprint = (subject: Subject, middle: Vec3 = vec(subject.xM, subject.yM, 0)): Vec3[] => {
  const h = radians(subject.headingDeg);
  const [along, across] = [subject.widthM / 2, depthOf(subject) / 2];
  const corner = (l: number, d: number): Vec3 =>
    vec(
      middle.x + l * Math.sin(h) + d * Math.cos(h),
      middle.y + l * Math.cos(h) - d * Math.sin(h),
      subject.baseM,
    );
  return [corner(-along, -across), corner(along, -across), corner(along, across), corner(-along, across)];
};

/**
 * Free air between points and a subject taken as a box lying along its heading, m; 0 inside it.
 * @returns that of a point, and of where the subject's middle is when it moves
 */
export const clearanceOf = (subject: Subject): ((middle: Vec3, point: Vec3) => number) => {
  const h = radians(subject.headingDeg);
  const [sine, cosine, halfLong, halfDeep] = [
    Math.sin(h),
    Math.cos(h),
    subject.widthM / 2,
    depthOf(subject) / 2,
  ];
  return (middle, point) => {
    const dx = point.x - middle.x;
    const dy = point.y - middle.y;
    const along = Math.max(0, Math.abs(dx * sine + dy * cosine) - halfLong);
    const across = Math.max(0, Math.abs(dx * cosine - dy * sine) - halfDeep);
    const up = Math.max(0, point.z - subject.baseM - subject.heightM, subject.baseM - point.z);
    return Math.sqrt(along * along + across * across + up * up);
  };
};
