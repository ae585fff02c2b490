import type { Dress } from "../../core/compose/compose.ts";
import { createDresser, type LearningDress } from "../../core/compose/dress.ts";
import type { Documents, PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import type { Shaper } from "../../core/text/shaper.ts";
import { ImageShelf } from "../../painters/imageShelf.ts";
import type { Canvas2D, MadeCanvas, PaintKit } from "../../painters/paint.ts";
import type { VideoMaker } from "../../painters/videoPlate.ts";
import { createLateFonts, fallbackFonts, type LoadedShaper, loadShaper, onFonts } from "./shaper.ts";
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
  readonly #lateFonts: (words: string) => void;
  #dress: LearningDress;
  #studio: Studio | "none" | undefined;

  private constructor({ shaper }: LoadedShaper, documents: Documents, timeZone: string) {
    this.shaper = shaper;
    this.#documents = documents;
    this.#timeZone = timeZone;
    this.kit = { outlines: shaper, MakePath: Path2D, findImage: this.shelf.find, makeCanvas };
    const dresser = () => createDresser(documents, shaper, fallbackFonts(), timeZone);
    this.#dress = dresser();
    const layOutAnew = () => {
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

  readonly dress: LearningDress = Object.assign<Dress, Omit<LearningDress, keyof Dress>>(
    (page, outfitId, output, armed) => this.#dress(page, outfitId, output, armed),
    {
      isKnown: (...asked) => this.#dress.isKnown(...asked),
      learn: (laidOut, ...asked) => this.#dress.learn(laidOut, ...asked),
    },
  );

  /** A document has come: its words may want a font. */
  loadFontsFor(document: PinnedDocument): void {
    if (document.kind === "page") this.#lateFonts(JSON.stringify([document.values, document.flow]));
  }

  /** Told when pages are to be laid out again. @returns a function that ends it */
  onChange(listener: () => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  videos(sound: boolean): VideoMaker {
    const keyOf = (hash: string) => {
      const document = this.#documents.get(hash);
      return document?.kind === "media" ? document.key : null;
    };
    return { addressOf, keyOf, sound };
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
