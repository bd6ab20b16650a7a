/** Width of a clip's picture, px. */
const WIDTH_PX = 320;
const QUALITY = 0.7;
/** A browser that says nothing for so long cannot decode the clip, ms. */
const PATIENCE_MS = 8000;

const once = (video: HTMLVideoElement, event: string): Promise<boolean> =>
  new Promise((resolve) => {
    const timer = setTimeout(() => {
      resolve(false);
    }, PATIENCE_MS);
    const end = (good: boolean) => () => {
      clearTimeout(timer);
      resolve(good);
    };
    video.addEventListener(event, end(true), { once: true });
    video.addEventListener('error', end(false), { once: true });
  });

/**
 * A small picture of a clip, from the middle of it, as a data address; null where this browser cannot decode it.
 * Only what the browser needs for that one frame is read.
 */
export const clipPicture = async (file: Blob): Promise<string | null> => {
  const video = document.createElement('video');
  video.muted = true;
  video.preload = 'auto';
  const address = URL.createObjectURL(file);
  try {
    const loaded = once(video, 'loadeddata');
    video.src = address;
    if (!(await loaded) || video.videoWidth === 0) return null;
    if (Number.isFinite(video.duration) && video.duration > 0) {
      const there = once(video, 'seeked');
      video.currentTime = video.duration / 2;
      if (!(await there)) return null;
    }
    const canvas = document.createElement('canvas');
    canvas.width = WIDTH_PX;
    canvas.height = Math.max(1, Math.round((WIDTH_PX * video.videoHeight) / video.videoWidth));
    canvas.getContext('2d')?.drawImage(video, 0, 0, canvas.width, canvas.height);
    return canvas.toDataURL('image/jpeg', QUALITY);
  } finally {
    video.removeAttribute('src');
    video.load();
    URL.revokeObjectURL(address);
  }
};
