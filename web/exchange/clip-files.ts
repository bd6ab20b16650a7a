import type { ClipFile } from '@core/card-match';
import { createFile, Log, MP4BoxBuffer } from 'mp4box';

// Boxes it does not know are usual on a card and no fault: only the file hears of its own.
Log.error = (module, text, file) => {
  file?.onError?.(module, text ?? '');
};

/** Enough for most headers; one that stands at the end is found by its place. */
const SLICE_BYTES = 256 * 1024;
/** A header that is not found after so many slices is none. */
const MOST_SLICES = 40;

interface Header {
  readonly lengthS: number;
  readonly fps: number | null;
  readonly widthPx: number | null;
}

/** Length, rate and width from the header of an MP4 or MOV file; null where there is none. The footage itself is not read. */
const headerOf = async (file: Blob): Promise<Header | null> => {
  const parsed = createFile();
  let header: Header | null = null;
  parsed.onReady = (info) => {
    const [track] = info.videoTracks;
    const lengthS = info.duration / info.timescale;
    const trackS = track ? track.duration / track.timescale : 0;
    header = {
      lengthS,
      fps: track && trackS > 0 ? track.nb_samples / trackS : null,
      widthPx: track?.video?.width ?? null,
    };
  };
  let failed = false;
  parsed.onError = () => {
    failed = true;
  };
  let at = 0;
  for (let n = 0; n < MOST_SLICES && at < file.size && !failed; n += 1) {
    const bytes = await file.slice(at, at + SLICE_BYTES).arrayBuffer();
    const next = parsed.appendBuffer(MP4BoxBuffer.fromArrayBuffer(bytes, at));
    if (header) break;
    at = next > at ? next : at + SLICE_BYTES;
  }
  return header;
};

const VIDEO = /\.(mp4|mov|m4v)$/i;
/** Files read at the same time. */
const AT_ONCE = 4;

/** A clip and the file it was read from. */
export interface ReadFile {
  readonly file: File;
  readonly clip: ClipFile;
}

/**
 * The clips among the files of a card, each by its header.
 * @param told how many are read so far
 * @param given ends it early
 */
export const readClips = async (
  files: readonly File[],
  told: (done: number, all: number) => void,
  given: AbortSignal,
): Promise<ReadFile[]> => {
  const videos = files.filter((f) => VIDEO.test(f.name) && !f.name.startsWith('.'));
  const twice = new Set(videos.map((f) => f.name).filter((name, i, all) => all.indexOf(name) !== i));
  /** Cameras begin to count anew in each folder: then the folder belongs to the name. */
  const nameOf = (f: File): string =>
    twice.has(f.name) && f.webkitRelativePath !== ''
      ? f.webkitRelativePath.split('/').slice(1).join('/')
      : f.name;
  const clips: ReadFile[] = [];
  let next = 0;
  const work = async (): Promise<void> => {
    for (let file = videos[next++]; file && !given.aborted; file = videos[next++]) {
      const header = await headerOf(file).catch(() => null);
      const clip = {
        name: nameOf(file),
        endMs: file.lastModified,
        lengthS: header?.lengthS ?? null,
        fps: header?.fps ?? null,
        widthPx: header?.widthPx ?? null,
      };
      clips.push({ file, clip });
      told(clips.length, videos.length);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, work));
  return clips;
};
