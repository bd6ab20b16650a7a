import { lifeOf } from '../cards';
import type { DerivedFilm } from '../film';
import type { FilmInput } from '../model';
import type { LocationPlan, TimedFlight } from '../day';
import { takeOffMass } from '../payload';
import { counted } from '../units';

export const BAG_GROUPS = ['aircraft', 'packs', 'cards', 'filters', 'power', 'other'] as const;
export type BagGroup = (typeof BAG_GROUPS)[number];

/** Something that belongs into the bag. */
export interface BagItem {
  readonly id: string;
  readonly group: BagGroup;
  readonly name: string;
  readonly why: string;
  readonly count: number;
  /** Of all of them, g; 0 where nobody weighed it. */
  readonly massG: number;
  /** Why it is not there; empty where it is. */
  readonly missing: string;
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
  name: string,
  why: string,
  more: Partial<BagItem> = {},
): BagItem => ({ id, group, name, why, count: 1, massG: 0, missing: '', ...more });
const lack = (id: string, group: BagGroup, name: string, why: string, missing: string): BagItem =>
  item(id, group, name, why, { count: 0, missing });

/** Out of the kit that is owned: retired, left at home on this film, or not there. */
const homeFault = (need: Need, thing: { readonly id: string; readonly retired: boolean }): string =>
  thing.retired
    ? 'It is retired.'
    : need.input.film.leftHome.includes(thing.id)
      ? 'It is left at home on this film.'
      : '';

const aircraftItems = (need: Need): BagItem[] =>
  need.whole.aircraft
    .filter((a) => need.flights.some((f) => f.aircraftId === a.id))
    .map((a) => {
      const flights = need.flights.filter((f) => f.aircraftId === a.id).length;
      // Packs are weighed by themselves.
      const bare = takeOffMass(a, null, null, []).totalG - a.usualPackG;
      return item(a.id, 'aircraft', a.name, counted(flights, 'flight'), {
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
        `${need.flights.filter((f) => f.packId === p.id).length} flights`.replace(/^1 flights/, '1 flight'),
        { massG: p.massG, missing: homeFault(need, p) },
      ),
    );
  const spare = aircraftItems(need).flatMap((a): BagItem[] => {
    const left = need.input.kit.packs
      .filter((p) => p.aircraftIds.includes(a.id) && !used.has(p.id) && p.condition === 'sound')
      .sort((x, y) => y.charge * y.health - x.charge * x.health)[0];
    return [
      left
        ? item(left.id, 'packs', left.name, `Spare for ${a.name}`, { massG: left.massG })
        : lack(
            `spare-${a.id}`,
            'packs',
            `Spare pack for ${a.name}`,
            'One more than planned, for luck and for the cold',
            'No further pack of it is sound and along.',
          ),
    ];
  });
  return [...flown, ...spare];
};

const cardItems = (need: Need): BagItem[] => {
  const placeIds = new Set(need.places.map((p) => p.location.id));
  const loads = need.derived.budget.cards.byFlight.filter((l) => placeIds.has(l.flight.locationId));
  const used = new Set(loads.map((l) => l.cardId));
  const spotFault = (id: string): string => {
    const card = need.whole.cards.find((c) => c.id === id);
    const life = card && lifeOf(card, need.whole.cardMoves);
    return life && (life.spot === 'computer' || life.spot === 'reader') ? `It is in the ${life.spot}.` : '';
  };
  const mine = need.whole.cards
    .filter((c) => used.has(c.id))
    .map((c) =>
      item(
        c.id,
        'cards',
        c.name,
        `${(loads.filter((l) => l.cardId === c.id).reduce((sum, l) => sum + l.bytes, 0) / 1e9).toFixed(1)} GB planned`,
        { massG: CARD_G, missing: homeFault(need, c) || spotFault(c.id) },
      ),
    );
  const left = need.input.kit.cards.find((c) => !used.has(c.id) && spotFault(c.id) === '');
  return [
    ...mine,
    left
      ? item(left.id, 'cards', left.name, 'Spare', { massG: CARD_G })
      : lack('spare-card', 'cards', 'Spare card', 'One more than planned', 'No further card is along.'),
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
      return item(f.id, 'filters', f.name, counted(n, 'slate'), {
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
          ? `Charges between flights${c.source === 'wall' && !wall ? ', where there is a socket' : ''}`
          : 'For the evening between the days',
        { massG: c.massG },
      ),
    ),
    ...need.input.kit.devices.map((d) =>
      item(d.id, 'power', d.name, 'Full the evening before', { massG: d.massG }),
    ),
    ...(need.input.kit.devices.some((d) => d.role === 'controller') || need.flights.length === 0
      ? []
      : [lack('controller', 'power', 'Controller', 'Nothing flies without', 'No controller is in the kit.')]),
  ];
};

/** What is always along, whatever is planned. */
const ALWAYS: readonly {
  readonly role: FilmInput['kit']['gear'][number]['role'];
  readonly name: string;
  readonly why: string;
}[] = [
  { role: 'reader', name: 'Card reader', why: 'Footage is copied in the evening' },
  { role: 'landing-pad', name: 'Landing pad', why: 'Dust and grass stay out of motors' },
  { role: 'case', name: 'Card case', why: 'Cards with footage have one place' },
];

const ROLE_WHY: Readonly<Record<FilmInput['kit']['gear'][number]['role'], string>> = {
  reader: 'Copies in the evening',
  cable: 'For charger, reader and firmware',
  'landing-pad': 'Keeps dust and grass out',
  propellers: 'A nick ends the day',
  guards: 'For close work',
  case: 'One place for each thing',
  tool: 'For propellers and screws',
  other: 'Always along',
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
            `Spare propellers for ${a.name}`,
            'A nick ends the day',
            'None are in the kit.',
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
          lack(x.role, 'other', x.name, x.why, 'None is in the kit.'),
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
    massG: items.filter((i) => i.missing === '').reduce((sum, i) => sum + i.massG, 0),
    missing: items.filter((i) => i.missing !== '').length,
    unweighed: items.filter((i) => i.missing === '' && i.massG === 0).length,
  };
};
