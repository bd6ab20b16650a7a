import { CanvasTexture, RepeatWrapping, SRGBColorSpace } from 'three';

const CELLS = 10;
const PX = 512;

/** A repeatable scatter; the same picture on every machine. */
const scatter = (i: number): number => {
  const x = Math.sin(i * 12.9898) * 43758.5453;
  return x - Math.floor(x);
};

const canvas = (width: number, height: number): CanvasRenderingContext2D => {
  const element = document.createElement('canvas');
  element.width = width;
  element.height = height;
  const context = element.getContext('2d');
  if (!context) throw new Error('no canvas');
  return context;
};

/** Ground of 100 × 100 m: mottled, a line every 10 m and a strong one every 100, so that speed and scale can be read. */
export const groundTexture = (): CanvasTexture => {
  const c = canvas(PX, PX);
  c.fillStyle = '#8d8877';
  c.fillRect(0, 0, PX, PX);
  for (let i = 0; i < 2600; i += 1) {
    const shade = scatter(i * 3 + 2);
    c.fillStyle =
      shade > 0.5 ? `rgb(160 156 132 / ${0.1 + shade * 0.2})` : `rgb(84 88 70 / ${0.12 + shade * 0.3})`;
    const size = 2 + scatter(i * 7) * 11;
    c.fillRect(scatter(i * 3) * PX, scatter(i * 3 + 1) * PX, size, size * (0.5 + scatter(i)));
  }
  const step = PX / CELLS;
  for (let i = 0; i < CELLS; i += 1) {
    c.fillStyle = i === 0 ? 'rgb(40 36 30 / 85%)' : 'rgb(60 56 46 / 42%)';
    const width = i === 0 ? 5 : 2;
    c.fillRect(i * step, 0, width, PX);
    c.fillRect(0, i * step, PX, width);
  }
  const texture = new CanvasTexture(c.canvas);
  texture.wrapS = RepeatWrapping;
  texture.wrapT = RepeatWrapping;
  texture.colorSpace = SRGBColorSpace;
  texture.anisotropy = 8;
  return texture;
};
