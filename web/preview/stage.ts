import { WebGLRenderer } from 'three';
import type { PreviewScene } from './scene';

const KEPT = 120;

/** Draws one or two scenes side by side on one canvas. */
export class Stage {
  private readonly renderer: WebGLRenderer;
  private scenes: readonly PreviewScene[] = [];
  private readonly times: number[] = [];
  private size = { width: 1, height: 1 };

  constructor(canvas: HTMLCanvasElement) {
    this.renderer = new WebGLRenderer({ canvas, antialias: true });
    this.renderer.setScissorTest(true);
    this.renderer.setClearColor(0x0d0b10);
  }

  set(scenes: readonly PreviewScene[]): void {
    for (const scene of this.scenes) if (!scenes.includes(scene)) scene.dispose();
    this.scenes = scenes;
  }

  resize(width: number, height: number): void {
    this.size = { width, height };
    this.renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
    this.renderer.setSize(width, height, false);
  }

  /** Where each frame lies on the canvas, CSS pixels from the top left. */
  frames(): { readonly x: number; readonly y: number; readonly width: number; readonly height: number }[] {
    const each = this.size.width / Math.max(1, this.scenes.length);
    return this.scenes.map((scene, i) => {
      const width = Math.min(each - (this.scenes.length > 1 ? 4 : 0), this.size.height * scene.aspect);
      const height = width / scene.aspect;
      return { x: each * i + (each - width) / 2, y: (this.size.height - height) / 2, width, height };
    });
  }

  draw(): void {
    const began = performance.now();
    const { height } = this.size;
    this.renderer.setViewport(0, 0, this.size.width, height);
    this.renderer.setScissor(0, 0, this.size.width, height);
    this.renderer.clear();
    this.frames().forEach((f, i) => {
      const scene = this.scenes[i];
      if (!scene) return;
      const bottom = height - f.y - f.height;
      this.renderer.setViewport(f.x, bottom, f.width, f.height);
      this.renderer.setScissor(f.x, bottom, f.width, f.height);
      this.renderer.render(scene.scene, scene.camera);
    });
    this.times.push(performance.now() - began);
    if (this.times.length > KEPT) this.times.shift();
  }

  /** Median script time of the last frames, ms. */
  medianMs(): number {
    const sorted = [...this.times].sort((a, b) => a - b);
    return sorted[Math.floor(sorted.length / 2)] ?? 0;
  }

  dispose(): void {
    this.set([]);
    this.renderer.dispose();
  }
}
