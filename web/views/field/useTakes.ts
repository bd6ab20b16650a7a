import { countTakes } from '@core/day';
import { nextClip } from '@core/field';
import { newRow, type Take, type TakeRating, type TakeReason } from '@core/model';
import { computed, type Ref } from 'vue';
import { v4 as uuid } from 'uuid';
import type { DerivedShot } from '@core/film';
import { groupBy } from '@core/units';
import { useFilm } from '../../stores/film';
import type { Recorded } from './useRecorder';
import { tr } from './messages';

/** Takes of the shot in hand: judged with one touch, told why with a second. */
export const useTakes = (
  shot: Ref<DerivedShot | null>,
  flown: Ref<{ readonly packId: string | null; readonly cardId: string | null } | null>,
) => {
  const film = useFilm();
  const own = computed<Take[]>(() =>
    film
      .list('take')
      .filter((t) => t.shotId === shot.value?.facts.shot.id)
      .sort((a, b) => a.utcMs - b.utcMs),
  );
  const count = computed(() => countTakes(own.value, shot.value?.facts.shot.id ?? ''));
  const add = (rating: TakeRating): void => {
    const facts = shot.value?.facts;
    if (!facts) return;
    const both = facts.shot.takeStyle === 'there-and-back';
    const take = newRow('take', {
      id: uuid(),
      locationId: facts.location.id,
      shotId: facts.shot.id,
      utcMs: Date.now(),
      rating,
      reversed: both && own.value.length % 2 === 1,
      aircraftId: facts.aircraft?.id ?? null,
      packId: flown.value?.packId ?? null,
      cardId: flown.value?.cardId ?? null,
      clip: nextClip(film.list('take'), flown.value?.cardId ?? null),
    });
    film.create('take', take, tr('takeLower'));
  };
  const because = (id: string, reason: TakeReason | null) =>
    film.edit('take', id, { reason }, tr('takeLower'));
  const describe = (id: string, fields: Partial<Pick<Take, 'clip' | 'notes'>>) =>
    film.edit('take', id, fields, tr('takeLower'));
  const voiceNotes = computed(() => groupBy(film.list('voiceNote'), (v) => v.takeId));
  const speak = (takeId: string, recorded: Recorded): void => {
    const take = film.get('take', takeId);
    if (!take) return;
    const note = newRow('voiceNote', {
      id: uuid(),
      locationId: take.locationId,
      takeId,
      utcMs: Date.now(),
      ...recorded,
    });
    film.create('voiceNote', note, tr('voiceNote'));
  };
  const unspeak = (id: string) => film.remove(tr('deleteVoiceNote'), [{ kind: 'voiceNote', id }]);
  /** What was said about a take goes with it. */
  const remove = (id: string) =>
    film.remove(tr('deleteTake'), [
      ...(voiceNotes.value.get(id) ?? []).map((v) => ({ kind: 'voiceNote' as const, id: v.id })),
      { kind: 'take' as const, id },
    ]);
  return { own, voiceNotes, speak, unspeak, count, add, because, describe, remove };
};
