import type { Shaper } from "../../core/text/shaper.ts";
import type { Db } from "./database.ts";
import type { MediaStore } from "./mediaStore.ts";

export interface AddedFont {
  readonly id: string;
  readonly name: string;
  readonly file: string;
}

/** Fonts that the venue added by file: tried after those that ship, for letters those do not have. */
export class FontStore {
  readonly #db: Db;
  readonly #showId: string;
  readonly #files: MediaStore;
  readonly #shaper: Shaper;
  readonly #fonts = new Map<string, AddedFont>();

  constructor(db: Db, showId: string, files: MediaStore, shaper: Shaper) {
    this.#db = db;
    this.#showId = showId;
    this.#files = files;
    this.#shaper = shaper;
  }

  async load(): Promise<void> {
    const rows = await this.#db.selectFrom("font").selectAll().where("show_id", "=", this.#showId).execute();
    for (const { id, name, file } of rows) {
      const bytes = this.#files.readFile(file);
      if (!bytes) {
        console.error(`The font ${name} is missing from the show's files; words in it are set in another.`);
        continue;
      }
      this.#shaper.addFont(id, bytes);
      this.#fonts.set(id, { id, name, file });
    }
  }

  list(): AddedFont[] {
    return [...this.#fonts.values()];
  }

  /** @returns a sentence when the file is no font */
  async add(
    id: string,
    name: string,
    bytes: Uint8Array,
  ): Promise<{ readonly font: AddedFont } | { readonly problem: string }> {
    const fontId = `added-${id}`;
    try {
      this.#shaper.addFont(fontId, bytes);
    } catch {
      return { problem: `“${name}” is not a TrueType or OpenType font. Nothing was added.` };
    }
    const file = this.#files.keepFile(bytes);
    await this.#db.insertInto("font").values({ id: fontId, show_id: this.#showId, name, file }).execute();
    const font = { id: fontId, name, file };
    this.#fonts.set(fontId, font);
    return { font };
  }
}
