import { featureWords } from '../site';
import type { Feature } from '../model';
import { writeText, type UnitSystem } from '../units';
import type { Warning } from './types';
import type { ShotParts } from '../shot';
import { clearing } from './clearing';
import { solidsFor, type Scene, type SiteShot, type ZoneMeet } from '../location';

/** A shot at its place: what a site rule looks at. */
export interface SiteContext {
  readonly parts: ShotParts;
  readonly scene: Scene;
  readonly site: SiteShot;
}
export type SiteRule = (context: SiteContext) => Warning | readonly Warning[] | null;

const on = (c: SiteContext): { kind: 'shot'; id: string } => ({ kind: 'shot', id: c.parts.shot.id });
const m = (c: SiteContext, value: number): string => metres(value, c.scene.film.units);
const metres = (value: number, units: UnitSystem): string => writeText(value, 'metres', units);
const at = (timeS: number): string => `${timeS.toFixed(0)} s into the move`;
/** Height of a place as the controller shows it. */
const above = (c: SiteContext, z: number): string => `${m(c, z - c.site.launch.z)} above launch`;

const clearance: SiteRule = (c) => {
  const { nearest, driftM } = c.site;
  const { clearanceM } = c.scene.film.preferences;
  if (!nearest || nearest.freeM >= Math.max(clearanceM, driftM)) return null;
  const hit = nearest.freeM <= 0;
  const craftM = Math.hypot(c.parts.aircraft?.spanM ?? 0.4, c.parts.aircraft?.heightM ?? 0.15) / 2;
  return {
    code: 'site.clearance',
    severity: hit || nearest.freeM < driftM ? 'stop' : 'care',
    subject: on(c),
    say: hit
      ? `Meets ${nearest.name} ${at(nearest.timeS)}, ${above(c, nearest.at.z)}.`
      : `Comes within ${m(c, nearest.freeM)} of ${nearest.name} ${at(nearest.timeS)}, ${above(c, nearest.at.z)}.`,
    why:
      nearest.freeM < driftM && !hit
        ? `A gust could carry it ${m(c, driftM)} before it is held.`
        : `${m(c, clearanceM)} are kept free; a gust could carry it ${m(c, driftM)}.`,
    cures: [
      ...clearing(c.parts, solidsFor(c.scene, c.parts.shot), Math.max(clearanceM, driftM) + craftM),
      { say: 'Move the path on the plan.' },
    ],
  };
};

const unknownGround: SiteRule = (c) =>
  c.site.groundUnknown && c.scene.ground.grid
    ? {
        code: 'site.ground-unknown',
        severity: 'care',
        subject: on(c),
        say: 'Part of the path lies where the height grid knows nothing.',
        why: 'Height over ground is not known there; the grid ends or has a hole.',
        cures: [{ say: 'Bring a grid that covers the path, or look at the ground yourself.' }],
      }
    : null;

const tooFar: SiteRule = (c) => {
  const { limitM, farthestM, farthestS } = c.site.sight;
  if (farthestM <= limitM) return null;
  return {
    code: 'site.sight-limit',
    severity: 'care',
    subject: on(c),
    say: `${m(c, farthestM)} from the pilot ${at(farthestS)}; one makes out how it lies to about ${m(c, limitM)}.`,
    why: 'From the size of the aircraft and the visibility, by the usual guidance on keeping it in sight. Check the local rule.',
    cures: [{ say: 'Launch or stand nearer.' }],
  };
};

const hidden: SiteRule = (c) => {
  const [first] = c.site.sight.hidden;
  if (!first) return null;
  const seconds = c.site.sight.hidden.reduce((sum, h) => sum + h.toS - h.fromS, 0);
  return {
    code: 'site.hidden',
    severity: 'care',
    subject: on(c),
    say: `Behind ${first.by} for ${Math.max(1, seconds).toFixed(0)} s, from ${at(first.fromS)}.`,
    why: 'What the pilot\u2019s eye does not see, the signal often does not reach.',
    cures: [{ say: 'Stand where the whole path is seen, or fly it higher.' }],
  };
};

const nameOf = (f: Feature): string => f.name || featureWords(f.kind).name;

/** What is said of a zone that is met, by its kind; what is not here is dealt with elsewhere. */
const ZONE_WORDS: Partial<
  Record<
    Feature['kind'],
    (c: SiteContext, f: Feature, meet: ZoneMeet, stale: boolean) => Omit<Warning, 'code' | 'subject'> | null
  >
> = {
  'no-fly': (_c, f, meet, stale) => ({
    severity: 'stop',
    say: `Crosses ${nameOf(f)} ${when(meet)}.`,
    why: `${stale ? `Marked as valid until ${f.until}: look again.` : 'Marked as not to be flown into.'}${noted(f)}`,
    cures: [{ say: 'Move the path or launch elsewhere; check the local rule.' }],
  }),
  permission: (_c, f, meet, stale) =>
    f.granted && !stale
      ? null
      : {
          severity: f.granted ? 'care' : 'stop',
          say: `Crosses ${nameOf(f)} ${when(meet)}, and ${f.granted ? `the permission ends ${f.until}` : 'no permission is noted'}.`,
          why: `Who says yes decides, not this plan.${noted(f)}`,
          cures: [{ say: 'Ask, and note the answer with the area.' }],
        },
  people: (c, f, meet) => nearBeings(c, f, meet, 'stop'),
  animals: (c, f, meet) => nearBeings(c, f, meet, 'care'),
};

