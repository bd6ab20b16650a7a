import { changeTo, type Entity } from '@core/model';
import { boardOf } from '@core/story';
import { generateNKeysBetween } from 'fractional-indexing';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { keyBetween } from '../../composables/new-shot';
import { useDerivedFilm } from '../../stores/derived-film';
import { tr } from './messages';

interface InCut {
  readonly kind: 'shot' | 'groundShot';
  readonly id: string;
  readonly row: Entity<'shot'> | Entity<'groundShot'>;
  readonly cutPosition: string;
}

/** Ordering the cut apart from the list. Each act is one step that can be taken back. */
export const useBoardActs = () => {
  const film = useFilm();
  const selection = useSelection();
  const derivedFilm = useDerivedFilm();
  const order = (): InCut[] => {
    derivedFilm.settle();
    const { derived } = derivedFilm;
    return (derived ? boardOf(derived, film.list('groundShot')).places : []).flatMap((p): InCut[] => {
      const kind = p.shot ? 'shot' : 'groundShot';
      const row = film.get(kind, p.id);
      return row ? [{ kind, id: p.id, row, cutPosition: row.cutPosition }] : [];
    });
  };

  /** Puts a shot into the cut at an index; the first time, every shot gets a place of its own, so that the list may change freely. */
  const place = (id: string, index: number): void => {
    const all = order();
    const moved = all.find((s) => s.id === id);
    if (!moved) return;
    const rest = all.filter((s) => s.id !== id);
    const next = [...rest.slice(0, index), moved, ...rest.slice(index)];
    const change = ({ kind, id, row }: InCut, cutPosition: string) =>
      changeTo(kind, id, { ...row, cutPosition });
    if (all.every((s) => s.cutPosition !== '')) {
      film.commit(tr('orderOfTheCut'), [
        change(moved, keyBetween(rest[index - 1]?.cutPosition, rest[index]?.cutPosition)),
      ]);
    } else {
      const keys = generateNKeysBetween(null, null, next.length);
      film.commit(
        tr('orderOfTheCut'),
        next.map((s, i) => change(s, keys[i] ?? 'a0')),
      );
    }
    if (moved.kind === 'shot') selection.pick(id);
  };
  const placeBefore = (id: string, beforeId: string): void => {
    const rest = order().filter((s) => s.id !== id);
    const index = rest.findIndex((s) => s.id === beforeId);
    if (index >= 0) place(id, index);
  };
  const shift = (id: string, by: -1 | 1): void => {
    const all = order();
    const at = all.findIndex((s) => s.id === id);
    if (at + by >= 0 && at + by < all.length) place(id, at + by);
  };
  /** The cut follows the list again. */
  const follow = (): void => {
    film.commit(
      tr('cutAsFlown'),
      order()
        .filter((s) => s.cutPosition !== '')
        .map(({ kind, id, row }) => changeTo(kind, id, { ...row, cutPosition: '' })),
    );
  };
  return { placeBefore, shift, follow };
};
