import { measured, message, plainText, type Message } from '../messages';
import { lifeOf } from '../cards';
import type { DerivedFilm } from '../film';
import type { FilmInput } from '../model';
import type { LocationPlan, TimedFlight } from '../day';
import { takeOffMass } from '../payload';

export const BAG_GROUPS = ['aircraft', 'packs', 'cards', 'filters', 'power', 'other'] as const;
export type BagGroup = (typeof BAG_GROUPS)[number];

/** Something that belongs into the bag. */
export interface BagItem {
  readonly id: string;
  readonly group: BagGroup;
  readonly name: Message;
  readonly why: Message;
  readonly count: number;
  /** Of all of them, g; 0 where nobody weighed it. */
  readonly massG: number;
  /** Why it is not there; null where it is. */
  readonly missing: Message | null;
}

export interface Bag {
  readonly items: readonly BagItem[];
  readonly massG: number;
  readonly missing: number;
  /** Things nobody weighed. */ readonly unweighed: number;
}

interface Need {
  readonly input: FilmInput;
  readonly whole: FilmInput['kit'];
  readonly derived: DerivedFilm;
  readonly flights: readonly TimedFlight[];
  readonly places: readonly LocationPlan[];
}

/** A card, a filter: weighed by nobody, known well enough. g */
const CARD_G = 2;

const item = (
  id: string,
  group: BagGroup,
  name: string | Message,
  why: Message,
  more: Partial<BagItem> = {},
): BagItem => ({
  id,
  group,
  name: typeof name === 'string' ? plainText(name) : name,
  why,
  count: 1,
  massG: 0,
  missing: null,
  ...more,
});
const lack = (id: string, group: BagGroup, name: Message, why: Message, missing: Message): BagItem =>
  item(id, group, name, why, { count: 0, missing });

/** Out of the kit that is owned: retired, left at home on this film, or not there. */
const homeFault = (need: Need, thing: { readonly id: string; readonly retired: boolean }): Message | null =>
  thing.retired
    ? message('bag.retired')
    : need.input.film.leftHome.includes(thing.id)
      ? message('bag.left-home')
      : null;

const aircraftItems = (need: Need): BagItem[] =>
  need.whole.aircraft
    .filter((a) => need.flights.some((f) => f.aircraftId === a.id))
    .map((a) => {
      const flights = need.flights.filter((f) => f.aircraftId === a.id).length;
      // Packs are weighed by themselves.
      const bare = takeOffMass(a, null, null, []).totalG - a.usualPackG;
      return item(a.id, 'aircraft', a.name, message('bag.flights', { flights }), {
        massG: Math.max(0, bare),
        missing: homeFault(need, a),
      });
    });

const packItems = (need: Need): BagItem[] => {
  const used = new Set(need.flights.map((f) => f.packId));
  const flown = need.whole.packs
    .filter((p) => used.has(p.id))
    .map((p) =>
      item(
        p.id,
        'packs',
        p.name,
        message('bag.flights', { flights: need.flights.filter((f) => f.packId === p.id).length }),
        { massG: p.massG, missing: homeFault(need, p) },
      ),
    );
  const spare = aircraftItems(need).flatMap((a): BagItem[] => {
    const left = need.input.kit.packs
      .filter((p) => p.aircraftIds.includes(a.id) && !used.has(p.id) && p.condition === 'sound')
      .sort((x, y) => y.charge * y.health - x.charge * x.health)[0];
    return [
      left
        ? item(left.id, 'packs', left.name, message('bag.spare-for', { aircraft: a.name }), {
            massG: left.massG,
          })
        : lack(
            `spare-${a.id}`,
            'packs',
            message('bag.spare-pack', { aircraft: a.name }),
            message('bag.spare-pack.why'),
            message('bag.spare-pack.missing'),
          ),
    ];
  });
  return [...flown, ...spare];
};

const cardItems = (need: Need): BagItem[] => {
  const placeIds = new Set(need.places.map((p) => p.location.id));
  const loads = need.derived.budget.cards.byFlight.filter((l) => placeIds.has(l.flight.locationId));
  const used = new Set(loads.map((l) => l.cardId));
  const spotFault = (id: string): Message | null => {
    const card = need.whole.cards.find((c) => c.id === id);
    const life = card && lifeOf(card, need.whole.cardMoves);
    return life && (life.spot === 'computer' || life.spot === 'reader')
      ? message('bag.spot', { spot: life.spot })
      : null;
  };
  const mine = need.whole.cards
    .filter((c) => used.has(c.id))
    .map((c) =>
      item(
        c.id,
        'cards',
        c.name,
        message('bag.card-planned', {
          footage: measured(
            loads.filter((l) => l.cardId === c.id).reduce((sum, l) => sum + l.bytes, 0) / 1e9,
            'gigabytes',
            1,
          ),
        }),
        { massG: CARD_G, missing: homeFault(need, c) ?? spotFault(c.id) },
      ),
    );
  const left = need.input.kit.cards.find((c) => !used.has(c.id) && spotFault(c.id) === null);
  return [
    ...mine,
    left
      ? item(left.id, 'cards', left.name, message('bag.spare'), { massG: CARD_G })
      : lack(
          'spare-card',
          'cards',
          message('bag.spare-card'),
          message('bag.spare-card.why'),
          message('bag.spare-card.missing'),
        ),
  ];
};

