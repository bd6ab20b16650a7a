import { measured, message, messageKey, yesNo, type Message } from '../messages';
import { clockText } from '../time';
import { bySeverity, type Warning } from '../warnings';
import { sheetOf } from './sheet';
import type { Context } from './types';

/** What what is written here comes to. It never says that a flight is allowed or safe: the pilot decides, under the local rule. */
export type Go = 'go' | 'wait' | 'no-go';

export interface GoFigure {
  readonly go: Go;
  readonly reasons: readonly { readonly weight: Go; readonly say: Message }[];
}

type Reason = GoFigure['reasons'][number];
const RANK: Readonly<Record<Go, number>> = { 'no-go': 0, wait: 1, go: 2 };

const clock = (c: Context): Reason[] => {
  const { windowFromMs, windowToMs, location } = c.place;
  if (!Number.isFinite(windowFromMs)) return [{ weight: 'no-go', say: message('check.clock.say') }];
  if (c.nowMs > windowToMs)
    return [
      {
        weight: 'no-go',
        say: message('check.clock.say.2', { windowTo: clockText(windowToMs, location.zone) }),
      },
    ];
  const opens = c.flight ? Math.max(windowFromMs, c.flight.startMs) : windowFromMs;
  return c.nowMs < opens
    ? [
        {
          weight: 'wait',
          say: message('check.clock.say.3', {
            isFlight: yesNo(Boolean(c.flight)),
            opens: clockText(opens, location.zone),
          }),
        },
      ]
    : [];
};

const grave = (warnings: readonly Warning[]): Reason[] =>
  bySeverity(warnings)
    .filter((w) => w.severity === 'stop')
    .map((w) => ({ weight: 'no-go', say: w.say }));

const lines = (c: Context): Reason[] =>
  sheetOf('launch-point', c, c.flight !== null).lines.flatMap((l): Reason[] => {
    const say = l.result?.say ?? l.prompt;
    if (l.status === 'failed') return [{ weight: l.safety ? 'no-go' : 'wait', say }];
    if (l.status === 'open' && l.safety)
      return [{ weight: 'wait', say: message('check.lines.say', { asks: l.prompt }) }];
    return l.status === 'care' && l.safety ? [{ weight: 'wait', say }] : [];
  });

const figure = (reasons: readonly Reason[]): GoFigure => {
  const sorted = [...reasons]
    .sort((a, b) => RANK[a.weight] - RANK[b.weight])
    .filter((r, i, all) => all.findIndex((x) => messageKey(x.say) === messageKey(r.say)) === i);
  return { go: sorted[0]?.weight ?? 'go', reasons: sorted };
};

/** A place as a whole: its window, its site, its sheet at the launch point. */
export const goOfPlace = (c: Context): GoFigure => {
  const at = { ...c, flight: null, shot: null };
  return figure([
    ...clock(at),
    ...grave([
      ...(c.derived.locationWarnings.get(c.place.location.id) ?? []),
      ...(c.site?.filter((w) => w.subject.kind === 'location') ?? []),
    ]),
    ...lines(at),
  ]);
};

/** A flight: what its shots are warned of, its pack, its card, the sheet at the launch point. */
export const goOfFlight = (c: Context): GoFigure => {
  if (!c.flight) return figure([]);
  const ids = new Set(c.flight.stops.map((s) => s.shotId));
  const own = [...ids].flatMap((id) => c.derived.shots.get(id)?.warnings ?? []);
  const site = (c.site ?? []).filter((w) => w.subject.kind === 'shot' && ids.has(w.subject.id));
  const over =
    c.flight.overWh > 0
      ? [
          {
            weight: 'no-go' as const,
            say: message('check.go-of-flight.say', { over: measured(c.flight.overWh, 'wattHours', 1) }),
          },
        ]
      : [];
  return figure([...clock(c), ...over, ...grave([...own, ...site]), ...lines({ ...c, shot: null })]);
};
