import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { FilmDeriver } from '../film';
import { newRow, type FilmInput, type Shot, type Take } from '../model';
import { boardOf } from '../story';
import { numberIn } from '../testing';
import { cutCoverage } from './coverage';
import { calendarEvents } from './events';
import { editTimeline } from './edit-timeline';
import { exposureMinutes } from './exposure-minutes';
import { previewFrames } from './preview-frames';
import { inCutOrder, inFlyingOrder, shotLines, type Handover } from './lines';
import { HANDOVER_TABLES } from './tables';
import { edlOf, otioOf, subtitlesOf, timecode } from './timeline-files';

let film: FilmInput;
/** The made-up film, loaded at run time: the core itself imports nobody. */
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});
const whole = (input: FilmInput): Handover => ({ input, derived: new FilmDeriver().derive(input) });
const take = (shotId: string, more: Partial<Take> = {}): Take => ({
  id: `take-${shotId}-${more.utcMs ?? 0}`,
  locationId: film.locations[0]!.id,
  shotId,
  utcMs: 1,
  rating: 'good',
  reason: null,
  reversed: false,
  aircraftId: null,
  packId: null,
  cardId: null,
  simulated: false,
  clip: '',
  notes: '',
  ...more,
});

describe('the cut on a timeline', () => {
  it('has no gap and no overlap in whole frames, and is as long as the storyboard to half a frame', () => {
    const speeds = new Set<string>();
    fc.assert(
      fc.property(
        fc.constantFrom(23.976, 24, 25, 29.97, 50, 59.94),
        fc.array(fc.tuple(numberIn(0.1, 20), numberIn(0.2, 4)), { minLength: 1, maxLength: 4 }),
        (fps, segments) => {
          const input: FilmInput = {
            ...film,
            film: { ...film.film, timelineFps: fps },
            // One from the ground beside them: the timeline is as long as the board with it.
            groundShots: [
              newRow('groundShot', {
                id: 'aaaaaaaa-0000-4000-8000-000000000001',
                locationId: film.locations[0]!.id,
                position: 'a0',
                timelineS: segments[0]![0],
              }),
            ],
            shots: film.shots.slice(0, 6).map((s) => ({
              ...s,
              cut: {
                ...s.cut,
                by: 'seconds',
                segments: segments.map(([timelineS, speedFactor]) => ({
                  timelineS,
                  speedFactor,
                  endFactor: null,
                })),
              },
            })),
          };
          const w = whole(input);
          const timeline = editTimeline(w);
          let at = 0;
          for (const c of timeline.clips) {
            expect(c.fromFrame).toBe(at);
            expect(c.frames).toBeGreaterThan(0);
            expect(Math.abs(c.sourceFrames - c.frames * c.speed)).toBeLessThanOrEqual(1);
            speeds.add(c.speed > 1 ? 'fast' : 'slow');
            at += c.frames;
          }
          expect(timeline.frames).toBe(at);
          // Seen as a film, every frame comes once, in order, and no clip runs backwards.
          const seen = [...previewFrames(timeline, input.film.preferences.preRollS)];
          expect(seen.map((f) => f.frame)).toEqual(Array.from({ length: at }, (_, i) => i));
          for (const [i, f] of seen.entries()) {
            const before = seen[i - 1];
            if (before?.clip === f.clip) expect((f.moveS - before.moveS) * fps).toBeCloseTo(f.clip.speed, 6);
          }
          const last = boardOf(w.derived, input.groundShots).places.at(-1)!;
          expect(Math.abs(at - (last.fromS + last.timelineS) * fps)).toBeLessThanOrEqual(0.5 + 1e-6);
        },
      ),
      { numRuns: 25 },
    );
    expect([...speeds].sort()).toEqual(['fast', 'slow']);
  });
  it('uses the newest good take, else one that may do, and carries what was noted', () => {
    const [a, b, c] = film.shots.map((s) => s.id);
    const takes = [
      take(a!, { utcMs: 1, clip: 'A1.MP4' }),
      take(a!, { utcMs: 3, clip: 'A3.MP4', notes: 'bird in the corner' }),
      take(a!, { utcMs: 5, clip: 'A5.MP4', rating: 'no-good' }),
      take(b!, { utcMs: 2, clip: 'B2.MP4', rating: 'maybe' }),
      take(c!, { utcMs: 4, clip: 'C4.MP4', rating: 'no-good' }),
    ];
    const { clips } = editTimeline(whole({ ...film, takes }));
    const clipOf = (id: string) => clips.find((x) => x.shotId === id)!;
    expect([clipOf(a!), clipOf(b!), clipOf(c!)].map((x) => x.take?.clip ?? null)).toEqual([
      'A3.MP4',
      'B2.MP4',
      null,
    ]);
    expect(clipOf(a!).notes).toEqual(['bird in the corner']);
  });
});