const filterItems = (need: Need): BagItem[] => {
  const used = new Map<string, number>();
  for (const f of need.flights)
    for (const s of f.stops) {
      const id = need.derived.shots.get(s.shotId)?.filter?.filterId;
      if (id) used.set(id, (used.get(id) ?? 0) + 1);
    }
  return need.whole.filters
    .filter((f) => used.has(f.id))
    .map((f) => {
      const n = used.get(f.id) ?? 0;
      return item(f.id, 'filters', f.name, message('bag.shots', { n }), {
        massG: f.massG,
        missing: homeFault(need, f),
      });
    });
};

const powerItems = (need: Need): BagItem[] => {
  const dates = [...new Set(need.places.map((p) => p.location.date))];
  const runs = dates.flatMap((d) => need.derived.charges.get(d) ?? []);
  const wall = need.places.some((p) => p.location.wallPower);
  const craft = new Set(need.flights.map((f) => f.aircraftId));
  const chargers = need.input.kit.chargers.filter(
    (c) =>
      runs.some((r) => r.chargerId === c.id) ||
      (dates.length > 1 && (c.aircraftIds.length === 0 || c.aircraftIds.some((a) => craft.has(a)))),
  );
  return [
    ...chargers.map((c) =>
      item(
        c.id,
        'power',
        c.name,
        runs.some((r) => r.chargerId === c.id)
          ? c.source === 'wall' && !wall
            ? message('bag.charges-socket')
            : message('bag.charges')
          : message('bag.charges-evening'),
        { massG: c.massG },
      ),
    ),
    ...need.input.kit.devices.map((d) =>
      item(d.id, 'power', d.name, message('bag.device'), { massG: d.massG }),
    ),
    ...(need.input.kit.devices.some((d) => d.role === 'controller') || need.flights.length === 0
      ? []
      : [
          lack(
            'controller',
            'power',
            message('bag.controller'),
            message('bag.controller.why'),
            message('bag.controller.missing'),
          ),
        ]),
  ];
};

/** What is always along, whatever is planned. */
const ALWAYS: readonly {
  readonly role: FilmInput['kit']['gear'][number]['role'];
  readonly name: Message;
  readonly why: Message;
}[] = [
  { role: 'reader', name: message('bag.always.reader'), why: message('bag.always.reader.why') },
  {
    role: 'landing-pad',
    name: message('bag.always.landing-pad'),
    why: message('bag.always.landing-pad.why'),
  },
  { role: 'case', name: message('bag.always.case'), why: message('bag.always.case.why') },
];

const ROLE_WHY: Readonly<Record<FilmInput['kit']['gear'][number]['role'], Message>> = {
  reader: message('bag.role.reader'),
  cable: message('bag.role.cable'),
  'landing-pad': message('bag.role.landing-pad'),
  propellers: message('bag.role.propellers'),
  guards: message('bag.role.guards'),
  case: message('bag.role.case'),
  tool: message('bag.role.tool'),
  other: message('bag.role.other'),
};

const gearItems = (need: Need): BagItem[] => {
  const { gear } = need.input.kit;
  const craft = need.whole.aircraft.filter((a) => need.flights.some((f) => f.aircraftId === a.id));
  const fits = (g: (typeof gear)[number], id: string): boolean =>
    g.count > 0 && (g.aircraftIds.length === 0 || g.aircraftIds.includes(id));
  const propellers = craft.flatMap((a): BagItem[] =>
    gear.some((g) => g.role === 'propellers' && fits(g, a.id))
      ? []
      : [
          lack(
            `props-${a.id}`,
            'other',
            message('bag.spare-propellers', { aircraft: a.name }),
            message('bag.role.propellers'),
            message('bag.spare-propellers.missing'),
          ),
        ],
  );
  const wanted = gear.filter(
    (g) => g.count > 0 && (g.aircraftIds.length === 0 || craft.some((a) => g.aircraftIds.includes(a.id))),
  );
  const always =
    need.flights.length === 0
      ? []
      : ALWAYS.filter((x) => !gear.some((g) => g.role === x.role && g.count > 0)).map((x) =>
          lack(x.role, 'other', x.name, x.why, message('bag.always.missing')),
        );
  return [
    ...wanted.map((g) =>
      item(g.id, 'other', g.name, ROLE_WHY[g.role], { count: g.count, massG: g.massG * g.count }),
    ),
    ...propellers,
    ...always,
  ];
};

/**
 * The bag for some places, worked out from the plan: what its flights use, one pack and one card more than planned, spare
 * propellers for each aircraft, and what is always along.
 * @param input with the kit that comes along @param whole the kit as owned, retired and left at home included
 */
export const bagOf = (
  input: FilmInput,
  whole: FilmInput['kit'],
  derived: DerivedFilm,
  places: readonly LocationPlan[],
): Bag => {
  const need: Need = { input, whole, derived, places, flights: places.flatMap((p) => [...p.flights]) };
  const items = [
    ...aircraftItems(need),
    ...packItems(need),
    ...cardItems(need),
    ...filterItems(need),
    ...powerItems(need),
    ...gearItems(need),
  ];
  return {
    items,
    massG: items.filter((i) => i.missing === null).reduce((sum, i) => sum + i.massG, 0),
    missing: items.filter((i) => i.missing !== null).length,
    unweighed: items.filter((i) => i.missing === null && i.massG === 0).length,
  };
};
