import type { ReadyClip } from "../../core/clips/readyClip.ts";
import { pictureOfFeed } from "../../core/feeds/feed.ts";
import type { FeedView } from "../../core/feeds/feedView.ts";
import { mediaNamedBy } from "../../core/scene/templateMedia.ts";
import { pageTable, picturesNamed } from "../../core/values/liveChain.ts";
import type { Source } from "../../core/venue/source.ts";
import type { MediaUse } from "../../core/wire/mediaUses.ts";
import type { Rundown } from "../rundown/rundown.ts";
import { type DesignStore, docOf } from "../store/designStore.ts";
import type { EveningStore } from "../store/eveningStore.ts";
import type { MediaStore } from "../store/mediaStore.ts";
import type { ValueHost } from "./valueHost.ts";

interface Parts {
  readonly rundown: Rundown;
  readonly evenings: EveningStore;
  readonly designs: DesignStore;
  readonly media: MediaStore;
  readonly values: ValueHost;
  readonly feeds: { readonly views: () => readonly FeedView[] };
  readonly follow: { readonly sources: readonly Source[] };
  readonly clips: { readonly ready: () => readonly ReadyClip[] };
}

/** Where the things of the library are used in the open evening and in templates: id → uses. */
export function usesHere({
  rundown,
  designs,
  media,
  values,
  feeds,
  follow,
  clips,
}: Omit<Parts, "evenings">): ReadonlyMap<string, readonly MediaUse[]> {
  const uses = new Map<string, MediaUse[]>();
  const add = (id: string, use: MediaUse) => {
    const list = uses.get(id) ?? [];
    uses.set(id, list);
    list.push(use);
  };
  const titles = new Map(rundown.ready().map(({ cueId, content }) => [cueId, content.title]));
  for (const { cueId, doc } of rundown.views())
    if (doc.kind === "page")
      for (const id of new Set(Object.values(doc.values)))
        if (media.find(id)) add(id, { kind: "cue", cueId, title: titles.get(cueId) ?? "a cue" });
  const byHash = new Map(media.list().map(({ hash, id }) => [hash, id]));
  for (const { cueId, hash, content } of rundown.ready()) {
    const given = values.values.tables[pageTable({ cueId, content: hash })] ?? {};
    for (const picture of new Set(Object.values(given).flatMap(picturesNamed))) {
      const id = byHash.get(picture);
      if (id !== undefined) add(id, { kind: "cue", cueId, title: content.title });
    }
  }
  for (const { id: feedId, doc } of feeds.views()) {
    const id = pictureOfFeed(feedId);
    if (doc.format.kind === "picture" && media.find(id)) add(id, { kind: "feed", name: doc.name });
  }
  for (const { name, picture } of follow.sources)
    if (picture.kind === "media" && media.find(picture.mediaId))
      add(picture.mediaId, { kind: "source", name });
  for (const { clip, title } of clips.ready())
    if (media.find(clip.mediaId)) add(clip.mediaId, { kind: "clip", name: title });
  for (const design of designs.list("template")) {
    const doc = docOf(design);
    for (const hash of mediaNamedBy(doc)) {
      const id = byHash.get(hash);
      if (id !== undefined) add(id, { kind: "template", templateId: design.id, name: doc.name });
    }
  }
  return uses;
}

/** In which other evenings something of the library is used, and by how many cues. */
export async function usesInOtherEvenings(
  { evenings }: Pick<Parts, "evenings">,
  id: string,
): Promise<readonly MediaUse[]> {
  const uses: MediaUse[] = [];
  for (const evening of await evenings.list()) {
    if (evening.isDeleted || evening.id === evenings.open.id) continue;
    const cues = (await evenings.cuesOf(evening.id)).filter(
      ({ doc }) => doc.kind === "page" && Object.values(doc.values).includes(id),
    );
    if (cues.length > 0) uses.push({ kind: "evening", name: evening.name, cues: cues.length });
  }
  return uses;
}
