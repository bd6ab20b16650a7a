import type { Scene, SiteShot } from '../location';
import type { ShotParts } from '../shot';
import type { Warning } from './types';

/** A shot at its place: what a site rule looks at. */
export interface SiteContext {
  readonly parts: ShotParts;
  readonly scene: Scene;
  readonly site: SiteShot;
}
export type SiteRule = (context: SiteContext) => Warning | readonly Warning[] | null;

export const onSiteShot = (c: SiteContext): { kind: 'shot'; id: string } => ({
  kind: 'shot',
  id: c.parts.shot.id,
});
