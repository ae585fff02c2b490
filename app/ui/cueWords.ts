import type { PageContent } from "../../core/rundown/content.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import { FIELD_SETS } from "../../designs/fieldSets.ts";

/** What kind of cue it is, in a word or two. */
export function cueKindName(doc: CueDoc): string {
  if (doc.kind === "song") return "song";
  if (doc.kind === "reading") return "reading";
  if (doc.kind === "action") return "action";
  if (doc.kind === "remark") return doc.isHeading ? "heading" : "remark";
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
    case "action":
      return doc.title || "Action";
    case "remark":
      return doc.text.split("\n")[0] || (doc.isHeading ? "Heading" : "Remark");
    case "page":
      return `Empty ${cueKindName(doc)}`;
  }
}

/** The name of a cue before it is compiled: the first words of a page stand for it. */
export function typedTitle(doc: CueDoc): string {
  if (doc.kind !== "page") return cueTitle(doc, undefined);
  return Object.values(doc.values).find((value) => value.trim() !== "") ?? cueTitle(doc, undefined);
}

/** What it does by itself, in a few words. */
export function cueTiming(doc: CueDoc): string | undefined {
  const seconds = (ms: number) => `${ms / 1000} s`;
  const parts: string[] = [];
  if (doc.start.kind === "with") parts.push("with the one before");
  if (doc.start.kind === "after")
    parts.push(doc.start.ms === 0 ? "follows at once" : `follows after ${seconds(doc.start.ms)}`);
  if (doc.start.kind === "at") parts.push(`at ${doc.start.time}`);
  if (doc.delayMs > 0) parts.push(`${seconds(doc.delayMs)} later`);
  if (doc.kind === "page" && doc.stayMs !== null) parts.push(`leaves after ${seconds(doc.stayMs)}`);
  if (doc.repeatMs !== null) parts.push(`again every ${seconds(doc.repeatMs)}`);
  return parts.length > 0 ? parts.join(", ") : undefined;
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

/** What an action does, in a sentence. */
export function describeAction({ action, plan }: PageContent): string {
  const parts: string[] = [];
  if (action && action.clear.length > 0) parts.push(`takes off ${action.clear.join(", ")}`);
  if (action?.shutter === "black") parts.push("all screens go to black");
  if (action?.shutter === "standBy") parts.push("all screens show their stand-by");
  if (action?.shutter === "back") parts.push("all screens show their picture again");
  if (plan?.otherwise === "switch") parts.push("switches the screen plan");
  return parts.length > 0 ? parts.join("; ") : "waits for a press";
}
