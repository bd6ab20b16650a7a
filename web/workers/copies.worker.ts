import { expose } from 'comlink';
import { compareCopy, type Comparison } from '../exchange/copies';

/** Compares copies beside the page. The thread is ended when nobody waits for it any more. */
const copies = {
  compare(
    card: readonly File[],
    copy: readonly File[],
    known: ReadonlySet<string>,
    progress: (done: number, all: number, same: string | null) => void,
  ): Promise<Comparison> {
    let told = 0;
    return compareCopy(
      card,
      copy,
      known,
      (done, all, same) => {
        // A message for each hundredth, and for each file, is enough.
        if (same === null && done < all && done - told < all / 100) return;
        told = done;
        progress(done, all, same);
      },
      { aborted: false },
    );
  },
};

export type CopiesWorker = typeof copies;
expose(copies);