const when = (meet: ZoneMeet): string => (meet.onWayHome ? 'on the way home' : `from ${at(meet.fromS)}`);
const noted = (f: Feature): string => (f.source ? ` Noted from: ${f.source}.` : '');
const nearBeings = (c: SiteContext, f: Feature, meet: ZoneMeet, severity: 'stop' | 'care') => ({
  severity,
  say: `${meet.nearM <= 0 ? 'Over' : `Within ${m(c, meet.nearM)} of`} ${nameOf(f)} ${when(meet)}.`,
  why: `${m(c, f.keepM)} are to be kept, as noted with it.${noted(f)} Check the local rule.`,
  cures: [{ say: 'Keep the distance, or wait until nobody is there.' }],
});

const zoneWarning = (c: SiteContext, meet: ZoneMeet): Warning | null => {
  const f = c.scene.features.find((x) => x.id === meet.featureId);
  const told = f && ZONE_WORDS[f.kind]?.(c, f, meet, f.until !== '' && f.until < c.scene.location.date);
  return told ? { code: `site.${f.kind}`, subject: on(c), ...told } : null;
};

const zones: SiteRule = (c) => c.site.zones.map((z) => zoneWarning(c, z)).filter((w) => w !== null);

/** Nearest landing beyond which open water is no place to lose a motor, m. A convenience to plan by, no rule. */
const PLAN_B_NEAR_M = 300;

const overWater: SiteRule = (c) => {
  const { overWaterS, planBM } = c.site;
  if (overWaterS <= 0 || (planBM !== null && planBM <= PLAN_B_NEAR_M)) return null;
  return {
    code: 'site.water',
    severity: 'care',
    subject: on(c),
    say: `Over water for ${overWaterS.toFixed(0)} s, ${planBM === null ? 'with no plan-B landing marked' : `${m(c, planBM)} from the nearest plan-B landing`}.`,
    why: 'What comes down there is gone, and what it filmed with it.',
    cures: [{ say: 'Mark a landing on the near shore, and copy the card before this flight.' }],
  };
};

const returnHeight: SiteRule = (c) => {
  const { home } = c.site;
  const { location, film } = c.scene;
  if (!home) return null;
  const set = location.returnHeightM;
  const need = Math.ceil(home.needM);
  if (need > home.mostM && set < need)
    return {
      code: 'site.return-shut',
      severity: 'stop',
      subject: on(c),
      say: `The way home asks for ${m(c, need)} over ${home.by}, and the ceiling allows ${m(c, home.mostM)} where the ground is lowest.`,
      why: 'A return flies one level height above launch; the ceiling counts from the ground below.',
      cures: [{ say: 'Launch from another side, or come back by hand the way it went out.' }],
    };
  if (set < need)
    return {
      code: 'site.return-height',
      severity: 'stop',
      subject: on(c),
      say: `A return at ${m(c, set)} comes home with ${m(c, set - (home.needM - film.preferences.returnMarginM))} over ${home.by}; ${m(c, need)} keeps the margin.`,
      why: `Tallest thing within ${m(c, film.preferences.corridorM)} of the straight way home, and ${m(c, film.preferences.returnMarginM)} more.`,
      cures: [
        {
          say: `Set the return height to ${m(c, need)}.`,
          set: { entity: 'location', id: location.id, fields: { returnHeightM: need } },
        },
      ],
    };
  if (set > home.mostM)
    return {
      code: 'site.return-ceiling',
      severity: 'care',
      subject: on(c),
      say: `A return at ${m(c, set)} above launch is up to ${m(c, set - home.mostM)} over the ceiling where the ground falls away.`,
      why: 'The ceiling counts from the ground below, the return height from the launch point. Check the local rule.',
      cures:
        need <= home.mostM
          ? [
              {
                say: `Set the return height to ${m(c, Math.floor(home.mostM))}.`,
                set: {
                  entity: 'location',
                  id: location.id,
                  fields: { returnHeightM: Math.floor(home.mostM) },
                },
              },
            ]
          : [],
    };
  return null;
};

const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

const signalLoss: SiteRule = (c) => {
  const { chosen, advice, why, meets } = c.site.loss;
  // Hovering where a return would do costs nothing but time: only the grave differences are told.
  if (chosen === advice || (chosen === 'hover' && advice === 'return')) return null;
  return {
    code: 'site.loss',
    severity: advice === 'hover' ? 'stop' : 'care',
    subject: on(c),
    say: `Set to ${chosen} when the signal is lost: it ${meets[chosen]}.`,
    why: `${why} ${capital(advice)} is advised; you confirm it.`,
    cures: [
      {
        say: `Set this slate to ${advice}.`,
        set: { entity: 'shot', id: c.parts.shot.id, fields: { lossAction: advice } },
      },
    ],
  };
};

/** Every rule that looks at a shot on its site. A new one is a function and a word here. */
export const SITE_RULES: readonly SiteRule[] = [
  clearance,
  unknownGround,
  zones,
  returnHeight,
  signalLoss,
  hidden,
  tooFar,
  overWater,
];

export const siteWarnings = (context: SiteContext): Warning[] =>
  SITE_RULES.flatMap((rule) => {
    const told = rule(context);
    return told === null ? [] : Array.isArray(told) ? (told as Warning[]) : [told as Warning];
  });