describe('files of the timeline', () => {
  it('OpenTimelineIO: every clip within its media, as long as the cut, speed as a time warp', () => {
    const id = film.shots[0]!.id;
    const w = whole({ ...film, takes: [take(id, { clip: 'CLIP 1.MP4', notes: 'good sky' })] });
    const timeline = editTimeline(w);
    const file = JSON.parse(otioOf(timeline)) as {
      tracks: { children: { kind: string; children: Record<string, never>[] }[] };
    };
    const [track] = file.tracks.children;
    expect([file.tracks.children.length, track!.kind]).toEqual([1, 'Video']);
    const clips = track!.children as unknown as {
      name: string;
      source_range: { start_time: { value: number; rate: number }; duration: { value: number } };
      media_reference: {
        OTIO_SCHEMA: string;
        target_url?: string;
        available_range: { duration: { value: number } } | null;
      };
      markers: unknown[];
      effects: { time_scalar: number }[];
    }[];
    expect(clips.reduce((n, c) => n + c.source_range.duration.value, 0)).toBe(timeline.frames);
    const real = clips.find((c) => c.media_reference.OTIO_SCHEMA === 'ExternalReference.1')!;
    expect([real.media_reference.target_url, real.markers.length]).toEqual(['CLIP%201.MP4', 1]);
    const end = real.source_range.start_time.value + real.source_range.duration.value;
    expect(end).toBeLessThanOrEqual(real.media_reference.available_range!.duration.value);
    expect(clips.filter((c) => c.media_reference.OTIO_SCHEMA === 'MissingReference.1')).toHaveLength(
      clips.length - 1,
    );
    for (const [i, c] of timeline.clips.entries())
      expect(clips[i]!.effects.map((e) => e.time_scalar)).toEqual(
        Math.abs(c.speed - 1) < 1e-6 ? [] : [c.speed],
      );
  });
  it('edit decision list: numbered events whose record times follow on each other', () => {
    const timeline = editTimeline(whole(film));
    const events = [...edlOf(timeline).matchAll(/^(\d{3}) {2}\S+ +V +C +(\S+) (\S+) (\S+) (\S+)\r?$/gm)];
    expect(events.map((e) => Number(e[1]))).toEqual(timeline.clips.map((_, i) => i + 1));
    for (const [i, e] of events.entries()) if (i > 0) expect(e[4]).toBe(events[i - 1]![5]);
    expect(events.at(-1)![5]).toBe(timecode(timeline.frames, timeline.fps));
  });
  it('timecode counts frames of the next whole rate and never the second that is not full', () => {
    expect([timecode(0, 25), timecode(24, 25), timecode(25, 25), timecode(90_000, 25)]).toEqual([
      '00:00:00:00',
      '00:00:00:24',
      '00:00:01:00',
      '01:00:00:00',
    ]);
    expect([timecode(24, 23.976), timecode(30, 29.97), timecode(1799, 29.97)]).toEqual([
      '00:00:01:00',
      '00:00:01:00',
      '00:00:59:29',
    ]);
  });
  it('subtitles are in order, do not overlap, and a title cannot break their form', () => {
    const shots = film.shots.map((s, i) => (i === 0 ? { ...s, title: 'a --> b\nc' } : s));
    const blocks = subtitlesOf(editTimeline(whole({ ...film, shots })))
      .trim()
      .split('\r\n\r\n');
    expect(blocks.length).toBe(editTimeline(whole(film)).clips.length);
    let before = '';
    for (const [i, block] of blocks.entries()) {
      const [n, time, text, more] = block.split('\r\n');
      expect([n, more]).toEqual([String(i + 1), undefined]);
      const [from, to] = time!.split(' --> ');
      expect(from! >= before && to! > from!).toBe(true);
      before = to!;
      expect(text).not.toContain('-->');
    }
  });
});

