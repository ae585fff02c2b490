import type { CueDoc } from "../rundown/cueDoc.ts";
import { type CarriedShow, documentsOf } from "./carriedShow.ts";
import { documentsNeeded } from "./documentsNeeded.ts";
import type { CarriedEvening } from "./parts/evening.ts";

/**
 * One evening with what it needs: its songs, pictures and tables, and what is the house's for all evenings: designs, screens,
 * sources, triggers and settings.
 */
export function ofEvening(show: CarriedShow, eveningId: string): CarriedShow {
  const evening = show.evening.filter(({ id }) => id === eveningId);
  const used = usedBy(evening);
  const withComments = show.house.flatMap(({ comments }) => comments?.source?.feedId ?? []);
  const feed = show.feed.filter(({ id }) => used.feeds.has(id) || withComments.includes(id));
  const clip = show.clip;
  const find = documentsOf(show);
  const inDesigns = new Set(documentsNeeded({ ...show, media: [] }, find));
  const shown = new Set([
    ...used.values,
    ...clip.map(({ doc }) => doc.mediaId),
    ...show.source.flatMap(({ doc: { picture } }) => (picture.kind === "media" ? [picture.mediaId] : [])),
  ]);
  // Tables name pictures by their names.
  const cells = new Set(feed.flatMap(({ good }) => good?.table.rows.flat() ?? []));
  const media = show.media.filter(({ id, hash }) => {
    const info = find(hash);
    const isNamed = info?.kind === "media" && (cells.has(info.name) || used.values.has(info.name));
    return shown.has(id) || inDesigns.has(hash) || isNamed;
  });
  const trigger = show.trigger.filter(({ doc }) =>
    [doc.when, doc.act, ...doc.onlyWhile].every((of) => !("cueId" in of) || used.cues.has(String(of.cueId))),
  );
  const rest = {
    ...show,
    evening,
    song: show.song.filter(({ id }) => used.songs.has(id)),
    text: show.text.filter(({ id }) => used.texts.has(id)),
    house: show.house.map((house) => ({ ...house, openEvening: eveningId })),
    feed,
    media,
    trigger,
  };
  const needed = new Set(documentsNeeded(rest, find));
  return { ...rest, documents: show.documents.filter(({ id }) => needed.has(id)) };
}

/** What the cues of evenings name. */
export function usedBy(evenings: readonly CarriedEvening[]) {
  const used = {
    cues: new Set<string>(),
    songs: new Set<string>(),
    texts: new Set<string>(),
    feeds: new Set<string>(),
    /** Everything that stands in a field of a page: ids and names of pictures among it. */
    values: new Set<string>(),
  };
  for (const { cues } of evenings)
    for (const { id, doc } of cues) {
      used.cues.add(id);
      addUses(doc, used);
    }
  return used;
}

function addUses(doc: CueDoc, used: ReturnType<typeof usedBy>): void {
  switch (doc.kind) {
    case "song":
      if (doc.source) used.songs.add(doc.source.songId);
      return;
    case "reading":
      used.texts.add(doc.text);
      if (doc.second) used.texts.add(doc.second.text);
      return;
    case "page":
      for (const value of Object.values(doc.values))
        for (const part of value.split(/[\t\n|]/)) used.values.add(part.trim());
      for (const { feedId } of Object.values(doc.bindings)) used.feeds.add(feedId);
      return;
    case "action":
    case "remark":
      return;
  }
}
