import { EXCHANGE_LIMIT } from '@core/model';
import { onBeforeUnmount, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { startTour } from '../../composables/tour';
import { readTextFile } from '../../exchange/text-file';
import { api, ApiProblem } from '../../sync/api';
import { tr } from './messages';

/** A film file on its way to the server. */
interface Opening {
  readonly name: string;
  readonly megabytes: number;
  readonly stop: AbortController;
}

/** By its first bytes: names change on the way. */
const isZip = async (file: Blob): Promise<boolean> => (await file.slice(0, 2).text()) === 'PK';
/** What is sent: a ZIP as it is, text in the one encoding the server reads. Neither is taken apart on the page. */
const sentOf = async (file: File): Promise<Blob> =>
  (await isZip(file))
    ? new Blob([file], { type: 'application/zip' })
    : new Blob([await readTextFile(file)], { type: 'application/json' });

const isMalformed = (error: unknown): boolean =>
  error instanceof ApiProblem && error.problem.type === 'urn:dusk-slate:malformed';

/** What went wrong, in words. */
export const why = (error: unknown): string =>
  error instanceof ApiProblem
    ? [error.message, ...error.fields.slice(1, 4).map((f) => f.say)].join(' ')
    : tr('theApplicationDoesNotAnswer');

/** Film files that become films here: chosen, sent with a way to stop, opened. */
export const useFilmFiles = () => {
  const router = useRouter();
  const fault = ref('');
  const opening = shallowRef<Opening | null>(null);
  const cancel = (): void => {
    opening.value?.stop.abort();
    opening.value = null;
  };
  onBeforeUnmount(cancel);

  /** @returns whether the film is open now */
  const take = async (film: unknown, file?: Opening): Promise<boolean> => {
    fault.value = '';
    try {
      const { id } = await api.importFilm(film, file?.stop.signal);
      await router.push({ name: 'shots', params: { film: id } });
      return true;
    } catch (error) {
      if (file?.stop.signal.aborted) return false;
      fault.value = file && isMalformed(error) ? tr('nameIsNotAFilm', { name: file.name }) : why(error);
      return false;
    }
  };
  /** A film of one's own, the first time on this device with a tour of the page it opens. */
  const begin = async (film: unknown): Promise<void> => {
    if (await take(film)) startTour();
  };
  const choose = async (file: File): Promise<void> => {
    if (file.size > EXCHANGE_LIMIT) {
      fault.value = tr('nameIsLargerThanA', { name: file.name, megabytes: EXCHANGE_LIMIT / 1e6 });
      return;
    }
    cancel();
    const mine = (opening.value = {
      name: file.name,
      megabytes: file.size / 1e6,
      stop: new AbortController(),
    });
    try {
      await take(await sentOf(file), mine);
    } catch {
      fault.value = tr('nameCannotBeRead', { name: file.name });
    } finally {
      if (opening.value === mine) opening.value = null;
    }
  };
  return { fault, opening, cancel, begin, choose };
};
