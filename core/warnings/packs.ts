import { packFaults, calibrationOf } from '../energy';
import type { Kit, FilmInput } from '../model';
import type { Warning } from './types';
import { contradiction, beforePairs } from '../day';
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
      ? `Flight ${worst.n} has no pack: the one it was given is not along.`
      : `Flight ${worst.n} asks for ${worst.f.overWh.toFixed(1)} Wh more than its pack may give${over.length > 1 ? `; ${over.length - 1} more flights ask too much` : ''}.`,
    why: 'It was laid down so; the reserve is never planned into.',
    cures: [{ say: 'Take a shot out of it, give it another pack, or have the day planned anew.' }],
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
        say: `Flight${wrong.length > 1 ? 's' : ''} ${wrong.map((w) => w.n).join(', ')}: the pack does not fit the aircraft.`,
        why: 'It was laid down so, or the pack was entered for another aircraft since.',
        cures: [{ say: 'Give it another pack, or look at what the pack fits in the kit.' }],
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
        say: `${pack.name}: ${faults.join('; ')}. Retire it.`,
        why: hurt
          ? 'It is not planned with. Do not charge or fly it; store it outside, away from anything that burns, and hand it in as the local rule says.'
          : 'Weak cells sag without warning under load; land it early and do not count on it.',
        cures: [
          { say: `Retire ${pack.name}.`, set: { entity: 'pack', id: pack.id, fields: { retired: true } } },
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
      say: `These cannot all have their turn: ${ring.map((s) => `\u201c${s?.title || 'untitled'}\u201d`).join(' before ')} before the first again.`,
      why: 'Each is wanted before the next; no order has that, and nothing is planned until it is resolved.',
      cures: ring.flatMap((s) =>
        s
          ? [
              {
                say: `Let \u201c${s.title || 'untitled'}\u201d come whenever it suits.`,
                set: { entity: 'shot' as const, id: s.id, fields: { turn: 'any', afterId: null } },
              },
            ]
          : [],
      ),
    },
  ];
};
