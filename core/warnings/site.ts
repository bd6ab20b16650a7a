import { measured, message, onDay, yesNo, type Message, type MessageValue } from '../messages';
import { featureName } from '../site';
import type { Feature } from '../model';
import type { Warning } from './types';
import { clearing } from './clearing';
import { blindSide, chooseSensing, gapDrift, nearLeaves, underCover } from './near-things';
import { onSiteShot, type SiteContext, type SiteRule } from './site-context';
import { solidsFor, type ZoneMeet } from '../location';

const at = (timeS: number): Message => message('site.at', { time: measured(timeS, 'seconds', 0) });
/** Height of a place as the controller shows it. */
const above = (c: SiteContext, z: number): Message =>
  message('site.above-launch', { height: measured(z - c.site.launch.z, 'metres') });

const clearance: SiteRule = (c) => {
  const { nearest, driftM } = c.site;
  const { clearanceM } = c.scene.film.preferences;
  if (!nearest || nearest.freeM >= Math.max(clearanceM, driftM)) return null;
  const hit = nearest.freeM <= 0;
  const craftM = Math.hypot(c.parts.aircraft?.spanM ?? 0.4, c.parts.aircraft?.heightM ?? 0.15) / 2;
  return {
    code: 'site.clearance',
    severity: hit || nearest.freeM < driftM ? 'stop' : 'care',
    subject: onSiteShot(c),
    say: hit
      ? message('site.clearance.say', {
          nearest: nearest.name,
          time: at(nearest.timeS),
          z: above(c, nearest.at.z),
        })
      : message('site.clearance.say.else', {
          free: measured(nearest.freeM, 'metres'),
          nearest: nearest.name,
          time: at(nearest.timeS),
          z: above(c, nearest.at.z),
        }),
    why:
      nearest.freeM < driftM && !hit
        ? message('site.clearance.why', { drift: measured(driftM, 'metres') })
        : message('site.clearance.why.else', {
            clearance: measured(clearanceM, 'metres'),
            drift: measured(driftM, 'metres'),
          }),
    cures: [
      ...clearing(c.parts, solidsFor(c.scene, c.parts.shot), Math.max(clearanceM, driftM) + craftM),
      { say: message('site.clearance.cure') },
    ],
  };
};

const unknownGround: SiteRule = (c) =>
  c.site.groundUnknown && c.scene.ground.grid
    ? {
        code: 'site.ground-unknown',
        severity: 'care',
        subject: onSiteShot(c),
        say: message('site.ground-unknown.say'),
        why: message('site.ground-unknown.why'),
        cures: [{ say: message('site.ground-unknown.cure') }],
      }
    : null;

const tooFar: SiteRule = (c) => {
  const { limitM, farthestM, farthestS } = c.site.sight;
  if (farthestM <= limitM) return null;
  return {
    code: 'site.sight-limit',
    severity: 'care',
    subject: onSiteShot(c),
    say: message('site.sight-limit.say', {
      farthest2: measured(farthestM, 'metres'),
      farthest: at(farthestS),
      limit: measured(limitM, 'metres'),
    }),
    why: message('site.sight-limit.why'),
    cures: [{ say: message('site.sight-limit.cure') }],
  };
};

const hidden: SiteRule = (c) => {
  const [first] = c.site.sight.hidden;
  if (!first) return null;
  const seconds = c.site.sight.hidden.reduce((sum, h) => sum + h.toS - h.fromS, 0);
  return {
    code: 'site.hidden',
    severity: 'care',
    subject: onSiteShot(c),
    say: message('site.hidden.say', {
      by: first.by,
      max: measured(Math.max(1, seconds), 'seconds', 0),
      from: at(first.fromS),
    }),
    why: message('site.hidden.why'),
    cures: [{ say: message('site.hidden.cure') }],
  };
};

/** What is said of a zone that is met, by its kind; what is not here is dealt with elsewhere. */
const ZONE_WORDS: Partial<
  Record<
    Feature['kind'],
    (c: SiteContext, f: Feature, meet: ZoneMeet, stale: boolean) => Omit<Warning, 'code' | 'subject'> | null
  >
