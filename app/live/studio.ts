import type { Dress } from "../../core/compose/compose.ts";
import type { Picture } from "../../core/picture/picture.ts";
import { wornIn } from "../../core/rundown/content.ts";
import type { Documents, PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import type { LaidOutPage } from "../../core/scene/part.ts";
import type { ShownPage } from "../../core/show/slot.ts";
import { picturesNamed } from "../../core/values/liveChain.ts";
import type { Signal } from "../../painters/paint.ts";

type Output = Parameters<Dress>[2];

export type StudioRequest =
  | { readonly kind: "documents"; readonly documents: readonly (readonly [string, PinnedDocument])[] }
  /** Forgets all documents but these. */
  | { readonly kind: "keep"; readonly hashes: readonly string[] }
  | { readonly kind: "fonts" }
  | {
      readonly kind: "layOut";
      readonly page: ShownPage;
      readonly outfitId: string;
      readonly output: Output;
      readonly timeZone: string;
    }
  | {
      readonly kind: "paint";
      readonly picture: Picture;
      readonly scale: number;
      readonly signal: Signal;
      readonly timeZone: string;
    };
export type StudioAnswer =
  | { readonly id: number; readonly said: unknown }
  | { readonly id: number; readonly problem: string };

/**
 * Lays out and paints in a worker, so that the window's own thread is free for what moves. Whatever it cannot do comes back as
 * undefined, and the window does it itself.
 */
export class Studio {
  readonly #worker: Worker;
  readonly #documents: Documents;
  readonly #timeZone: string;
  readonly #sent = new Set<string>();
  readonly #waiting = new Map<number, (said: unknown) => void>();
  #count = 0;
  #isGone = false;

  /** @returns undefined where the browser has no canvas for workers */
  static open(documents: Documents, timeZone: string): Studio | undefined {
    if (typeof Worker === "undefined" || typeof OffscreenCanvas === "undefined") return undefined;
    return new Studio(documents, timeZone);
  }

  private constructor(documents: Documents, timeZone: string) {
    this.#documents = documents;
    this.#timeZone = timeZone;
    this.#worker = new Worker(new URL("./studioWorker.ts", import.meta.url), { type: "module" });
    this.#worker.onmessage = ({ data }: MessageEvent<StudioAnswer>) => {
      const settle = this.#waiting.get(data.id);
      this.#waiting.delete(data.id);
      if ("problem" in data) console.error(`Beside the window: ${data.problem}`);
      settle?.("said" in data ? (data.said ?? undefined) : undefined);
    };
    this.#worker.onerror = () => this.#giveUp();
  }

  /** A page as its outfit shows it on an output. */
  async layOut(page: ShownPage, outfitId: string, output: Output): Promise<LaidOutPage | undefined> {
    this.#send(page);
    const asked = { kind: "layOut", page, outfitId, output, timeZone: this.#timeZone } as const;
    return (await this.#ask(asked)) as LaidOutPage | undefined;
  }

  /** A picture without files, painted. */
  async paint(picture: Picture, scale: number, signal: Signal): Promise<ImageBitmap | undefined> {
    const asked = { kind: "paint", picture, scale, signal, timeZone: this.#timeZone } as const;
    return (await this.#ask(asked)) as ImageBitmap | undefined;
  }

  /** Forgets documents that the window has forgotten. */
  letGo(): void {
    const hashes = [...this.#sent].filter((hash) => this.#documents.has(hash));
    if (hashes.length === this.#sent.size) return;
    this.#sent.clear();
    for (const hash of hashes) this.#sent.add(hash);
    void this.#ask({ kind: "keep", hashes });
  }

  fontsChanged(): void {
    void this.#ask({ kind: "fonts" });
  }

  close(): void {
    this.#giveUp();
    this.#worker.terminate();
  }

  /** The documents that a content needs, unless the worker has them. */
  #send({ content: hash, live = {} }: ShownPage): void {
    const content = this.#documents.get(hash);
    if (content?.kind !== "page") return;
    const pictures = Object.values(live).flatMap(picturesNamed);
    const documents = [hash, ...wornIn(content), ...content.media, ...pictures].flatMap((wanted) => {
      const document = this.#documents.get(wanted);
      if (!document || this.#sent.has(wanted)) return [];
      this.#sent.add(wanted);
      return [[wanted, document] as const];
    });
    if (documents.length > 0) void this.#ask({ kind: "documents", documents });
  }

  #ask(request: StudioRequest): Promise<unknown> {
    const id = ++this.#count;
    return new Promise((resolve) => {
      if (this.#isGone) return resolve(undefined);
      this.#waiting.set(id, resolve);
      this.#worker.postMessage({ id, ...request });
    });
  }

  /** From now on the window does everything itself. */
  #giveUp(): void {
    this.#isGone = true;
    for (const settle of this.#waiting.values()) settle(undefined);
    this.#waiting.clear();
  }
}
