import type { LoggedChange } from '@contract';
import type { RequestHandler } from 'express';
import type { Feed } from '../services/feed';
import type { Films } from '../services/films';

const BEAT_MS = 20_000;

/**
 * Changes as server-sent events. What came since `Last-Event-ID` (or ?since=) is sent first, then everything new. Where that
 * cannot be told, a `reset` asks to read everything anew: too much came, or another database is in its place.
 */
export const events =
  (feed: Feed, films: Films): RequestHandler =>
  async (request, response) => {
    const since = Number(request.get('last-event-id') ?? request.query['since'] ?? NaN);
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store, no-transform',
      connection: 'keep-alive',
      'x-accel-buffering': 'no',
    });
    let sent = Number.isFinite(since) ? since : 0;
    const waiting: LoggedChange[] = [];
    let caughtUp = false;
    const send = (change: LoggedChange): void => {
      if (change.sequence <= sent) return;
      sent = change.sequence;
      response.write(`id: ${change.sequence}\nevent: change\ndata: ${JSON.stringify(change)}\n\n`);
    };
    const stop = feed.listen((change) => {
      if (caughtUp) send(change);
      else waiting.push(change);
    });
    const beat = setInterval(() => response.write('event: beat\ndata: {}\n\n'), BEAT_MS);
    request.on('close', () => {
      stop();
      clearInterval(beat);
    });
    response.write('retry: 2000\n\n');
    if (Number.isFinite(since)) {
      const missed = await films.since(since);
      if (missed) missed.forEach(send);
      else {
        sent = await films.sequence();
        response.write(`id: ${sent}\nevent: reset\ndata: {}\n\n`);
      }
    }
    waiting.forEach(send);
    caughtUp = true;
  };
