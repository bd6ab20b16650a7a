/** Fills that are told apart by their strokes, not only by their colour. */
export type HatchKind = 'slant' | 'cross' | 'dots' | 'waves' | 'crowns';

const STROKES: Readonly<Record<HatchKind, (c: CanvasRenderingContext2D, n: number) => void>> = {
  slant: (c, n) => {
    c.moveTo(-2, n + 2);
    c.lineTo(n + 2, -2);
  },
  cross: (c, n) => {
    c.moveTo(-2, n + 2);
    c.lineTo(n + 2, -2);
    c.moveTo(-2, -2);
    c.lineTo(n + 2, n + 2);
  },
  dots: (c, n) => {
    for (const [x, y] of [
      [n / 4, n / 4],
      [(3 * n) / 4, (3 * n) / 4],
    ] as const) {
      c.moveTo(x + 1.2, y);
      c.arc(x, y, 1.2, 0, 7);
    }
  },
  waves: (c, n) => {
    c.moveTo(0, n / 2);
    c.quadraticCurveTo(n / 4, n / 2 - 3, n / 2, n / 2);
    c.quadraticCurveTo((3 * n) / 4, n / 2 + 3, n, n / 2);
  },
  crowns: (c, n) => {
    for (const [x, y] of [
      [n / 4, n / 3],
      [(3 * n) / 4, (5 * n) / 6],
    ] as const) {
      c.moveTo(x + 3, y);
      c.arc(x, y, 3, 0, Math.PI, true);
    }
  },
};

const made = new Map<string, CanvasPattern | null>();

/** A hatching in a colour over a faint ground of it. */
export const hatch = (kind: HatchKind, colour: string, ground: string): CanvasPattern | string => {
  const key = `${kind} ${colour} ${ground}`;
  const known = made.get(key);
  if (known) return known;
  const size = kind === 'waves' ? 14 : 10;
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = size;
  const context = canvas.getContext('2d');
  if (!context) return ground;
  context.fillStyle = ground;
  context.fillRect(0, 0, size, size);
  context.strokeStyle = colour;
  context.fillStyle = colour;
  context.lineWidth = 1;
  context.beginPath();
  STROKES[kind](context, size);
  context.stroke();
  const pattern = context.createPattern(canvas, 'repeat');
  made.set(key, pattern);
  return pattern ?? ground;
};
