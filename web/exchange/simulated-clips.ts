import type { SimulatedClip } from '@core/simulated-flight';
import { ArrayBufferTarget, Muxer } from 'mp4-muxer';

/** A clip to be written, and what is seen in it. */
export interface ClipOrder extends SimulatedClip {
  readonly heightPx: number;
  /** Clips of one picture share it. */
  readonly picture: string;
}

export interface ClipWriting {
  readonly orders: readonly ClipOrder[];
  /** Paints the picture of a clip onto a canvas of its size. */
  readonly paint: (order: ClipOrder, canvas: HTMLCanvasElement) => void;
  readonly onProgress: (done: number) => void;
  readonly signal: AbortSignal;
}

/** VP9, profile 0, any size a camera has. */
const CODEC = 'vp09.00.51.08';
/**
 * A whole frame of VP9 that shows the frame of slot 0 once more: frame marker 2, profile 0, show_existing_frame 1, slot 0
 * (VP9 Bitstream & Decoding Process Specification 0.6, section 6.2). A clip of one picture is a key frame and these.
 */
const SAME_AGAIN = Uint8Array.of(0b1000_1000);
const USUAL_FPS = 25;

/** Whether this browser can write clips. */
export const canWriteClips = (): boolean =>
  typeof VideoEncoder !== 'undefined' && typeof VideoFrame !== 'undefined';

interface KeyFrame {
  readonly bytes: Uint8Array;
  readonly meta: EncodedVideoChunkMetadata | undefined;
}

const keyFrameOf = async (canvas: HTMLCanvasElement): Promise<KeyFrame> => {
  const { width, height } = canvas;
  let made: KeyFrame | null = null;
  const refused: unknown[] = [];
  const encoder = new VideoEncoder({
    output: (chunk, meta) => {
      const bytes = new Uint8Array(chunk.byteLength);
      chunk.copyTo(bytes);
      made ??= { bytes, meta };
    },
    error: (error) => refused.push(error),
  });
  try {
    encoder.configure({ codec: CODEC, width, height, bitrate: 2_000_000, latencyMode: 'realtime' });
    const frame = new VideoFrame(canvas, { timestamp: 0 });
    encoder.encode(frame, { keyFrame: true });
    frame.close();
    await encoder.flush();
  } finally {
    if (encoder.state !== 'closed') encoder.close();
  }
  if (!made) throw refused[0] ?? new Error('no frame was encoded');
  return made;
};

const clipOf = (order: ClipOrder, key: KeyFrame): File => {
  const target = new ArrayBufferTarget();
  const size = { width: order.widthPx ?? 1920, height: order.heightPx };
  const muxer = new Muxer({ target, video: { codec: 'vp9', ...size }, fastStart: 'in-memory' });
  const fps = order.fps ?? USUAL_FPS;
  const frames = Math.max(1, Math.round(order.lengthS * fps));
  const at = (n: number): number => Math.round((n * 1e6) / fps);
  for (let n = 0; n < frames; n += 1)
    muxer.addVideoChunkRaw(
      n === 0 ? key.bytes : SAME_AGAIN,
      n === 0 ? 'key' : 'delta',
      at(n),
      at(n + 1) - at(n),
      n === 0 ? key.meta : undefined,
    );
  muxer.finalize();
  return new File([target.buffer], order.name, { type: 'video/mp4', lastModified: order.endMs });
};

/**
 * Small clips as a camera would have left them: their names, times, lengths, rates and sizes are those of the order, each shows
 * one still picture.
 * @throws AbortError when it was cancelled, or what the encoder refused
 */
export const writeClips = async ({ orders, paint, onProgress, signal }: ClipWriting): Promise<File[]> => {
  const keys = new Map<string, KeyFrame>();
  const canvas = document.createElement('canvas');
  const files: File[] = [];
  for (const order of orders) {
    signal.throwIfAborted();
    const size = `${order.picture} ${order.widthPx} ${order.heightPx}`;
    let key = keys.get(size);
    if (!key) {
      [canvas.width, canvas.height] = [order.widthPx ?? 1920, order.heightPx];
      paint(order, canvas);
      key = await keyFrameOf(canvas);
      keys.set(size, key);
    }
    files.push(clipOf(order, key));
    onProgress(files.length);
  }
  return files;
};
