import { readFileSync } from 'node:fs';
import type { Browser, CDPSession, Page } from '@playwright/test';
import { ms, report, spread } from './figures';

/** One thing the browser did on a thread, as its own record tells it; times in µs, `tdur` what of it the thread had the processor. */
interface Told {
  readonly name: string;
  readonly ph: string;
  readonly pid: number;
  readonly tid: number;
  readonly ts: number;
  readonly dur?: number;
  readonly tdur?: number;
}

/** What the page asked of the processor between two pictures, ms. */
export interface Frame {
  own: number;
  collecting: number;
  drawing: number;
}

const FRAME = 'bench-frame';
const SCRIPT =
  /^(FunctionCall|RunMicrotasks|EvaluateScript|TimerFire|FireAnimationFrame|FireIdleCallback|EventDispatch|HandlePostMessage|v8\.\w+)$/;
const COLLECTOR = /^(MinorGC|MajorGC|BlinkGC|V8\.GC)/;
const DRAWING = /^(UpdateLayoutTree|Layout|PrePaint|Paint|Layerize|Commit)$/;

/** The record of everything the browser does while an act runs. */
const recorded = async (browser: Browser, act: () => Promise<void>): Promise<Told[]> => {
  const cdp: CDPSession = await browser.newBrowserCDPSession();
  const told: Told[] = [];
  cdp.on('Tracing.dataCollected', ({ value }) => {
    told.push(...(value as unknown as Told[]));
  });
  await cdp.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: {
      includedCategories: ['devtools.timeline', 'blink.user_timing', 'v8', 'disabled-by-default-v8.gc'],
      recordMode: 'recordAsMuchAsPossible',
    },
  });
  await act();
  const whole = new Promise((done) => {
    cdp.once('Tracing.tracingComplete', done);
  });
  await cdp.send('Tracing.end');
  await whole;
  await cdp.detach();
  return told;
};

/** Drags the focused slider to and fro, a step with every picture, once what picking the shot led to is over. */
const drag = async (steps: number): Promise<void> => {
  for (let i = 0; i < 60; i += 1) await new Promise(requestAnimationFrame);
  const handle = document.activeElement;
  const rail = handle?.parentElement?.getBoundingClientRect();
  if (!handle || !rail) throw new Error('no slider has the focus');
  const at = { clientX: rail.left, clientY: rail.top, bubbles: true, button: 0, buttons: 1 };
  handle.dispatchEvent(new PointerEvent('pointerdown', at));
  handle.dispatchEvent(new MouseEvent('mousedown', at));
  for (let i = 0; i < steps; i += 1) {
    await new Promise<void>((done) => {
      requestAnimationFrame(() => {
        performance.mark('bench-frame');
        done();
      });
    });
    window.dispatchEvent(
      new MouseEvent('mousemove', { ...at, clientX: at.clientX + 0.3 * rail.width * Math.sin(i / 15) }),
    );
  }
  window.dispatchEvent(new MouseEvent('mouseup', at));
  window.dispatchEvent(new PointerEvent('pointerup', at));
};

const end = (e: Told): number => e.ts + (e.dur ?? 0);
const cpuMs = (e: Told): number => (e.tdur ?? e.dur ?? 0) / 1000;

/** Sums by kind between the marks; what lies in another of its kind is part of that, and what the collector took of a script is not the script's. */
const framesOf = (told: readonly Told[]): Frame[] => {
  const marks = told.filter((e) => e.name === FRAME).sort((a, b) => a.ts - b.ts);
  const [first] = marks;
  if (!first) throw new Error('the record has no frames');
  const main = told
    .filter((e) => e.ph === 'X' && e.pid === first.pid && e.tid === first.tid)
    .sort((a, b) => a.ts - b.ts || end(b) - end(a));
  const frames: Frame[] = marks.map(() => ({ own: 0, collecting: 0, drawing: 0 }));
  const open = { script: -1, collector: -1, drawing: -1 };
  let n = -1;
  let script: Frame | undefined;
  for (const e of main) {
    while (n + 1 < marks.length && (marks[n + 1]?.ts ?? Infinity) <= e.ts) n += 1;
    // What runs in a script belongs to the frame in which the script began, wherever the mark fell.
    const frame = e.ts < open.script ? script : frames[n];
    if (!frame) continue;
    if (COLLECTOR.test(e.name)) {
      if (e.ts < open.collector) continue;
      frame.collecting += cpuMs(e);
      if (e.ts < open.script) frame.own -= cpuMs(e);
      open.collector = end(e);
    } else if (SCRIPT.test(e.name) && e.ts >= open.script) {
      frame.own += cpuMs(e);
      open.script = end(e);
      script = frame;
    } else if (DRAWING.test(e.name) && e.ts >= Math.max(open.drawing, open.script)) {
      // A layout a script waits for is the script's.
      frame.drawing += cpuMs(e);
      open.drawing = end(e);
    }
  }
  return frames.slice(0, -1);
};

/** Ticks of all processors, and those of them that went to other guests of the host: these are counted as the page's, nobody here can tell them apart. */
const ticks = (): { all: number; stolen: number } => {
  const [line = ''] = readFileSync('/proc/stat', 'utf8').split('\n', 1);
  const counts = line.split(/\s+/).slice(1, 9).map(Number);
  return { all: counts.reduce((sum, n) => sum + n, 0), stolen: counts[7] ?? 0 };
};

export interface Dragged {
  readonly frames: readonly Frame[];
  readonly stolenShare: number;
}

/** What a page asks of the processor in each frame while a slider is held; what neighbours on this machine take is not in it. */
export const dragged = async (browser: Browser, page: Page, steps: number): Promise<Dragged> => {
  const before = ticks();
  const told = await recorded(browser, () => page.evaluate(drag, steps));
  const after = ticks();
  return {
    frames: framesOf(told),
    stolenShare: (after.stolen - before.stolen) / Math.max(1, after.all - before.all),
  };
};

/** @param cold frames until the engine has compiled what it runs */
export const reportDragged = (what: string, { frames, stolenShare }: Dragged, cold: number): void => {
  const warm = frames.slice(cold);
  const line = (name: string, of: (f: Frame) => number): void => {
    const s = spread(warm.map(of));
    report(`${what}: ${name}`, `median ${ms(s.median)}, p95 ${ms(s.p95)}, worst ${ms(s.max)}`);
  };
  line('own code of a frame', (f) => f.own);
  line('with what the collector took', (f) => f.own + f.collecting);
  line('style, layout and paint', (f) => f.drawing);
  const over = (list: readonly Frame[], of: (f: Frame) => number): number =>
    list.filter((f) => of(f) > 16).length;
  report(
    `${what}: frames over 16 ms`,
    `own code ${over(warm, (f) => f.own)}, with the collector ${over(warm, (f) => f.own + f.collecting)}, of ${warm.length}; own worst of the first ${cold} ${ms(Math.max(...frames.slice(0, cold).map((f) => f.own)))}; other guests had ${(stolenShare * 100).toFixed(1)} % of the host`,
  );
};