describe('lines, tables and events', () => {
  it('have every shot once in either order; flying order follows the minutes', () => {
    const lines = shotLines(whole(film));
    for (const order of [inFlyingOrder(lines), inCutOrder(lines)])
      expect(order.map((l) => l.id).sort()).toEqual(film.shots.map((s) => s.id).sort());
    const minutes = inFlyingOrder(lines).map((l) => l.startMs ?? Infinity);
    expect(minutes).toEqual([...minutes].sort((a, b) => a - b));
    const cuts = boardOf(whole(film).derived, film.groundShots).places.flatMap((p) =>
      p.shot ? [p.cut] : [],
    );
    expect(inCutOrder(lines).map((l) => l.cut)).toEqual(cuts);
  });
  it('tell of every take what lies on the card, whether its move, its rolls or a walk', () => {
    const walked = { ...film, shots: film.shots.map((s) => ({ ...s, walkS: 6 })) };
    for (const lines of [shotLines(whole(film)), shotLines(whole(walked))])
      for (const l of lines.filter((one) => Number.isFinite(one.takeS))) {
        const { facts } = l.shot;
        if (!facts.trajectory!.frames) expect(l.takeS * l.takes).toBeCloseTo(facts.seconds.recordedS, 9);
        expect(l.takeS).toBeGreaterThan(l.moveS);
      }
  });
  it('a table has a cell for each head, and its sums are those of the budget', () => {
    const w = whole(film);
    for (const t of HANDOVER_TABLES)
      for (const row of t.rows(w)) expect(row.length, t.id).toBe(t.heads.length);
    const shots = HANDOVER_TABLES.find((t) => t.id === 'shots-flying')!;
    const at = shots.heads.indexOf('Recorded GB');
    const sum = shots.rows(w).reduce((n, r) => n + Number(r[at]), 0);
    expect(sum).toBeCloseTo(w.derived.budget.bytes / 1e9, 1);
    const flights = HANDOVER_TABLES.find((t) => t.id === 'flights')!;
    const minutes = flights.heads.indexOf('Minutes');
    expect(flights.rows(w).reduce((n, r) => n + Number(r[minutes]), 0)).toBeCloseTo(
      w.derived.budget.airborneS / 60,
      0,
    );
  });
  it('events end after they begin, one is reminded before leaving, and ids are their own', () => {
    const events = calendarEvents(whole(film));
    expect(new Set(events.map((e) => e.uid)).size).toBe(events.length);
    for (const e of events) expect(e.endMs).toBeGreaterThan(e.startMs);
    const far = film.locations.find((l) => l.travelMin > 0);
    if (far) {
      const own = events.find((e) => e.uid.startsWith(far.id))!;
      expect(own.reminders.find((r) => r.say.code === 'calendar.leave')!.minutes).toBeGreaterThan(
        far.travelMin,
      );
    }
  });
});

