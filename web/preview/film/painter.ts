import type { DerivedShot } from '@core/film';
import type { PreviewFrame } from '@core/handover';
import type { Feature, Subject } from '@core/model';
import type { Pose } from '@core/moves';
import { momentAt, subjectAt, trackOf, type Track } from '@core/shot';
import { WebGLRenderer } from 'three';
import { PreviewScene } from '../scene';

export interface Painted {
  readonly shot: DerivedShot;
  readonly subjects: readonly Subject[];
  readonly things: readonly Feature[];
}
/** Words burned into the picture; an empty one is left out. */
export interface Caption {
  readonly name: string;
  readonly clock: string;
}

/** Paints the frames of a cut, one after another: one scene is held at a time, that of the clip in hand. */
export class FramePainter {
  private readonly lens = document.createElement('canvas');
  private readonly renderer: WebGLRenderer;
  private readonly paper: CanvasRenderingContext2D;
  private scene: { readonly id: string; readonly scene: PreviewScene; readonly track: Track } | null = null;

  constructor(
    readonly canvas: HTMLCanvasElement,
    private readonly shotOf: (id: string) => Painted | null,
    /** Where the camera is instead of where the plan has it; null leaves it to the plan. */
    private readonly poseOf: (id: string, moveS: number) => Pose | null = () => null,
  ) {
    this.renderer = new WebGLRenderer({ canvas: this.lens, antialias: true, preserveDrawingBuffer: true });
    this.renderer.setPixelRatio(1);
    const paper = canvas.getContext('2d');
    if (!paper) throw new Error('no canvas');
    this.paper = paper;
  }

  private sceneFor(id: string): typeof this.scene {
    if (this.scene?.id === id) return this.scene;
    this.scene?.scene.dispose();
    this.scene = null;
    const painted = this.shotOf(id);
    const track = painted && trackOf(painted.shot);
    if (painted && track)
      this.scene = { id, track, scene: new PreviewScene(painted.shot, painted.subjects, painted.things) };
    return this.scene;
  }

  paint({ clip, moveS }: PreviewFrame, caption: Caption, card: string): void {
    const shown = clip.number === null ? null : this.sceneFor(clip.shotId);
    if (!shown) {
      this.paintCard(card, caption);
      return;
    }
    const at = Math.min(shown.track.totalS, Math.max(0, moveS));
    const pose = this.poseOf(clip.shotId, moveS) ?? momentAt(shown.track, at).pose;
    this.paintPose(clip.shotId, pose, at, caption);
  }

  /** What a shot's camera sees from somewhere, at a second of its move. */
  paintPose(shotId: string, pose: Pose, moveS: number, caption: Caption): void {
    const { width, height } = this.canvas;
    const shown = this.sceneFor(shotId);
    const facts = this.shotOf(shotId)?.shot.facts;
    if (!shown || !facts) return;
    // The recorded frame is drawn whole, and the part the cut uses is taken out of it.
    const { widthShare, heightShare } = facts.frame;
    const [w, h] = [Math.round(width / widthShare), Math.round(height / heightShare)];
    if (this.lens.width !== w || this.lens.height !== h) this.renderer.setSize(w, h, false);
    shown.scene.show(pose, subjectAt(facts, Math.min(shown.track.totalS, Math.max(0, moveS))));
    this.renderer.render(shown.scene.scene, shown.scene.camera);
    this.paper.drawImage(this.lens, (w - width) / 2, (h - height) / 2, width, height, 0, 0, width, height);
    this.write(caption);
  }

  private paintCard(words: string, caption: Caption): void {
    const { width, height } = this.canvas;
    this.paper.fillStyle = '#1c1a20';
    this.paper.fillRect(0, 0, width, height);
    this.paper.fillStyle = '#f1ece4';
    this.paper.font = `600 ${Math.round(height / 14)}px Archivo, sans-serif`;
    this.paper.textAlign = 'center';
    this.paper.fillText(words, width / 2, height / 2, width * 0.9);
    this.write(caption);
  }

  private write({ name, clock }: Caption): void {
    const { width, height } = this.canvas;
    const size = Math.max(12, Math.round(height / 26));
    const pad = Math.round(size * 0.7);
    this.paper.font = `560 ${size}px Archivo, sans-serif`;
    for (const [text, align, x] of [
      [name, 'left', pad],
      [clock, 'right', width - pad],
    ] as const) {
      if (text === '') continue;
      this.paper.textAlign = align;
      this.paper.lineWidth = size / 5;
      this.paper.strokeStyle = 'rgb(0 0 0 / 0.7)';
      this.paper.fillStyle = '#fff';
      this.paper.strokeText(text, x, height - pad, width * 0.7);
      this.paper.fillText(text, x, height - pad, width * 0.7);
    }
  }

  dispose(): void {
    this.scene?.scene.dispose();
    this.scene = null;
    this.renderer.dispose();
  }
}
