import { createHash } from "node:crypto";
import { pictureOfFeed } from "../../core/feeds/feed.ts";
import { t } from "../../core/language/t.ts";
import type { LibraryEditor } from "../host/editLibrary.ts";
import type { MediaStore } from "../store/mediaStore.ts";

export interface BroughtPicturesParts {
  readonly media: MediaStore;
  readonly library: LibraryEditor;
  readonly now: () => number;
}

export type BroughtPicture =
  | {
      /** As pages name it. */
      readonly name: string;
      /** It is another picture than the one that was there. */
      readonly isOther: boolean;
    }
  /** Why not, in a sentence. */
  | { readonly problem: string };

const FOLDER = t`From feeds`;
const ACTOR = "feed";
const LONGEST_NAME = 180;

/** Pictures that come by themselves, as things of the library: one for each place that they come from, whatever it shows. */
export class BroughtPictures {
  readonly #parts: BroughtPicturesParts;

  constructor(parts: BroughtPicturesParts) {
    this.#parts = parts;
  }

  /** What the thing of the library is called that a feed's picture is; undefined where there is none. */
  nameOf(feedId: string): string | undefined {
    return this.#parts.media.find(pictureOfFeed(feedId))?.info.name;
  }

  /** Takes the picture of a feed in, in the place of the one before. */
  keepOf(feedId: string, fileName: string, bytes: Uint8Array): Promise<BroughtPicture> {
    return this.keep(pictureOfFeed(feedId), fileName, bytes);
  }

  /** Takes a picture in, in the place of the one that came from there before. @param id of the thing in the library */
  async keep(id: string, fileName: string, bytes: Uint8Array): Promise<BroughtPicture> {
    const { media, library, now } = this.#parts;
    const known = media.find(id);
    if (known?.info.file === createHash("sha256").update(bytes).digest("hex"))
      return { name: known.info.name, isOther: false };
    const name = known?.info.name ?? this.#freeName(fileName.slice(0, LONGEST_NAME));
    const file = await media.incoming.hold(bytes);
    const brought = { id, name, file, poster: NO_POSTER, key: null };
    const kept = known ? await library.replace(brought, ACTOR) : await media.add(brought, now());
    if ("problem" in kept) return { problem: kept.problem };
    if (!known) {
      if (kept.item.info.type !== "picture") {
        await media.remove(id);
        return { problem: t`It is no picture.` };
      }
      await library.describe(id, { name, folder: FOLDER, tags: [] }, ACTOR);
    }
    return { name, isOther: true };
  }

  /** Pages find pictures by their names: no two are called the same. */
  #freeName(wanted: string): string {
    for (let count = 1; ; count++) {
      const name = count === 1 ? wanted : `${wanted} (${count})`;
      if (!this.#parts.media.list().some(({ info }) => info.name === name)) return name;
    }
  }
}

const NO_POSTER = new Uint8Array();
