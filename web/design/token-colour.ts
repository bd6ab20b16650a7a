let paper: CanvasRenderingContext2D | null | undefined;

/**
 * A colour of the design as it is shown now, for what is drawn on a canvas: `#rrggbb`. With colours of the system in force a token
 * names one of them, or a mixture, which only the browser can work out.
 * @param name of the token, with its dashes
 */
export const tokenColour = (name: string): string => {
  const written = getComputedStyle(document.documentElement).getPropertyValue(name).trim();
  if (written === '' || written.startsWith('#')) return written;
  const probe = document.createElement('i');
  probe.style.color = `var(${name})`;
  document.body.append(probe);
  const shown = getComputedStyle(probe).color;
  probe.remove();
  paper ??= Object.assign(document.createElement('canvas'), { width: 1, height: 1 }).getContext('2d', {
    willReadFrequently: true,
  });
  if (!paper) return shown;
  paper.fillStyle = shown;
  paper.fillRect(0, 0, 1, 1);
  const [r = 0, g = 0, b = 0] = paper.getImageData(0, 0, 1, 1).data;
  return `#${[r, g, b].map((part) => part.toString(16).padStart(2, '0')).join('')}`;
};
