import { measured, message, yesNo, type Message, type Name } from '../../messages';
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

/** What a card holds, and how often that is copied. */
const holding = ({ card, life }: ReturnType<typeof livingCards>[number], wanted: number): Message =>
  message('check.cards-copied.holds', {
    name: card.name,
    holds: measured(life.usedGB, 'gigabytes', 1),
    copies: life.copies,
    wanted,
  });

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
const nameOf = (c: Context, id: string | null | undefined): Name =>
  c.input.kit.cards.find((x) => x.id === id)?.name ?? message('thing.card');

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
  prompt: message('check.cards-here.asks'),
  protects: message('check.cards-here.protects'),
  evaluate: (c) => {
    const cards = planned(c);
    if (cards.length === 0) return null;
    const left = cards.filter(({ life }) => life.spot === 'computer' || life.spot === 'reader');
    return left.length > 0
      ? fail(
          message('check.cards-here.fail', {
            spot: some(
              left.map(({ card, life }) => message('check.card-is-in', { card: card.name, spot: life.spot })),
            ),
          }),
        )
      : pass(
          message('check.list', {
            list: some(
              cards.map(({ card, life }) =>
                message('check.card-in-spot', { card: card.name, spot: life.spot }),
              ),
            ),
          }),
        );
  },
};

const copied: Check = {
  code: 'cards-copied',
  moment: 'evening-before',
  scope: 'day',
  safety: true,
  prompt: message('check.cards-copied.asks'),
  protects: message('check.cards-copied.protects'),
  evaluate: (c) => {
    const { copiesWanted } = c.input.film.preferences;
    const cards = planned(c);
    if (cards.length === 0) return null;
    const open = cards.filter(({ life }) => atRiskGB(life, copiesWanted) > 0);
    return open.length > 0
      ? fail(
          message('check.cards-copied.fail', {
            copies: some(open.map((card) => holding(card, copiesWanted))),
          }),
        )
      : pass(message('check.cards-copied.pass'));
  },
};

const room: Check = {
  code: 'cards-room',
  moment: 'evening-before',
  scope: 'day',
  safety: false,
  prompt: message('check.cards-room.asks'),
  protects: message('check.cards-room.protects'),
  evaluate: (c) => {
    const { overBytes } = c.derived.budget.cards;
    return overBytes > 0
      ? fail(message('check.cards-room.fail', { overBytes: measured(overBytes / 1e9, 'gigabytes', 1) }))
      : loads(c).length === 0
        ? null
        : pass(
            message('check.cards-room.pass', {
              e9: measured(loads(c).reduce((sum, l) => sum + l.bytes, 0) / 1e9, 'gigabytes', 1),
              size: new Set(loads(c).map((l) => l.cardId)).size,
            }),
          );
  },
};

const inAircraft: Check = {
  code: 'card-in',
  moment: 'launch-point',
  scope: 'flight',
  safety: true,
  prompt: (c) => message('check.card-in.asks', { card: nameOf(c, loadOf(c)?.cardId) }),
  protects: message('check.card-in.protects'),
  evaluate: (c) => {
    const load = loadOf(c);
    if (!load) return null;
    if (load.cardId === null)
      return load.internal ? care(message('check.card-in.care')) : fail(message('check.card-in.fail'));
    const living = livingCards(c).find(({ card }) => card.id === load.cardId);
    if (!living) return null;
    const { card, life } = living;
    if (life.spot === 'aircraft' && (life.aircraftId === null || life.aircraftId === c.flight?.aircraftId))
      return pass(message('check.card-in.pass', { card: card.name }));
    return fail(
      message('check.card-in.fail.2', {
        card: card.name,
        isSpot: yesNo(life.spot === 'aircraft'),
        spot: life.spot,
      }),
    );
  },
};

const changed: Check = {
  code: 'card-change',
  moment: 'after-landing',
  scope: 'flight',
  safety: true,
  prompt: (c) => message('check.card-change.asks', { card: nameOf(c, loadOf(c)?.cardId) }),
  protects: message('check.card-change.protects'),
  evaluate: (c) => {
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
    const known =
      life?.sinceMs !== null && life !== undefined && dateIn(life.sinceMs, c.place.location.zone) === c.date;
    return known && (life.spot === 'case' || life.spot === 'bag')
      ? pass(message('check.card-change.pass', { spot: life.spot }))
      : fail(message('check.card-change.fail', { where }));
  },
};

const inCase: Check = {
  code: 'cards-cased',
  moment: 'leaving-place',
  scope: 'place',
  safety: true,
  prompt: message('check.cards-cased.asks'),
  protects: message('check.cards-cased.protects'),
  evaluate: (c) => {
    const full = livingCards(c).filter(({ life }) => life.usedGB > 0 && life.copies === 0);
    const loose = full.filter(({ life }) => life.spot !== 'case');
    return full.length === 0
      ? null
      : loose.length > 0
        ? fail(
            message('check.cards-cased.fail', {
              spot: some(
                loose.map(({ card, life }) =>
                  message('check.cards-cased.in', { name: card.name, spot: life.spot }),
                ),
              ),
            }),
          )
        : pass(message('check.cards-cased.pass', { full: some(full.map(({ card }) => card.name)) }));
  },
};

const atHome: Check = {
  code: 'footage-copied',
  moment: 'at-home',
  scope: 'day',
  safety: true,
  prompt: (c) => message('check.footage-copied.asks', { copies: c.input.film.preferences.copiesWanted }),
  protects: message('check.footage-copied.protects'),
  evaluate: (c) => {
    const { copiesWanted, eveningMinutes } = c.input.film.preferences;
    const open = livingCards(c).filter(({ life }) => atRiskGB(life, copiesWanted) > 0);
    if (open.length === 0) return pass(message('check.footage-copied.pass'));
    const minutes =
      offload(
        open.map(({ card, life }) => ({ cardId: card.id, bytes: life.usedGB * 1e9, copies: life.copies })),
        copiesWanted,
        readerMBs(c),
        true,
      ).seconds / 60;
    return fail(
      message('check.footage-copied.fail', {
        copiesWanted: some(open.map((card) => holding(card, copiesWanted))),
        minutes: measured(minutes, 'minutes', 0),
        isMinutes2: yesNo(minutes > eveningMinutes),
        eveningMinutes,
      }),
    );
  },
};

const evening: Check = {
  code: 'evening-long',
  moment: 'days-before',
  scope: 'day',
  safety: false,
  prompt: message('check.evening-long.asks'),
  protects: message('check.evening-long.protects'),
  evaluate: (c) => {
    const { copiesWanted, eveningMinutes } = c.input.film.preferences;
    const minutes = offload(toCopy(c), copiesWanted, readerMBs(c), true).seconds / 60;
    if (minutes === 0) return null;
    return minutes > eveningMinutes
      ? fail(
          message('check.evening-long.fail', {
            minutes: measured(minutes, 'minutes', 0),
            reader: measured(readerMBs(c), 'megabytesPerSecond', 0),
            eveningMinutes,
          }),
        )
      : pass(
          message('check.evening-long.pass', {
            minutes: measured(minutes, 'minutes', 0),
            eveningMinutes,
            reader: measured(readerMBs(c), 'megabytesPerSecond', 0),
          }),
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
