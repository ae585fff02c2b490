import { createHash } from "node:crypto";
import { Worker } from "node:worker_threads";
import { wornAt } from "../../core/rundown/steps.ts";
import type { PinnedDocument } from "../../core/screens/dress.ts";
import type { AddedFont } from "../store/fontStore.ts";
import type { StillJob, StillResult } from "./stillWorker.ts";

/** Stills kept in memory, by what they show. */
const KEPT_BYTES = 64 * 1024 * 1024;
const MOST_WAITING = 400;
const GIVES_UP_MS = 20_000;

type Wanted = Omit<StillJob, "id" | "documents" | "files" | "fonts">;

/** Paints stills in a thread of its own and keeps them: the same page at the same size is painted once. */
export class StillPainter {
  readonly #findDocument: (hash: string) => PinnedDocument | undefined;
  readonly #readFile: (file: string) => Uint8Array | undefined;
  readonly #listFonts: () => readonly AddedFont[];
  readonly #workerFile: URL;
  readonly #kept = new Map<string, Uint8Array>();
  readonly #open = new Map<string, Promise<Uint8Array>>();
  readonly #waiting = new Map<number, { done: (png: Uint8Array) => void; fail: (error: Error) => void }>();
  #worker: Worker | undefined;
  #lastId = 0;
  #bytes = 0;

  constructor(
    findDocument: (hash: string) => PinnedDocument | undefined,
    readFile: (file: string) => Uint8Array | undefined,
    listFonts: () => readonly AddedFont[],
    workerFile: URL,
  ) {
    this.#listFonts = listFonts;
    this.#findDocument = findDocument;
    this.#readFile = readFile;
    this.#workerFile = workerFile;
  }

  /** A name for a still that changes with all it shows: for the browser's own cache. */
  nameOf(wanted: Wanted): string {
    return createHash("sha256").update(JSON.stringify(wanted)).digest("base64url").slice(0, 24);
  }

  /** @throws when the page is not known, too many stills are waited for, or painting fails */
  paint(wanted: Wanted): Promise<Uint8Array> {
    const name = this.nameOf(wanted);
    const kept = this.#kept.get(name);
    if (kept) {
      this.#kept.delete(name);
      this.#kept.set(name, kept);
      return Promise.resolve(kept);
    }
    const open = this.#open.get(name);
    if (open) return open;
    if (this.#open.size >= MOST_WAITING) return Promise.reject(new Error("Too many stills at once"));
    const work = this.#send(wanted)
      .then((png) => {
        this.#keep(name, png);
        return png;
      })
      .finally(() => this.#open.delete(name));
    this.#open.set(name, work);
    return work;
  }

  close(): void {
    void this.#worker?.terminate();
  }

  #keep(name: string, png: Uint8Array): void {
    this.#kept.set(name, png);
    this.#bytes += png.byteLength;
    for (const [oldest, bytes] of this.#kept) {
      if (this.#bytes <= KEPT_BYTES) break;
      this.#kept.delete(oldest);
      this.#bytes -= bytes.byteLength;
    }
  }

  #send(wanted: Wanted): Promise<Uint8Array> {
    const documents = this.#documentsOf(wanted);
    const files = documents.flatMap(([, document]) => {
      if (document.kind !== "media") return [];
      const file = document.type === "video" ? document.poster : document.file;
      const bytes = file === null ? undefined : this.#readFile(file);
      return file !== null && bytes ? [[file, bytes] as const] : [];
    });
    const fonts = this.#listFonts().flatMap(({ id: fontId, file }) => {
      const bytes = this.#readFile(file);
      return bytes ? [[fontId, bytes] as const] : [];
    });
    const id = ++this.#lastId;
    const worker = this.#getWorker();
    return new Promise((resolve, reject) => {
      const timer = setTimeout(() => settle(() => reject(new Error("The still took too long"))), GIVES_UP_MS);
      const settle = (finish: () => void) => {
        clearTimeout(timer);
        this.#waiting.delete(id);
        finish();
      };
      this.#waiting.set(id, {
        done: (png) => settle(() => resolve(png)),
        fail: (error) => settle(() => reject(error)),
      });
      worker.postMessage({ ...wanted, id, documents, files, fonts } satisfies StillJob);
    });
  }

  #documentsOf({ page, outfitId }: Wanted): (readonly [string, PinnedDocument])[] {
    const content = this.#findDocument(page.content);
    if (content?.kind !== "page") throw new Error(`No page is known by ${page.content}`);
    const worn = wornAt(content, outfitId, page.step);
    const hashes = [page.content, ...(worn ? [worn.template, worn.style] : []), ...content.media];
    return hashes.flatMap((hash) => {
      const document = this.#findDocument(hash);
      return document ? [[hash, document] as const] : [];
    });
  }

  #getWorker(): Worker {
    if (this.#worker) return this.#worker;
    const worker = new Worker(this.#workerFile);
    worker.unref();
    worker.on("message", (result: StillResult) => {
      const waiting = this.#waiting.get(result.id);
      if ("png" in result) waiting?.done(result.png);
      else waiting?.fail(new Error(result.failed));
    });
    worker.on("error", (error) => {
      console.error(error);
      this.#worker = undefined;
      for (const { fail } of [...this.#waiting.values()])
        fail(error instanceof Error ? error : new Error(String(error)));
    });
    this.#worker = worker;
    return worker;
  }
}
