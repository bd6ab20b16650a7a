import { atRiskGB, lifeOf, offload, PLAIN_READER_MBS, type CardLife, type ToCopy } from '../../cards';
import type { FlightLoad } from '../../day';
import type { Card } from '../../model';
import { dateIn } from '../../time';
import { care, fail, pass, some, type Check, type Context } from '../types';

export interface LivingCard {
  readonly card: Card;
  readonly life: CardLife;
}

/** Cards of the kit as they stand. */
export const livingCards = (c: Pick<Context, 'input'>): LivingCard[] =>
  c.input.kit.cards.map((card) => ({ card, life: lifeOf(card, c.input.kit.cardMoves) }));

const loads = (c: Context): FlightLoad[] => {
  const ids = new Set(c.places.map((p) => p.location.id));
  return c.derived.budget.cards.byFlight.filter((f) => ids.has(f.flight.locationId));
};
const planned = (c: Context): LivingCard[] => {
  const ids = new Set(loads(c).map((l) => l.cardId));
  return livingCards(c).filter(({ card }) => ids.has(card.id));
};
const loadOf = (c: Context): FlightLoad | undefined =>
  c.derived.budget.cards.byFlight.find(
    (l) =>
      l.flight === c.flight ||
      (c.flight !== null &&
        l.flight.locationId === c.flight.locationId &&
        l.flight.startMs === c.flight.startMs &&
        l.flight.packId === c.flight.packId),
  );
const nameOf = (c: Context, id: string | null | undefined): string =>
  c.input.kit.cards.find((x) => x.id === id)?.name ?? 'the card';

/** MB/s of the fastest reader that comes along. */
export const readerMBs = (c: Pick<Context, 'input'>): number =>
  Math.max(
    ...c.input.kit.gear.filter((g) => g.role === 'reader' && g.readMBs > 0).map((g) => g.readMBs),
    0,
  ) || PLAIN_READER_MBS;

/** What has to be copied in the evening of a day: what is on the cards now, and what the plan will put on them. */
export const toCopy = (c: Context): ToCopy[] => {
  const now = livingCards(c).map(({ card, life }): ToCopy => ({
    cardId: card.id,
    bytes: life.usedGB * 1e9,
    copies: life.copies,
  }));
  const open = loads(c).filter((l) => !l.flight.stops.every((s) => c.derived.done.has(s.shotId)));
  return now.map((t) => {
    const more = open.filter((l) => l.cardId === t.cardId).reduce((sum, l) => sum + l.bytes, 0);
    return more > 0 ? { ...t, bytes: t.bytes + more, copies: 0 } : t;
  });
};

const here: Check = {
  code: 'cards-here',
  moment: 'evening-before',
  scope: 'day',
  safety: true,
  asks: 'Every card of the day is out of reader and computer.',
  protects: 'A card left in the computer, far from any shop.',
  look: (c) => {
    const cards = planned(c);
    if (cards.length === 0) return null;
    const left = cards.filter(({ life }) => life.spot === 'computer' || life.spot === 'reader');
    return left.length > 0
      ? fail(`${some(left.map(({ card, life }) => `${card.name} is in the ${life.spot}`))}.`)
      : pass(some(cards.map(({ card, life }) => `${card.name} in the ${life.spot}`)));
  },
};

const copied: Check = {
  code: 'cards-copied',
  moment: 'evening-before',
  scope: 'day',
  safety: true,
  asks: 'What is still on the cards of the day has its copies.',
  protects: 'The last job, flown over or lost with the aircraft.',
  look: (c) => {
    const { copiesWanted } = c.input.film.preferences;
    const cards = planned(c);
    if (cards.length === 0) return null;
    const open = cards.filter(({ life }) => atRiskGB(life, copiesWanted) > 0);
    return open.length > 0
      ? fail(
          `${some(open.map(({ card, life }) => `${card.name} holds ${life.usedGB.toFixed(1)} GB, ${life.copies} of ${copiesWanted} copies`))}.`,
        )
      : pass('Nothing on them is without its copies.');
  },
};

const room: Check = {
  code: 'cards-room',
  moment: 'evening-before',
  scope: 'day',
  safety: false,
  asks: 'The cards hold all that is planned.',
  protects: 'A full card in the best light.',
  look: (c) => {
    const { overBytes } = c.derived.budget.cards;
    return overBytes > 0
      ? fail(`${(overBytes / 1e9).toFixed(1)} GB find no room.`)
      : loads(c).length === 0
        ? null
        : pass(
            `${(loads(c).reduce((sum, l) => sum + l.bytes, 0) / 1e9).toFixed(1)} GB planned on ${new Set(loads(c).map((l) => l.cardId)).size} cards.`,
          );
  },
};

