import type { CueDoc } from "../../rundown/cueDoc.ts";
import type { Rename } from "../part.ts";

/** A cue with what it names called as it is called now: songs, pictures, tables and templates. */
export function cueWithNames(doc: CueDoc, rename: Rename): CueDoc {
  const template = doc.template === null ? null : rename("template", doc.template);
  if (doc.kind === "song")
    return {
      ...doc,
      template,
      source: doc.source && { ...doc.source, songId: rename("song", doc.source.songId) },
    };
  if (doc.kind !== "page") return { ...doc, template };
  return {
    ...doc,
    template,
    // A field that holds a picture holds its id and nothing else.
    values: mapped(doc.values, (value) => rename("media", value)),
    bindings: mapped(doc.bindings, (binding) => ({ ...binding, feedId: rename("feed", binding.feedId) })),
    picks: Object.fromEntries(
      Object.entries(doc.picks).map(([feedId, row]) => [rename("feed", feedId), row]),
    ),
  };
}

const mapped = <T>(record: Readonly<Record<string, T>>, to: (value: T) => T): Record<string, T> =>
  Object.fromEntries(Object.entries(record).map(([key, value]) => [key, to(value)]));
