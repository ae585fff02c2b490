import type { Placement } from "../core/compose/placements.ts";
import { keepInStep, loadAnewOnError } from "./keepInStep.ts";
import type { VideoMaker } from "./videoPlate.ts";

type SoundPlacement = Extract<Placement, { kind: "sound" }>;

/** A sound of a page: plays by the page's clock, as loud as its placement says. */
export class SoundPlate {
  readonly element: HTMLAudioElement = document.createElement("audio");
  readonly #end = new AbortController();

  constructor({ sound }: SoundPlacement, maker: VideoMaker) {
    this.element.src = maker.addressOf(sound.file);
    this.element.preload = "auto";
    this.element.loop = sound.atEnd === "loop";
    loadAnewOnError(this.element, this.#end.signal);
  }

  update(placement: SoundPlacement): void {
    const { sound, gain } = placement;
    this.element.volume = Math.max(0, Math.min(1, sound.level * gain));
    keepInStep(this.element, placement, sound, () => void this.#play());
  }

  discard(): void {
    this.#end.abort();
    this.element.pause();
    this.element.removeAttribute("src");
    this.element.load();
    this.element.remove();
  }

  async #play(): Promise<void> {
    try {
      await this.element.play();
      delete this.element.dataset.silenced;
    } catch (error) {
      // A browser that wants a click before it lets sound out: it says so.
      if (error instanceof DOMException && error.name === "NotAllowedError")
        this.element.dataset.silenced = "yes";
    }
  }
}
