import { fetchPatiently } from "./fetchPatiently.ts";

/** Picture files of a window, loaded when a plate first asks for them. */
export class ImageShelf {
  readonly #images = new Map<string, HTMLImageElement | "loading">();
  readonly #addressOf: (file: string) => string;
  readonly #listeners = new Set<(file: string) => void>();

  constructor(addressOf: (file: string) => string) {
    this.#addressOf = addressOf;
  }

  /** The decoded picture; undefined until it has come. */
  readonly find = (file: string): HTMLImageElement | undefined => {
    const known = this.#images.get(file);
    if (known instanceof HTMLImageElement) return known;
    if (known === undefined) this.#load(file);
    return undefined;
  };

  /** Told when a file has come. @returns a function that ends it */
  onLoaded(listener: (file: string) => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  #load(file: string): void {
    this.#images.set(file, "loading");
    void fetchPatiently(async () => {
      const image = new Image();
      image.src = this.#addressOf(file);
      await image.decode();
      return image;
    }).then((image) => {
      this.#images.set(file, image);
      for (const listener of this.#listeners) listener(file);
    });
  }
}
