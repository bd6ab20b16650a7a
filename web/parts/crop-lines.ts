/** A frame on screen. */
export interface ScreenFrame {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The part of a frame a crop keeps, about its middle. */
export const cropped = (
  f: ScreenFrame,
  { widthShare, heightShare }: { readonly widthShare: number; readonly heightShare: number },
): ScreenFrame => ({
  x: f.x + (f.width * (1 - widthShare)) / 2,
  y: f.y + (f.height * (1 - heightShare)) / 2,
  width: f.width * widthShare,
  height: f.height * heightShare,
});

/** Outline of a frame as an SVG path. */
export const outline = (f: ScreenFrame): string => `M${f.x} ${f.y}h${f.width}v${f.height}h${-f.width}z`;

/** Lines at the thirds of a frame as an SVG path. */
export const thirdLines = (f: ScreenFrame): string =>
  [1, 2]
    .map(
      (n) => `M${f.x + (f.width * n) / 3} ${f.y}v${f.height}M${f.x} ${f.y + (f.height * n) / 3}h${f.width}`,
    )
    .join('');
