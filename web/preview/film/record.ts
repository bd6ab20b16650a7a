import { ArrayBufferTarget, Muxer } from 'webm-muxer';

export interface Recording {
  readonly canvas: HTMLCanvasElement;
  readonly fps: number;
  readonly frames: number;
  /** Paints the next frame; called once for each, in order. */
  readonly paint: (frame: number) => void;
  readonly onProgress: (done: number) => void;
  readonly signal: AbortSignal;
}

/** Codecs of WebM, best first, with their names in the file. */
const CODECS = [
  ['vp09.00.31.08', 'V_VP9'],
  ['vp8', 'V_VP8'],
] as const;
/** Bits for a pixel of a frame: drawn scenes have large even areas. */
const BITS_PER_PIXEL = 0.12;
/** Frames that may wait for the encoder. */
const MOST_WAITING = 4;
const KEY_EVERY_S = 2;

/** Whether this browser can encode a film at all. */
export const canRecord = (): boolean =>
  typeof VideoEncoder !== 'undefined' && typeof VideoFrame !== 'undefined';

const codecFor = async (config: Omit<VideoEncoderConfig, 'codec'>) => {
  for (const [codec, id] of CODECS) {
    const { supported } = await VideoEncoder.isConfigSupported({ ...config, codec }).catch(() => ({
      supported: false,
    }));
    if (supported) return { codec, id };
  }
  return null;
};

/** Gives the page a turn, so that it can be used and cancelled meanwhile. A message comes at once, also to a page in the background. */
const turn = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

/**
 * Encodes painted frames to WebM, not in real time but as fast as they are painted.
 * @returns null where no codec of this browser will do
 * @throws AbortError when it was cancelled, or what the encoder refused
 */
export const recordFilm = async (r: Recording): Promise<Blob | null> => {
  const { width, height } = r.canvas;
  const config = {
    width,
    height,
    framerate: r.fps,
    bitrate: Math.round(width * height * r.fps * BITS_PER_PIXEL),
  };
  const codec = await codecFor(config);
  if (!codec) return null;
  const target = new ArrayBufferTarget();
  const muxer = new Muxer({ target, video: { codec: codec.id, width, height, frameRate: r.fps } });
  const refused: unknown[] = [];
  const encoder = new VideoEncoder({
    output: (chunk, meta) => {
      muxer.addVideoChunk(chunk, meta);
    },
    error: (error) => refused.push(error),
  });
  encoder.configure({ ...config, codec: codec.codec });
  try {
    for (let frame = 0; frame < r.frames; frame += 1) {
      r.signal.throwIfAborted();
      if (refused.length > 0) throw refused[0];
      r.paint(frame);
      const picture = new VideoFrame(r.canvas, {
        timestamp: Math.round((frame * 1e6) / r.fps),
        duration: Math.round(1e6 / r.fps),
      });
      encoder.encode(picture, { keyFrame: frame % Math.round(r.fps * KEY_EVERY_S) === 0 });
      picture.close();
      r.onProgress(frame + 1);
      do await turn();
      while (encoder.encodeQueueSize > MOST_WAITING);
    }
    await encoder.flush();
    if (refused.length > 0) throw refused[0];
    muxer.finalize();
  } finally {
    if (encoder.state !== 'closed') encoder.close();
  }
  return new Blob([target.buffer], { type: 'video/webm' });
};
