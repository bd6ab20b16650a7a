import { listed, measured, message, type Message } from '../messages';
import { packFaults, calibrationOf } from '../energy';
import type { Kit, FilmInput } from '../model';
import type { Warning } from './types';
import { contradiction, beforePairs } from '../day';
import { titleOr } from '../shot';
import type { LocationRule } from './context';

/** Flights a person laid down that ask more of their pack than it may give. */
export const overPacks: LocationRule = ({ flights, location }) => {
  const over = flights.map((f, i) => ({ f, n: i + 1 })).filter(({ f }) => f.overWh > 0);
  const [worst] = [...over].sort((a, b) => b.f.overWh - a.f.overWh);
  if (!worst) return null;
  const gone = worst.f.supply.fullWh === 0;
  return {
    code: 'flight.over',
    severity: 'stop',
    subject: { kind: 'location', id: location.id },
    say: gone
      ? message('flight.over.say', { n: worst.n })
      : message('flight.over.say.else', {
          n: worst.n,
          over: measured(worst.f.overWh, 'wattHours', 1),
          over2: over.length,
          over3: over.length - 1,
        }),
    why: message('flight.over.why'),
    cures: [{ say: message('flight.over.cure') }],
  };
};

/** Flights a person laid down on a pack of another aircraft. */
export const misfitPacks: LocationRule = ({ flights, location }) => {
  const wrong = flights
    .map((f, i) => ({ f, n: i + 1 }))
    .filter(({ f }) => f.supply.fullWh > 0 && !f.supply.aircraftIds.includes(f.aircraftId));
  return wrong.length === 0
    ? null
    : {
        code: 'flight.misfit',
        severity: 'stop',
        subject: { kind: 'location', id: location.id },
        say: message('flight.misfit.say', { wrong: wrong.length, join: wrong.map((w) => w.n).join(', ') }),
        why: message('flight.misfit.why'),
        cures: [{ say: message('flight.misfit.cure') }],
      };
};

/** Packs that should be retired, with what speaks against them. */
export const failingPacks = (kit: Kit): Warning[] =>
  kit.packs.flatMap((pack): Warning[] => {
    const faults = packFaults(pack, calibrationOf(kit));
    if (faults.length === 0) return [];
    const hurt = pack.condition === 'swollen' || pack.condition === 'damaged';
    return [
      {
        code: 'pack.failing',
        severity: hurt ? 'stop' : 'care',
        subject: { kind: 'pack', id: pack.id },
        say: message('pack.failing.say', { pack: pack.name, faults: listed(faults) }),
        why: hurt ? message('pack.failing.why') : message('pack.failing.why.else'),
        cures: [
          {
            say: message('pack.failing.cure', { pack: pack.name }),
            set: { entity: 'pack', id: pack.id, fields: { retired: true } },
          },
        ],
      },
    ];
  });

/** Turns that contradict each other, by name. */
export const contradictingTurns = ({ shots }: FilmInput): Warning[] => {
  if (!shots.some((s) => s.turn !== 'any' || s.afterId !== null)) return [];
  const ring = contradiction(beforePairs(shots)).map((id) => shots.find((s) => s.id === id));
  const [first] = ring;
  if (!first) return [];
  return [
    {
      code: 'flight.turns',
      severity: 'stop',
      subject: { kind: 'film' },
      say: message('flight.turns.say', {
        join:
          ring.reduceRight<Message | null>(
            (rest, s) =>
              rest
                ? message('flight.turns.before', { title: titleOr(s?.title ?? ''), rest })
                : message('flight.turns.last', { title: titleOr(s?.title ?? '') }),
            null,
          ) ?? '',
      }),
      why: message('flight.turns.why'),
      cures: ring.flatMap((s) =>
        s
          ? [
              {
                say: message('flight.turns.cure', { title: titleOr(s.title) }),
                set: { entity: 'shot' as const, id: s.id, fields: { turn: 'any', afterId: null } },
              },
            ]
          : [],
      ),
    },
  ];
};
