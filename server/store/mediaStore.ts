import { chmodSync, existsSync, mkdirSync, readFileSync } from "node:fs";
import { open, rename, rm } from "node:fs/promises";
import { join } from "node:path";
import { t } from "../../core/language/t.ts";
import type { ChromaKey } from "../../core/picture/chromaKey.ts";
import { type LibraryEntry, libraryEntrySchema } from "../../core/scene/libraryEntry.ts";
import type { MediaInfo } from "../../core/scene/media.ts";
import type { Aside } from "../aside/aside.ts";
import { Incoming, type IncomingFile } from "../files/incoming.ts";
import { log } from "../log/log.ts";
import type { ContentStore } from "./contentStore.ts";
import type { Db } from "./database.ts";

/** A picture or clip of the library. */
export interface MediaItem {
  readonly id: string;
  /** Of what is known of it: changes with its name and its key. */
  readonly hash: string;
  readonly info: MediaInfo;
  readonly folder: string;
  readonly tags: readonly string[];
}

export interface NewMedia {
  readonly id: string;
  readonly name: string;
  readonly file: IncomingFile;
  /** A still of a clip, made by the window that brought it; empty for none. */
  readonly poster: Uint8Array;
  readonly key: ChromaKey | null;
  readonly folder?: string;
}

export type AddedMedia = { readonly item: MediaItem } | { readonly problem: string };

const MOST_ITEMS = 2_000;
const TYPE_WORDS = { picture: "picture", video: "clip", sound: "sound" } as const;

/** The show's pictures and clips: files under the hash of their bytes, and rows that name them. */
export class MediaStore {
  readonly #db: Db;
  readonly #contents: ContentStore;
  readonly #showId: string;
  readonly #folder: string;
  readonly #aside: Aside;
  /** Where files lie until they are looked at. */
  readonly incoming: Incoming;
  readonly #items = new Map<string, MediaItem>();
  readonly #listeners = new Set<() => void>();

  constructor(db: Db, contents: ContentStore, showId: string, folder: string, aside: Aside) {
    this.#db = db;
    this.#contents = contents;
    this.#showId = showId;
    this.#folder = folder;
    this.#aside = aside;
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    chmodSync(folder, 0o700);
    this.incoming = new Incoming(join(folder, "incoming"));
  }