> = {
  'no-fly': (_c, f, meet, stale) => ({
    severity: 'stop',
    say: message('site.zone.say', { zone: featureName(f), meet: when(meet) }),
    why: message('site.zone.why', {
      isStale: yesNo(Boolean(stale)),
      until: onDay(f.until),
      note: noted(f),
    }),
    cures: [{ say: message('site.zone.cure') }],
  }),
  permission: (_c, f, meet, stale) =>
    f.granted && !stale
      ? null
      : {
          severity: f.granted ? 'care' : 'stop',
          say: message('site.zone.say.2', {
            zone: featureName(f),
            meet: when(meet),
            isGranted: yesNo(Boolean(f.granted)),
            until: onDay(f.until),
          }),
          why: message('site.zone.why.2', { note: noted(f) }),
          cures: [{ say: message('site.zone.cure.2') }],
        },
  people: (_, f, meet) => nearBeings(f, meet, 'stop'),
  animals: (_, f, meet) => nearBeings(f, meet, 'care'),
};

const when = (meet: ZoneMeet): Message =>
  meet.onWayHome ? message('site.on-way-home') : message('site.from', { time: at(meet.fromS) });
const noted = (f: Feature): MessageValue => (f.source ? message('site.noted', { source: f.source }) : '');
const nearBeings = (f: Feature, meet: ZoneMeet, severity: 'stop' | 'care') => ({
  severity,
  say: message('site.near-beings.say', {
    isNear: yesNo(meet.nearM <= 0),
    near: measured(meet.nearM, 'metres'),
    zone: featureName(f),
    meet: when(meet),
  }),
  why: message('site.near-beings.why', { keep: measured(f.keepM, 'metres'), note: noted(f) }),
  cures: [{ say: message('site.near-beings.cure') }],
});

const zoneWarning = (c: SiteContext, meet: ZoneMeet): Warning | null => {
  const f = c.scene.features.find((x) => x.id === meet.featureId);
  const finding = f && ZONE_WORDS[f.kind]?.(c, f, meet, f.until !== '' && f.until < c.scene.location.date);
  return finding ? { code: `site.${f.kind}`, subject: onSiteShot(c), ...finding } : null;
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
    subject: onSiteShot(c),
    say: message('site.water.say', {
      overWater: measured(overWaterS, 'seconds', 0),
      isPlanB: yesNo(planBM === null),
      planB: measured(planBM ?? NaN, 'metres'),
    }),
    why: message('site.water.why'),
    cures: [{ say: message('site.water.cure') }],
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
      subject: onSiteShot(c),
      say: message('site.return-shut.say', {
        need: measured(need, 'metres'),
        by: home.by,
        most: measured(home.mostM, 'metres'),
      }),
      why: message('site.return-shut.why'),
      cures: [{ say: message('site.return-shut.cure') }],
    };
  if (set < need)
    return {
      code: 'site.return-height',
      severity: 'stop',
      subject: onSiteShot(c),
      say: message('site.return-height.say', {
        set: measured(set, 'metres'),
        returnMargin: measured(set - (home.needM - film.preferences.returnMarginM), 'metres'),
        by: home.by,
        need: measured(need, 'metres'),
      }),
      why: message('site.return-height.why', {
        corridor: measured(film.preferences.corridorM, 'metres'),
        returnMargin: measured(film.preferences.returnMarginM, 'metres'),
      }),
      cures: [
        {
          say: message('site.return-height.cure', { need: measured(need, 'metres') }),
          set: { entity: 'location', id: location.id, fields: { returnHeightM: need } },
        },
      ],
    };
  if (set > home.mostM)
    return {
      code: 'site.return-ceiling',
      severity: 'care',
      subject: onSiteShot(c),
      say: message('site.return-ceiling.say', {
        set: measured(set, 'metres'),
        most: measured(set - home.mostM, 'metres'),
      }),
      why: message('site.return-ceiling.why'),
      cures:
        need <= home.mostM
          ? [
              {
                say: message('site.return-ceiling.cure', {
                  most: measured(Math.floor(home.mostM), 'metres'),
                }),
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
    subject: onSiteShot(c),
    say: message('site.loss.say', { chosen, meets: meets[chosen] }),
    why: message('site.loss.why', { why, advice: capital(advice) }),
    cures: [
      {
        say: message('site.loss.cure', { advice }),
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
  blindSide,
  chooseSensing,
  nearLeaves,
  underCover,
  gapDrift,
];

export const siteWarnings = (context: SiteContext): Warning[] =>
  SITE_RULES.flatMap((rule) => {
    const warnings = rule(context);
    return warnings === null ? [] : Array.isArray(warnings) ? (warnings as Warning[]) : [warnings as Warning];
  });
