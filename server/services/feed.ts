import { EventEmitter } from 'node:events';
import type { LoggedChange } from '@contract';

/** Passes accepted changes on to whoever listens in this process. */
export class Feed {
  private readonly emitter = new EventEmitter().setMaxListeners(0);

  publish(changes: readonly LoggedChange[]): void {
    for (const change of changes) this.emitter.emit('change', change);
  }

  /** @returns a function that stops listening */
  listen(heard: (change: LoggedChange) => void): () => void {
    this.emitter.on('change', heard);
    return () => this.emitter.off('change', heard);
  }
}
