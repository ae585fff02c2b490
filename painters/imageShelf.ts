/** Picture files of a window, loaded when a plate first asks for them. */
export class ImageShelf {
  readonly #images = new Map<string, HTMLImageElement | "loading" | "broken">();
  readonly #addressOf: (file: string) => string;
  readonly #listeners = new Set<(file: string) => void>();

  constructor(addressOf: (file: string) => string) {
    this.#addressOf = addressOf;
  }

  /** The decoded picture; undefined while it loads and when it cannot be read. */
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
    const image = new Image();
    image.src = this.#addressOf(file);
    image.decode().then(
      () => {
        this.#images.set(file, image);
        for (const listener of this.#listeners) listener(file);
      },
      () => this.#images.set(file, "broken"),
    );
  }
}
