import { fetchPatiently } from "./fetchPatiently.ts";

/** Picture files of a window, loaded when a plate first asks for them. */
export class ImageShelf {
  readonly #images = new Map<string, HTMLImageElement | "loading" | "missing">();
  readonly #addressOf: (file: string) => string;
  readonly #listeners = new Set<(file: string) => void>();

  constructor(addressOf: (file: string) => string) {
    this.#addressOf = addressOf;
  }

  /** The decoded picture; "missing" from the first try that failed until one succeeds. */
  readonly find = (file: string): HTMLImageElement | "loading" | "missing" => {
    const known = this.#images.get(file);
    if (known === undefined) this.#load(file);
    return known ?? "loading";
  };

  /** Whether every picture that was asked for has come, or is missing. */
  get isWhole(): boolean {
    return [...this.#images.values()].every((image) => image !== "loading");
  }

  /** Told when a file has come, or is found missing. @returns a function that ends it */
  onLoaded(listener: (file: string) => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  #load(file: string): void {
    this.#images.set(file, "loading");
    void fetchPatiently(async () => {
      const image = new Image();
      image.src = this.#addressOf(file);
      await image.decode().catch((error: unknown) => {
        if (this.#images.get(file) === "loading") this.#set(file, "missing");
        throw error;
      });
      return image;
    }).then((image) => this.#set(file, image));
  }

  #set(file: string, found: HTMLImageElement | "missing"): void {
    this.#images.set(file, found);
    for (const listener of this.#listeners) listener(file);
  }
}
