import type { Dress } from "../../core/compose/compose.ts";
import { createDresser, type LearningDress } from "../../core/compose/dress.ts";
import type { Documents, PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import { fontsIn } from "../../core/scene/fontsIn.ts";
import type { Shaper } from "../../core/text/shaper.ts";
import { HiddenClips } from "../../painters/hiddenClips.ts";
import { ImageShelf } from "../../painters/imageShelf.ts";
import type { Canvas2D, MadeCanvas, PaintKit } from "../../painters/paint.ts";
import type { VideoMaker } from "../../painters/videoPlate.ts";
import { hide } from "./hide.ts";
import { createLateFonts, fallbackFonts, type LoadedShaper, loadShaper, onFonts, wordsIn } from "./shaper.ts";
import { Studio } from "./studio.ts";

const addressOf = (file: string) => `/media/${file}`;

function makeCanvas(widthPx: number, heightPx: number): MadeCanvas {
  const canvas = document.createElement("canvas");
  canvas.width = widthPx;
  canvas.height = heightPx;
  const context = canvas.getContext("2d", { willReadFrequently: true });
  if (!context) throw new Error(`No canvas of ${widthPx}×${heightPx}`);
  return { image: canvas, context: context as Canvas2D };
}

/** How pictures are drawn in this window. */
export class Drawing {
  readonly shaper: Shaper;
  readonly kit: PaintKit;
  readonly shelf = new ImageShelf(addressOf);
  readonly #documents: Documents;
  readonly #timeZone: string;
  readonly #listeners = new Set<() => void>();
  readonly #lateFonts: (words: string) => boolean;
  #dress: LearningDress;
  #studio: Studio | "none" | undefined;
  #clips: HiddenClips | undefined;

  private constructor({ shaper }: LoadedShaper, documents: Documents, timeZone: string) {
    this.shaper = shaper;
    this.#documents = documents;
    this.#timeZone = timeZone;
    this.kit = { outlines: shaper, MakePath: Path2D, findImage: this.shelf.find, makeCanvas };
    const dresser = () => createDresser(documents, shaper, fallbackFonts(), timeZone);
    this.#dress = dresser();
    const layOutAnew = () => {
      // What the worker still lays out for the one before is not taken in by this one.
      this.#dress = dresser();
      for (const listener of this.#listeners) listener();
    };
    this.#lateFonts = createLateFonts(shaper, layOutAnew);
    onFonts(layOutAnew);
    onFonts(() => this.#opened?.fontsChanged());
    for (const document of documents.values()) this.loadFontsFor(document);
  }

  static async load(documents: Documents, timeZone: string): Promise<Drawing> {
    return new Drawing(await loadShaper(), documents, timeZone);
  }

  readonly dress: Dress = (page, outfitId, output, armed) => this.#dress(page, outfitId, output, armed);

  readonly isKnown = (...asked: Parameters<Dress>): boolean => this.#dress.isKnown(...asked);

  /** A document has come: its words may want a font. */
  loadFontsFor(document: PinnedDocument): void {
    this.#lateFonts(wordsIn(document));
  }

  /** What fills pages may want a font. */
  loadFontsForValues(values: unknown): void {
    this.#lateFonts(JSON.stringify(values));
  }

  /** Whether the pictures that were asked for, and the fonts that the documents want, are here. */
  get isWhole(): boolean {
    return (
      this.shelf.isWhole &&
      [...this.#documents.values()].every((document) => this.#lateFonts(wordsIn(document)))
    );
  }

  /** Told when pages are to be laid out again. @returns a function that ends it */
  onChange(listener: () => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  /** Clips for pictures that are drawn on a canvas, without sound. */
  get clips(): HiddenClips {
    if (!this.#clips) {
      const root = document.createElement("div");
      hide(root);
      document.body.append(root);
      this.#clips = new HiddenClips(root, this.videos(false));
    }
    return this.#clips;
  }

  videos(sound: boolean): VideoMaker {
    const keyOf = (hash: string) => {
      const document = this.#documents.get(hash);
      return document?.kind === "media" ? document.key : null;
    };
    return { addressOf, keyOf, sound };
  }

  /** Has a page laid out beside this window, unless it knows it; what comes back too late, or in a font that is not here, is let go. */
  async layOutBeside(...asked: Parameters<Dress>): Promise<void> {
    const { studio } = this;
    const dress = this.#dress;
    const [page, outfitId, output] = asked;
    if (!studio || dress.isKnown(...asked)) return;
    const laidOut = await studio.layOut(page, outfitId, output);
    if (!laidOut || dress !== this.#dress) return;
    const fonts = fontsIn(laidOut.parts);
    if (fonts.every((id) => this.shaper.hasFont(id))) dress.learn(laidOut, ...asked);
  }

  /** Lays out and paints beside this window, from the first time it is asked for; undefined where the browser cannot. */
  get studio(): Studio | undefined {
    this.#studio ??= Studio.open(this.#documents, this.#timeZone) ?? "none";
    return this.#opened;
  }

  get #opened(): Studio | undefined {
    return this.#studio === "none" ? undefined : this.#studio;
  }

  /** The window is through with it. */
  close(): void {
    this.#opened?.close();
  }

  get timeZone(): string {
    return this.#timeZone;
  }
}
