import type { CutClip, EditTimeline } from './edit-timeline';

const time = (value: number, rate: number) => ({ OTIO_SCHEMA: 'RationalTime.1', rate, value });
const range = (from: number, frames: number, rate: number) => ({
  OTIO_SCHEMA: 'TimeRange.1',
  start_time: time(from, rate),
  duration: time(frames, rate),
});

const media = (clip: CutClip, fps: number) => {
  const available = range(0, Math.max(clip.takeFrames, clip.sourceFromFrame + clip.sourceFrames), fps);
  return clip.take && clip.take.clip !== ''
    ? {
        OTIO_SCHEMA: 'ExternalReference.1',
        metadata: {},
        name: clip.take.clip,
        available_range: available,
        target_url: encodeURIComponent(clip.take.clip),
      }
    : { OTIO_SCHEMA: 'MissingReference.1', metadata: {}, name: clip.name, available_range: null };
};

const otioClip = (clip: CutClip, fps: number) => ({
  OTIO_SCHEMA: 'Clip.1',
  name: clip.name,
  metadata: { dusk_slate: { shot: clip.shotId, number: clip.number } },
  source_range: range(clip.sourceFromFrame, clip.frames, fps),
  media_reference: media(clip, fps),
  markers: clip.notes.map((note) => ({
    OTIO_SCHEMA: 'Marker.2',
    name: note.slice(0, 200),
    color: 'YELLOW',
    metadata: {},
    marked_range: range(clip.sourceFromFrame, 1, fps),
  })),
  effects:
    Math.abs(clip.speed - 1) < 1e-6
      ? []
      : [
          {
            OTIO_SCHEMA: 'LinearTimeWarp.1',
            name: 'speed',
            effect_name: 'LinearTimeWarp',
            metadata: {},
            time_scalar: clip.speed,
          },
        ],
});

/** The cut as OpenTimelineIO (JSON, schema versions as the format's documentation lists them). */
export const otioOf = (timeline: EditTimeline): string =>
  JSON.stringify(
    {
      OTIO_SCHEMA: 'Timeline.1',
      name: timeline.name,
      metadata: {},
      global_start_time: time(0, timeline.fps),
      tracks: {
        OTIO_SCHEMA: 'Stack.1',
        name: 'tracks',
        metadata: {},
        source_range: null,
        markers: [],
        effects: [],
        children: [
          {
            OTIO_SCHEMA: 'Track.1',
            kind: 'Video',
            name: 'Cut',
            metadata: {},
            source_range: null,
            markers: [],
            effects: [],
            children: timeline.clips.map((c) => otioClip(c, timeline.fps)),
          },
        ],
      },
    },
    null,
    1,
  );

const two = (n: number): string => String(n).padStart(2, '0');

/** Frames as a timecode without drop, counted at the next whole rate: 23.976 counts 24 frames to its second. */
export const timecode = (frames: number, fps: number): string => {
  const rate = Math.round(fps);
  const s = Math.floor(frames / rate);
  return [Math.floor(s / 3600), Math.floor(s / 60) % 60, s % 60, frames % rate].map(two).join(':');
};

/** Lists of this form hold so many events. */
const MOST_EVENTS = 999;
const plain = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[^\x20-\x7e]/g, '?');

/** The cut as an edit decision list in the form of CMX 3600: one video track, straight cuts, speed as M2. */
export const edlOf = (timeline: EditTimeline): string => {
  const { fps } = timeline;
  const events = timeline.clips.slice(0, MOST_EVENTS).flatMap((c, i) => {
    const code = (frames: number): string => timecode(frames, fps);
    const reel = c.take?.clip ? 'AX' : 'BL';
    const speed = (c.speed * fps).toFixed(1).padStart(5, '0');
    const event = `${String(i + 1).padStart(3, '0')}  ${reel.padEnd(8)} V     C        ${code(c.sourceFromFrame)} ${code(c.sourceFromFrame + c.sourceFrames)} ${code(c.fromFrame)} ${code(c.fromFrame + c.frames)}`;
    return [
      event,
      ...(Math.abs(c.speed - 1) < 1e-6
        ? []
        : [`M2   ${reel.padEnd(8)}       ${speed}                ${code(c.sourceFromFrame)}`]),
      `* FROM CLIP NAME: ${plain(c.take?.clip || c.name)}`,
      ...c.notes.map((n) => `* COMMENT: ${plain(n).slice(0, 200)}`),
    ];
  });
  return [`TITLE: ${plain(timeline.name).slice(0, 70)}`, 'FCM: NON-DROP FRAME', '', ...events, ''].join(
    '\r\n',
  );
};

const subtitleTime = (seconds: number): string => {
  const ms = Math.round(seconds * 1000);
  const s = Math.floor(ms / 1000);
  return `${two(Math.floor(s / 3600))}:${two(Math.floor(s / 60) % 60)}:${two(s % 60)},${String(ms % 1000).padStart(3, '0')}`;
};

/** Shot numbers and titles as subtitles (SubRip), for an animatic. */
export const subtitlesOf = ({ clips, fps }: EditTimeline): string =>
  clips
    .map(
      (c, i) =>
        `${i + 1}\r\n${subtitleTime(c.fromFrame / fps)} --> ${subtitleTime((c.fromFrame + c.frames) / fps)}\r\n${c.name.replace(/-->/g, '→').replace(/[\r\n]+/g, ' ')}\r\n`,
    )
    .join('\r\n');