  async load(): Promise<void> {
    const rows = await this.#db
      .selectFrom("media")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .orderBy("added_at_ms")
      .execute();
    await this.#contents.load(rows.map(({ content_hash }) => content_hash));
    for (const { id, content_hash, folder, tags } of rows) {
      const info = this.#contents.find(content_hash);
      // What cannot be read was named when it was read; a stand-in is shown for it.
      if (info?.kind !== "media") continue;
      if (this.findFile(info.file) === undefined)
        log.warn(`The file of “${info.name}” is missing from the library; a stand-in is shown for it.`);
      this.#items.set(id, { id, hash: content_hash, info, folder, tags: readTags(tags) });
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

  /** What is known of the first picture of that name. */
  findPicture(name: string): MediaInfo | undefined {
    return this.list().find(({ info }) => info.type === "picture" && info.name === name)?.info;
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

  /** Takes a file in. It goes from where it came in, kept or not. @param signal calls it off */
  async add(media: NewMedia, atMs: number, signal?: AbortSignal): Promise<AddedMedia> {
    try {
      if (this.#items.size >= MOST_ITEMS)
        return {
          problem: t`The library has ${MOST_ITEMS} items, which is the most it can hold. Nothing was added.`,
        };
      const known = await this.#examine(media, signal);
      if ("problem" in known) return known;
      return {
        item: await this.#save(
          { id: media.id, info: known.info, folder: media.folder ?? "", tags: [] },
          atMs,
        ),
      };
    } finally {
      await this.incoming.discard(media.file);
    }
  }

  /** Another file in the place of an item's, under its name and where it lies. What is on air keeps the one it was taken with. */
  async replace(media: NewMedia, atMs: number, signal?: AbortSignal): Promise<AddedMedia> {
    try {
      const item = this.#items.get(media.id);
      if (!item) return { problem: t`That is not in the library any more. Nothing was changed.` };
      const known = await this.#examine({ ...media, key: item.info.key }, signal);
      if ("problem" in known) return known;
      const { info } = known;
      if (info.type !== item.info.type)
        return {
          problem: t`“${item.info.name}” is a ${TYPE_WORDS[item.info.type]} and “${media.name}” is a ${TYPE_WORDS[info.type]}, so pages could not show it in its place. Nothing was changed.`,
        };
      return { item: await this.#save({ ...item, info: { ...info, name: item.info.name } }, atMs) };
    } finally {
      await this.incoming.discard(media.file);
    }
  }

  /** What a person says of an item: its name, and where it is found. */
  async describe(
    id: string,
    { name, folder, tags }: LibraryEntry,
    atMs: number,
  ): Promise<MediaItem | undefined> {
    const item = this.#items.get(id);
    return item && this.#save({ ...item, info: { ...item.info, name }, folder, tags }, atMs);
  }

  /**
   * Takes an item out of the library. What is on air with it keeps it, and so do cues that name it until they are compiled anew:
   * the file stays for as long as a content names it.
   * @returns whether there was such an item
   */
  async remove(id: string): Promise<boolean> {
    const item = this.#items.get(id);
    if (!item) return false;
    await this.#db.deleteFrom("media").where("show_id", "=", this.#showId).where("id", "=", id).execute();
    this.#items.delete(id);
    for (const listener of this.#listeners) listener();
    return true;
  }

  /** Other settings for cutting a clip out. What is on air keeps the ones it was taken with. */
  async setKey(id: string, key: ChromaKey | null, atMs: number): Promise<MediaItem | undefined> {
    const item = this.#items.get(id);
    return item && (await this.#save({ ...item, info: { ...item.info, key } }, atMs));
  }

  async #examine(
    { file, name, key, poster }: NewMedia,
    signal?: AbortSignal,
  ): Promise<{ readonly info: MediaInfo } | { readonly problem: string }> {
    const probed = await this.#aside.run("probeMedia", { path: file.path, name, poster }, signal);
    if ("problem" in probed) return probed;
    const common = { kind: "media", name, file: file.hash } as const;
    if (probed.type === "picture") {
      await this.keepFile(file);
      return {
        info: { ...common, poster: null, durationMs: null, hasSound: false, ...probed, key: null },
      };
    }
    if (probed.type === "sound") {
      await this.keepFile(file);
      const unseen = { poster: null, widthPx: 0, heightPx: 0, hasAlpha: false, hasSound: true, key: null };
      return { info: { ...common, ...unseen, ...probed } };
    }
    const { hasPoster, ...video } = probed;
    await this.keepFile(file);
    let posterFile: string | null = null;
    if (hasPoster) {
      const still = await this.incoming.hold(poster);
      await this.keepFile(still);
      posterFile = still.hash;
    }
    return { info: { ...common, poster: posterFile, ...video, key } };
  }

  async #save({ id, info, folder, tags }: Omit<MediaItem, "hash">, atMs: number): Promise<MediaItem> {
    const hash = await this.#contents.keep(info);
    const said = { content_hash: hash, folder, tags: JSON.stringify(tags) };
    await this.#db
      .insertInto("media")
      .values({ id, show_id: this.#showId, added_at_ms: Math.round(atMs), ...said })
      .onConflict((oc) => oc.column("id").doUpdateSet(said))
      .execute();
    const item = { id, hash, info, folder, tags };
    this.#items.set(id, item);
    for (const listener of this.#listeners) listener();
    return item;
  }

  /** Gives a file that came in its place, under the hash of its bytes. Whole or not at all, on the disk before anything names it. */
  async keepFile(file: IncomingFile): Promise<void> {
    const path = join(this.#folder, file.hash);
    if (existsSync(path)) {
      await rm(file.path, { force: true });
      return;
    }
    await rename(file.path, path);
    const folder = await open(this.#folder, "r");
    await folder.sync().finally(() => folder.close());
  }
}

/** What is no list of tags has none: tags are for finding only. */
function readTags(json: string): readonly string[] {
  try {
    return libraryEntrySchema.shape.tags.catch([]).parse(JSON.parse(json));
  } catch {
    return [];
  }
}
