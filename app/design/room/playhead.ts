import type { Phase } from "../../../core/design/phases.ts";

export interface PlayState {
  /** The part of the page's life that is looked at; null: it stands at rest. */
  readonly phase: Phase | null;
  readonly isPlaying: boolean;
  readonly speed: 1 | 0.5;
  readonly isLoop: boolean;
}

/** Where in the life of the page the stage stands: many times a second, so that only what shows it is told. */
export class Playhead {
  readonly #listeners = new Set<() => void>();
  readonly #followers = new Set<(inMs: number) => void>();
  #state: PlayState = { phase: null, isPlaying: false, speed: 1, isLoop: false };
  #inMs = 0;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };
  readonly getSnapshot = (): PlayState => this.#state;
  /** Told of every instant. */
  readonly follow = (follower: (inMs: number) => void): (() => void) => {
    this.#followers.add(follower);
    return () => this.#followers.delete(follower);
  };
  /** Into the phase, ms. */
  get inMs(): number {
    return this.#inMs;
  }

  /** From the beginning. */
  play(phase: Phase): void {
    this.moveTo(0);
    this.set({ phase, isPlaying: true });
  }

  /** Stands still at an instant of a phase. */
  show(phase: Phase, inMs: number): void {
    this.set({ phase, isPlaying: false });
    this.moveTo(inMs);
  }

  /** Back to the page as it stands. */
  rest(): void {
    this.set({ phase: null, isPlaying: false });
  }

  set(part: Partial<PlayState>): void {
    this.#state = { ...this.#state, ...part };
    for (const listener of this.#listeners) listener();
  }

  moveTo(inMs: number): void {
    this.#inMs = inMs;
    for (const follower of this.#followers) follower(inMs);
  }
}
