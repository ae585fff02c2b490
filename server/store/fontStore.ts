import { readFile } from "node:fs/promises";
import { t } from "../../core/language/t.ts";
import { type FontEmbedding, fontEmbedding } from "../../core/text/fontEmbedding.ts";
import { FALLBACK_FONTS } from "../../core/text/fontList.ts";
import type { Shaper } from "../../core/text/shaper.ts";
import type { Aside } from "../aside/aside.ts";
import type { IncomingFile } from "../files/incoming.ts";
import { log } from "../log/log.ts";
import type { Db } from "./database.ts";
import type { MediaStore } from "./mediaStore.ts";

export interface AddedFont {
  readonly id: string;
  readonly name: string;
  readonly file: string;
  /** What its maker allows. */
  readonly embedding: FontEmbedding;
}

const MOST_FONTS = 200;

/** Fonts that the venue added by file: tried after those that ship, for letters those do not have. */
export class FontStore {
  readonly #db: Db;
  readonly #showId: string;
  readonly #files: MediaStore;
  readonly #shaper: Shaper;
  readonly #fonts = new Map<string, AddedFont>();

  readonly #aside: Aside;
  readonly #listeners = new Set<() => void>();

  constructor(db: Db, showId: string, files: MediaStore, shaper: Shaper, aside: Aside) {
    this.#db = db;
    this.#showId = showId;
    this.#files = files;
    this.#shaper = shaper;
    this.#aside = aside;
  }

  async load(): Promise<void> {
    const rows = await this.#db.selectFrom("font").selectAll().where("show_id", "=", this.#showId).execute();
    for (const { id, name, file } of rows) {
      const bytes = this.#files.readFile(file);
      if (!bytes) {
        log.warn(`The font ${name} is missing from the show’s files; words in it are set in another.`);
        continue;
      }
      try {
        this.#shaper.addFont(id, bytes);
      } catch (error) {
        log.warn(`The font ${name} cannot be read any more; words in it are set in another.`, error);
        continue;
      }
      this.#fonts.set(id, { id, name, file, embedding: fontEmbedding(bytes) });
    }
  }

  onChange(listener: () => void): void {
    this.#listeners.add(listener);
  }

  list(): AddedFont[] {
    return [...this.#fonts.values()];
  }

  /** In the order in which they are asked for a letter that a style's own fonts lack. */
  get fallback(): readonly string[] {
    return [...FALLBACK_FONTS, ...this.#fonts.keys()];
  }

  /** Whether words that a style's own fonts lack letters for would be set in this one, because none before it has them. */
  standsIn(id: string, words: string): boolean {
    if (!this.#fonts.has(id)) return false;
    const before = this.fallback.slice(0, this.fallback.indexOf(id));
    const hasLetter = (fontId: string, letter: string) =>
      this.#shaper.hasGlyph(fontId, letter.codePointAt(0) as number);
    return [...new Set(words)].some(
      (letter) => hasLetter(id, letter) && !before.some((fontId) => hasLetter(fontId, letter)),
    );
  }

  /** Takes a font in; the file goes from where it came in, kept or not. @returns a sentence when it is no whole font */
  async add(
    id: string,
    name: string,
    brought: IncomingFile,
    signal?: AbortSignal,
  ): Promise<{ readonly font: AddedFont } | { readonly problem: string }> {
    let file = brought;
    try {
      if (this.#fonts.size >= MOST_FONTS)
        return { problem: t`There are ${MOST_FONTS} fonts, which is the most. Nothing was added.` };
      const checked = await this.#aside.run("checkFont", { path: file.path, name }, signal);
      if ("problem" in checked) return checked;
      if (checked.openType) {
        await this.#files.incoming.discard(brought);
        file = await this.#files.incoming.hold(checked.openType);
      }
      const fontId = `added-${id}`;
      const bytes = await readFile(file.path);
      this.#shaper.addFont(fontId, bytes);
      await this.#files.keepFile(file);
      await this.#db
        .insertInto("font")
        .values({ id: fontId, show_id: this.#showId, name, file: file.hash })
        .execute();
      const font = { id: fontId, name, file: file.hash, embedding: fontEmbedding(bytes) };
      this.#fonts.set(fontId, font);
      for (const listener of this.#listeners) listener();
      return { font };
    } finally {
      await this.#files.incoming.discard(file);
    }
  }

  /** Takes a font out: words are set in another from their next take. Windows that are open keep it. @returns whether it was there */
  async remove(id: string): Promise<boolean> {
    if (!this.#fonts.delete(id)) return false;
    await this.#db.deleteFrom("font").where("show_id", "=", this.#showId).where("id", "=", id).execute();
    for (const listener of this.#listeners) listener();
    return true;
  }
}
