import { t } from "../../core/language/t.ts";
import type { PageContent } from "../../core/rundown/content.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import { kindOf } from "../../core/rundown/kinds.ts";
import { fieldKind } from "../../core/scene/fieldKinds.ts";
import type { FieldSets } from "../../core/scene/fieldSet.ts";

/** What kind of cue it is, in a word or two. */
export const cueKindName = (doc: CueDoc, fieldSets: FieldSets): string => kindOf(doc).nameOf(doc, fieldSets);

/** The name of a cue before it is compiled: the first words of a page stand for it. */
export function typedTitle(doc: CueDoc, fieldSets: FieldSets): string {
  const kind = kindOf(doc);
  return kind.typedTitle(doc) ?? kind.emptyTitle(doc, fieldSets);
}

/** What it does by itself, in a few words. */
export function cueTiming(doc: CueDoc): string | undefined {
  const seconds = (ms: number) => `${ms / 1000} s`;
  const parts: string[] = [];
  if (doc.start.kind === "with") parts.push(t`with the one before`);
  if (doc.start.kind === "after")
    parts.push(doc.start.ms === 0 ? t`follows at once` : t`follows after ${seconds(doc.start.ms)}`);
  if (doc.start.kind === "at") parts.push(t`at ${doc.start.time}`);
  if (doc.delayMs > 0) parts.push(t`${seconds(doc.delayMs)} later`);
  if ("stayMs" in doc && doc.stayMs !== null) parts.push(t`leaves after ${seconds(doc.stayMs)}`);
  if (doc.repeatMs !== null) parts.push(t`again every ${seconds(doc.repeatMs)}`);
  return parts.length > 0 ? parts.join(", ") : undefined;
}

/** What a page says, field by field, as people typed it; pictures and clips are seen, not read. */
export function wordsOf(
  { fieldSet, values }: Pick<Extract<CueDoc, { kind: "page" }>, "fieldSet" | "values">,
  title: string,
  fieldSets: FieldSets,
  /** What fills it from feeds. */
  live: Readonly<Record<string, string>> = {},
): string[] {
  const fields = fieldSets.get(fieldSet)?.fields ?? [];
  const words = fields.flatMap(
    ({ name, kind }) => fieldKind(kind).words(live[name] ?? values[name] ?? "") || [],
  );
  return words.length > 0 ? words : [title];
}

/** What an action does, in a sentence. */
export function describeAction({ action, plan }: PageContent): string {
  const parts: string[] = [];
  if (action && action.clear.length > 0) parts.push(t`takes off ${action.clear.join(", ")}`);
  if (action?.shutter === "black") parts.push(t`all screens go to black`);
  if (action?.shutter === "standBy") parts.push(t`all screens show their stand-by`);
  if (action?.shutter === "back") parts.push(t`all screens show their picture again`);
  if (plan?.otherwise === "switch") parts.push(t`switches the screen plan`);
  return parts.length > 0 ? parts.join("; ") : t`waits for a press`;
}
