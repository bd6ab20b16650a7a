import { isZone } from '../time';
import { crossesItself } from '../geometry';
import type { EntityKind } from './kinds';

interface Fault {
  readonly path: string;
  readonly say: string;
}
type Check = (value: Readonly<Record<string, unknown>>) => Fault[];

const percent = (share: unknown): string => `${Math.round(Number(share) * 100)} %`;
const inCalendar = (date: string): boolean => new Date(`${date}T00:00:00Z`).toJSON()?.slice(0, 10) === date;

const place: Check = ({ zone, date }) => [
  ...(typeof zone === 'string' && !isZone(zone)
    ? [
        {
          path: '/zone',
          say: `“${zone.slice(0, 60)}” is not a time zone known here; try one such as Europe/Madrid.`,
        },
      ]
    : []),
  ...(typeof date === 'string' && !inCalendar(date)
    ? [{ path: '/date', say: 'That date is not in the calendar.' }]
    : []),
];

const FEWEST = { point: 1, line: 2, area: 3 } as const;

const feature: Check = ({ shape, points, until }) => {
  const spots = (points as { xM: number; yM: number }[]).map((p) => ({ x: p.xM, y: p.yM }));
  const fewest = FEWEST[shape as keyof typeof FEWEST];
  if (spots.length < fewest || (shape === 'point' && spots.length > 1))
    return [
      {
        path: '/points',
        say:
          shape === 'point'
            ? 'A point has one place.'
            : `A${shape === 'area' ? 'n area needs three corners' : ' line needs two places'} at least.`,
      },
    ];
  if (shape === 'area' && crossesItself(spots))
    return [
      {
        path: '/points',
        say: 'The outline crosses itself: it has no clear inside. Move a corner so that no two sides cross.',
      },
    ];
  return typeof until === 'string' && until !== '' && !inCalendar(until)
    ? [{ path: '/until', say: 'That date is not in the calendar.' }]
    : [];
};

interface Range {
  readonly name?: string;
  readonly isoBase: number;
  readonly isoCeiling: number;
}
const reversedIso = (range: Range, path: string): Fault[] =>
  range.isoCeiling < range.isoBase
    ? [
        {
          path,
          say: `The ISO range of ${range.name ?? 'a camera'} runs backwards: its ceiling is under its base.`,
        },
      ]
    : [];

const dateFault = (path: string, date: unknown): Fault[] =>
  typeof date === 'string' && !inCalendar(date) ? [{ path, say: 'That date is not in the calendar.' }] : [];

const aircraft: Check = ({ cameras, firmwareOn, insuredUntil }) => [
  ...dateFault('/firmwareOn', firmwareOn),
  ...dateFault('/insuredUntil', insuredUntil),
  ...((cameras ?? []) as (Range & { profiles: Range[]; sharpFromF: number; sharpToF: number })[]).flatMap(
    (c) => [
      ...reversedIso(c, '/cameras'),
      ...c.profiles.flatMap((p) => reversedIso(p, '/cameras')),
      ...(c.sharpToF < c.sharpFromF ? [{ path: '/cameras', say: 'The sharp f-numbers run backwards.' }] : []),
    ],
  ),
];

const filter: Check = ({ kind, factor, strongest }) =>
  kind === 'variable' && Number(strongest) <= Number(factor)
    ? [{ path: '/strongest', say: 'A variable filter is stronger at its strongest than at its weakest.' }]
    : [];

const pack: Check = ({ chargedOn, firmwareOn }) => [
  ...dateFault('/chargedOn', chargedOn),
  ...dateFault('/firmwareOn', firmwareOn),
];

const device: Check = ({ firmwareOn }) => dateFault('/firmwareOn', firmwareOn);

const answer: Check = ({ verdict, reason }) =>
  verdict === 'waived' && String(reason ?? '').trim() === ''
    ? [{ path: '/reason', say: 'Say why it is waived: the log keeps the reason.' }]
    : [];

const check: Check = ({ builtIn, moment, name }) =>
  builtIn === '' && String(name ?? '').trim() === '' && moment
    ? [{ path: '/name', say: 'Say what is to be looked at.' }]
    : [];

const flightLogEntry: Check = ({ startShare, endShare }) =>
  Number(endShare) > Number(startShare)
    ? [
        {
          path: '/endShare',
          say: `It cannot land with ${percent(endShare)} after taking off with ${percent(startShare)}: look at both again.`,
        },
      ]
    : [];

const charger: Check = ({ source, sourceWh }) =>
  source === 'bank' && !(Number(sourceWh) > 0)
    ? [{ path: '/sourceWh', say: 'A power bank without watt-hours charges nothing: enter what it holds.' }]
    : [];

const BEYOND: Partial<Record<EntityKind, Check>> = {
  location: place,
  feature,
  aircraft,
  filter,
  pack,
  flightLogEntry,
  charger,
  device,
  answer,
  check,
};

/** What a schema cannot say, checked on both sides: a zone this machine knows, a date that exists, an outline with an inside. */
export const validateSemantics = (kind: EntityKind, value: unknown): Fault[] =>
  BEYOND[kind]?.(value as Record<string, unknown>) ?? [];
