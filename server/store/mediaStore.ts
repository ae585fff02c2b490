import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import type { ChromaKey } from "../../core/picture/chromaKey.ts";
import type { MediaInfo } from "../../core/scene/media.ts";
import { probePicture } from "../files/probePicture.ts";
import { probeVideo } from "../files/probeVideo.ts";
import type { ContentStore } from "./contentStore.ts";
import type { Db } from "./database.ts";

/** A picture or clip of the library. */
export interface MediaItem {
  readonly id: string;
  /** Of what is known of it: changes with its name and its key. */
  readonly hash: string;
  readonly info: MediaInfo;
}

export interface NewMedia {
  readonly id: string;
  readonly name: string;
  readonly bytes: Uint8Array;
  /** A still of a clip, made by the window that brought it. */
  readonly poster: Uint8Array | null;
  /** What the window measured, for clips whose file does not say. */
  readonly durationMs: number | null;
  readonly key: ChromaKey | null;
}

export type AddedMedia = { readonly item: MediaItem } | { readonly problem: string };

const MOST_ITEMS = 2_000;

/** The show's pictures and clips: files under the hash of their bytes, and rows that name them. */
export class MediaStore {
  readonly #db: Db;
  readonly #contents: ContentStore;
  readonly #showId: string;
  readonly #folder: string;
  readonly #items = new Map<string, MediaItem>();
  readonly #listeners = new Set<() => void>();

  constructor(db: Db, contents: ContentStore, showId: string, folder: string) {
    this.#db = db;
    this.#contents = contents;
    this.#showId = showId;
    this.#folder = folder;
    mkdirSync(folder, { recursive: true });
  }

  async load(): Promise<void> {
    const rows = await this.#db
      .selectFrom("media")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .orderBy("added_at_ms")
      .execute();
    await this.#contents.load(rows.map(({ content_hash }) => content_hash));
    for (const { id, content_hash } of rows) {
      const info = this.#contents.find(content_hash);
      if (info?.kind !== "media") throw new Error(`Media ${id} names ${content_hash}; that is ${info?.kind}`);
      this.#items.set(id, { id, hash: content_hash, info });
    }
  }

  onChange(listener: () => void): void {
    this.#listeners.add(listener);
  }

  list(): MediaItem[] {
    return [...this.#items.values()];
  }

  find(id: string): MediaItem | undefined {
    return this.#items.get(id);
  }

  /** Where a file lies; undefined for anything that is not the hash of one that is here. */
  findFile(file: string): string | undefined {
    if (!/^[0-9a-f]{64}$/.test(file)) return undefined;
    const path = join(this.#folder, file);
    return existsSync(path) ? path : undefined;
  }

  readFile(file: string): Uint8Array | undefined {
    const path = this.findFile(file);
    return path === undefined ? undefined : readFileSync(path);
  }

  async add(media: NewMedia, atMs: number): Promise<AddedMedia> {
    if (this.#items.size >= MOST_ITEMS)
      return {
        problem: `The library has ${MOST_ITEMS} items, which is the most it can hold. Nothing was added.`,
      };
    const known = await this.#examine(media);
    if ("problem" in known) return known;
    return { item: await this.#save(media.id, known.info, atMs) };
  }

  /** Other settings for cutting a clip out. What is on air keeps the ones it was taken with. */
  async setKey(id: string, key: ChromaKey | null, atMs: number): Promise<MediaItem | undefined> {
    const item = this.#items.get(id);
    return item && (await this.#save(id, { ...item.info, key }, atMs));
  }

  async #examine(media: NewMedia): Promise<{ readonly info: MediaInfo } | { readonly problem: string }> {
    const common = { kind: "media", name: media.name, key: media.key } as const;
    const video = probeVideo(media.bytes);
    if ("problem" in video) {
      const picture = await probePicture(media.bytes);
      if ("problem" in picture)
        return /\.(webm|mp4|mov|mkv)$/i.test(media.name) ? { problem: video.problem } : picture;
      const file = this.keepFile(media.bytes);
      return {
        info: {
          ...common,
          type: "picture",
          file,
          poster: null,
          durationMs: null,
          hasSound: false,
          ...picture,
          key: null,
        },
      };
    }
    const durationMs = video.durationMs ?? media.durationMs;
    if (durationMs === null || !(durationMs > 0))
      return {
        problem: "The clip does not say how long it is, and this browser cannot play it. Nothing was added.",
      };
    const poster =
      media.poster && !("problem" in (await probePicture(media.poster))) ? this.keepFile(media.poster) : null;
    return {
      info: { ...common, type: "video", file: this.keepFile(media.bytes), poster, ...video, durationMs },
    };
  }

  async #save(id: string, info: MediaInfo, atMs: number): Promise<MediaItem> {
    const hash = await this.#contents.keep(info);
    await this.#db
      .insertInto("media")
      .values({ id, show_id: this.#showId, content_hash: hash, added_at_ms: Math.round(atMs) })
      .onConflict((oc) => oc.column("id").doUpdateSet({ content_hash: hash }))
      .execute();
    const item = { id, hash, info };
    this.#items.set(id, item);
    for (const listener of this.#listeners) listener();
    return item;
  }

  /** Keeps a file under the hash of its bytes. */
  keepFile(bytes: Uint8Array): string {
    const hash = createHash("sha256").update(bytes).digest("hex");
    const path = join(this.#folder, hash);
    if (!existsSync(path)) {
      // Whole or not at all: a power cut must not leave half a file under its name.
      writeFileSync(`${path}.part`, bytes);
      renameSync(`${path}.part`, path);
    }
    return hash;
  }
}
