import { open, readdir, realpath, stat } from "node:fs/promises";
import { join, relative, resolve, sep } from "node:path";
import { setTimeout as wait } from "node:timers/promises";
import { type FSWatcher, watch } from "chokidar";
import { t } from "../../core/language/t.ts";
import { LARGEST_FEED_BYTES } from "../files/tables/readTable.ts";
import { log } from "../log/log.ts";

export type FileRead =
  | { readonly bytes: Uint8Array }
  /** Why not, as the end of a sentence. */
  | { readonly gone: string };

/** A file that is being written is looked at again until it has stood still so long. */
const STANDS_STILL_MS = 30;
const WAITED_MOST_MS = 1_000;
const MOST_LISTED = 500;
const DEEPEST = 3;

/** A folder whose files feeds may read. Nothing outside of it is ever opened, wherever links in it lead. */
export class WatchedFolder {
  readonly #root: string;
  #watcher: FSWatcher | undefined;
  readonly #listeners = new Set<(path: string) => void>();

  constructor(folder: string) {
    this.#root = resolve(folder);
  }

  /** Told of every file in it that comes, changes or goes, by its path in the folder with "/" between names. */
  onChange(listener: (path: string) => void): void {
    this.#listeners.add(listener);
    this.#watcher ??= this.#watch();
  }

  async close(): Promise<void> {
    await this.#watcher?.close();
  }

  #watch(): FSWatcher {
    const watcher = watch(this.#root, { ignoreInitial: true, depth: DEEPEST });
    watcher.on("all", (_event, path) => {
      const name = relative(this.#root, path).split(sep).join("/");
      for (const listener of this.#listeners) listener(name);
    });
    watcher.on("error", (error) => log.warn("The feed folder cannot be watched", error));
    return watcher;
  }

  /** Files in it, by their paths there. */
  async list(): Promise<string[]> {
    try {
      const entries = await readdir(this.#root, { withFileTypes: true, recursive: true });
      return entries
        .filter((entry) => entry.isFile() && !entry.name.startsWith("."))
        .map((entry) => relative(this.#root, join(entry.parentPath, entry.name)).split(sep).join("/"))
        .sort()
        .slice(0, MOST_LISTED);
    } catch {
      return [];
    }
  }

  /** All of a file, once nobody writes to it any more. */
  async read(path: string): Promise<FileRead> {
    try {
      const full = await this.#inside(path);
      if (full === undefined) return { gone: t`“${path}” is not in the feed folder.` };
      for (let waitedMs = 0; ; waitedMs += STANDS_STILL_MS) {
        const before = await stat(full);
        if (!before.isFile()) return { gone: t`“${path}” is no file any more.` };
        if (before.size > LARGEST_FEED_BYTES)
          return { gone: t`“${path}” is larger than ${LARGEST_FEED_BYTES / 1024 / 1024} MB.` };
        const bytes = await readAll(full, before.size);
        await wait(STANDS_STILL_MS);
        const after = await stat(full);
        const isStill =
          after.mtimeMs === before.mtimeMs && after.size === before.size && bytes.length === after.size;
        if (isStill) return { bytes };
        if (waitedMs > WAITED_MOST_MS) return { gone: t`“${path}” is being written to all the time.` };
      }
    } catch (error) {
      const { code } = error as NodeJS.ErrnoException;
      return {
        gone:
          code === "ENOENT"
            ? t`the file “${path}” is gone.`
            : t`the file “${path}” cannot be read (${code ?? t`unknown`}).`,
      };
    }
  }

  async #inside(path: string): Promise<string | undefined> {
    const root = await realpath(this.#root);
    const full = await realpath(join(root, path));
    return full.startsWith(root + sep) ? full : undefined;
  }
}

/** Never more than it was when it was looked at. */
async function readAll(path: string, size: number): Promise<Uint8Array> {
  const file = await open(path, "r");
  try {
    const buffer = Buffer.alloc(size);
    let at = 0;
    while (at < size) {
      const { bytesRead } = await file.read(buffer, at, size - at, at);
      if (bytesRead === 0) break;
      at += bytesRead;
    }
    return buffer.subarray(0, at);
  } finally {
    await file.close();
  }
}
