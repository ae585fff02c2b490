import { changesOf } from "../../core/design/designKinds.ts";
import { t } from "../../core/language/t.ts";
import type { ChromaKey } from "../../core/picture/chromaKey.ts";
import type { LibraryEntry } from "../../core/scene/libraryEntry.ts";
import { mediaNamedBy, withMedia } from "../../core/scene/templateMedia.ts";
import { MARKS } from "../../designs/marks/marks.ts";
import type { Aside } from "../aside/aside.ts";
import { type DesignStore, docOf } from "../store/designStore.ts";
import type { AddedMedia, MediaItem, MediaStore, NewMedia } from "../store/mediaStore.ts";

/** Changes of files in the library. Pages and templates have them from their next take on; what is on air stays. */
export interface LibraryEditor {
  readonly describe: (id: string, entry: LibraryEntry, actor: string) => Promise<MediaItem | undefined>;
  readonly setKey: (id: string, key: ChromaKey | null, actor: string) => Promise<MediaItem | undefined>;
  readonly replace: (media: NewMedia, actor: string, signal?: AbortSignal) => Promise<AddedMedia>;
  /** A mark of our own as a picture, once for each colour; undefined: there is no such mark. @param color #rrggbb */
  readonly addMark: (mark: string, color: string) => Promise<AddedMedia | undefined>;
}

interface Parts {
  readonly media: MediaStore;
  readonly designs: DesignStore;
  readonly aside: Aside;
  readonly now: () => number;
}

const MARKS_FOLDER = "Marks";

export function createLibraryEditor({ media, designs, aside, now }: Parts): LibraryEditor {
  /** Templates name what they show by its hash, which is another one now. */
  const followed = async (before: MediaItem | undefined, after: MediaItem | undefined, actor: string) => {
    if (before && after) await templatesFollow(designs, before.hash, after, { actor, atMs: now() });
    return after;
  };
  return {
    describe: async (id, entry, actor) =>
      followed(media.find(id), await media.describe(id, entry, now()), actor),
    setKey: async (id, key, actor) => followed(media.find(id), await media.setKey(id, key, now()), actor),
    replace: async (brought, actor, signal) => {
      const before = media.find(brought.id);
      const replaced = await media.replace(brought, now(), signal);
      if ("item" in replaced) await followed(before, replaced.item, actor);
      return replaced;
    },
    addMark: async (id, color) => {
      const mark = MARKS.find((each) => each.id === id);
      if (!mark) return undefined;
      const itemId = `mark-${id}-${color.slice(1).toLowerCase()}`;
      const known = media.find(itemId);
      if (known) return { item: known };
      const file = await media.incoming.hold(await aside.run("drawMark", { path: mark.path, color }));
      const name = `${mark.name}.png`;
      const added = await media.add({ id: itemId, name, file, poster: new Uint8Array(), key: null }, now());
      if ("problem" in added) return added;
      const item = await media.describe(itemId, { name, folder: MARKS_FOLDER, tags: [mark.group] }, now());
      return item && { item };
    },
  };
}

/** Drafts follow, and so does what is in use where there is no draft of it. */
async function templatesFollow(
  designs: DesignStore,
  before: string,
  { hash, info }: MediaItem,
  by: { readonly actor: string; readonly atMs: number },
): Promise<void> {
  if (hash === before) return;
  const label = t`Replace “${info.name.slice(0, 100)}”`;
  for (const design of designs.list("template")) {
    const doc = docOf(design);
    if (!mediaNamedBy(doc).includes(before)) continue;
    const changes = changesOf("template", doc, withMedia(doc, before, hash));
    const isInUse = design.draft === null;
    const changed = await designs.change(design, changes, { ...by, label, joins: false });
    if (isInUse && !("problem" in changed)) await designs.publish(design, { ...by, note: label });
  }
}
