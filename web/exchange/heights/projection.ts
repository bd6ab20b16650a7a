/** A projection, or a system of heights, as the register has it. */
export interface Projection {
  readonly code: number;
  readonly name: string;
  readonly proj4: string;
  /** Name of its unit: metre, foot, degree. */
  readonly unit: string;
}

/** Looks a projection up by its number; null where it is not known. */
export type FindProjection = (code: number) => Promise<Projection | null>;
