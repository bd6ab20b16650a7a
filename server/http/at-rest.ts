import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import type { RequestHandler } from 'express';

/** Nobody has asked for anything for so long, ms. */
const REST_MS = 5000;
/** The engine gives pages back bit by bit: collected so often, so far apart. */
const TIMES = 4;
const APART_MS = 1000;
/** What the server takes when it has just begun, and half as much again, bytes. */
const LEAN_BYTES = 150e6;

/** Collects all that is not held; the engine offers it only by a switch. */
const collectAll = (): (() => void) => {
  setFlagsFromString('--expose-gc');
  return runInNewContext('gc') as () => void;
};

/**
 * Gives memory back when nobody asks for anything: by itself the engine keeps for good what a busy minute took. It takes some 50 ms,
 * which is why it waits for a rest.
 */
export const leanAtRest = (
  collect: () => void = collectAll(),
  taken: () => number = () => process.memoryUsage.rss(),
): RequestHandler => {
  let timer: NodeJS.Timeout | undefined;
  const later = (ms: number, times: number): void => {
    timer = setTimeout(() => {
      if (taken() <= LEAN_BYTES) return;
      collect();
      if (times > 1) later(APART_MS, times - 1);
    }, ms).unref();
  };
  return (_request, _response, next) => {
    clearTimeout(timer);
    later(REST_MS, TIMES);
    next();
  };
};