describe('coverage of the cut', () => {
  it('fills each place with its last good take, or the last that may do, and its seconds are those of the cut', () => {
    const input = structuredClone(film);
    const [a, b, c, d] = input.shots as [Shot, Shot, Shot, Shot];
    const flown: FilmInput = {
      ...input,
      takes: [
        take(a.id, { utcMs: 1, rating: 'good' }),
        take(a.id, { utcMs: 2, rating: 'good' }),
        take(a.id, { utcMs: 3, rating: 'maybe' }),
        take(b.id, { utcMs: 4, rating: 'maybe' }),
        take(c.id, { utcMs: 5, rating: 'no-good' }),
      ],
      groundShots: [
        newRow('groundShot', { id: 'g', locationId: a.locationId, position: 'a0', timelineS: 5, done: true }),
      ],
    };
    const all = whole(flown);
    const covered = cutCoverage(all, shotLines(all));
    const of = (id: string) => covered.places.find((p) => p.id === id)!;
    expect([of(a.id).state, of(a.id).best?.utcMs]).toEqual(['kept', 2]);
    expect([of(b.id).state, of(b.id).best?.utcMs]).toEqual(['maybe', 4]);
    expect([of(c.id).state, of(c.id).best]).toEqual(['no-good', null]);
    expect(of(d.id).state).toBe('missing');
    expect([of('g').state, of('g').line]).toEqual(['kept', null]);
    expect(covered.places.map((p) => p.cut)).toEqual(covered.places.map((_, i) => i + 1));
    const sum = Object.values(covered.seconds).reduce((x, y) => x + y, 0);
    expect(sum).toBeCloseTo(covered.totalS, 9);
    expect(covered.seconds.maybe).toBeCloseTo(of(b.id).timelineS, 9);
    // The editor's timeline uses the same take.
    const clips = editTimeline(all).clips;
    for (const p of covered.places)
      for (const clip of clips.filter((k) => k.shotId === p.id)) expect(clip.take).toBe(p.best);
  });
});

describe('exposure by the minute', () => {
  it('follows each planned shot through its minutes; at the minute it is flown it is the setting of its line', () => {
    const all = whole(film);
    const rows = exposureMinutes(all);
    const lines = shotLines(all).filter((l) => l.startMs !== null && l.exposure !== null);
    expect(lines.length).toBeGreaterThan(8);
    let [changes, minutes, oneWay] = [0, 0, 0];
    for (const line of lines) {
      const own = rows.filter((r) => r.line.id === line.id);
      const planned = own.filter((r) => r.planned);
      expect(planned.length, line.title).toBeGreaterThan(0);
      expect(own[0]!.utcMs).toBeLessThan(line.startMs! - 8 * 60_000);
      for (const [i, r] of own.entries()) if (i > 0) expect(r.utcMs - own[i - 1]!.utcMs).toBe(60_000);
      // The table and the line of the shot are one figure; from it nothing goes to and fro.
      expect(planned[0]!.choice).toMatchObject(line.exposure!);
      const written = own.map(({ choice: c }) => `${c!.aperture} ${c!.shutterS} ${c!.iso}`);
      const runs = written.filter((w, i) => w !== written[i - 1]);
      // Where lamps come up at dusk the light itself turns back.
      const grows = own.slice(1).map((r, i) => Math.sign(r.ev100 - own[i]!.ev100));
      if (new Set(grows).size === 1) {
        oneWay += 1;
        expect(new Set(runs).size, `${line.title} goes back to a setting it left`).toBe(runs.length);
      }
      changes += runs.length - 1;
      minutes += own.length;
    }
    expect(oneWay).toBeGreaterThan(8);
    expect(changes).toBeGreaterThan(5);
    expect(changes).toBeLessThan(minutes / 6);
    const starts = [...new Set(rows.map((r) => r.line.id))].map(
      (id) => rows.find((r) => r.line.id === id)!.line.startMs!,
    );
    expect([...starts].sort((a, b) => a - b)).toEqual(starts);
  });
});
