/** Files that were dropped somewhere, on their way to the view that takes them. */
export class DroppedFiles {
  readonly #listeners = new Set<() => void>();
  #waiting: { readonly kind: string; readonly files: readonly File[] } | null = null;

  hand(kind: string, files: readonly File[]): void {
    this.#waiting = { kind, files };
    for (const listener of this.#listeners) listener();
  }

  /** @returns what waits for a view that takes files as this; undefined when nothing does */
  take(kind: string): readonly File[] | undefined {
    if (this.#waiting?.kind !== kind) return undefined;
    const { files } = this.#waiting;
    this.#waiting = null;
    return files;
  }

  onHanded(listener: () => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }
}