const inAircraft: Check = {
  code: 'card-in',
  moment: 'launch-point',
  scope: 'flight',
  safety: true,
  asks: (c) => `${nameOf(c, loadOf(c)?.cardId)} is in the aircraft.`,
  protects: 'A flight that records nothing.',
  look: (c) => {
    const load = loadOf(c);
    if (!load) return null;
    if (load.cardId === null)
      return load.internal
        ? care('No card has room: it records into the memory of the aircraft.')
        : fail('No card has room for this flight.');
    const living = livingCards(c).find(({ card }) => card.id === load.cardId);
    if (!living) return null;
    const { card, life } = living;
    if (life.spot === 'aircraft' && (life.aircraftId === null || life.aircraftId === c.flight?.aircraftId))
      return pass(`${card.name} is in it.`);
    return fail(
      `${card.name} is ${life.spot === 'aircraft' ? 'in another aircraft' : `in the ${life.spot}`}.`,
    );
  },
};

const changed: Check = {
  code: 'card-change',
  moment: 'after-landing',
  scope: 'flight',
  safety: true,
  asks: (c) => `${nameOf(c, loadOf(c)?.cardId)} is taken out and in its case.`,
  protects: 'Footage that flies on over water, or far away, and is gone with the aircraft.',
  look: (c) => {
    const load = loadOf(c);
    if (!load || load.cardId === null) return null;
    const { byFlight } = c.derived.budget.cards;
    const next = byFlight[byFlight.indexOf(load) + 1];
    if (load.away === null && (!next || next.cardId === load.cardId || next.away === null)) return null;
    const life = livingCards(c).find(({ card }) => card.id === load.cardId)?.life;
    const where =
      load.away === 'water'
        ? 'It flew over water.'
        : load.away === 'far'
          ? 'It flew far from help.'
          : 'The next flight goes over water or far away.';
    // Where it was before the day says nothing.
    const told =
      life?.sinceMs !== null && life !== undefined && dateIn(life.sinceMs, c.place.location.zone) === c.date;
    return told && (life.spot === 'case' || life.spot === 'bag')
      ? pass(`It is in the ${life.spot}.`)
      : fail(`${where} Change it before the next flight.`);
  },
};

const inCase: Check = {
  code: 'cards-cased',
  moment: 'leaving-place',
  scope: 'place',
  safety: true,
  asks: 'Cards with footage are in their case.',
  protects: 'A card dropped in the grass.',
  look: (c) => {
    const full = livingCards(c).filter(({ life }) => life.usedGB > 0 && life.copies === 0);
    const loose = full.filter(({ life }) => life.spot !== 'case');
    return full.length === 0
      ? null
      : loose.length > 0
        ? fail(`${some(loose.map(({ card, life }) => `${card.name} is in the ${life.spot}`))}.`)
        : pass(`${some(full.map(({ card }) => card.name))} in the case.`);
  },
};

const atHome: Check = {
  code: 'footage-copied',
  moment: 'at-home',
  scope: 'day',
  safety: true,
  asks: (c) => `Footage is copied ${c.input.film.preferences.copiesWanted} times, and read back.`,
  protects: 'The only copy of a day.',
  look: (c) => {
    const { copiesWanted, eveningMinutes } = c.input.film.preferences;
    const open = livingCards(c).filter(({ life }) => atRiskGB(life, copiesWanted) > 0);
    if (open.length === 0) return pass('Nothing is without its copies.');
    const minutes =
      offload(
        open.map(({ card, life }) => ({ cardId: card.id, bytes: life.usedGB * 1e9, copies: life.copies })),
        copiesWanted,
        readerMBs(c),
        true,
      ).seconds / 60;
    return fail(
      `${some(open.map(({ card, life }) => `${card.name} ${life.usedGB.toFixed(1)} GB, ${life.copies} of ${copiesWanted}`))}: ${minutes.toFixed(0)} min with reading back${minutes > eveningMinutes ? `, longer than the ${eveningMinutes} min of the evening` : ''}.`,
    );
  },
};

const evening: Check = {
  code: 'evening-long',
  moment: 'days-before',
  scope: 'day',
  safety: false,
  asks: 'The evening is long enough to copy the day.',
  protects: 'Going to bed with one copy, and flying on it the next day.',
  look: (c) => {
    const { copiesWanted, eveningMinutes } = c.input.film.preferences;
    const minutes = offload(toCopy(c), copiesWanted, readerMBs(c), true).seconds / 60;
    if (minutes === 0) return null;
    return minutes > eveningMinutes
      ? fail(`${minutes.toFixed(0)} min at ${readerMBs(c).toFixed(0)} MB/s, of ${eveningMinutes}.`)
      : pass(
          `${minutes.toFixed(0)} min of ${eveningMinutes}, at ${readerMBs(c).toFixed(0)} MB/s with reading back.`,
        );
  },
};

export const CARD_CHECKS: readonly Check[] = [
  evening,
  here,
  copied,
  room,
  inAircraft,
  changed,
  inCase,
  atHome,
];
