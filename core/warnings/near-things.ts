import type { FeatureKind, Sensing } from '../model';
import { measured, message } from '../messages';
import { onSiteShot, type SiteContext, type SiteRule } from './site-context';

/** Nearer than this to a thing it matters what the aircraft senses, m: usual reach of its sensors less the way to stop. */
const SENSED_M = 10;
/** Leaves nearer than this move in the downwash and hide the thin branches between them, m. Own estimate for up to 1 kg. */
const LEAVES_M = 5;

/** What kind of thing the path comes nearest to; null for a subject, or nothing. */
const nearestKind = (c: SiteContext): FeatureKind | null =>
  c.scene.features.find((f) => f.id === c.site.nearest?.id)?.kind ?? null;
const isClose = (c: SiteContext, withinM: number): boolean =>
  c.site.nearest !== null && c.site.nearest.freeM > 0 && c.site.nearest.freeM < withinM;

/** Near a thing on a side the aircraft does not sense: nothing but the pilot stops it there. */
export const blindSide: SiteRule = (c) => {
  const { nearest } = c.site;
  const { aircraft, shot } = c.parts;
  if (!nearest?.goes || !aircraft || !isClose(c, SENSED_M)) return null;
  // One that senses nothing is flown as such anyway, and so is one whose sensing is off.
  if (aircraft.senses.length === 0 || aircraft.senses.includes(nearest.goes) || shot.sensing === 'off')
    return null;
  return {
    code: 'site.blind-side',
    severity: 'care',
    subject: onSiteShot(c),
    say: message('site.blind-side.say', {
      side: message('side', { side: nearest.goes }),
      free: measured(nearest.freeM, 'metres', 1),
      nearest: nearest.name,
      aircraft: aircraft.name,
    }),
    why: message('site.blind-side.why'),
    cures: [{ say: message('site.blind-side.cure') }],
  };
};

const THIN: readonly FeatureKind[] = ['wood', 'tree', 'wire', 'mast'];

/** What sensing should do near a thing: stop, unless the subject moves and there is room to go round. */
const adviceFor = (c: SiteContext, kind: FeatureKind | null): Exclude<Sensing, 'off'> =>
  (c.parts.subject?.speedMs ?? 0) > 0 && kind !== null && !THIN.includes(kind) ? 'around' : 'stop';

/** Near a thing what sensing does is chosen, not left to how the aircraft happens to be set. */
export const chooseSensing: SiteRule = (c) => {
  const { nearest } = c.site;
  const { aircraft, shot } = c.parts;
  if (!nearest || !aircraft || aircraft.senses.length === 0 || shot.sensing !== null) return null;
  if (!isClose(c, SENSED_M)) return null;
  const advice = adviceFor(c, nearestKind(c));
  return {
    code: 'site.choose-sensing',
    severity: 'note',
    subject: onSiteShot(c),
    say: message('site.choose-sensing.say', {
      free: measured(nearest.freeM, 'metres', 1),
      nearest: nearest.name,
    }),
    why: message('site.choose-sensing.why', { advice }),
    cures: [
      {
        say: message('site.choose-sensing.cure', { advice }),
        set: { entity: 'shot', id: shot.id, fields: { sensing: advice } },
      },
    ],
  };
};

/** Close to leaves: they move, hide what is thin, and take satellites away. */
export const nearLeaves: SiteRule = (c) => {
  const { nearest } = c.site;
  const kind = nearestKind(c);
  if (!nearest || (kind !== 'wood' && kind !== 'tree') || !isClose(c, LEAVES_M)) return null;
  return {
    code: 'site.leaves',
    severity: 'note',
    subject: onSiteShot(c),
    say: message('site.leaves.say', {
      free: measured(nearest.freeM, 'metres', 1),
      nearest: nearest.name,
      within: measured(LEAVES_M, 'metres', 0),
    }),
    why: message('site.leaves.why'),
    cures: [{ say: message('site.leaves.cure') }],
  };
};

/** Under a roof or under trees fewer satellites are seen: it drifts, and must not climb when the signal is lost. */
export const underCover: SiteRule = (c) =>
  c.site.overhead === null
    ? null
    : {
        code: 'site.under-cover',
        severity: 'note',
        subject: onSiteShot(c),
        say: message('site.under-cover.say', { overhead: c.site.overhead }),
        why: message('site.under-cover.why'),
        cures: [{ say: message('site.under-cover.cure') }],
      };

/** A gap is as narrow as a gust makes it. */
export const gapDrift: SiteRule = (c) => {
  const { gap, driftM } = c.site;
  const { aircraft } = c.parts;
  if (!gap || !aircraft) return null;
  const freeM = (gap.widthM - aircraft.spanM) / 2;
  if (freeM <= 0 || driftM <= freeM) return null;
  return {
    code: 'site.gap-drift',
    severity: 'care',
    subject: onSiteShot(c),
    say: message('site.gap-drift.say', {
      drift: measured(driftM, 'metres', 1),
      free: measured(freeM, 'metres', 1),
    }),
    why: message('site.gap-drift.why', {
      least: measured(aircraft.spanM + 2 * driftM, 'metres', 1),
    }),
    cures: [{ say: message('site.gap-drift.cure') }],
  };
};
