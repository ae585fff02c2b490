/** A document as the server told it. */
export interface Told<T> {
  readonly revision: number;
  readonly doc: T;
}

/**
 * A document whose every change is saved at once, one save after another: what is changed while a save is on its way is built on
 * what that leaves. A save that is refused goes back to what the server has.
 */
export class SavesInOrder<T extends object> {
  readonly #save: (doc: T, baseRevision: number) => Promise<boolean>;
  readonly #onChange: () => void;
  #told: Told<T>;
  #revision: number;
  #doc: T;
  #isSaving = false;
  #isSaved = true;

  constructor(told: Told<T>, save: (doc: T, baseRevision: number) => Promise<boolean>, onChange: () => void) {
    this.#told = told;
    this.#revision = told.revision;
    this.#doc = told.doc;
    this.#save = save;
    this.#onChange = onChange;
  }

  /** As it is here. */
  get doc(): T {
    return this.#doc;
  }

  /** The server has said how it is. */
  hear(told: Told<T>): void {
    this.#told = told;
    if (this.#isSaving || told.revision <= this.#revision) return;
    this.#become(told);
  }

  change(part: Partial<T>): void {
    this.#doc = { ...this.#doc, ...part };
    this.#isSaved = false;
    this.#onChange();
    if (!this.#isSaving) void this.#saveAll();
  }

  async #saveAll(): Promise<void> {
    this.#isSaving = true;
    while (!this.#isSaved) {
      this.#isSaved = true;
      if (await this.#save(this.#doc, this.#revision)) this.#revision++;
      else {
        this.#isSaved = true;
        this.#become(this.#told);
      }
    }
    this.#isSaving = false;
    if (this.#told.revision > this.#revision) this.#become(this.#told);
  }

  #become({ revision, doc }: Told<T>): void {
    this.#revision = revision;
    this.#doc = doc;
    this.#onChange();
  }
}
