import type { PageContent } from "../../core/rundown/content.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import { FIELD_SETS } from "../../designs/fieldSets.ts";

/** What kind of cue it is, in a word or two. */
export function cueKindName(doc: CueDoc): string {
  if (doc.kind === "song") return "song";
  if (doc.kind === "reading") return "reading";
  return (FIELD_SETS.find(({ id }) => id === doc.fieldSet)?.name ?? "page").toLowerCase();
}

/** The name of a cue for lists; something even when it is empty. */
export function cueTitle(doc: CueDoc, content: PageContent | undefined): string {
  if (content) return content.title;
  switch (doc.kind) {
    case "song":
      return doc.title || "Song without words";
    case "reading":
      return doc.reference || "Reading";
    case "page":
      return `Empty ${cueKindName(doc)}`;
  }
}

export function cueTiming(doc: CueDoc): string | undefined {
  return doc.kind === "page" && doc.stayMs !== null ? `leaves after ${doc.stayMs / 1000} s` : undefined;
}

/** What a page says, field by field, as people typed it; pictures and clips are seen, not read. */
export function wordsOf(doc: Extract<CueDoc, { kind: "page" }>, title: string): string[] {
  const fields = FIELD_SETS.find(({ id }) => id === doc.fieldSet)?.fields ?? [];
  const words = fields.flatMap(({ name, kind }) => {
    const value = (doc.values[name] ?? "").trim().replace(/\|/g, "  ");
    return kind === "line" || kind === "lines" ? (value === "" ? [] : [value]) : [];
  });
  return words.length > 0 ? words : [title];
}
